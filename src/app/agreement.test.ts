import { PGlite } from "@electric-sql/pglite";
import fc from "fast-check";
import { afterAll, beforeAll, expect, test, vi } from "vitest";
import { openBook } from "@/core/ledger/book";
import { Settings, type ItemId, type LegId, type TripId } from "@/core/model";
import { judge, type Judgement } from "@/core/reasons/judge";
import type { Store } from "@/data/db";
import { readLog, readWholeLog, replaceLog } from "@/data/log";
import { migrate } from "@/data/migrate";
import { liteStore } from "@/data/store";
import { readLogFile, sayProblem, writeLogFile } from "@/formats/log-file";
import { POST as sendMarks } from "./api/marks/route";
import { saveTask } from "./bench/actions";
import { logEntry } from "./item/[id]/actions";
import { readLatest, today } from "./reading";
import { leaveOut, move, packList } from "./next/actions";
import {
  addLine,
  addWish,
  buyWish,
  importItems,
  saveItem,
  setPlace,
  setState,
  takeLineBack,
} from "./shelf/actions";
import { deleteTrip, saveLookBack, saveTrip, setShared, setStretches } from "./trips/actions";
import { joinOnTheWay, setWalked } from "./unpack/actions";
import { done, rule } from "./verdicts/actions";

vi.mock("next/cache", () => ({ revalidatePath: () => undefined }));

/** Whatever an action accepts, the export of it is read again. */

const kept = globalThis as typeof globalThis & { nettleStore?: Promise<Store> };
let db: Store;
beforeAll(async () => {
  db = liteStore(await PGlite.create());
  await migrate(db);
  kept.nettleStore = Promise.resolve(db);
}, 120_000);
afterAll(async () => {
  delete kept.nettleStore;
  await db.close();
});

/** What is said of a thing. */
const said = ({ case: { item, state }, verdicts }: Judgement) => [
  item.name,
  state,
  ...verdicts.map(({ verb, reason, urgency, sureness }) => [verb, reason, urgency, sureness].join()),
];

const pick = <T>(all: readonly T[], n: number): T | undefined => all[n % Math.max(1, all.length)];
const STATES = ["active", "retired", "lost", "wished", "worn out", "given back"] as const;
const MARKS = [
  { use: "used" },
  { use: "unused", why: "no call for it" },
  { use: "used", exit: { how: "lost" } },
  { use: "used", exit: { how: "given away" }, troubles: ["failed"] },
  { use: "hardly", exit: { how: "swapped" } },
  { use: "used", troubles: ["damaged"], condition: 2 },
] as const;
const DAYS = ["2026-01-10", "2026-02-10", "2026-03-10", "2026-04-10"] as const;

/** Five numbers, from which an action takes what it is about. */
type Dice = readonly [number, number, number, number, number];

/** What there is to act on. */
async function here() {
  const log = await readWholeLog(db);
  return {
    ...log,
    item: (n: number) => pick(log.items, n)?.id ?? ("nothing" as ItemId),
    trip: (n: number) => pick(log.trips, n)?.id ?? ("nowhere" as TripId),
  };
}
type Here = Awaited<ReturnType<typeof here>>;

const tripOf = ([a, b, c, d]: Dice, id?: TripId, ids: readonly LegId[] = []) => ({
  ...(id ? { id } : {}),
  name: `T${a % 3}`,
  starts: DAYS[b % 4]!,
  ends: DAYS[b % 4]!.replace("10", String(12 + (c % 3))),
  planned: false,
  legs: Array.from({ length: 1 + (d % 3) }, (_, n) => ({
    id: ids[(n + a) % Math.max(1, ids.length)] ?? `leg-${n + 1}`,
    distance: `${10 + n} km`,
  })).filter((leg, n, all) => all.findIndex(({ id: its }) => its === leg.id) === n),
});

const ACTIONS: Readonly<Record<string, (dice: Dice, log: Here) => Promise<unknown>>> = {
  add: ([a, b], log) =>
    addLine(`thing ${a % 9} ${50 + b} g`, b % 2 ? { item: log.item(a), is: "worn out" } : null, true),
  takeBack: ([a], log) => takeLineBack(log.item(a), null),
  edit: ([a, b, c, d, e], log) => {
    const item = pick(log.items, a);
    return item
      ? saveItem(
          {
            ...JSON.parse(JSON.stringify(item)),
            weights: [],
            ratings: {},
            opening: null,
            stow: b % 2 ? "bag" : null,
            bag: b % 2 ? log.item(c) : null,
            needs: c % 3 ? [] : [log.item(d)],
            state: STATES[d % STATES.length],
            since: d % 2 ? DAYS[e % 4] : null,
            instead: e % 3 ? null : log.item(e),
            slot: e % 2 ? "slot" : null,
          },
          true,
        )
      : Promise.resolve();
  },
  state: ([a, b], log) => setState(log.item(a), STATES[b % STATES.length]!),
  place: ([a, b], log) => setPlace(log.item(a), b % 2 ? "home" : "given back"),
  import: ([a]) => importItems([{ name: `row ${a % 5}`, kind: "mug" }], null),
  wish: ([a], log) => addWish({ name: `wish ${a}`, kind: "mug", instead: log.item(a) }, true),
  buy: ([a, b], log) => buyWish(log.item(a), b % 2 === 0),
  walk: (dice, log) =>
    saveTrip(
      tripOf(dice),
      [dice[3], dice[4]].map((n) => ({ item: log.item(n), legs: null })),
      null,
      true,
    ),
  change: (dice, log) => {
    const trip = pick(log.trips, dice[4]);
    const packed = trip?.carries.slice(dice[0] % 2).map(({ item, legs }) => ({ item, legs })) ?? [];
    return trip
      ? saveTrip(
          tripOf(
            dice,
            trip.id,
            trip.legs.map(({ id }) => id),
          ),
          packed,
          null,
          true,
        )
      : Promise.resolve();
  },
  forget: ([a], log) => deleteTrip(log.trip(a)),
  mark: async ([a, b, c, d, e], log) => {
    const trip = pick(log.trips, a);
    const leg = pick(trip?.legs ?? [], e)?.id ?? null;
    const mark = { ...MARKS[c % MARKS.length]!, ...(d % 2 && { at: { leg } }) };
    const swapped =
      "exit" in mark && mark.exit.how === "swapped" ? { exit: { how: "swapped", for: log.item(d) } } : {};
    await sendMarks(
      new Request("http://127.0.0.1/api/marks", {
        method: "POST",
        body: JSON.stringify([{ trip: log.trip(a), item: log.item(b), mark: { ...mark, ...swapped } }]),
      }),
    );
  },
  out: ([a, b], log) =>
    sendMarks(
      new Request("http://127.0.0.1/api/marks", {
        method: "POST",
        body: JSON.stringify([{ trip: log.trip(a), item: log.item(b), out: true }]),
      }),
    ),
  join: ([a, b, c], log) =>
    joinOnTheWay(log.trip(a), {
      line: `joined ${b}`,
      how: (["bought", "found", "borrowed"] as const)[c % 3]!,
      owner: null,
      from: pick(pick(log.trips, a)?.legs ?? [], b)?.id ?? null,
      after: c % 2 ? log.item(c) : null,
    }),
  stretch: ([a, b, c, d], log) =>
    setStretches(log.trip(a), log.item(b), [
      { from: (c % 8) * 1000, to: (c % 8) * 1000 + 1000 + (d % 5) * 1000 },
    ]),
  share: ([a, b], log) => setShared(log.trip(a), log.item(b), { with: "Ida", part: 0.5 }),
  lookBack: ([a, b, c, d], log) =>
    saveLookBack(log.trip(a), {
      made: [log.item(b)],
      stay: [log.item(c)],
      missed: [],
      felt: [{ low: 3, felt: "right", slept: [log.item(d)] }],
      supplies: [],
      boiled: null,
    }),
  walked: ([a], log) => setWalked(log.trip(a)),
  move: ([a, b, c], log) => move(log.trip(a), log.item(b), c % 2 ? "take" : "leave"),
  list: ([a, b, c], log) => packList(log.trip(a), [log.item(b), log.item(c)]),
  leave: ([a, b], log) => leaveOut(log.trip(a), [log.item(b)]),
  entry: ([a, b, c], log) =>
    logEntry(
      { item: log.item(a), on: DAYS[b % 4], what: (["wear", "repair", "damage"] as const)[c % 3] },
      true,
    ),
  task: ([a, b], log) => saveTask({ what: `job ${a}`, item: b % 2 ? log.item(b) : null }),
  rule: ([a], log) =>
    rule(
      { item: log.item(a), verb: "keep", ground: "earns its place" },
      { decision: "overrule", reason: "", again: null },
    ),
  done: ([a], log) => done({ item: log.item(a), verb: "service", ground: "each season" }, null),
};

const dice = fc.tuple(...([0, 0, 0, 0, 0] as const).map(() => fc.nat(40))) as unknown as fc.Arbitrary<Dice>;

test("after any actions, in any order, what is exported is read again as it is", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.constantFrom(...Object.keys(ACTIONS)), dice), { minLength: 5, maxLength: 40 }),
      async (steps) => {
        await db.transaction((tx) =>
          replaceLog(tx, {
            settings: Settings.parse({}),
            items: [],
            trips: [],
            tracks: [],
            entries: [],
            rulings: [],
            tasks: [],
          }),
        );
        for (const [name, thrown] of [
          ["add", [1, 2, 3, 4, 5]],
          ["add", [2, 4, 3, 4, 5]],
          ["walk", [0, 0, 0, 1, 0]],
          ...steps,
        ] as const) {
          await ACTIONS[name]!(thrown as Dice, await here());
          const text = writeLogFile(await readWholeLog(db));
          const read = readLogFile(text);
          expect(read.ok ? read.mended : read.problems.map(sayProblem), name).toEqual([]);
          if (read.ok) expect(writeLogFile(read.log)).toBe(text);
          const reading = await readLatest();
          const log = await readLog(db);
          expect(reading.log, name).toEqual(log);
          const anew = judge(openBook(log, today()));
          expect(reading.judgements.map(said), name).toEqual(anew.map(said));
        }
      },
    ),
    { numRuns: 30, seed: 1 },
  );
});

test("no more things than a file may hold: more are refused as they come, in a sentence", async () => {
  const before = (await readLog(db)).items;
  const peg = { name: "Peg", kind: "stakes" };
  expect(
    await importItems(
      Array.from({ length: 20_000 }, () => peg),
      null,
    ),
  ).toEqual({
    ok: false,
    fields: {
      "": `A log holds 5000 things at most, and this one has room for ${5000 - before.length} more.`,
    },
  });
  expect((await readLog(db)).items).toEqual(before);
  // As many as there is room for, all of one name: each has an id of its own.
  expect(
    await importItems(
      Array.from({ length: 5000 - before.length }, () => peg),
      null,
    ),
  ).toMatchObject({ ok: true });
  expect(new Set((await readLog(db)).items.map(({ id }) => id)).size).toBe(5000);
  expect(await addLine("one more 10 g", null, true)).toMatchObject({ ok: false });
});
