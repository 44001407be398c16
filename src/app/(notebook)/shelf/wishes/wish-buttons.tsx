"use client";

import type { ItemId } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { buyWish, restoreItems, takeWishBack } from "../actions";

/** A wish that came true, or is given up; both with undo. */
export function WishButtons({
  wish,
  name,
  present,
}: {
  wish: ItemId;
  name: string;
  present: { readonly name: string } | null;
}) {
  const { busy, run } = useDoing();
  const does = (action: () => ReturnType<typeof buyWish>, says: string) =>
    run(action, { says: () => says, undo: restoreItems });
  return (
    <div className="flex flex-wrap items-start gap-2">
      <button
        type="button"
        className="btn"
        disabled={busy}
        onClick={() =>
          does(
            () => buyWish(wish, true),
            present ? `${name} is on the shelf, and ${present.name} retired` : `${name} is on the shelf`,
          )
        }
      >
        Bought{present ? " in its place" : ""}
        <span className="sr-only">: {name}</span>
      </button>
      {present && (
        <button
          type="button"
          className="btn btn-plain"
          disabled={busy}
          onClick={() => does(() => buyWish(wish, false), `${name} is on the shelf; ${present.name} stays`)}
        >
          Bought beside it<span className="sr-only">: {name}</span>
        </button>
      )}
      <button
        type="button"
        className="btn btn-plain"
        disabled={busy}
        onClick={() => does(() => takeWishBack(wish), `${name} is off the wish list`)}
      >
        Take off<span className="sr-only"> {name}</span>
      </button>
    </div>
  );
}
