import { ItemId } from "@/core/model";
import type { Db } from "./db";
import { nth } from "@/core/sums/there";

/**
 * How often each part of the log has changed: a table of it, or what was carried of one thing. Counted by the
 * database (migration 0012).
 */
export type Changes = ReadonlyMap<string, number>;

export async function readChanges(db: Db): Promise<Changes> {
  const { rows } = await db.query(
    "select coalesce(json_object_agg(part, times), '{}')::text as told from changed",
  );
  return new Map(Object.entries(JSON.parse(String(nth(rows, 0).told)) as Record<string, number>));
}

/** How far the log has come: any change makes it another. */
export const howFar = (changes: Changes): number =>
  [...changes.values()].reduce((sum, times) => sum + times, 0);

/** The parts that have changed from one time to another. */
export const changedSince = (before: Changes, now: Changes): ReadonlySet<string> =>
  new Set([...now].filter(([part, times]) => before.get(part) !== times).map(([part]) => part));

const CARRIED = "carry ";

/** The things of which what was carried is among some parts. */
export const carriedIn = (parts: ReadonlySet<string>): ItemId[] =>
  [...parts]
    .filter((part) => part.startsWith(CARRIED))
    .map((part) => ItemId.parse(part.slice(CARRIED.length)));
