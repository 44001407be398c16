import { readdir } from "node:fs/promises";
import path from "node:path";
import { Item, type ItemId, type LegId, type TripId, type WholeLog } from "@/core/model";

/**
 * For tests: every way into the app, as the code itself has it (each exported server action, each method of each route), with
 * arguments that it may be sent. One without is found by `waysIn` and missing here.
 */

/** Five numbers, from which a way takes what it is about. */
export type Dice = readonly [number, number, number, number, number];
export const diceOf = (roll: () => number): Dice => [roll(), roll(), roll(), roll(), roll()];

/** What there is to act on. */
export interface Here extends WholeLog {
  readonly item: (n: number) => ItemId;
  readonly trip: (n: number) => TripId;
}
export const pick = <T>(all: readonly T[], n: number): T | undefined => all[n % Math.max(1, all.length)];
export const hereIn = (log: WholeLog): Here => ({
  ...log,
  item: (n) => pick(log.items, n)?.id ?? ("nothing" as ItemId),
  trip: (n) => pick(log.trips, n)?.id ?? ("nowhere" as TripId),
});

/** What a route is sent: its address after the app's, its body as JSON (or as it stands, of a text), and the ids in its address. */
export interface Sent {
  readonly at: string;
  readonly body?: unknown;
  readonly params?: Readonly<Record<string, string>>;
}

const APP = path.join(process.cwd(), "src", "app");
const isRoute = (name: string) => name.startsWith("api/");

type Way = (...args: unknown[]) => Promise<unknown>;

/** Every way in, by its module and name: "shelf#addLine", "api/marks#POST". */
export async function waysIn(): Promise<ReadonlyMap<string, Way>> {
  const files = (await readdir(APP, { recursive: true })).filter((file) =>
    /(^|\/)(actions|route)\.ts$/.test(file),
  );
  const ways = new Map<string, Way>();
  for (const file of files.sort()) {
    const module = (await import(path.join(APP, file))) as Record<string, unknown>;
    const where = file.replace("(notebook)/", "").replace(/\/(actions|route)\.ts$/, "");
    for (const [name, way] of Object.entries(module))
      if (typeof way === "function") ways.set(`${where}#${name}`, way as Way);
  }
  return ways;
}

/** Goes one way in: an action with its arguments, a route with a request made of them. */
export async function go(name: string, way: Way, args: readonly unknown[]): Promise<unknown> {
  if (!isRoute(name)) return way(...args);
  const { at, body, params = {} } = args[0] as Sent;
  const request = new Request(`http://127.0.0.1/${name.split("#")[0]}${at}`, {
    method: name.split("#")[1]!,
    ...(body === undefined ? {} : { body: typeof body === "string" ? body : JSON.stringify(body) }),
  });
  return way(request, { params: Promise.resolve(params) });
}

const DAYS = ["2026-01-10", "2026-02-10", "2026-03-10", "2026-04-10"] as const;
const STATES = ["active", "retired", "lost", "wished", "worn out", "given back"] as const;
const MARKS = [
  { use: "used" },
  { use: "unused", why: "no call for it" },
  { use: "used", exit: { how: "lost" } },
  { use: "used", exit: { how: "given away" }, troubles: ["failed"] },
  { use: "hardly", exit: { how: "swapped" } },
  { use: "used", troubles: ["damaged"], condition: 2 },
  { use: "used", troubles: ["damaged"], pieces: 1, exit: { how: "lost" } },
] as const;
const LINES = [
  "lost one peg",
  "lost the mug",
  "cold night, 2 °C, in quilt",
  "bought thing 4 on the way",
  "boiled 1.2 L",
  "mug sent home, km 12",
] as const;

const tripOf = ([a, b, c, d]: Dice, id?: TripId, ids: readonly LegId[] = []) => ({
  ...(id ? { id } : {}),
  name: `T${a % 3}`,
  starts: DAYS[b % 4]!,
  ends: DAYS[b % 4]!.replace("10", String(12 + (c % 3))),
  planned: a % 5 === 4,
  legs: Array.from({ length: 1 + (d % 3) }, (_, n) => ({
    id: ids[(n + a) % Math.max(1, ids.length)] ?? `leg-${n + 1}`,
    distance: `${10 + n} km`,
  })).filter((leg, n, all) => all.findIndex(({ id: its }) => its === leg.id) === n),
});
const TRACK = {
  clock: 0,
  metres: 10_000,
  ascent: 100,
  descent: 100,
  movingSeconds: 9000,
  slopes: null,
  toblerSeconds: null,
  starts: null,
  ends: null,
  points: [
    [0, 10, 10, 100, null, 0],
    [10_000, 10.05, 10.05, 120, null, 0],
  ],
};
const markOf = ([, , c, d, e]: Dice, log: Here, trip: number) => {
  const leg = pick(pick(log.trips, trip)?.legs ?? [], e)?.id ?? null;
  const mark = { ...MARKS[c % MARKS.length]!, ...(d % 2 && { at: { leg } }) };
  return "exit" in mark && mark.exit.how === "swapped"
    ? { ...mark, exit: { how: "swapped", for: log.item(d) } }
    : mark;
};
const plain = (item: Item | undefined) => item && (Item.encode(item) as Record<string, unknown>);

/** Arguments for each way in: about what is there, mostly, and about what is not. */
export const ARGUMENTS: Readonly<Record<string, (dice: Dice, log: Here) => readonly unknown[]>> = {
  "shelf#addLine": ([a, b], log) => [
    `thing ${a % 9} ${50 + b} g`,
    b % 2 ? { item: log.item(a), is: "worn out" } : null,
    true,
  ],
  "shelf#takeLineBack": ([a], log) => [log.item(a), null],
  "shelf#saveItem": ([a, b, c, d, e], log) => [
    {
      ...(plain(pick(log.items, a)) ?? { id: "new", name: "New", kind: "mug" }),
      weights: [],
      ratings: {},
      opening: null,
      pieces: 1 + (d % 2),
      stow: b % 2 ? "bag" : null,
      bag: b % 2 ? log.item(c) : null,
      needs: c % 3 ? [] : [log.item(d)],
      state: STATES[d % STATES.length],
      since: d % 2 ? DAYS[e % 4] : null,
      instead: e % 3 ? null : log.item(e),
      slot: e % 2 ? "slot" : null,
      parts: b % 2 ? [{ name: `part ${a % 2}` }] : [],
    },
    true,
  ],
  "shelf#setState": ([a, b], log) => [log.item(a), STATES[b % STATES.length]],
  "shelf#setPlace": ([a, b], log) => [log.item(a), b % 2 ? "home" : "given back"],
  "shelf#importItems": ([a, b]) => [[{ name: `row ${a % 5}`, kind: "mug" }], b % 2 ? null : "oz"],
  "shelf#addWish": ([a], log) => [{ name: `wish ${a}`, kind: "mug", instead: log.item(a) }, true],
  "shelf#buyWish": ([a, b], log) => [log.item(a), b % 2 === 0],
  "shelf#takeWishBack": ([a], log) => [log.item(a)],
  "shelf#restoreItems": ([a, b], log) => [
    [
      {
        ...(plain(pick(log.items, a)) ?? { id: "x", name: "X", kind: "mug" }),
        state: STATES[b % STATES.length],
      },
    ],
  ],
  "shelf#saveWeighing": ([a, b], log) => [log.item(a), `${b} g`],
  "trips#saveTrip": (dice, log) => {
    const [a, , , d, e] = dice;
    const trip = e % 3 ? pick(log.trips, e) : undefined;
    return [
      tripOf(
        dice,
        trip?.id,
        trip?.legs.map(({ id }) => id),
      ),
      trip
        ? trip.carries.slice(a % 2).map(({ item, legs }) => ({ item, legs }))
        : [d, e].map((n) => ({ item: log.item(n), legs: null })),
      d % 2 ? null : TRACK,
      true,
      null,
    ];
  },
  "trips#deleteTrip": ([a], log) => [log.trip(a)],
  "trips#setStretches": ([a, b, c, d], log) => [
    log.trip(a),
    log.item(b),
    [{ from: (c % 8) * 1000, to: (c % 8) * 1000 + 1000 + (d % 5) * 1000 }],
  ],
  "trips#setDay": ([a, b, c], log) => [
    log.trip(a),
    {
      on: pick(log.trips, a)?.starts ?? "2026-01-01",
      trigger: (["rain", "wind", "freezing"] as const)[b % 3],
      strength: (["none", "some", "strong", null] as const)[c % 4],
    },
  ],
  "trips#askDays": ([a, b], log) => [log.trip(a), b % 3 ? "Vask" : "nowhere"],
  "trips#setDays": ([a, b], log) => [
    log.trip(a),
    b % 2 ? [{ on: "2026-01-01", weather: { rain: "some" } }] : [],
  ],
  "trips#setShared": ([a, b], log) => [log.trip(a), log.item(b), { with: "Ida", part: 0.5 }],
  "trips#setScale": ([a, b], log) => [
    log.trip(a),
    b % 2 ? null : { weight: `${5000 + b} g`, holds: "everything" },
  ],
  "trips#saveLookBack": ([a, b, c, d], log) => [
    log.trip(a),
    {
      made: [log.item(b)],
      stay: [log.item(c)],
      missed: [{ what: "hat", job: null, cost: "discomfort" }],
      felt: [{ on: null, low: 3, felt: "right", slept: [log.item(d)] }],
      supplies: [{ what: "gas", unit: "g", out: 100, back: 20, sort: null, reserve: 0 }],
      boiled: null,
    },
  ],
  "unpack#setWalked": ([a], log) => [log.trip(a)],
  "unpack#setSoFar": ([a, b], log) => [
    log.trip(a),
    { on: `2026-0${1 + (b % 9)}-12`, distance: String(b % 90) },
  ],
  "unpack#joinOnTheWay": ([a, b, c], log) => [
    log.trip(a),
    {
      line: `joined ${b}`,
      how: (["bought", "found", "borrowed"] as const)[c % 3]!,
      owner: null,
      from: pick(pick(log.trips, a)?.legs ?? [], b)?.id ?? null,
      after: c % 2 ? log.item(c) : null,
    },
  ],
  "unpack/[trip]/told#takeLine": ([a, b], log) => [
    log.trip(a),
    pick(pick(log.trips, a)?.lines ?? [], b)?.id ?? "no line",
  ],
  "unpack/[trip]/told#putLineBack": ([a, b], log) => [
    log.trip(a),
    pick(pick(log.trips, a)?.lines ?? [], b)?.id ?? "no line",
    null,
  ],
  "unpack/[trip]/told#takeTalk": ([a, b, c], log) => [
    log.trip(a),
    [
      {
        fact: (
          [
            { about: "thing", item: log.item(b), use: "unused", call: "leave" },
            { about: "thing", item: log.item(b), did: "wash" },
            { about: "missed", what: "hat" },
            { about: "joined", how: "found", what: `found ${b}`, for: null, from: null },
          ] as const
        )[c % 4]!,
        text: "as it was told",
      },
    ],
  ],
  "unpack/[trip]/told#takeTalkBack": ([a, b], log) => [
    log.trip(a),
    {
      trip: { felt: [], boiled: null, missed: [], supplies: [], made: [], stay: [] },
      carries: [{ item: log.item(b), before: null }],
      items: [],
      entries: [],
    },
  ],
  "unpack/[trip]/told#rewriteLine": ([a, b, c], log) => [
    log.trip(a),
    pick(pick(log.trips, a)?.lines ?? [], b)?.id ?? "no line",
    c % 3 === 2 ? "" : `written again ${c}`,
  ],
  "unpack/[trip]/told#removeLine": ([a, b], log) => [
    log.trip(a),
    pick(pick(log.trips, a)?.lines ?? [], b)?.id ?? "no line",
  ],
  "unpack/[trip]/told#putLineThere": ([a, b], log) => [
    log.trip(a),
    { id: `line-${b}`, at: "2026-05-01T10:00:00Z", text: "there again" },
  ],
  "next#move": ([a, b, c], log) => [log.trip(a), log.item(b), c % 3 === 2 ? null : c % 3 ? "take" : "leave"],
  "next#packList": ([a, b, c], log) => [log.trip(a), [log.item(b), log.item(c)]],
  "next#leaveOut": ([a, b], log) => [log.trip(a), [log.item(b)]],
  "item/[id]#logEntry": ([a, b, c], log) => [
    {
      item: log.item(a),
      on: DAYS[b % 4],
      what: (["wear", "repair", "damage"] as const)[c % 3],
      note: "so",
      service: null,
    },
    true,
  ],
  "item/[id]#takeEntryBack": ([a], log) => [pick(log.entries, a)?.id ?? "none"],
  "item/[id]#movePart": ([a, b, c], log) => [log.item(a), `part ${b % 2}`, log.item(c)],
  "bench#saveTask": ([a, b], log) => [
    { what: `job ${a}`, item: b % 2 ? log.item(b) : null, place: "home", due: null, note: "" },
  ],
  "bench#tickTask": ([a, b], log) => [pick(log.tasks, a) ?? { id: "t", what: "job" }, b % 2 === 0],
  "bench#deleteTask": ([a], log) => [pick(log.tasks, a)?.id ?? "none"],
  "(tally)#lookAtDemo": () => [],
  "(tally)#leaveDemo": () => [],
  "ready#allSound": ([a, b], log) => [[log.item(a), log.item(b)]],
  "ready#takeLooksBack": ([a], log) => [[pick(log.entries, a)?.id ?? "none"]],
  "next/shakedown#sayTried": ([a, b], log) => [log.item(a), b % 2 === 0],
  "next/shakedown#enterShakedown": ([a, b, c], log) => [
    log.trip(a),
    ["an evening in the garden", "a night out", "nothing"][b % 3],
    DAYS[c % DAYS.length],
    c % 2 ? "Vask" : null,
  ],
  "next/kits#keepKit": ([a, b, c], log) => [`kit ${a % 3}`, b % 2 ? "next" : log.trip(c)],
  "next/kits#saveKit": ([a, b, c], log) => [
    {
      ...(pick(log.kits, a) ?? { id: "k", name: "Kit" }),
      months: [1 + (b % 12)],
      items: c % 3 ? [log.item(b), log.item(c)] : [],
    },
  ],
  "next/kits#deleteKit": ([a], log) => [pick(log.kits, a)?.id ?? "none"],
  "next/kits#takeKit": ([a, b], log) => [log.trip(a), pick(log.kits, b)?.id ?? "none"],
  "next/kits#putBackPicks": ([a, b], log) => [log.trip(a), { [log.item(b)]: "take" }],
  "bench#doJob": ([a], log) => [
    { item: log.item(a), verb: "service", ground: "each season" },
    { cost: 3, reading: { what: "tread", value: 4 }, note: "" },
  ],
  "bench#previewCalendar": ([a]) => [
    `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:u${a}\r\nDTSTART:20260501\r\nSUMMARY:sew\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`,
  ],
  "bench#takeCalendar": ([a, b], log) => [
    [
      {
        id: `cal-${a}`,
        what: "sew",
        item: b % 2 ? log.item(b) : null,
        place: "home",
        due: "2026-05-01",
        note: "",
      },
    ],
  ],
  "verdicts#rule": ([a, b], log) => [
    b % 4 ? { item: log.item(a), verb: "keep", ground: "earns its place" } : { what: "hat" },
    { decision: "overrule", reason: "so", again: null },
  ],
  "verdicts#done": ([a, b], log) => [
    { item: log.item(a), verb: b % 2 ? "service" : "replace", ground: b % 2 ? "each season" : "failed" },
    b % 3 ? null : b % 6,
  ],
  "verdicts#undone": ([a, b], log) => [
    b % 2
      ? { entry: pick(log.entries, a)?.id ?? "none" }
      : { item: log.item(a), state: STATES[b % STATES.length] },
  ],
  "verdicts#answerQuestion": ([a]) => [`question ${a}`, a % 5],
  "verdicts#waveQuestion": ([a]) => [`question ${a}`],
  "verdicts#unrule": ([a], log) => [pick(log.rulings, a)?.id ?? "none"],
  "settings#keepSettings": ([a]) => [
    { school: (["lean", "even", "roomy", "wary"] as const)[a % 4], currency: "€" },
  ],
  "next#keepNever": ([a, b]) => [[`keys ${a}`, `card ${b}`].slice(0, (a % 2) + 1)],
  "settings#keepTheme": ([a]) => [(["light", "dark", "system"] as const)[a % 3]],
  "settings#keepForgotten": ([a]) => [a % 2 ? { "leave it": "2026-01-01" } : {}],
  "settings#endPairing": ([a]) => [`pairing ${a}`],

  "api/alive#GET": () => [{ at: "" }],
  "api/follow#GET": () => [{ at: "" }],
  "api/trust#GET": () => [{ at: "" }],
  "api/argument#GET": ([a], log) => [{ at: `?item=${log.item(a)}&verb=keep&ground=x` }],
  "api/bench.ics#GET": () => [{ at: "" }],
  "api/cell#GET": ([a, b], log) => [{ at: `?item=${log.item(a)}&trip=${log.trip(b)}` }],
  "api/lines#POST": ([a, b, c], log) => [
    {
      at: "",
      body: {
        trip: log.trip(a),
        lines: [
          {
            id: `line-${b}`,
            at: `2026-01-1${c % 4}T10:00:00Z`,
            text: LINES[c % LINES.length],
            change: [null, "rewritten", "deleted"][c % 3],
          },
        ],
      },
    },
  ],
  "api/list/[trip]#GET": ([a, b], log) => [{ at: b % 2 ? "?as=csv" : "", params: { trip: log.trip(a) } }],
  "api/told/[trip]#GET": ([a], log) => [{ params: { trip: log.trip(a) } }],
  "api/log#GET": () => [{ at: "" }],
  "api/log#POST": ([a, b, c]) => [
    {
      at: (["?look", "?add", "?add"] as const)[c % 3]!,
      body: {
        format: "nettle-tally",
        version: 2,
        items: [
          { id: `file-${a % 4}`, name: `File ${a % 4}`, kind: "mug", needs: b % 3 ? [] : [`File ${a % 4}`] },
        ],
        trips: [
          {
            name: `F${b % 3}`,
            starts: DAYS[b % 4],
            ends: DAYS[b % 4],
            distance: "9 km",
            marks: [{ item: `File ${a % 4}`, use: "used" }],
          },
        ],
      },
    },
  ],
  "api/log/[import]#GET": ([a]) => [{ at: "", params: { import: `i${a}` } }],
  "api/log/[import]#DELETE": ([a]) => [{ at: "", params: { import: `i${a}` } }],
  "api/marks#POST": (dice, log) => {
    const [a, b, , d] = dice;
    const of = { trip: log.trip(a), item: log.item(b) };
    const change =
      d % 5 === 4
        ? { ...of, out: true }
        : d % 5 === 3
          ? { ...of, use: "hardly" }
          : { ...of, mark: markOf(dice, log, a), ...(d % 5 === 2 && { from: markOf(dice, log, b) }) };
    return [{ at: "", body: [change] }];
  },
  "api/pair#POST": ([a]) => [{ at: "", body: { secret: `word ${a}` } }],
  "api/shelf.csv#GET": () => [{ at: "" }],
  "api/track/[trip]#GET": ([a], log) => [{ at: "", params: { trip: log.trip(a) } }],
  "api/weather#GET": () => [{ at: "?place=x&from=2026-01-01&to=2026-01-03" }],
  "api/what-if#POST": ([a, b, c, d, e], log) => [
    {
      at: "",
      body: {
        school: "lean",
        next: { days: 1 + c, metres: 1000 * d },
        mark: { trip: log.trip(a), item: log.item(b), mark: markOf([a, b, c, d, e], log, a) },
      },
    },
  ],
};
