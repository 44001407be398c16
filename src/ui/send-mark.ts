import type { ItemId, Mark, TripId } from "@/core/model";
import { tellOtherTabs } from "./other-tabs";

export interface SentMark {
  readonly trip: TripId;
  readonly item: ItemId;
  readonly mark: Mark | null;
}

const WAITING = "nettle-waiting-marks";

/** Marks that the server has not acknowledged yet; they outlive the page. */
function waiting(): SentMark[] {
  try {
    return JSON.parse(localStorage.getItem(WAITING) ?? "[]") as SentMark[];
  } catch {
    return [];
  }
}

const keep = (marks: readonly SentMark[]) => (marks.length ? localStorage.setItem(WAITING, JSON.stringify(marks)) : localStorage.removeItem(WAITING));
const isSame = (a: SentMark, b: SentMark) => a.trip === b.trip && a.item === b.item;

let lane: Promise<unknown> = Promise.resolve();

/**
 * Sends a mark; the promise settles when the server has it on disk. Marks go out one after another, so that the last
 * word on an item is the last one said, and wait in the browser while the server can't be reached.
 *
 * @throws Error with a sentence for the owner, if the server refused it or could not be reached
 */
export function sendMark(sent: SentMark): Promise<void> {
  keep([...waiting().filter((other) => !isSame(other, sent)), sent]);
  const done = lane.then(() => post(sent));
  lane = done.catch(() => undefined);
  return done;
}

async function post(sent: SentMark): Promise<void> {
  const response = await fetch("/api/marks", { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(sent), keepalive: true }).catch(() => null);
  if (!response) throw new Error("Not saved yet: the server can't be reached. It is kept here and sent again.");
  if (!response.ok) {
    const told = (await response.json().catch(() => null)) as { why?: string } | null;
    if (response.status < 500) keep(waiting().filter((other) => JSON.stringify(other) !== JSON.stringify(sent)));
    throw new Error(told?.why ?? `Not saved: the server answered ${response.status}.`);
  }
  keep(waiting().filter((other) => JSON.stringify(other) !== JSON.stringify(sent)));
  tellOtherTabs();
}

/** Sends what an earlier page could not; returns how many marks were saved. */
export async function sendWaiting(): Promise<number> {
  const marks = waiting();
  for (const sent of marks) await sendMark(sent);
  return marks.length;
}
