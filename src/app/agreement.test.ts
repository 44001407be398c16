import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { PGlite } from "@electric-sql/pglite";
import fc from "fast-check";
import { afterAll, beforeAll, expect, test, vi } from "vitest";
import { questionsAfter } from "@/core/ask/questions";
import { openBook } from "@/core/ledger/book";
import { daysAfter } from "@/core/sums/days";
import { Item, Settings } from "@/core/model";
import type { Advice } from "@/core/advice/advise";
import { kitOf } from "@/core/advice/kit";
import type { Store } from "@/data/db";
import { readLog, readWholeLog, replaceLog } from "@/data/records/log";
import { migrate } from "@/data/migrate";
import { liteStore } from "@/data/store";
import { readLogFile, sayProblem, writeLogFile } from "@/formats/log-file";
import { logOf } from "../../tests/histories";
import { seeded } from "../../tests/seeded";
import { ARGUMENTS, diceOf, go, hereIn, waysIn, type Dice } from "../../tests/every-way-in";
import { addLine, importItems } from "./(notebook)/shelf/actions";
import { readLatest, today } from "./reading";

vi.mock("next/cache", () => ({ revalidatePath: () => undefined }));
vi.mock("next/headers", () => ({ cookies: async () => ({ set: () => undefined, delete: () => undefined }) }));

/**
 * Whatever a way into the app accepts, the export of it is read again as it is; and whatever it is sent, it
 * answers.
 */

const kept = globalThis as typeof globalThis & { nettleStore?: Promise<Store> };
let db: Store;
let ways: Awaited<ReturnType<typeof waysIn>>;
beforeAll(async () => {
  process.env.NETTLE_DATA = mkdtempSync(path.join(tmpdir(), "nettle-agreement-"));
  db = liteStore(await PGlite.create());
  await migrate(db);
  kept.nettleStore = Promise.resolve(db);
  ways = await waysIn();
});
afterAll(async () => {
  delete kept.nettleStore;
  await db.close();
});

test("a question's answer is kept where it belongs: days of rain with the trip, what was done since with the thing", async () => {
  const [ended, began] = [daysAfter(today(), -3), daysAfter(today(), -22)];
  const log = logOf({
    items: [
      {
        id: "shell",
        name: "Shell",
        kind: "rain shell",
        weight: "300 g",
        price: 200,
        acquired: daysAfter(today(), -900),
      },
      { id: "kit", name: "Kit", kind: "first-aid kit", weight: "180 g" },
    ],
    trips: [
      {
        id: "wet",
        name: "Wet ring",
        starts: began,
        ends: ended,
        distance: "200 km",
        conditions: { rain: "strong" },
        marks: [
          { item: "shell", use: "used" },
          { item: "kit", use: "used" },
        ],
      },
    ],
  });
  await db.transaction((tx) => replaceLog(tx, log));
  const { kit } = await readLatest();
  const questions = questionsAfter(kit);
  for (const { id } of questions)
    expect(await went("verdicts#answerQuestion", [id, 1])).toMatchObject({ ok: true });
  const after = await readWholeLog(db);
  const [trip] = after.trips;
  expect(questions.map(({ id }) => id).sort()).toEqual([...trip!.waved].sort());
  for (const { asked, item, answers } of questions) {
    const { told } = answers[1]!;
    if (told.kind === "counted") expect(trip!.counted).toEqual({ rain: told.days });
    if (told.kind === "mark")
      expect(trip!.carries.find((each) => each.item === item)!.mark, asked).toEqual(told.mark);
    if (told.kind === "entry") expect(after.entries).toContainEqual(expect.objectContaining({ item }));
  }
  expect(questions.map(({ asked }) => asked)).toContain("complete");
});

test("every exported action and route has arguments to be tried with", () => {
  expect([...ways.keys()].sort()).toEqual(Object.keys(ARGUMENTS).sort());
});

const EMPTY = {
  settings: Settings.parse({}),
  items: [],
  trips: [],
  tracks: [],
  entries: [],
  rulings: [],
  tasks: [],
  kits: [],
};
const startAnew = () => db.transaction((tx) => replaceLog(tx, EMPTY));

/** Goes a way in; a page that is not found is an answer. */
async function went(name: string, args: readonly unknown[]): Promise<unknown> {
  return go(name, ways.get(name)!, args).catch((error: { digest?: string }) => {
    if (error.digest?.endsWith(";404")) return "not found";
    throw error;
  });
}
const along = async (name: string, dice: Dice) =>
  went(name, ARGUMENTS[name]!(dice, hereIn(await readWholeLog(db))));

/** Reads the export without mending: what was put right on the way back was not kept as it was told. */
async function expectRestored(after: string): Promise<void> {
  const text = writeLogFile(await db.snapshot(readWholeLog));
  const read = readLogFile(text);
  expect(read.ok ? read.mended : read.problems.map(sayProblem), after).toEqual([]);
  if (read.ok) expect(writeLogFile(read.log), after).toBe(text);
}

/** What is said of a thing. */
const said = ({ case: { item, state }, verdicts }: Advice) => [
  item.name,
  state,
  ...verdicts.map(({ verb, reason, urgency, sureness }) => [verb, reason, urgency, sureness].join()),
];

const dice = fc.tuple(...([0, 0, 0, 0, 0] as const).map(() => fc.nat(40))) as unknown as fc.Arbitrary<Dice>;
const START = [
  ["shelf#addLine", [1, 2, 3, 4, 5]],
  ["shelf#addLine", [2, 4, 3, 4, 5]],
  ["shelf#addWish", [0, 4, 3, 4, 5]],
  ["trips#saveTrip", [0, 0, 0, 1, 0]],
  ["trips#saveTrip", [4, 3, 0, 1, 0]],
  ["api/lines#POST", [0, 0, 1, 0, 0]],
] as const;

/** Steps from one comparison with all of it reckoned anew to the next. */
const STRIDE = 6;

test("after any actions, in any order, what is exported is read again as it is", async () => {
  // What only reads changes nothing of the log, and is tried below.
  const writing = [...ways.keys()].filter((name) => !name.endsWith("#GET"));
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.constantFrom(...writing), dice), { minLength: 5, maxLength: 40 }),
      async (steps) => {
        await startAnew();
        const way = [...START, ...steps] as const;
        for (const [n, [name, thrown]] of way.entries()) {
          await along(name, thrown);
          // Followed at every step, and reckoned anew at some: where one is wrong, the shortest way to it is told.
          const reading = await readLatest();
          if ((n + 1) % STRIDE !== 0 && n + 1 < way.length) continue;
          await expectRestored(name);
          const log = await readLog(db);
          expect(reading.log, name).toEqual(log);
          const anew = kitOf(openBook(log, today())).things;
          expect(reading.kit.things.map(said), name).toEqual(anew.map(said));
        }
      },
    ),
    { numRuns: 12, seed: 1 },
  );
});

/** A log to go wrong on: a mug and eight pegs on two walks, a plan, a wish. */
async function laidOut(): Promise<void> {
  const item = (id: string, more: object = {}) => ({ id, name: id, kind: "mug", ...more });
  const trip = (id: string, month: string, marks: readonly object[], more: object = {}) => ({
    id,
    name: id,
    starts: `2026-${month}-01`,
    ends: `2026-${month}-03`,
    distance: "20 km",
    marks,
    ...more,
  });
  const read = readLogFile(
    JSON.stringify({
      format: "nettle-tally",
      version: 2,
      items: [item("mug"), item("pegs", { kind: "stakes", pieces: 8 }), item("wish", { state: "wished" })],
      trips: [
        trip(
          "older",
          "03",
          [
            { item: "mug", use: "used" },
            { item: "pegs", use: "used", pieces: 1, exit: { how: "lost" } },
          ],
          { lines: [{ id: "line", at: "2026-03-02T10:00:00Z", text: "lost the mug" }] },
        ),
        trip("newer", "04", [
          { item: "mug", use: "used" },
          { item: "pegs", use: "used" },
        ]),
        trip("plan", "06", [{ item: "mug" }], { planned: true }),
      ],
    }),
  );
  if (!read.ok) throw new Error(read.problems.map(sayProblem).join());
  await db.transaction((tx) => replaceLog(tx, read.log));
}
const itemOf = async (id: string) => Item.encode((await readLog(db)).items.find((each) => each.id === id)!);
const marked = (trip: string, item: string, mark: object) =>
  went("api/marks#POST", [{ at: "", body: [{ trip, item, mark }] }]);

/** What was once kept, and could not be restored as it was: the steps before, and the last, which is refused. */
const ONCE_KEPT: readonly (readonly [string, () => Promise<void>, () => Promise<unknown>])[] = [
  [
    "a wish is taken back that a thing needs",
    async () => void (await went("shelf#saveItem", [{ ...(await itemOf("mug")), needs: ["wish"] }, true])),
    () => went("shelf#takeWishBack", ["wish"]),
  ],
  [
    "a wish is taken back that a thing was swapped for",
    async () => void (await marked("newer", "mug", { use: "used", exit: { how: "swapped", for: "wish" } })),
    () => went("shelf#takeWishBack", ["wish"]),
  ],
  [
    "a line on an older walk says lost of what was along later",
    async () => {},
    () => went("unpack/[trip]/told#takeLine", ["older", "line"]),
  ],
  [
    "one of eight pegs was lost, and then there is one piece of them",
    async () => {},
    async () => went("shelf#saveItem", [{ ...(await itemOf("pegs")), pieces: 1 }, true]),
  ],
  [
    "a plan is walked with a mark on what was lost before it",
    async () => {
      await marked("plan", "mug", { use: "used" });
      await marked("newer", "mug", { use: "used", exit: { how: "lost" } });
    },
    () => went("unpack#setWalked", ["plan"]),
  ],
  [
    "a wish that came true was packed, and is a wish again",
    async () => {
      await went("shelf#buyWish", ["wish", false]);
      await went("next#packList", ["plan", ["mug", "wish"]]);
    },
    async () => went("shelf#restoreItems", [[{ ...(await itemOf("wish")), state: "wished" }]]),
  ],
  ["a wish is moved on a plan", async () => {}, () => went("next#move", ["plan", "wish", "take"])],
  [
    "a thing of a kind that no file knows",
    async () => {},
    async () => went("shelf#saveItem", [{ ...(await itemOf("mug")), kind: "flying carpet" }, true]),
  ],
];

test.each(ONCE_KEPT)("refused in a sentence: %s", async (_, before, last) => {
  await laidOut();
  await before();
  await expectRestored("before");
  const text = writeLogFile(await readWholeLog(db));
  const answer = (await last()) as { ok: boolean; fields: Record<string, string> };
  expect(answer.ok).toBe(false);
  expect(Object.values(answer.fields)[0]).toMatch(/\.$/);
  expect(writeLogFile(await readWholeLog(db))).toBe(text);
});

test("what an earlier version let in stays, and stops nothing else from being done", async () => {
  await laidOut();
  await db.query("update item set state = 'wished' where id = 'mug'");
  expect(await addLine("spoon 12 g", null, true)).toMatchObject({ ok: true });
  expect(await went("next#move", ["plan", "wish", "take"])).toMatchObject({ ok: false });
});

const HOSTILE: readonly unknown[] = [
  "\0",
  "a\ud800",
  "\u0001",
  "\u202eabc",
  "\ufffe",
  "x".repeat(10_000),
  "__proto__",
  "constructor",
  "",
  "   ",
  "2026-02-30",
  "0001-01-01",
  "9999-12-31",
  Number.NaN,
  1e308,
  -0,
  -1,
  0.5,
  null,
  undefined,
  true,
  [],
  {},
  [[[]]],
];

/** Every place within arguments, as the steps to it. */
function placesIn(value: unknown, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== "object" || value === null) return [at];
  return [
    ...(at.length ? [at] : []),
    ...Object.entries(value).flatMap(([key, held]) =>
      placesIn(held, [...at, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

function withAt(value: unknown, [step, ...rest]: readonly (string | number)[], hostile: unknown): unknown {
  if (step === undefined) return hostile;
  if (Array.isArray(value)) return value.map((held, n) => (n === step ? withAt(held, rest, hostile) : held));
  const held = value as Record<string, unknown>;
  return { ...held, [step]: withAt(held[step], rest, hostile) };
}

/** An answer is a sentence by a field, a question, or done; of a route, anything but the server's own failure. */
function whatIsWrong(answer: unknown): string | null {
  if (answer instanceof Response) return answer.status >= 500 ? `answered ${answer.status}` : null;
  if (answer === "not found") return null;
  const { ok, fields, ask } = (answer ?? {}) as {
    ok?: boolean;
    fields?: Record<string, string>;
    ask?: string;
  };
  if (ok === true || ask) return null;
  const sentences = Object.values(fields ?? {});
  return sentences.length > 0 && sentences.every((sentence) => /[.?)]$/.test(sentence.trim()))
    ? null
    : `answered ${JSON.stringify(answer)}`;
}

test("whatever any field of any action or route is sent, it answers in a sentence, and keeps nothing that can't be restored", async () => {
  const random = seeded(3);
  const roll = () => Math.floor(random() * 40);
  const faults: string[] = [];
  let tries = 0;
  await startAnew();
  for (const [name, thrown] of START) await along(name, thrown);
  for (const name of ways.keys()) {
    const valid = ARGUMENTS[name]!(diceOf(roll), hereIn(await readWholeLog(db)));
    for (const place of placesIn(valid)) {
      // Those of the routes are their address and its ids, as text: no others can be sent.
      const isAddress = name.startsWith("api/") && (place[1] === "at" || place[1] === "params");
      if (name.startsWith("api/") && (place.length === 1 || (place[1] === "params" && place.length === 2)))
        continue;
      for (const hostile of HOSTILE.filter(() => random() < 0.25)) {
        const sent = isAddress
          ? encodeURIComponent(String(hostile).replace(/[\ud800-\udfff]/g, ""))
          : hostile;
        const args = withAt(
          valid,
          place,
          place[1] === "at" ? `?item=${String(sent)}&verb=${String(sent)}&trip=${String(sent)}` : sent,
        ) as unknown[];
        tries += 1;
        const wrong = await went(name, args).then(
          whatIsWrong,
          (error: Error) => `${error.name}: ${error.message}`,
        );
        if (wrong)
          faults.push(
            `${name} ${place.join(".")} = ${JSON.stringify(hostile)?.slice(0, 40)}: ${wrong.slice(0, 200)}`,
          );
      }
    }
    await expectRestored(name);
  }
  expect(faults.slice(0, 30)).toEqual([]);
  expect(tries).toBeGreaterThan(1500);
});

test("no more things than a file may hold: more are refused as they come, in a sentence", async () => {
  await startAnew();
  const pegs = (n: number) =>
    Array.from({ length: n }, (_, at) => ({ name: `Peg ${at % 99}`, kind: "stakes" }));
  expect(await importItems(pegs(20_000), null)).toEqual({
    ok: false,
    fields: { "": "A log holds 5000 things at most, and this one has room for 5000 more." },
  });
  expect((await readLog(db)).items).toEqual([]);
  // As many as there is room for, many of one name: each has an id of its own.
  expect(await importItems(pegs(4990), null)).toMatchObject({ ok: true });
  const file = {
    format: "nettle-tally",
    version: 2,
    items: Array.from({ length: 11 }, (_, n) => ({ id: `more-${n}`, name: `More ${n}`, kind: "mug" })),
  };
  const added = (await went("api/log#POST", [{ at: "?add", body: file }])) as Response;
  expect(added.status).toBe(422);
  expect(await added.json()).toEqual({
    problems: ["items: A log holds 5000 items at most, and this would be 5001."],
  });
  expect(await importItems(pegs(10), null)).toMatchObject({ ok: true });
  expect(new Set((await readLog(db)).items.map(({ id }) => id)).size).toBe(5000);
  expect(await addLine("one more 10 g", null, true)).toMatchObject({ ok: false });
  await expectRestored("5000 things");
});
