import { NOT_RIGHT } from "@/core/model/lists";
import { DoneButton } from "@/ui/done-button";
import type { SlipData } from "./slip-data";

interface DoingProps {
  readonly slip: SlipData;
  readonly busy: boolean;
  /** Done, with how it looks, 0 to 5, where that is asked. */
  readonly onFollow: (grade: number | null) => void;
}

/** What a slip asks, done where it is read: by one press, or by how the thing looks. */
export function Doing({ slip: { doing, outcome, name }, busy, onFollow }: DoingProps) {
  if (doing === "log" || doing === "outcome")
    return (
      <DoneButton
        asks={outcome}
        busy={busy}
        onDone={() => onFollow(null)}
        onNot={() => onFollow(NOT_RIGHT)}
      />
    );
  if (doing === "grade")
    return (
      <span role="group" aria-label={`Condition of ${name}`} className="flex items-center gap-1">
        <span className="text-sm text-muted">looks</span>
        {[5, 4, 3, 2, 1, 0].map((grade) => (
          <button
            key={grade}
            type="button"
            disabled={busy}
            aria-label={`${grade} of 5`}
            onClick={() => onFollow(grade)}
            className={GRADE}
          >
            {grade}
          </button>
        ))}
      </span>
    );
  return null;
}

const GRADE =
  "min-h-8 min-w-7 border border-rule bg-sheet text-sm hover:border-ink " +
  "pointer-coarse:min-h-11 pointer-coarse:min-w-11";
