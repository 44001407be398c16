"use client";

import type { ItemId, ItemState } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { setState } from "./actions";

/** Retires a thing, or takes it back, with undo. */
export function RetireButton({
  id,
  name,
  state,
  className = "btn btn-plain",
}: {
  id: ItemId;
  name: string;
  state: ItemState;
  className?: string;
}) {
  const { busy, run } = useDoing();
  const change = (to: ItemState) =>
    run(() => setState(id, to), {
      says: () =>
        to === "active" ? `${name} is back on the shelf` : `${name} is retired; its history stays`,
      undo: (before) => setState(id, before),
    });
  return state === "active" ? (
    <button type="button" className={className} disabled={busy} onClick={() => change("retired")}>
      Retire<span className="sr-only"> {name}</span>
    </button>
  ) : (
    <button type="button" className={className} disabled={busy} onClick={() => change("active")}>
      Take back<span className="sr-only"> {name}</span>
    </button>
  );
}
