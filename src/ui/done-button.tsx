import { useState } from "react";

interface DoneButtonProps {
  /** What is asked first; null: its outcome does not matter. */
  readonly asks: string | null;
  /** Of which thing, for those who can't see it. */
  readonly which?: string;
  readonly look?: string;
  readonly busy: boolean;
  readonly onDone: () => void;
  /** It was done, and is not right. */
  readonly onNot: () => void;
}

/** Done; and where it matters what came of it, that is asked before anything is logged. */
export function DoneButton({ asks, which = "", look = "", busy, onDone, onNot }: DoneButtonProps) {
  const [isAsked, setAsked] = useState(false);
  const of = which && <span className="sr-only">: {which}</span>;
  if (asks === null || !isAsked)
    return (
      <button
        type="button"
        data-act="done"
        className={`btn btn-small ${look}`}
        disabled={busy}
        onClick={() => (asks === null ? onDone() : setAsked(true))}
      >
        Done{of}
      </button>
    );
  return (
    <span role="group" aria-label={asks} className={`flex items-center gap-1.5 ${look}`}>
      <span className="text-sm">{asks}</span>
      <button
        type="button"
        data-act="done"
        className="btn btn-small"
        autoFocus
        disabled={busy}
        onClick={onDone}
      >
        Yes{of}
      </button>
      <button type="button" className="btn btn-small" disabled={busy} onClick={onNot}>
        No{of}
      </button>
    </span>
  );
}
