import { useDraggable } from "@dnd-kit/core";
import { ArrowLeftRight } from "lucide-react";
import { useRef, type KeyboardEvent } from "react";
import { sayMass, type Units } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";
import type { BoardLine, Side } from "./board-lines";
import { otherSide } from "./board-moves";

interface LineProps {
  readonly line: BoardLine;
  readonly units: Units;
  readonly canMove: boolean;
  readonly isHeld: boolean;
  readonly onHold: () => void;
  readonly onMove: (to: Side) => void;
}

const MOVES: Readonly<Record<string, Side>> = { t: "take", l: "leave" };

/** A thing on the board: what it weighs, why it stands here, and what moves it. */
export function Line({ line, units, canMove, isHeld, onHold, onMove }: LineProps) {
  const { id, name, set, grams, column, why } = line;
  const row = useRef<HTMLLIElement>(null);
  const drag = useDraggable({ id, disabled: !canMove });
  const to = otherSide(line);
  /** The line goes elsewhere, and the focus on to the one after it. */
  const moveAway = (where: Side) => {
    const beside = row.current?.nextElementSibling ?? row.current?.previousElementSibling;
    beside?.querySelector("button")?.focus();
    onMove(where);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const where = MOVES[event.key];
    if (where && canMove) moveAway(where);
    else if (event.key === "b") onHold();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <li
      ref={(element) => {
        row.current = element;
        drag.setNodeRef(element);
      }}
      {...drag.listeners}
      onKeyDown={onKeyDown}
      style={lifted(drag.transform)}
      // Text that is marked would be dragged by the browser, and not the line.
      className={`${LINE} ${canMove ? "select-none" : ""}`}
    >
      <span aria-hidden="true" className="mt-1 inline-block size-3.5 self-start border border-rule-strong" />
      <span className="min-w-0">
        <a href={itemPath(id)} draggable={false} className="font-semibold hover:underline">
          {name}
        </a>{" "}
        {set && <span className="text-sm text-muted">with the {set} </span>}
        {why && <span className={`text-sm text-muted ${column === "take" ? "ml-1" : "block"}`}>{why}</span>}
      </span>
      <span className="num whitespace-nowrap text-right text-sm">
        {grams === null ? "–" : sayMass(grams, units)}
      </span>
      <button
        type="button"
        aria-pressed={isHeld}
        title="Hold it beside another (b)"
        className={`${HOLD} ${isHeld ? "!bg-catkin" : ""}`}
        onClick={onHold}
      >
        <ArrowLeftRight aria-hidden="true" className="size-4" />
        <span className="sr-only">Hold {name} beside another</span>
      </button>
      {canMove ? (
        <button type="button" className={MOVE} onClick={() => moveAway(to)}>
          {to === "take" ? "Take" : "Leave"}
          <span className="sr-only"> {name}</span>
        </button>
      ) : (
        <span />
      )}
    </li>
  );
}

const LINE =
  "grid grid-cols-[1.1rem_1fr_auto_auto_auto] items-baseline gap-x-2 border-b border-rule py-1 print:break-inside-avoid print:py-px [&_.text-sm]:print:text-[0.65rem]";
const HOLD = "btn btn-plain no-print !min-h-7 !px-1 pointer-coarse:!min-h-11 pointer-coarse:!min-w-11";
const MOVE = "btn btn-plain no-print !min-h-7 text-sm pointer-coarse:!min-h-11";

/** A line that is being dragged goes with the hand, above the others. */
const lifted = (by: { readonly x: number; readonly y: number } | null) =>
  by
    ? { transform: `translate(${by.x}px, ${by.y}px)`, zIndex: 20, position: "relative" as const }
    : undefined;
