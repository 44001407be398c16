import { LOG_LIMIT } from "@/core/model";
import type { Db } from "../db";
import { Refused } from "../refused";
import { nth } from "@/core/sums/there";

/** What a mark that says nothing beyond its use weighs in a file, in bytes, its thing's name with it. */
const PLAIN_BYTES = 140;

const weightOf = (table: string) =>
  `(select coalesce(sum(octet_length(jsonb_strip_nulls(to_jsonb(t))::text)), 0) from ${table} t)`;

const WEIGHT = `select (${[
  ...["item", "trip", "leg", "entry", "ruling", "task", "kit", "track"].map(weightOf),
  weightOf("(select * from carry where plain is null)"),
  `${PLAIN_BYTES} * (select count(*) from carry where plain is not null)`,
].join(" + ")})::float8 as bytes`;

/** What a log weighs, in bytes: as it stands in the database; laid out in a file it is up to three times that. */
async function logWeight(db: Db): Promise<number> {
  const { rows } = await db.query(WEIGHT);
  return Number(nth(rows, 0).bytes);
}

/**
 * What may come in before the log is weighed again, in bytes. Another process may use it up as well: a file
 * has room for that.
 */
let room = 0;

/**
 * For what comes in small and often: weighs the log only where so many bytes more might be too many. @throws
 * Refused as `weighLog`
 */
export async function weighAdded(db: Db, bytes: number): Promise<void> {
  room -= bytes;
  if (room < 0) await weighLog(db);
}

/** @throws Refused where the log has grown heavier than what is read back from its file */
export async function weighLog(db: Db): Promise<void> {
  room = LOG_LIMIT - (await logWeight(db));
  if (room < 0)
    throw new Refused(
      `A log weighs ${LOG_LIMIT / 1024 / 1024} MB at most, and this would be more. ` +
        `Take off a long track, or long notes, first.`,
    );
}
