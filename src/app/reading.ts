import { format } from "date-fns";
import { openBook, withCarries, type Book } from "@/core/ledger/book";
import type { ItemId, Log, Trip } from "@/core/model";
import { judging, kitAfter, type Kit } from "@/core/advice/kit";
import { carriedIn, changedSince, howFar, readChanges, type Changes } from "@/data/changes";
import { store } from "@/data/connection";
import type { Db, Store } from "@/data/db";
import { readLog, rereadLog } from "@/data/records/log";

/** The owner's local date. */
export const today = () => format(new Date(), "yyyy-MM-dd");

/** The log, opened and judged. */
export interface Reading {
  readonly log: Log;
  readonly book: Book;
  readonly kit: Kit;
  /** How far the log had come at least: a screen that shows it knows by this whether more has come. */
  readonly at: number;
}
type Judged = Omit<Reading, "at">;

/** A reading, and how far the log had come when it was read. */
interface Kept {
  readonly reading: Reading;
  readonly changes: Changes;
}

/** The reading that is under way, and the last that came to its end. */
interface Readings {
  underWay: Promise<Kept | null>;
  done: Kept | null;
}

/** With more things changed than this at once, all is judged anew. */
const MOST_JUDGED_AGAIN = 40;

const shared = globalThis as typeof globalThis & { nettleReadings?: WeakMap<Store, Readings> };
// The server's start and its pages are bundled apart, and share what is kept; code that changed while
// developing reads anew.
if (process.env.NODE_ENV !== "production") delete shared.nettleReadings;
const kept = (shared.nettleReadings ??= new WeakMap());

/**
 * The log as it stands today, opened and judged. It is kept beside the log in the process's memory; what has
 * changed since, here or in another process, is read again, and only what that may touch is judged again.
 */
export async function readLatest(): Promise<Reading> {
  const db = await store();
  const readings = readingsOf(db);
  // One brings it up to date at a time; who asks meanwhile waits for it, and then looks whether more has changed.
  const now = readings.underWay.catch(() => null).then((last) => upToDate(db, last));
  readings.underWay = now;
  const latest = await now;
  readings.done = latest;
  return latest.reading;
}

function readingsOf(db: Store): Readings {
  const known = kept.get(db);
  if (known) return known;
  const none = { underWay: Promise.resolve(null), done: null };
  kept.set(db, none);
  return none;
}

/**
 * The log as a database, or a transaction within it, has it: what is kept, and what has changed since. Never
 * waits for a reading that is under way: within a transaction that would be waiting for this one to end.
 */
export async function logIn(db: Db): Promise<Log> {
  const last = readingsOf(await store()).done;
  return last
    ? rereadLog(db, last.reading.log, changedSince(last.changes, await readChanges(db)))
    : readLog(db);
}

async function upToDate(db: Store, last: Kept | null): Promise<Kept> {
  // Asked for before the log is read: what changes between is read again the next time.
  const changes = await readChanges(db);
  const day = today();
  const at = howFar(changes);
  if (!last) return { changes, reading: { ...(await judgeWhole(await readLog(db), day)), at } };
  const parts = changedSince(last.changes, changes);
  const { reading } = last;
  if (parts.size === 0 && reading.book.today === day) return last;
  const log = await rereadLog(db, reading.log, parts);
  const carried = carriedIn(parts);
  const onlyCarried = carried.length === parts.size && reading.book.today === day;
  const judged =
    onlyCarried && carried.length <= MOST_JUDGED_AGAIN
      ? judgeCarried(reading, log, carried)
      : await judgeWhole(log, day);
  return { changes, reading: { ...judged, at } };
}

function judgeCarried(before: Reading, log: Log, marked: readonly ItemId[]): Judged {
  const carried = withSwapped(marked, [...before.log.trips, ...log.trips]);
  const book = withCarries(before.book, log.trips, new Set(carried));
  return { log, book, kit: kitAfter(before.kit, book, carried) };
}

/** Some things, and those that they were swapped for: where the one's carriage ends, the other's begins. */
function withSwapped(items: readonly ItemId[], trips: readonly Trip[]): ItemId[] {
  const changed = new Set(items);
  const swapped = trips.flatMap(({ carries }) =>
    carries.flatMap(({ item, mark }) => (changed.has(item) ? (mark?.exit?.for ?? []) : [])),
  );
  return [...new Set([...items, ...swapped])];
}

async function judgeWhole(log: Log, day: string): Promise<Judged> {
  const book = openBook(log, day);
  const work = judging(book);
  const giveWay = givingWay();
  for (;;) {
    const step = work.next();
    if (step.done) return { log, book, kit: step.value };
    await giveWay();
  }
}

/** Longest that work keeps other requests waiting, in ms. */
const TURN_MS = 25;

/**
 * For long work to call before each of its pieces: lets other requests have a turn where it is time, and
 * before the first.
 */
export function givingWay(): () => Promise<void> {
  let since = -Infinity;
  return async () => {
    if (performance.now() - since < TURN_MS) return;
    await new Promise((resolve) => setImmediate(resolve));
    since = performance.now();
  };
}

/** Work on a reading that is done once, and kept as long as that reading is; what failed is tried again. */
export function keptWith<Made>(
  work: (reading: Reading) => Promise<Made>,
): (reading: Reading) => Promise<Made> {
  const made = new WeakMap<Reading, Promise<Made>>();
  return (reading) => {
    const known = made.get(reading);
    if (known) return known;
    const now = work(reading);
    made.set(reading, now);
    now.catch(() => made.delete(reading));
    return now;
  };
}
