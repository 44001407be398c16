import { count } from "@/core/units/speak";
import type { Far } from "./use-import";

/** How far it is, and how it is stopped. */
export function Underway({ far, onStop }: { far: Far | undefined; onStop: () => void }) {
  return (
    <p className="hint mb-2 flex items-center gap-3">
      {far ? `${far.done} of ${count(far.of, "trip")} are in …` : "Reading …"}
      <progress className="h-2" value={far?.done} max={far?.of} />
      <button type="button" className="btn" onClick={onStop}>
        Stop
      </button>
    </p>
  );
}

/** Why a file can't be used as it is. */
export function Problems({ of, problems }: { of: string | undefined; problems: readonly string[] }) {
  return (
    <div className="border-l-4 border-sting pl-4">
      <p className="error">Nothing was changed. {of} can&rsquo;t be used as it is:</p>
      <ul>
        {problems.map((problem) => (
          <li key={problem}>{problem}</li>
        ))}
      </ul>
    </div>
  );
}
