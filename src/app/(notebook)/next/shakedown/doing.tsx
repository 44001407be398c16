"use client";

import { useRouter } from "next/navigation";
import type { ItemId, TripId } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { takeEntryBack } from "../../item/[id]/actions";
import { enterShakedown, sayTried } from "./actions";

/** Did it hold, once it was tried? */
export function Held({ item, name }: { item: ItemId; name: string }) {
  const { busy, run } = useDoing();
  const say = (held: boolean) =>
    run(() => sayTried(item, held), {
      says: () => `${name}: ${held ? "held" : "did not hold, and is to be seen to"}`,
      undo: (entry) => takeEntryBack(entry),
    });
  return (
    <span role="group" aria-label={`${name}, tried`} className="flex gap-2">
      <button type="button" className="btn btn-small" disabled={busy} onClick={() => say(true)}>
        It held<span className="sr-only">: {name}</span>
      </button>
      <button type="button" className="btn btn-small" disabled={busy} onClick={() => say(false)}>
        It did not<span className="sr-only">: {name}</span>
      </button>
    </span>
  );
}

interface EnterProps {
  readonly trip: TripId;
  readonly sort: string;
  readonly on: string;
  readonly place: string | null;
  readonly words: string;
}

/** Enters an outing: an evening on the bench, a walk as a trip to come. */
export function Enter({ trip, sort, on, place, words }: EnterProps) {
  const router = useRouter();
  const { busy, run } = useDoing();
  return (
    <button
      type="button"
      className="btn btn-leaf"
      disabled={busy}
      onClick={() =>
        run(async () => {
          const answer = await enterShakedown(trip, sort, on, place);
          if (answer.ok) {
            const { value } = answer;
            router.push(
              value.at === "/next" ? `/next?${new URLSearchParams({ trip: value.trip })}` : value.at,
            );
          }
          return answer;
        })
      }
    >
      {words}
    </button>
  );
}
