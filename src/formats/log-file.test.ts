import Ajv from "ajv/dist/2020";
import addFormats from "ajv-formats";
import fc from "fast-check";
import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { demoLog } from "../../demo/log";
import { anyFile, logOf } from "../../tests/histories";
import { kindsPage } from "./kinds-page";
import { readLogFile, sayProblem, writeLogFile } from "./log-file";
import { logSchema } from "./log-schema";

const problems = (text: string) => {
  const read = readLogFile(text);
  return read.ok ? [] : read.problems.map(sayProblem);
};
const file = (inside: object) =>
  JSON.stringify({ format: "nettle-tally", version: 2, items: [{ name: "Mug", kind: "mug" }], ...inside });

test("export then import is the identity, for any history and for the demo", () => {
  fc.assert(
    fc.property(anyFile, (made) => {
      const log = logOf(made);
      expect(readLogFile(writeLogFile(log))).toEqual({ ok: true, log, mended: [] });
    }),
  );
  const demo = demoLog();
  expect(readLogFile(writeLogFile(demo))).toEqual({ ok: true, log: demo, mended: [] });
});

test("a minimal item needs a name and a kind; a minimal trip dates, a distance and marks", () => {
  const read = readLogFile(
    file({
      trips: [
        { starts: "2026-05-01", ends: "2026-05-03", distance: 62, marks: [{ item: "mug", use: "used" }] },
      ],
    }),
  );
  expect(read).toMatchObject({
    ok: true,
    log: {
      items: [{ id: "mug" }],
      trips: [
        {
          name: "Trip of 2026-05-01",
          legs: [{ distance: { typed: "62 km", m: 62_000 } }],
          carries: [{ item: "mug", mark: { use: "used" } }],
        },
      ],
    },
  });
});

test("what was slept in may be said by name", () => {
  const read = readLogFile(
    file({
      trips: [
        { starts: "2026-05-01", ends: "2026-05-03", distance: 62, felt: [{ felt: "cool", slept: ["MUG"] }] },
      ],
    }),
  );
  expect(read).toMatchObject({
    ok: true,
    log: { trips: [{ felt: [{ low: null, felt: "cool", slept: ["mug"] }] }] },
  });
});

test("control characters that an earlier version kept are taken out, and told; others are refused", () => {
  const read = readLogFile(file({ items: [{ name: "Mu\u0001g", kind: "mug", note: "a\fb\tc" }] }));
  expect(read).toMatchObject({
    ok: true,
    log: { items: [{ name: "Mug", note: "ab\tc" }] },
    mended: [expect.stringMatching(/^Characters that can’t be shown were taken out of 2.texts\.$/)],
  });
  expect(readLogFile(file({ items: [{ name: "Mug\0", kind: "mug" }] }))).toMatchObject({ ok: false });
});

test.each([
  ["brackets opened and never closed", "[1,".repeat(100_000)],
  ["brackets, quotes and blanks", '["'.repeat(100_000) + " ".repeat(300_000)],
  ["names in names", '{"a":'.repeat(100_000)],
])(
  "%s: refused at once",
  (_, text) => {
    const read = readLogFile(text);
    expect(read).toMatchObject({ ok: false, problems: [{ message: expect.stringMatching(/\.$/) }] });
  },
  5000,
);

test.each([
  ['{\n  "format": oops', /line 2, column 13/],
  [file({ version: 99 }), /later version/],
  [JSON.stringify({ format: "gear-list" }), /not a Nettle Tally file/],
  [file({ items: [{ name: "Mug", kind: "grail" }] }), /items \[1\] kind: “grail” is not a kind/],
  [
    file({ items: [{ name: "Mug", kind: "mug", weight: "-3 g" }] }),
    /items \[1\] weight: It can't be below zero/,
  ],
  [file({ items: [{ name: "Mug", kind: "mug", weight: "3 stone" }] }), /not a unit/],
  [
    file({ trips: [{ starts: "2026-05-03", ends: "2026-05-01", distance: "5 km" }] }),
    /trips \[1\] ends: It ends on 1 May 2026, before it starts/,
  ],
  [
    file({ trips: [{ starts: "2026-05-01", ends: "2026-05-02", nights: 9, distance: "5 km" }] }),
    /9 nights don't fit into 2 days/,
  ],
  [
    file({ trips: [{ starts: "2026-05-01", ends: "2026-05-02", distance: "5000 km" }] }),
    /over 200 km for each day/,
  ],
  [
    file({
      trips: [
        {
          starts: "2026-05-01",
          ends: "2026-05-02",
          distance: "5 km",
          marks: [{ item: "Anvil", use: "used" }],
        },
      ],
    }),
    /“Anvil” is not among the items/,
  ],
  [
    file({
      trips: [
        {
          starts: "2026-05-01",
          ends: "2026-05-02",
          distance: "5 km",
          marks: [
            { item: "Mug", use: "used" },
            { item: "mug", use: "used" },
          ],
        },
      ],
    }),
    /marked twice/,
  ],
  [
    file({
      trips: [1, 2].map(() => ({ id: "a", starts: "2026-05-01", ends: "2026-05-02", distance: "5 km" })),
    }),
    /The id “a” is taken/,
  ],
  [
    file({
      trips: [
        {
          starts: "2026-05-01",
          ends: "2026-05-02",
          distance: "5 km",
          felt: [{ felt: "cold" }, { felt: "cold" }, { felt: "right" }],
        },
      ],
    }),
    /3 nights are told of, and the trip had 1/,
  ],
  [
    file({
      trips: [
        { starts: "2026-05-01", ends: "2026-05-02", distance: "5 km", felt: [{ low: 451, felt: "hot" }] },
      ],
    }),
    /Between −60 and 50 °C/,
  ],
  [
    file({
      trips: [
        {
          starts: "2026-05-01",
          ends: "2026-05-02",
          distance: "5 km",
          supplies: [{ what: "gas", unit: "g", out: 230, back: 260 }],
        },
      ],
    }),
    /More gas came home \(260 g\) than went out \(230 g\)/,
  ],
  [
    file({ rulings: [{ verb: "drop", decision: "agree", on: "2026-05-01" }] }),
    /rulings \[1\]: A ruling names its item/,
  ],
  [
    file({ rulings: [{ item: "mug", verb: "add", decision: "agree", on: "2026-05-01" }] }),
    /where the verb is “add”, what was to be added/,
  ],
  [file({ trips: [{ starts: "2026-02-30", ends: "2026-03-02", distance: "5 km" }] }), /year-month-day/],
])("refuses %s", (text, why) => {
  expect(problems(text).join("\n")).toMatch(why);
});

describe("what an earlier version of the app let in is put right, and told", () => {
  const [may, june] = ["2026-05", "2026-06"].map((month) => ({
    starts: `${month}-01`,
    ends: `${month}-02`,
    distance: "5 km",
  }));
  const read = (more: object) => {
    const told = readLogFile(file(more));
    if (!told.ok) throw new Error(told.problems.map(sayProblem).join());
    // Read again it is as it is now: it is put right once.
    expect(readLogFile(writeLogFile(told.log))).toEqual({ ok: true, log: told.log, mended: [] });
    return told;
  };

  test("what was lost, and carried on a later trip, came back; what was swapped out may go again anyway", () => {
    const both = (how: string) => [
      { ...may, marks: [{ item: "Mug", use: "used", exit: { how } }] },
      { ...june, marks: [{ item: "Mug", use: "used" }] },
    ];
    const lost = read({ trips: both("lost") });
    expect(lost.log.trips[0]!.carries[0]!.mark).toMatchObject({ use: "used", exit: null });
    expect(lost.mended).toEqual([
      "Mug: it was carried after Trip of 2026-05-01, so it did not leave there for good.",
    ]);
    expect(read({ trips: both("swapped") }).mended).toEqual([]);
  });

  test("what names a thing that is gone no longer does; a mark on one is still refused", () => {
    const trip = {
      ...may,
      made: ["gone"],
      stay: ["gone"],
      picks: { gone: "take" },
      felt: [{ slept: ["gone"] }],
    };
    const { log, mended } = read({ trips: [trip] });
    expect(log.trips[0]).toMatchObject({ made: [], stay: [], picks: {}, felt: [{ slept: [] }] });
    expect(mended).toHaveLength(4);
    expect(mended[0]).toBe(
      "Trip of 2026-05-01: “gone” is no longer among the things, and is taken out of what made it.",
    );
    expect(problems(file({ trips: [{ ...may, marks: [{ item: "gone", use: "used" }] }] })).join()).toMatch(
      /not among the items/,
    );
  });

  test("a bag inside itself, a wish that was carried, a mark on a leg that is gone", () => {
    const told = read({
      items: [
        { id: "sack", name: "Sack", kind: "dry bag", bag: "sack" },
        { id: "wish", name: "Wish", kind: "mug", state: "wished" },
      ],
      trips: [{ ...may, marks: [{ item: "wish", use: "used", at: { leg: "leg-7" } }] }],
    });
    expect(told.log.items).toMatchObject([{ bag: null }, { state: "active" }]);
    expect(told.log.trips[0]!.carries[0]!.mark!.at!.leg).toBeNull();
    expect(told.mended).toHaveLength(3);
  });

  test("bags in a round: the first comes out, the others ride where they did; one that hangs on the round rides on", () => {
    const bag = (id: string, inside: string | null) => ({ id, name: id, kind: "dry bag", bag: inside });
    const { log, mended } = read({ items: [bag("a", "b"), bag("b", "c"), bag("c", "a"), bag("d", "a")] });
    expect(log.items.map((item) => item.bag)).toEqual([null, "c", "a", "a"]);
    expect(mended).toEqual(["a: it was inside itself, and now rides by itself."]);
  });
});

test("a slip in the middle of a file refuses it whole", () => {
  expect(
    problems(
      file({
        items: [
          { name: "Mug", kind: "mug" },
          { name: "", kind: "pot" },
        ],
      }),
    ),
  ).toHaveLength(1);
});

test("the page of kinds in docs is the one of this code, a row a kind", () => {
  expect(readFileSync("docs/kinds.md", "utf8")).toBe(kindsPage());
  // The table of kinds as the trade has it: common practice, no source.
  expect(kindsPage()).toContain(
    "| trail shoes | walk | always | trip-ending | distance, by ground: 450 mi, 3.5 | new insoles (every 250 mi); wash and dry",
  );
  expect(kindsPage()).toContain("treat the clothes again (after 42 days, or 6 washes)");
});

test("the JSON Schema in docs is the one of this code, and holds for what is written", () => {
  const schema = JSON.parse(readFileSync("docs/nettle-tally.schema.json", "utf8")) as object;
  expect(schema).toEqual(logSchema());
  const ajv = new Ajv({ strict: false });
  addFormats(ajv);
  const holds = ajv.compile(schema);
  expect(holds(JSON.parse(writeLogFile(demoLog()))), JSON.stringify(holds.errors)).toBe(true);
  expect(holds({ format: "nettle-tally", version: 2, items: [{ name: "Mug" }] })).toBe(false);
});
