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

const keep = (marks: readonly SentMark[]) =>
  marks.length ? localStorage.setItem(WAITING, JSON.stringify(marks)) : localStorage.removeItem(WAITING);
const isSame = (a: SentMark, b: SentMark) => a.trip === b.trip && a.item === b.item;

/** A mark on its way, and whom to tell how it went. */
interface Sending {
  readonly sent: SentMark;
  readonly saved: () => void;
  readonly refused: (error: Error) => void;
}

const queue: Sending[] = [];
let isSending = false;

/**
 * Sends a mark; the promise settles when the server has it on disk. Marks go out in the order they were made, those made
 * while others are on their way together, so that the last word on an item is the last one said; and they wait in the
 * browser while the server can't be reached.
 *
 * @throws Error with a sentence for the owner, if the server refused it or could not be reached
 */
export function sendMark(sent: SentMark): Promise<void> {
  keep([...waiting().filter((other) => !isSame(other, sent)), sent]);
  return new Promise((saved, refused) => {
    queue.push({ sent, saved, refused });
    if (!isSending) void sendQueue();
  });
}

async function sendQueue(): Promise<void> {
  isSending = true;
  while (queue.length) {
    const batch = queue.splice(0, fitting(queue));
    const refusal = await post(batch);
    // One bad mark must not take the others along: each is sent alone.
    if (refusal?.final && batch.length > 1) for (const one of batch) settle([one], await post([one]));
    else settle(batch, refusal);
  }
  isSending = false;
}

/** What a page that is closing may still send is limited to 64 KiB; a note may hold 4000 letters. */
const BATCH_LETTERS = 20_000;

/** How many of the queue go out together; one at least. */
function fitting(marks: readonly Sending[]): number {
  let letters = 0;
  const beyond = marks.findIndex(({ sent }) => (letters += JSON.stringify(sent).length) > BATCH_LETTERS);
  return beyond < 0 ? marks.length : Math.max(1, beyond);
}

/** Why marks were not saved, in a sentence; `final` where sending them again won't help. */
interface Refusal {
  readonly why: string;
  readonly final: boolean;
}

async function post(batch: readonly Sending[]): Promise<Refusal | null> {
  const response = await fetch("/api/marks", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(batch.map(({ sent }) => sent)),
    keepalive: true,
  }).catch(() => null);
  if (!response)
    return {
      why: "Not saved yet: the server can't be reached. It is kept here and sent again.",
      final: false,
    };
  if (response.ok) return null;
  const told = (await response.json().catch(() => null)) as { why?: string } | null;
  return {
    why: told?.why ?? `Not saved: the server answered ${response.status}.`,
    final: response.status < 500,
  };
}

function settle(batch: readonly Sending[], refusal: Refusal | null): void {
  if (!refusal || refusal.final) {
    const done = new Set(batch.map(({ sent }) => JSON.stringify(sent)));
    keep(waiting().filter((other) => !done.has(JSON.stringify(other))));
  }
  if (!refusal) tellOtherTabs();
  for (const { saved, refused } of batch) {
    if (refusal) refused(new Error(refusal.why));
    else saved();
  }
}

/** Sends what an earlier page could not; returns how many marks were saved. */
export async function sendWaiting(): Promise<number> {
  const marks = waiting();
  await Promise.all(marks.map(sendMark));
  return marks.length;
}
