import { useDroppable } from "@dnd-kit/core";
import type { ItemId } from "@/core/model";
import type { Column } from "@/core/plan/columns";
import { count, sayMass, type Units } from "@/core/units/speak";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import type { BoardLine, Side } from "./board-lines";
import { gramsOf } from "./board-moves";
import { Line } from "./board-line";
import { COLUMN_WORDS } from "./column-words";

interface BoardColumnProps {
  readonly column: Column;
  readonly lines: readonly BoardLine[];
  readonly held: readonly ItemId[];
  readonly units: Units;
  readonly canMove: boolean;
  readonly onHold: (id: ItemId) => void;
  readonly onMove: (line: BoardLine, to: Side) => void;
}

/** One column of the board; things are dropped on Take and on Leave. */
export function BoardColumn({ column, lines, held, units, canMove, onHold, onMove }: BoardColumnProps) {
  const { title, about, look } = COLUMN_WORDS[column];
  const disabled = !canMove || column === "take if" || column === "not ready";
  const { setNodeRef, isOver } = useDroppable({ id: column, disabled });
  const place = column === "take" ? "lg:col-start-2 lg:row-span-3 lg:row-start-1" : "lg:col-start-1";
  return (
    <section
      ref={setNodeRef}
      aria-label={title}
      className={`${place} ${PRINTED[column]} ${isOver ? "bg-leaf-soft" : ""}`}
    >
      <h2 className={`border-b-4 pb-1 text-lg ${look}`}>
        {title}{" "}
        <span className="font-sans text-sm font-normal text-muted">
          {about && `${about}; `}
          {count(lines.length, "thing")}, {sayMass(gramsOf(lines), units)}
        </span>
      </h2>
      {lines.length === 0 && <p className="py-1 text-muted">Nothing.</p>}
      {groupsOf(lines, column).map(([name, group]) => (
        <div key={name} className="print:contents">
          {name && <h3 className="mt-2 border-b border-rule-strong font-head text-sm font-bold">{name}</h3>}
          <ul>
            {group.map((line) => (
              <Line
                key={line.id}
                line={line}
                units={units}
                canMove={canMove}
                isHeld={held.includes(line.id)}
                onHold={() => onHold(line.id)}
                onMove={(to) => onMove(line, to)}
              />
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** On paper: in two columns, close together; without what stays at home. */
const PRINTED: Readonly<Record<Column, string>> = {
  "not ready": "print:text-xs",
  take: "print:columns-2 print:text-xs [&_h2]:[column-span:all]",
  "take if": "print:columns-2 print:text-xs [&_h2]:[column-span:all]",
  leave: "no-print",
};

/** What goes is listed by pocket, as it is packed. */
function groupsOf(lines: readonly BoardLine[], column: Column): (readonly [string, readonly BoardLine[]])[] {
  if (column !== "take") return [["", lines]];
  return [...new Set(lines.map(({ stow }) => stow))].map((stow) => [
    STOW_NAMES[stow],
    lines.filter((line) => line.stow === stow),
  ]);
}
