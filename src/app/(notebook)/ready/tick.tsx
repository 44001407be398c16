"use client";

import type { ItemId } from "@/core/model";
import { count } from "@/core/units/speak";
import { useDoing } from "@/ui/use-doing";
import { saveItem, setPlace, type Place } from "../shelf/actions";
import { allSound, takeLooksBack } from "./actions";
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
  const { busy, run } = useDoing();
  const log = (what: "check" | "damage", says: string) =>
    run(() => logEntry({ item, on: today, what }), { says: () => says, undo: takeEntryBack });
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

/** All of some things are sound, in one press. */
export function AllSound({ items, of, words }: { items: readonly ItemId[]; of?: string; words: string }) {
  const { busy, run } = useDoing();
  return (
    <button
      type="button"
      className="btn btn-small no-print mt-2"
      disabled={busy}
      onClick={() =>
        run(() => allSound(items), {
          says: () => `${count(items.length, "thing")} looked at, and sound`,
          undo: takeLooksBack,
        })
      }
    >
      {words}
      {of && <span className="sr-only">: {of}</span>}
    </button>
  );
}

/** A thing lent out has come home, or a borrowed one went back to whose it is; with undo. */
export function SetPlace({ item, name, change }: { item: ItemId; name: string; change: Place }) {
  const { busy, run } = useDoing();
  return (
    <button
      type="button"
      className="btn btn-small no-print ml-auto"
      disabled={busy}
      onClick={() =>
        run(() => setPlace(item, change), {
          says: () => `${name}: ${change === "home" ? "back here" : change}`,
          undo: (before) => saveItem(before, true),
        })
      }
    >
      {change === "home" ? "It is back" : "Given back"}
      <span className="sr-only">: {name}</span>
    </button>
  );
}
