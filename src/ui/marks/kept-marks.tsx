"use client";

import { useEffect, useSyncExternalStore } from "react";
import { tell } from "@/ui/notice/notice";
import { count } from "@/core/units/speak";
import { forgetRefused, keptMarks, NOTHING_KEPT, sendWaiting, watchKept } from "./send-mark";
import { useRefresh } from "../follow/use-refresh";

/** How often to try again while marks wait, in ms. */
const TRY_AGAIN_MS = 4000;

export const useKeptMarks = () => useSyncExternalStore(watchKept, keptMarks, () => NOTHING_KEPT);

/**
 * On every page: marks that wait for the server are sent as soon as it answers, and those it refused for good
 * are shown.
 */
export function KeptMarks({ items }: { items: readonly { readonly id: string; readonly name: string }[] }) {
  const { waiting, refused } = useKeptMarks();
  const refresh = useRefresh();
  const isWaiting = waiting.length > 0;
  useEffect(() => {
    if (!isWaiting) return;
    const send = async () => {
      const n = await sendWaiting();
      if (n === 0) return;
      tell(`${count(n, "mark")} from before ${n === 1 ? "is" : "are"} saved now`);
      void refresh();
    };
    void send();
    const again = setInterval(() => void send(), TRY_AGAIN_MS);
    return () => clearInterval(again);
  }, [isWaiting, refresh]);
  if (!isWaiting && refused.length === 0) return null;
  return (
    <div
      role="status"
      className="no-print fixed inset-x-0 top-0 z-40 border-b-2 border-sting bg-sting-soft px-4 py-2 text-ink"
    >
      {isWaiting && (
        <p>
          {count(waiting.length, "mark")} {waiting.length === 1 ? "waits" : "wait"} in this browser: the
          server can’t be reached. Go on; {waiting.length === 1 ? "it is" : "they are"} sent as soon as it
          answers.
        </p>
      )}
      {refused.length > 0 && (
        <div className="flex flex-wrap items-center gap-3">
          <ul>
            {refused.map(({ trip, item, why }, n) => (
              <li key={`${n} ${trip} ${item}`}>
                A mark on {items.find(({ id }) => id === item)?.name ?? item} was not kept. {why}
              </li>
            ))}
          </ul>
          <button type="button" className="btn" onClick={forgetRefused}>
            I have read it
          </button>
        </div>
      )}
    </div>
  );
}
