import { count } from "@/core/units/speak";
import type { Look } from "./use-import";

interface HoldsProps {
  readonly look: Look;
  readonly name: string | undefined;
  /** Things that are here already. */
  readonly owned: number;
  readonly busy: boolean;
  readonly onBring: (how: "add" | "replace") => void;
}

/** What a file holds, and the ways to bring it in. */
export function Holds({ look, name, owned, busy, onBring }: HoldsProps) {
  const { items, trips, newItems, newTrips, same, mended } = look;
  if (same) return <p>This is exactly what is here already. Nothing to do.</p>;
  return (
    <div className="space-y-2 border-l-4 border-catkin-strong pl-4">
      <p>
        {name} holds {count(items, "thing")} and {count(trips, "trip")}; {newItems} and {newTrips} of them are
        not here yet.
      </p>
      {mended.length > 0 && (
        <details>
          <summary>
            {count(mended.length, "thing")} that an earlier version had let in{" "}
            {mended.length === 1 ? "is" : "are"} put right.
          </summary>
          <ul>
            {mended.map((mend) => (
              <li key={mend}>{mend}</li>
            ))}
          </ul>
        </details>
      )}
      <p className="flex flex-wrap gap-2">
        {owned > 0 && newItems + newTrips > 0 && (
          <button type="button" className="btn" disabled={busy} onClick={() => onBring("add")}>
            Add only what is new
          </button>
        )}
        <button type="button" className="btn" disabled={busy} onClick={() => onBring("replace")}>
          {owned > 0 ? "Put it in place of everything here" : "Bring it in"}
        </button>
      </p>
    </div>
  );
}
