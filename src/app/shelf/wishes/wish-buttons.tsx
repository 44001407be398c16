"use client";

import { useRouter } from "next/navigation";
import { useTransition } from "react";
import { toast } from "sonner";
import type { ItemId } from "@/core/model";
import { tellOtherTabs } from "@/ui/other-tabs";
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
  const router = useRouter();
  const [busy, start] = useTransition();
  const run = (action: () => ReturnType<typeof buyWish>, says: string) =>
    start(async () => {
      const answer = await action().catch(() => null);
      if (!answer?.ok)
        return void toast.error(
          answer ? Object.values(answer.fields)[0] : "Not saved: the server can’t be reached.",
        );
      tellOtherTabs();
      router.refresh();
      toast(says, {
        action: {
          label: "Undo",
          onClick: () => void restoreItems(answer.value).then(() => router.refresh()),
        },
      });
    });
  return (
    <div className="flex flex-wrap items-start gap-2">
      <button
        type="button"
        className="btn"
        disabled={busy}
        onClick={() =>
          run(
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
          onClick={() => run(() => buyWish(wish, false), `${name} is on the shelf; ${present.name} stays`)}
        >
          Bought beside it<span className="sr-only">: {name}</span>
        </button>
      )}
      <button
        type="button"
        className="btn btn-plain"
        disabled={busy}
        onClick={() => run(() => takeWishBack(wish), `${name} is off the wish list`)}
      >
        Take off<span className="sr-only"> {name}</span>
      </button>
    </div>
  );
}
