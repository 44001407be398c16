"use client";

import { useRouter } from "next/navigation";
import { useTransition } from "react";
import { toast } from "sonner";
import type { ItemId } from "@/core/model";
import { tellOtherTabs } from "@/ui/other-tabs";
import { logEntry, takeEntryBack } from "../item/[id]/actions";

/** Looked at, and sound; or something is wrong with it, which becomes damage at once. Both with undo. */
export function Tick({
  item,
  name,
  done,
  today,
}: {
  item: ItemId;
  name: string;
  done: boolean;
  today: string;
}) {
  const router = useRouter();
  const [busy, start] = useTransition();
  const log = (what: "check" | "damage", says: string) =>
    start(async () => {
      const answer = await logEntry({ item, on: today, what }).catch(() => null);
      if (!answer?.ok)
        return void toast.error(
          answer ? Object.values(answer.fields)[0] : "Not saved: the server can’t be reached.",
        );
      tellOtherTabs();
      router.refresh();
      toast(says, {
        action: {
          label: "Undo",
          onClick: () => void takeEntryBack(answer.value).then(() => router.refresh()),
        },
      });
    });
  return done ? (
    <span className="text-sm text-leaf">looked at</span>
  ) : (
    <span className="no-print flex gap-1">
      <button
        type="button"
        className="btn btn-small"
        disabled={busy}
        onClick={() => log("check", `${name}: looked at`)}
      >
        Sound<span className="sr-only">: {name}</span>
      </button>
      <button
        type="button"
        className="btn btn-plain"
        disabled={busy}
        onClick={() => log("damage", `${name}: damage noted; it is on the bench`)}
      >
        Not right<span className="sr-only">: {name}</span>
      </button>
    </span>
  );
}
