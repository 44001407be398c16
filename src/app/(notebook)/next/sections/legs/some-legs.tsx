"use client";

import type { ItemId, TripId } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { setStretches } from "../../../trips/actions";

/** A thing that some legs call for, as plain data; metres from the start of the trip. */
export interface SomeLegs {
  readonly item: ItemId;
  readonly name: string;
  readonly says: string;
  readonly from: number;
  readonly to: number;
  /** It is on the trip's list, and for these legs only. */
  readonly listed: boolean;
  readonly only: boolean;
}

/** What is wanted on some legs only: on the trip's list, one press has it carried there and nowhere else. */
export function OnSomeLegsList({
  trip,
  metres,
  things,
}: {
  trip: TripId;
  metres: number;
  things: readonly SomeLegs[];
}) {
  const { busy, run } = useDoing();
  return (
    <ul>
      {things.map(({ item, name, says, from, to, listed, only }) => (
        <li key={item} className="flex items-baseline gap-3 border-b border-rule py-1">
          <span className="flex-1">{says}</span>
          {only ? (
            <span className="text-sm text-leaf">so on the list</span>
          ) : (
            listed && (
              <button
                type="button"
                className="btn btn-small no-print"
                disabled={busy}
                onClick={() =>
                  run(() => setStretches(trip, item, [{ from, to }]), {
                    says: () => `${name}: only there`,
                    undo: () => setStretches(trip, item, [{ from: 0, to: metres }]),
                  })
                }
              >
                Only there<span className="sr-only">: {name}</span>
              </button>
            )
          )}
        </li>
      ))}
    </ul>
  );
}
