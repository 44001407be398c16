import Link from "next/link";
import type { Thing } from "./pockets";
import type { Act } from "./unpacking";

interface AfterPocketProps {
  /** What is in the open pocket. */
  readonly rows: readonly Thing[];
  /** What is not marked yet, in all pockets. */
  readonly left: readonly Thing[];
  readonly onAct: (act: Act) => void;
  readonly onAdd: (() => void) | undefined;
}

/** Below the rows of a pocket: the rest of it, what joined on the way, and where to go on. */
export function AfterPocket({ rows, left, onAct, onAdd }: AfterPocketProps) {
  const isEmptied = !rows.some((thing) => left.includes(thing));
  const [next] = left;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      {!isEmptied && (
        <button type="button" className="btn" onClick={() => onAct({ do: "rest used" })}>
          The rest of this pocket was used <span className="kbd hidden tabs:inline-block">Shift U</span>
        </button>
      )}
      {onAdd && (
        <button type="button" className="btn" onClick={onAdd}>
          Bought or found on the way <span className="kbd hidden tabs:inline-block">b</span>
        </button>
      )}
      {isEmptied && next && (
        <button type="button" className="btn btn-leaf" onClick={() => onAct({ do: "focus", item: next.id })}>
          Next pocket
        </button>
      )}
      {!next && (
        <p className="flex flex-wrap items-center gap-3 font-semibold">
          <a href="#look-back" className="btn btn-leaf">
            Look back
          </a>
          <Link href="/verdicts" className="btn">
            What follows from it
          </Link>
        </p>
      )}
    </div>
  );
}
