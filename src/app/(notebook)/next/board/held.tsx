import { percent, sayDeadWeight, sayMass, type Units } from "@/core/units/speak";
import type { BoardLine, Side } from "./board-lines";
import { otherSide } from "./board-moves";
import { COLUMN_WORDS } from "./column-words";

interface HeldProps {
  readonly lines: readonly BoardLine[];
  readonly units: Units;
  readonly onMove: ((line: BoardLine, to: Side) => void) | null;
  readonly onLetGo: () => void;
}

/** Two on the fence side by side: what each weighs, how likely it is used, and why it stands where it does. */
export function Held({ lines, units, onMove, onLetGo }: HeldProps) {
  if (lines.length === 0) return null;
  const both = new URLSearchParams(lines.map(({ id }) => ["of", id]));
  return (
    <section
      aria-label="Side by side"
      aria-live="polite"
      className="no-print sticky top-0 z-10 mb-5 border-2 border-ink bg-paper p-3"
    >
      <div className="grid grid-cols-2 gap-4">
        {lines.map((line) => (
          <HeldThing key={line.id} line={line} units={units} onMove={onMove} />
        ))}
        {lines.length === 1 && <p className="self-center text-muted">Press the arrows of another.</p>}
      </div>
      <p className="mt-2 flex gap-4">
        {lines.length === 2 && (
          <a className="link" href={`/shelf/beside?${both}`}>
            Everything of both
          </a>
        )}
        <button type="button" className="btn btn-plain" onClick={onLetGo}>
          Let go
        </button>
      </p>
    </section>
  );
}

type HeldThingProps = Pick<HeldProps, "units" | "onMove"> & { readonly line: BoardLine };

function HeldThing({ line, units, onMove }: HeldThingProps) {
  const to = otherSide(line);
  return (
    <div>
      <h2 className="font-head text-lg font-bold">{line.name}</h2>
      <p>
        {line.grams === null ? "not weighed" : sayMass(line.grams, units)}, used with a chance of{" "}
        {percent(line.chance)}
        {line.dead > 0 && `, ${sayDeadWeight(line.dead, units)} likely for nothing`}
      </p>
      <p className="text-sm text-muted">
        {COLUMN_WORDS[line.column].title}. {line.why}
      </p>
      {onMove && (
        <button type="button" className="btn btn-small mt-1" onClick={() => onMove(line, to)}>
          {to === "take" ? "Take" : "Leave"}
          <span className="sr-only"> {line.name}</span>
        </button>
      )}
    </div>
  );
}
