"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { tell } from "@/ui/notice/notice";
import type { TripId } from "@/core/model";
import { markInFile } from "@/core/model/plain-mark";
import { count } from "@/core/units/speak";
import { sendMark } from "@/ui/marks/send-mark";
import { useRefresh } from "@/ui/use-refresh";
import type { Thing } from "./pockets";
import { acted, beginUnpacking, type Act, type Change, type Unpacking } from "./unpacking";

/** After the last mark is saved, how long to wait before asking the server what follows. */
const QUIET_MS = 700;

/** The debrief as it stands, what does something to it, and how many marks are on their way to the server. */
export function useUnpacking(trip: TripId, things: readonly [Thing, ...Thing[]]) {
  const [state, setState] = useState(() => beginUnpacking(things));
  const [sending, setSending] = useState(0);
  // Two keys may come before anything is drawn: the second acts on what the first left.
  const latest = useRef<Unpacking>(state);
  useRefreshWhenQuiet(sending);

  const send = useCallback(
    (changes: readonly Change[]) => {
      setSending((n) => n + changes.length);
      for (const { item, mark } of changes) {
        // What is not saved is told by the page's own line of what waits.
        void sendMark({ trip, item, mark: mark && markInFile(mark) })
          .catch(() => null)
          .finally(() => setSending((n) => n - 1));
      }
    },
    [trip],
  );

  const act = useCallback(
    (what: Act) => {
      const { state: next, changes } = acted(latest.current, what, things);
      latest.current = next;
      setState(next);
      send(changes);
      if (what.do === "undo") tell(takenBack(changes, things));
    },
    [things, send],
  );

  return { state, act, sending };
}

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
