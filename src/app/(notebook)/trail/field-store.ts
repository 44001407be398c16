import { openDB, type DBSchema } from "idb";
import type { SentLine, TripId } from "@/core/model";

/** A line as the phone keeps it, until the server has it so, and why if it never will. */
export interface KeptLine extends SentLine {
  readonly trip: TripId;
  readonly sent: boolean;
  readonly refused?: string;
}

interface FieldDb extends DBSchema {
  lines: { key: string; value: KeptLine };
}

const open = () =>
  openDB<FieldDb>("nettle-trail", 1, {
    upgrade: (db) => void db.createObjectStore("lines", { keyPath: "id" }),
  });

/** Every line that this browser keeps, oldest first. Rejects where it keeps nothing. */
export async function keptLines(): Promise<KeptLine[]> {
  const db = await open();
  return (await db.getAll("lines")).sort((a, b) => (a.at < b.at ? -1 : 1));
}

/** Keeps a line; resolves once it is on the phone's disk. Rejects where the store is full or refused. */
export async function keepLine(line: KeptLine): Promise<void> {
  const db = await open();
  await db.put("lines", line);
}

/** The server has them: they need not stay here. */
export async function forgetLines(ids: readonly string[]): Promise<void> {
  const db = await open();
  const change = db.transaction("lines", "readwrite");
  await Promise.all([...ids.map((id) => change.store.delete(id)), change.done]);
}

/**
 * Sends what waits, a trip at a time; what is refused for good is kept with the reason. Says whether anything
 * went out.
 */
export async function sendLines(): Promise<boolean> {
  const waiting = (await keptLines()).filter(({ sent, refused }) => !sent && !refused);
  let went = false;
  for (const trip of new Set(waiting.map((line) => line.trip))) {
    const lines = waiting.filter((line) => line.trip === trip);
    const answer = await fetch("/api/lines", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({
        trip,
        lines: lines.map(({ id, at, text, change }) => ({ id, at, text, change })),
      }),
    });
    if (answer.status >= 500) throw new Error(`sendLines: ${answer.status}`);
    const why = answer.ok ? undefined : ((await answer.json()) as { why: string }).why;
    for (const line of lines) await answered(line, { sent: answer.ok, ...(why && { refused: why }) });
    went ||= answer.ok;
  }
  return went;
}

/** What became of a line that was sent; one that was changed meanwhile waits on. */
async function answered(line: KeptLine, became: Pick<KeptLine, "sent" | "refused">): Promise<void> {
  const db = await open();
  const change = db.transaction("lines", "readwrite");
  const now = await change.store.get(line.id);
  if (now?.text === line.text && now.change === line.change) await change.store.put({ ...line, ...became });
  await change.done;
}
