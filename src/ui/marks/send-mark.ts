import type { z } from "zod";
import type { Carry, ItemId, Mark, TripId, Use } from "@/core/model";
import { tellOtherTabs } from "../follow/channel";

/**
 * What is said of a thing on a trip: its whole mark, as in a file; its use alone, which leaves what else was
 * said; or that it did not go along.
 */
export type SentMark = { readonly trip: TripId; readonly item: ItemId } & (
  | { readonly mark: FileMark | null; /** What it was changed from, here. */ readonly from?: FileMark | null }
  | { readonly use: Use }
  | { readonly out: true }
);
type FileMark = z.input<typeof Mark>;

/** A mark that the server will never take, and why, in a sentence. */
export type RefusedMark = Pick<SentMark, "trip" | "item"> & { readonly why: string };

/**
 * What this browser keeps of marks: those that wait for the server, and those it refused for good. They
 * outlive the page.
 */
export interface KeptMarks {
  readonly waiting: readonly SentMark[];
  readonly refused: readonly RefusedMark[];
}

/** What the server knew of a thing on a trip before, as a file has it; null: it was not along. */
export type KnownBefore = z.input<typeof Carry> | null;

const WAITING = "nettle-waiting-marks";
const REFUSED = "nettle-refused-marks";

function read<T>(key: string): readonly T[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "[]") as T[];
  } catch {
    return [];
  }
}

/** What is kept now; the same object until it changes. */
let kept: KeptMarks | undefined;
const onChange = new Set<() => void>();

function write(key: string, marks: readonly (SentMark | RefusedMark)[]): void {
  if (marks.length) localStorage.setItem(key, JSON.stringify(marks));
  else localStorage.removeItem(key);
  look();
}

function look(): void {
  kept = undefined;
  for (const tell of onChange) tell();
}

export const NOTHING_KEPT: KeptMarks = { waiting: [], refused: [] };

/** Marks that are kept, but those on their way for the first time. */
export const keptMarks = (): KeptMarks =>
  (kept ??= {
    waiting: read<SentMark>(WAITING).filter(
      (mark) => !inHand.some(({ sent, again }) => !again && isSame(sent, mark)),
    ),
    refused: read<RefusedMark>(REFUSED),
  });

/** Calls `tell` whenever what is kept changes, in another tab too; returns how to stop. */
export function watchKept(tell: () => void): () => void {
  onChange.add(tell);
  const onStorage = ({ key }: StorageEvent) => {
    if (key === WAITING || key === REFUSED) look();
  };
  window.addEventListener("storage", onStorage);
  return () => {
    onChange.delete(tell);
    window.removeEventListener("storage", onStorage);
  };
}

/** The owner has read what was refused. */
export const forgetRefused = () => write(REFUSED, []);

const isSame = (a: Pick<SentMark, "trip" | "item">, b: Pick<SentMark, "trip" | "item">) =>
  a.trip === b.trip && a.item === b.item;

/** A mark on its way, and whom to tell how it went. */
interface Sending {
  readonly sent: SentMark;
  readonly saved: (before: KnownBefore) => void;
  readonly refused: (error: Error) => void;
}

const queue: Sending[] = [];
let isSending = false;
/** Are marks of this page on their way? */
export const marksAreGoingOut = (): boolean => isSending;
/** Marks queued or on their way; `again`: they were kept waiting before. */
let inHand: readonly { readonly sent: SentMark; readonly again: boolean }[] = [];

/**
 * Sends a mark; the promise settles when the server has it on disk, with what was known before. Marks go out
 * in the order they were made, those made while others are on their way together, so that the last word on an
 * item is the last one said; and they wait in the browser while the server can't be reached.
 *
 * @throws Error with a sentence for the owner, if the server refused it or could not be reached
 */
export function sendMark(mark: SentMark, again = false): Promise<KnownBefore> {
  // What waits of the same thing never got there: it is from what it was changed from that this differs.
  const parked = read<SentMark>(WAITING).find((other) => isSame(other, mark) && !isInHand(other));
  const sent = again || !parked ? mark : changedSince(parked, mark);
  inHand = [...inHand, { sent, again }];
  write(WAITING, [...read<SentMark>(WAITING).filter((other) => !isSame(other, sent)), sent]);
  return new Promise((saved, refused) => {
    queue.push({ sent, saved, refused });
    if (!isSending) void sendQueue();
  });
}

const isInHand = (mark: SentMark) => inHand.some(({ sent }) => isSame(sent, mark));

/** Is something said of a thing on a trip here that the server does not have yet? */
export const isUnsaved = (mark: Pick<SentMark, "trip" | "item">): boolean =>
  inHand.some(({ sent }) => isSame(sent, mark)) ||
  read<SentMark>(WAITING).some((other) => isSame(other, mark));

/** A mark with what it was changed from, where one before it of the same thing was not saved. */
const changedSince = (lost: SentMark, mark: SentMark): SentMark =>
  "from" in lost && "from" in mark ? { ...mark, from: lost.from } : mark;

async function sendQueue(): Promise<void> {
  isSending = true;
  while (queue.length) {
    const batch = queue.splice(0, fitting(queue));
    const answer = await post(batch);
    // One bad mark must not take the others along: each is sent alone.
    if ("final" in answer && answer.final && batch.length > 1)
      for (const one of batch) settle([one], await post([one]));
    else settle(batch, answer);
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

/** What the server knew before, in the order of the batch; or why it did not save them. */
async function post(batch: readonly Sending[]): Promise<{ before: KnownBefore[] } | Refusal> {
  const response = await fetch("/api/marks", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(batch.map(({ sent }) => sent)),
    keepalive: true,
  }).catch(() => null);
  if (!response) return { why: "The server can’t be reached.", final: false };
  if (response.ok) return { before: await response.json() };
  const told: { why?: string } | null = await response.json().catch(() => null);
  return {
    why: told?.why ?? `The server answered ${response.status}.`,
    final: response.status < 500,
  };
}

function settle(batch: readonly Sending[], answer: { before: KnownBefore[] } | Refusal): void {
  const sent = new Set(batch.map((one) => one.sent));
  inHand = inHand.filter((mark) => !sent.has(mark.sent));
  const refusal = "why" in answer ? answer : null;
  if (refusal?.final)
    write(REFUSED, [
      ...read<RefusedMark>(REFUSED),
      ...[...sent].map(({ trip, item }) => ({ trip, item, why: refusal.why })),
    ]);
  if (refusal && !refusal.final) {
    for (const lost of sent) passOn(lost);
    look();
  } else {
    const done = new Set([...sent].map(saysWhat));
    write(
      WAITING,
      read<SentMark>(WAITING).filter((other) => !done.has(saysWhat(other))),
    );
  }
  if (!refusal) tellOtherTabs();
  batch.forEach(({ saved, refused }, n) => {
    if ("why" in answer) refused(new Error(answer.why));
    else saved(answer.before[n] ?? null);
  });
}

/** A mark by what it says, from wherever it was changed. */
const saysWhat = (mark: SentMark) => JSON.stringify({ ...mark, from: undefined });

/** The next of the same thing goes out from what the lost one was changed from. */
function passOn(lost: SentMark): void {
  const at = queue.findIndex(({ sent }) => isSame(sent, lost));
  const next = queue[at];
  if (!next) return;
  const sent = changedSince(lost, next.sent);
  inHand = inHand.map((mark) => (mark.sent === next.sent ? { ...mark, sent } : mark));
  queue[at] = { ...next, sent };
}

/**
 * Sends what waits and is not on its way; returns how many marks were saved. What is refused for good is kept
 * apart, to be shown.
 */
export async function sendWaiting(): Promise<number> {
  const idle = keptMarks().waiting.filter((mark) => !isInHand(mark));
  const sent = await Promise.allSettled(idle.map((mark) => sendMark(mark, true)));
  return sent.filter(({ status }) => status === "fulfilled").length;
}
