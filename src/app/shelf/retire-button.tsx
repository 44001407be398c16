"use client";

import { useRouter } from "next/navigation";
import { useTransition } from "react";
import { toast } from "sonner";
import type { ItemId, ItemState } from "@/core/model";
import { tellOtherTabs } from "@/ui/other-tabs";
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
  const router = useRouter();
  const [busy, start] = useTransition();
  const change = (to: ItemState) =>
    start(async () => {
      const before = await setState(id, to);
      tellOtherTabs();
      router.refresh();
      if (before === null) return void toast.error("It is no longer on the shelf.");
      toast(to === "active" ? `${name} is back on the shelf` : `${name} is retired; its history stays`, {
        action: { label: "Undo", onClick: () => void setState(id, before).then(() => router.refresh()) },
      });
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
