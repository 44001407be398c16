import { parse as parseJsonc, printParseErrorCode, type ParseError } from "jsonc-parser";
import { z } from "zod";
import { logProblems, type Problem } from "@/core/ledger/check/check";
import {
  Carry,
  Entry,
  Exit,
  FeltNight,
  Item,
  ItemId,
  Leg,
  LegId,
  MOST,
  Moved,
  Mark,
  Place,
  Ruling,
  SavedKit,
  Settings,
  Task,
  Track,
  type Trip,
  TripHead,
  TripId,
  Weighing,
  type WholeLog,
} from "@/core/model";
import { slug } from "@/core/model/slug";
import { KindName } from "@/core/trade/words/kind-name";
import { Distance, Height, Mass } from "@/core/units/measures";
import { Text } from "@/core/units/text";
import { mendLog } from "@/core/ledger/check/mend";
import { carriedForward, withoutControls } from "./carried-forward";
import { lastOf } from "@/core/sums/there";

export const FORMAT = "nettle-tally";
export const VERSION = 2;

const ItemRef = Text.min(1).max(120).meta({ description: "An item's id, or its name." });
const LegRef = z.union([LegId, z.int().min(1)]).meta({ description: "A leg's id, or its place from 1." });

const FileItem = Item.extend({
  id: ItemId.optional().meta({ description: "Left out: made from the name." }),
  kind: KindName,
  bag: ItemRef.nullable().default(null),
  instead: ItemRef.nullable().default(null),
  needs: z.array(ItemRef).max(10).default([]),
  weight: Mass.nullable().optional().meta({ description: "Short for one weight in `weights`." }),
  weighed: Weighing.shape.how.optional().meta({ description: "How that weight was come by." }),
});
const FileMark = z.object({
  ...Mark.shape,
  item: ItemRef,
  exit: Exit.extend({ for: ItemRef.nullable().default(null) })
    .nullable()
    .default(null),
  at: Place.extend({ leg: LegRef.nullable().default(null) })
    .nullable()
    .default(null),
  legs: z
    .array(LegRef)
    .min(1)
    .max(400)
    .nullable()
    .default(null)
    .meta({ description: "The legs it was carried on; left out: all." }),
  shared: Carry.shape.shared,
  use: Mark.shape.use.optional().meta({ description: "Left out: carried, not debriefed yet." }),
});
const FileLeg = Leg.extend({ id: LegId.optional().meta({ description: "Left out: made from its place." }) });
const FileTrip = TripHead.extend({
  id: TripId.optional().meta({ description: "Left out: made from the name and date." }),
  name: Text.trim().max(120).optional(),
  legs: z
    .array(FileLeg)
    .min(1)
    .max(400)
    .optional()
    .meta({ description: "Or give `distance` (and `ascent`, `terrain`) for a trip of one leg." }),
  distance: Distance.optional(),
  ascent: Height.nullable().optional(),
  terrain: Leg.shape.terrain.optional(),
  felt: z
    .array(FeltNight.extend({ slept: z.array(ItemRef).max(20).default([]) }))
    .max(400)
    .default([]),
  made: z.array(ItemRef).max(3).default([]),
  stay: z.array(ItemRef).max(3).default([]),
  picks: z.record(ItemRef, Moved).default({}),
  marks: z.array(FileMark).max(MOST.items).default([]),
});
const FileEntry = Entry.extend({ id: Entry.shape.id.optional(), item: ItemRef });
const FileTask = Task.extend({ id: Task.shape.id.optional(), item: ItemRef.nullable().default(null) });
const FileKit = SavedKit.extend({
  id: SavedKit.shape.id.optional(),
  items: z.array(ItemRef).max(MOST.items).default([]),
});
const FileRuling = Ruling.extend({ id: Ruling.shape.id.optional(), item: ItemRef.nullable().default(null) });

/** The open file: everything an owner has put in. Its JSON Schema is docs/nettle-tally.schema.json. */
export const LogFile = z.object({
  format: z.literal(FORMAT, `This is not a Nettle Tally file: it must say "format": "${FORMAT}".`),
  version: z
    .int()
    .min(1)
    .max(VERSION, `This file is of a later version than this program reads (${VERSION}).`),
  settings: Settings.prefault({}),
  items: z.array(FileItem).max(MOST.items),
  trips: z.array(FileTrip).max(MOST.trips).default([]),
  entries: z.array(FileEntry).max(MOST.entries).default([]),
  rulings: z.array(FileRuling).max(MOST.rulings).default([]),
  tasks: z.array(FileTask).max(MOST.tasks).default([]),
  kits: z.array(FileKit).max(MOST.kits).default([]),
  tracks: z.array(Track).max(MOST.trips).default([]),
});

export type ReadLog =
  | {
      readonly ok: true;
      readonly log: WholeLog;
      /** What an earlier version of the app had let in, and was put right. */
      readonly mended: readonly string[];
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Reads a file in the open format. Whatever is wrong is named by its place; nothing is read by halves. */
export function readLogFile(text: string): ReadLog {
  const json = parseJson(text);
  if (!json.ok) return { ok: false, problems: [json.problem] };
  const { file, told } = withoutControls(text, json.value);
  const parsed = LogFile.safeParse(carriedForward(file));
  if (!parsed.success) {
    return {
      ok: false,
      problems: parsed.error.issues.map(({ path, message }) => ({
        path: path.map((step) => (typeof step === "symbol" ? String(step) : step)),
        message,
      })),
    };
  }
  const { log, mended } = mendLog(toLog(parsed.data));
  const problems = [...logProblems(log), ...strayTracks(log)];
  return problems.length ? { ok: false, problems } : { ok: true, log, mended: [...told, ...mended] };
}

/** A track belongs to a trip that is there, and a trip has one. */
const strayTracks = ({ trips, tracks }: WholeLog): Problem[] => {
  const without = new Set(trips.map(({ id }) => id));
  return tracks.flatMap(({ trip }, n) =>
    without.delete(trip)
      ? []
      : [{ path: ["tracks", n, "trip"], message: `There is no trip “${trip}”, or it has a track already.` }],
  );
};

/** So many brackets opened one in another, that to find the fault in them would take more memory than there is. */
const DEEP = 500;

/** Are so many brackets open at once? Those within texts don't count. */
function isDeep(text: string): boolean {
  let open = 0;
  let inText = false;
  for (let at = 0; at < text.length; at += 1) {
    const letter = text[at];
    if (letter === "\\" && inText) at += 1;
    else if (letter === '"') inText = !inText;
    else if (!inText && (letter === "[" || letter === "{")) {
      open += 1;
      if (open > DEEP) return true;
    } else if (!inText && (letter === "]" || letter === "}")) open -= 1;
  }
  return false;
}

function parseJson(text: string): { ok: true; value: unknown } | { ok: false; problem: Problem } {
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, "")) };
  } catch {
    const errors: ParseError[] = [];
    if (isDeep(text))
      return {
        ok: false,
        problem: { path: [], message: "This is not a log: its brackets go deeper than any log’s." },
      };
    parseJsonc(text, errors, { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false });
    const { offset, error } = errors[0] ?? { offset: 0, error: 1 };
    const before = text.slice(0, offset).split("\n");
    const reason = printParseErrorCode(error)
      .replace(/([A-Z])/g, " $1")
      .trim()
      .toLowerCase();
    return {
      ok: false,
      problem: {
        path: [],
        message: `This is not sound JSON: ${reason} at line ${before.length}, column ${lastOf(before).length + 1}.`,
      },
    };
  }
}

type FileTrip = z.infer<typeof LogFile>["trips"][number];
type FileMark = FileTrip["marks"][number];

/** Ids that are made for what a file left without one, each used once. */
function idsOf<Id extends string>(records: readonly { readonly id?: Id | undefined }[]) {
  const taken = new Set<string>(records.flatMap(({ id }) => id ?? []));
  return (id: Id | undefined, name: string): Id => {
    if (id !== undefined) return id;
    const made = slug(name, taken) as Id;
    taken.add(made);
    return made;
  };
}

/** Things may be called by their ids or by their names. */
type Find = (ref: string) => ItemId;

function toLog(file: z.infer<typeof LogFile>): WholeLog {
  const itemId = idsOf(file.items);
  const tripId = idsOf(file.trips);
  const entryId = idsOf(file.entries);
  const rulingId = idsOf(file.rulings);
  const taskId = idsOf(file.tasks);
  const kitId = idsOf(file.kits);
  const items = file.items.map((item) => ({ ...item, id: itemId(item.id, item.name) }));
  const ids = new Map(items.map(({ id }) => [String(id), id]));
  const byName = new Map(items.map(({ id, name }) => [name.toLowerCase(), id]));
  // What is not there stays as it is written, to be told of.
  const find: Find = (ref) => ids.get(ref) ?? byName.get(ref.toLowerCase()) ?? (ref as ItemId);
  const findAny = (ref: string | null) => (ref === null ? null : find(ref));
  return {
    settings: file.settings,
    items: items.map(({ weight, weighed = "measured", ...item }) => ({
      ...item,
      bag: findAny(item.bag),
      needs: item.needs.map(find),
      instead: findAny(item.instead),
      weights: weight ? [...item.weights, { weight, how: weighed, on: null }] : item.weights,
    })),
    trips: file.trips.map((trip) => {
      const called = trip.name || `Trip of ${trip.starts}`;
      return toTrip(trip, called, tripId(trip.id, `${called} ${trip.name ? trip.starts : ""}`), find);
    }),
    entries: file.entries.map((entry) => ({
      ...entry,
      item: find(entry.item),
      id: entryId(entry.id, `${entry.item} ${entry.on}`),
    })),
    rulings: file.rulings.map((ruling) => ({
      ...ruling,
      item: findAny(ruling.item),
      id: rulingId(ruling.id, `${ruling.item ?? ruling.what} ${ruling.on}`),
    })),
    tasks: file.tasks.map((task) => ({
      ...task,
      item: findAny(task.item),
      id: taskId(task.id, task.what),
    })),
    kits: file.kits.map((kit) => ({ ...kit, items: kit.items.map(find), id: kitId(kit.id, kit.name) })),
    tracks: file.tracks,
  };
}

/** A trip told without legs has one, as far as it was. */
function toTrip(file: FileTrip, name: string, id: TripId, find: Find): Trip {
  const { marks, distance, ascent, terrain, legs, ...trip } = file;
  const whole = {
    distance: distance ?? { typed: "0 km", m: 0 },
    ascent: ascent ?? null,
    terrain: terrain ?? ("mixed" as const),
  };
  const ways = (legs ?? [{ ...ONE_LEG, ...whole }]).map((leg, n) => ({ ...leg, id: leg.id ?? legId(n + 1) }));
  const way = (ref: LegId | number): LegId =>
    typeof ref === "number" ? (ways[ref - 1]?.id ?? legId(ref)) : ref;
  return {
    ...trip,
    name,
    id,
    legs: ways,
    felt: trip.felt.map((night) => ({ ...night, slept: night.slept.map(find) })),
    made: trip.made.map(find),
    stay: trip.stay.map(find),
    picks: Object.fromEntries(Object.entries(trip.picks).map(([item, pick]) => [find(item), pick])),
    carries: marks.map((mark) => toCarry(mark, find, way)),
  };
}

/** A thing that was along, marked where its use is told. */
function toCarry(file: FileMark, find: Find, way: (ref: LegId | number) => LegId): Carry {
  const { item, legs, shared, use, exit, at, ...said } = file;
  const carry = { item: find(item), legs: legs && legs.map(way), shared };
  if (use === undefined) return { ...carry, mark: null };
  return {
    ...carry,
    mark: {
      use,
      ...said,
      exit: exit && { ...exit, for: exit.for === null ? null : find(exit.for) },
      at: at && { ...at, leg: at.leg === null ? null : way(at.leg) },
    },
  };
}

const ONE_LEG = { ...FileLeg.parse({ distance: 0 }), id: undefined };
const legId = (place: number) => LegId.parse(`leg-${place}`);

/** Writes a log in the open format. What is unsaid is left out; reading it again gives the same log. */
export function writeLogFile(log: WholeLog): string {
  const said = (record: object) =>
    Object.fromEntries(Object.entries(record).filter(([field, value]) => !isUnsaid(field, value)));
  const file = {
    format: FORMAT,
    version: VERSION,
    settings: said(Settings.encode(log.settings)),
    items: log.items.map((item) => said(Item.encode(item))),
    trips: log.trips.map(({ carries, ...trip }) => ({
      ...said(TripHead.encode(trip)),
      marks: carries.map(({ item, legs, shared, mark }) =>
        said({ item, legs, shared, ...(mark && Mark.encode(mark)) }),
      ),
    })),
    entries: log.entries.map((entry) => said(Entry.encode(entry))),
    rulings: log.rulings.map(said),
    ...(log.tasks.length > 0 && { tasks: log.tasks.map(said) }),
    ...(log.kits.length > 0 && { kits: log.kits.map(said) }),
    ...(log.tracks.length > 0 && { tracks: log.tracks }),
  };
  return `${JSON.stringify(file, null, 1)}\n`;
}

/** Without jobs or triggers is a thing said; with null it is as its kind. */
const isUnsaid = (field: string, value: unknown) =>
  value === null ||
  value === "" ||
  (typeof value === "object" && Object.keys(value).length === 0 && field !== "jobs" && field !== "triggers");

/** One problem as a sentence: where it sits, then what is wrong. */
export const sayProblem = ({ path, message }: Problem) =>
  path.length
    ? `${path.map((step) => (typeof step === "number" ? `[${step + 1}]` : step)).join(" ")}: ${message}`
    : message;
