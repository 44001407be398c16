"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { tell } from "@/ui/notice/notice";
import type { Mark, TripId } from "@/core/model";
import { only, overruled } from "@/core/model/merge-mark";
import { markInFile } from "@/core/model/plain-mark";
import { count, listWords } from "@/core/units/speak";
import { isUnsaved, sendMark } from "@/ui/marks/send-mark";
import { useRefresh } from "@/ui/follow/use-refresh";
import type { Thing } from "./pockets";
import { acted, beginUnpacking, settled, type Act, type Change, type Unpacking } from "./unpacking";

/** After the last mark is saved, how long to wait before asking the server what follows. */
const QUIET_MS = 700;

/** The debrief as it stands, what does something to it, and how many marks are on their way to the server. */
export function useUnpacking(trip: TripId, things: readonly [Thing, ...Thing[]]) {
  const [state, setState] = useState(() => beginUnpacking(things));
  const [sending, setSending] = useState(0);
  // Two keys may come before anything is drawn: the second acts on what the first left.
  const latest = useRef<Unpacking>(state);
  useRefreshWhenQuiet(sending);

  const put = useCallback((next: Unpacking) => {
    latest.current = next;
    setState(next);
  }, []);
  const send = useCallback(
    async (change: Change) => {
      setSending((n) => n + 1);
      const theirs = await sendChange(trip, change);
      setSending((n) => n - 1);
      return theirs;
    },
    [trip],
  );

  // What the server shows anew holds what another screen said too.
  useEffect(() => put(settled(latest.current, (item) => isUnsaved({ trip, item }))), [things, put, trip]);

  const doing = useRef<(what: Act) => void>(() => undefined);
  const act = useCallback(
    (what: Act) => {
      const { state: next, changes } = acted(latest.current, what, things);
      put(next);
      for (const change of changes) {
        const { name } = things.find(({ id }) => id === change.item) ?? { name: "A mark" };
        void send(change).then((theirs) => {
          if (theirs)
            tellOverruled(name, theirs, () => doing.current({ do: "say", item: change.item, more: theirs }));
        });
      }
      if (what.do === "undo") tell(takenBack(changes, things));
    },
    [things, put, send],
  );

  useEffect(() => {
    doing.current = act;
  }, [act]);

  return { state, act, sending };
}

/** Sends a change; tells what another screen had said otherwise and this one stands over, null where nothing. */
async function sendChange(trip: TripId, { item, mark, from }: Change): Promise<Partial<Mark> | null> {
  const [is, was] = [mark && markInFile(mark), from && markInFile(from)];
  // What is not saved is told by the page's own line of what waits, and stays as it was made here.
  const before = await sendMark({ trip, item, mark: is, from: was }).catch(() => null);
  const known = before?.mark ?? null;
  // A place is told with its distance typed, which nothing here reads again.
  const fields = overruled(known, was, is).filter((field) => field !== "at");
  return known && fields.length > 0 ? (only(known, fields) as Partial<Mark>) : null;
}

/** Two screens said the same thing otherwise: the later stands, and one press brings the earlier back. */
function tellOverruled(name: string, theirs: Partial<Mark>, bringBack: () => void): void {
  tell(
    `${name}: another screen had said ${sayOtherwise(theirs)}. What you said now stands.`,
    bringBack,
    "Bring it back",
  );
}

/** What was said of it, in the words of its fields. */
const sayOtherwise = (theirs: Partial<Mark>): string =>
  listWords(
    Object.values(theirs)
      .flatMap((said: unknown) => (Array.isArray(said) ? said : [said]))
      .map((said) => (typeof said === "string" || typeof said === "number" ? `“${said}”` : "something else")),
  ) || "nothing";

function takenBack(changes: readonly Change[], things: readonly Thing[]): string {
  const [first, ...more] = changes;
  if (!first) return "Nothing to take back.";
  const name = things.find(({ id }) => id === first.item)?.name ?? "A mark";
  return `${more.length > 0 ? count(changes.length, "mark") : name}: taken back`;
}

/** Once it is quiet, what follows from the marks is shown around the page: how many verdicts there are to rule on. */
function useRefreshWhenQuiet(sending: number) {
  const refresh = useRefresh();
  const isTouched = useRef(false);
  useEffect(() => {
    if (sending > 0) isTouched.current = true;
    if (sending > 0 || !isTouched.current) return;
    const quiet = setTimeout(() => {
      isTouched.current = false;
      void refresh();
    }, QUIET_MS);
    return () => clearTimeout(quiet);
  }, [sending, refresh]);
}
