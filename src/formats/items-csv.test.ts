import Papa from "papaparse";
import fc from "fast-check";
import { expect, test } from "vitest";
import { Item, STOWS } from "@/core/model";
import { guessMapping, readItems, readTable, writeItems } from "./items-csv";

const read = (text: string, owned: string[] = [], unit: "g" | "oz" = "g") => {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.why);
  return readItems(table.header, table.rows, guessMapping(table.header), new Set(owned), unit);
};

test("columns in any order, their meaning guessed, units in the column's name", () => {
  const [first, second] = read(
    "Notes;Weight (oz);Item;Qty;Location\nfor rain;11;Rain shell;1;outside\n;3.4;Stakes;8;main bag\n",
  );
  expect(first).toMatchObject({
    line: 2,
    problem: null,
    item: {
      name: "Rain shell",
      weights: [{ weight: "11 oz" }],
      kind: "rain shell",
      stow: "outside",
      note: "for rain",
    },
  });
  expect(second).toMatchObject({
    item: { name: "Stakes", weights: [{ weight: "3.4 oz" }], pieces: 8, stow: "main" },
  });
});

test("a unit column, and a bare number in the owner's unit", () => {
  expect(read("name,weight,unit\nMug,52,g\nPot,4,oz").map((row) => row.item?.weights?.[0]?.weight)).toEqual([
    "52 g",
    "4 oz",
  ]);
  expect(read("name,weight\nMug,1.8", [], "oz")[0]!.item?.weights?.[0]?.weight).toBe("1.8 oz");
});

test("other words for the columns, and a price as it is written here or there", () => {
  const price = (text: string) => read(`Item name,Wt (g),Cost\nMug,52,"${text}"`)[0]!.item;
  expect(price("€1,200")).toMatchObject({ name: "Mug", weights: [{ weight: "52 g" }], price: 1200 });
  expect(
    [price("1,200.50"), price("1.200,50"), price("12,5"), price("12.5"), price("$90")].map(
      (item) => item?.price,
    ),
  ).toEqual([1200.5, 1200.5, 12.5, 12.5, 90]);
});

test("a thing of 80 kg is asked about, not refused", () => {
  expect(read("name,weight\nSock,80 kg\nMug,52 g").map(({ problem, heavy }) => [problem, heavy])).toEqual([
    [null, true],
    [null, false],
  ]);
});

test("each bad row is named with its line and reason", () => {
  const rows = read("name,weight,price\n,12 g,\nMug,heavy,\nPot,100 g,-4\nSpoon,17 g,9");
  expect(rows.map((row) => row.problem)).toEqual([
    "It has no name.",
    expect.stringContaining("weight “heavy”"),
    expect.stringContaining("price “-4”"),
    null,
  ]);
  expect(rows[1]!.line).toBe(3);
});

test("doubles are seen, on the shelf and within the list", () => {
  expect(read("name\nmug\nPot\nMug", ["pot"]).map((row) => row.double)).toEqual([false, true, true]);
});

test("a quotation mark left open is told with its line, and an empty list is told", () => {
  expect(readTable('name,note\nMug,"open')).toMatchObject({
    ok: false,
    why: expect.stringContaining("not closed"),
  });
  expect(readTable("name\n")).toMatchObject({ ok: false });
});

test("a cell can't start a formula in a spreadsheet", () => {
  const text = writeItems([
    Item.parse({ id: "x", name: '=HYPERLINK("http://x")', kind: "other", note: "@SUM(1)" }),
  ]);
  expect(text).not.toMatch(/(^|,)"?[=@]/m);
});

test("what is written is read again as it was, with what is not told left out", () => {
  const word = fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ,;"'é-]{0,30}[a-z]$/);
  const told = fc.record({
    grams: fc.option(fc.integer({ min: 1, max: 5000 })),
    stow: fc.constantFrom(null, ...STOWS),
    pieces: fc.integer({ min: 1, max: 9 }),
    price: fc.option(fc.integer({ min: 0, max: 900 })),
    acquired: fc.option(fc.constantFrom("2024-03-01", "2025-12-31")),
    state: fc.constantFrom("active", "retired" as const),
  });
  const cells = ({ name, kind, stow, pieces, price, acquired, state, note }: Partial<Item>) => [
    ...[name, kind, note, stow ?? null, pieces, price ?? null, acquired ?? null, state],
  ];
  fc.assert(
    fc.property(
      fc.uniqueArray(word, { minLength: 1, maxLength: 8, selector: (name) => name.toLowerCase() }),
      fc.array(told, { minLength: 8, maxLength: 8 }),
      (names, tolds) => {
        const items = names.map((name, n) => {
          const { grams, ...rest } = tolds[n]!;
          const weights = grams === null ? [] : [{ weight: `${grams} g` }];
          return Item.parse({ id: `i${n}`, name, kind: "fleece", weights, note: name, ...rest });
        });
        const again = read(writeItems(items)).map(({ item }) => item);
        expect(again.map((item) => cells(item as Partial<Item>))).toEqual(items.map(cells));
        expect(again.map((item) => item?.weights?.[0]?.weight)).toEqual(
          items.map((item) => item.weights[0]?.weight.typed),
        );
      },
    ),
  );
  const bare = Item.parse({ id: "pot", name: "Pot", kind: "pot" });
  expect(writeItems([bare]).split("\r\n")[1]).toBe("Pot,pot,,,1,,,active,");
});

// Source: the leading characters that spreadsheets run, as listed by the OWASP page on CSV injection (from memory).
test.each(["=", "+", "-", "@", "\t", "\r", "\n"])(
  "a cell that starts with %j never runs, with or without a line break in it",
  (first) => {
    for (const rest of ["1+1", "1+1\nand more", "cmd()\r\n=2"]) {
      const written = writeItems([
        Item.parse({ id: "x", name: "Pot", kind: "pot", note: `${first}${rest}` }),
      ]);
      const { data } = Papa.parse<string[]>(written.trimEnd());
      const note = data[1]![data[0]!.indexOf("note")]!;
      expect(note).toBe(`'${first}${rest}`);
    }
  },
);

test("a real spreadsheet: its title, headings, totals and blank rows are seen for what they are", () => {
  const text = [
    "My pack for the islands,,,,",
    ",,,,",
    "Item,Category,Qty,Weight (g),Worn",
    "SHELTER,,,,",
    "Tunnel tent,Shelter,1,1450,",
    "Tent pegs,Shelter,8 pcs,96,",
    "Subtotal,,,1546,",
    "CLOTHES,,,,",
    "Wool socks,Clothes,1 pr,72,x",
    "Sun shirt,Clothes,1,180,yes",
    ",,,1798,",
  ].join("\n");
  const table = readTable(text);
  if (!table.ok) throw new Error(table.why);
  const rowsOf = (each: boolean) =>
    readItems(table.header, table.rows, guessMapping(table.header), new Set(), "g", {
      start: table.start,
      each,
    });
  const rows = rowsOf(false);
  expect(rows.map(({ line, name, aside }) => [line, name, aside])).toEqual([
    [4, "SHELTER", "heading"],
    [5, "Tunnel tent", null],
    [6, "Tent pegs", null],
    [7, "Subtotal", "total"],
    [8, "CLOTHES", "heading"],
    [9, "Wool socks", null],
    [10, "Sun shirt", null],
    [11, "", "total"],
  ]);
  const things = rows.filter(({ aside }) => aside === null);
  expect(
    things.map(({ item, several }) => [
      item!.kind,
      item!.pieces,
      item!.load,
      item!.weights?.[0]?.weight,
      several,
    ]),
  ).toEqual([
    ["tent", 1, null, "1450 g", false],
    ["stakes", 8, null, "96 g", true],
    ["socks", 1, "worn", "72 g", false],
    ["shirt", 1, "worn", "180 g", false],
  ]);
  expect(rowsOf(true).find(({ name }) => name === "Tent pegs")!.item!.weights).toMatchObject([
    { weight: "768 g" },
  ]);
});

test("a column of kinds is meant as such; of a list's own headings the name tells more", () => {
  const kindOfPot = (column: string) => read(`name,${column}\nPot,stove`)[0]!.item!.kind;
  expect(kindOfPot("kind")).toBe("stove");
  expect(kindOfPot("category")).toBe("pot");
});

test("weights as people type them, each read as what it is and never passed over without a word", () => {
  const rows = read(
    [
      "name,weight",
      "Pack,2 lb 3",
      "Tent,1 lb 12",
      "Stove,12oz",
      'Pot,"0,34 kg"',
      "Mug,~340",
      "Quilt,approx. 610 g (claimed)",
      "Pad,n/a",
      "Hat,?",
      "Rope,-",
      "Knife,tbc",
      "Axe,2 lb 30",
    ].join("\n"),
  );
  expect(rows.map(({ grams }) => grams && Math.round(grams))).toEqual([
    992,
    794,
    340,
    340,
    340,
    610,
    null,
    null,
    null,
    null,
    null,
  ]);
  expect(rows[5]!.item!.weights![0]).toMatchObject({ how: "claimed" });
  expect(rows.at(-1)!.problem).toMatch(/What “30” is in can’t be told/);
  expect(rows.slice(0, -1).map(({ problem }) => problem)).toEqual(Array(10).fill(null));
});

test("days in either order, as the column settles it; one that can't be read costs its cell, not the list", () => {
  const bought = (...cells: string[]) =>
    read(["name,acquired", ...cells.map((cell, n) => `Thing ${n},${cell}`)].join("\n")).map(
      ({ item, unread, problem }) => item?.acquired ?? unread ?? problem,
    );
  expect(bought("03/04/2024", "21/09/2023")).toEqual(["2024-04-03", "2023-09-21"]);
  expect(bought("03/04/2024", "09/21/2023")).toEqual(["2024-03-04", "2023-09-21"]);
  // Where both orders are settled, or neither, the day comes first; a day as a file writes it is neither.
  expect(bought("21/09/2023", "09/21/2023")).toEqual(["2023-09-21", "09/21/2023"]);
  expect(bought("2024-05-06", "09/21/2023")).toEqual(["2024-05-06", "2023-09-21"]);
  expect(bought("1.2.24", "3rd Feb 2020", "31/02/2024")).toEqual(["2024-02-01", "2020-02-03", "31/02/2024"]);
  expect(bought("2024-05-06", "12 June 2022", "Mar 2021", "last spring", "n/a")).toEqual([
    "2024-05-06",
    "2022-06-12",
    "2021-03-01",
    "last spring",
    null,
  ]);
});

test("a cell that says nothing is blank, a name and a note stay; what has no place goes into the note", () => {
  const [row] = read("name,kind,weight,note,acquired,price\n None ,gizmo, n/a ,none,last spring,n/a\n");
  expect(row).toMatchObject({
    problem: null,
    grams: null,
    unread: "last spring",
    item: {
      name: "None",
      kind: "other",
      weights: [],
      price: null,
      note: "none; kind in the list: gizmo; acquired: last spring",
    },
  });
  const [plain] = read("name,kind,note,acquired\nPot,pot,dented,2024-05-06\n");
  expect(plain!.item).toMatchObject({ kind: "pot", note: "dented", acquired: "2024-05-06" });
});

test("thousands in a column of grams are thousands", () => {
  const [tent, pack] = read('name,weight (g)\nTent,"1,200"\nPack,"1,080.5"\n');
  expect([tent!.grams, pack!.grams]).toEqual([1200, 1080.5]);
  expect(guessMapping(["Name", "Weight (g)", "Weight (oz)", "Amount", "Total (g)"])).toEqual({
    name: 0,
    weight: 1,
    pieces: 3,
  });
});
