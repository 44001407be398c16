import type { Stow } from "@/core/model";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { pocketsOf, type Marks, type Thing } from "./pockets";

const POCKET =
  "flex min-h-10 w-full items-center justify-between gap-3 border-b-2 px-3 text-left pointer-coarse:min-h-11";
const OPEN = "border-leaf bg-leaf-soft font-bold";
const SHUT = "border-rule hover:bg-leaf-soft";

interface PocketListProps {
  readonly things: readonly Thing[];
  readonly marks: Marks;
  readonly open: Stow;
  readonly onOpen: (first: Thing) => void;
}

/** The pockets, with what is left to mark in each; a press opens one at what is left of it. */
export function PocketList({ things, marks, open, onOpen }: PocketListProps) {
  return (
    <ol
      className="mb-3 flex gap-1 overflow-x-auto tabs:mb-0 tabs:block"
      aria-label="Pockets, in the order they are emptied"
    >
      {pocketsOf(things).map((pocket) => {
        const inside = things.filter((thing) => thing.stow === pocket);
        const left = inside.filter((thing) => !marks.get(thing.id));
        const first = left[0] ?? inside[0];
        return (
          <li key={pocket} className="shrink-0">
            <button
              type="button"
              aria-current={pocket === open ? "step" : undefined}
              onClick={() => first && onOpen(first)}
              className={`${POCKET} ${pocket === open ? OPEN : SHUT}`}
            >
              {STOW_NAMES[pocket]}{" "}
              <span className="num text-sm text-muted">
                {left.length === 0 ? <span aria-label="done">✓</span> : left.length}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
