import { Line, MOST_LINES, type SentLine, type TripId } from "@/core/model";
import { inOrder } from "@/core/sums/days";
import type { Db } from "../db";
import { Refused } from "../refused";

/**
 * Adds lines to those of a trip, each once, whatever how often it is sent; those that the phone has changed since
 * are as it
 * has them now, but for what is in the debrief already. False where there is no such trip.
 * @throws Refused where it has no room for more
 */
export async function takeInLines(db: Db, trip: TripId, sent: readonly SentLine[]): Promise<boolean> {
  const known = await readLines(db, trip);
  if (!known) return false;
  const ids = new Set(known.map(({ id }) => id));
  const changed = new Map(sent.flatMap((line) => (line.change ? [[line.id, line] as const] : [])));
  const stay = known.flatMap((line) => {
    const now = line.taken ? undefined : changed.get(line.id);
    if (now?.change === "deleted") return [];
    return [now ? { ...line, text: now.text } : line];
  });
  const added = sent.filter(({ id, change }) => !ids.has(id) && change !== "deleted");
  const all = [...stay, ...added.map((line) => Line.parse(line))].sort((a, b) => inOrder(a.at, b.at));
  if (all.length > MOST_LINES) throw new Refused("That trip has as many lines as it can hold.");
  await writeLines(db, trip, all);
  return true;
}

const readLines = async (db: Db, trip: TripId): Promise<Line[] | null> => {
  const { rows } = await db.query("select lines from trip where id = $1 for update", [trip]);
  return rows[0] ? Line.array().parse(rows[0].lines) : null;
};
const writeLines = (db: Db, trip: TripId, lines: readonly Line[]) =>
  db.query("update trip set lines = $2::jsonb where id = $1", [trip, JSON.stringify(lines)]);

/** Changes one line of a trip; null takes it away. What it was is the answer; null where it is not there. */
export async function changeLine(
  db: Db,
  trip: TripId,
  id: string,
  change: (line: Line) => Line | null,
): Promise<Line | null> {
  const lines = await readLines(db, trip);
  const line = lines?.find((each) => each.id === id);
  if (!lines || !line) return null;
  const next = change(line);
  await writeLines(
    db,
    trip,
    lines.flatMap((each) => (each === line ? (next ?? []) : each)),
  );
  return line;
}
