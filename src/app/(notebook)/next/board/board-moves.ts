import type { Load } from "@/core/model";
import { isAlong, type Column } from "@/core/plan/columns";
import type { BoardLine, Move, Side } from "./board-lines";

export const goesAlong = ({ column }: BoardLine) => isAlong(column);

/** Where its button puts it. */
export const otherSide = ({ column }: BoardLine): Side =>
  column === "leave" || column === "take if" ? "take" : "leave";

const isOn = (column: Column, side: Side) =>
  column !== "take if" && (column === "leave") === (side === "leave");

/**
 * What putting a thing there says; null: it stands there. Where it stood by itself, it is the owner's word no
 * longer.
 */
export function moveTo(line: BoardLine, side: Side): Move | null {
  if (isOn(line.column, side)) return null;
  return { id: line.id, set: line.set, to: isOn(line.own, side) ? null : side };
}

/** Where a thing stands once its owner has moved it; what is to be done about it stays to be done. */
function columnAfter({ own }: BoardLine, to: Side | null): Column {
  if (to === null) return own;
  return to === "take" && own === "not ready" ? "not ready" : to;
}

/** The board after a move, at once, the rest of its set along with it: the server judges the others anew. */
export const moved = (lines: readonly BoardLine[], { id, set, to }: Move): readonly BoardLine[] =>
  lines.map((line) =>
    line.id === id || (set !== null && line.set === set)
      ? { ...line, column: columnAfter(line, to), why: to ? "Your word." : line.why }
      : line,
  );

/** Grams of some lines; what nobody weighed counts nothing. */
export const gramsOf = (lines: readonly BoardLine[]) =>
  lines.reduce((sum, { grams }) => sum + (grams ?? 0), 0);

/** What the list comes to as it stands, in grams; `dead` in gram-metres likely carried for nothing. */
export function loadOf(lines: readonly BoardLine[]) {
  const along = lines.filter(goesAlong);
  const of = (load: Load) => gramsOf(along.filter(({ counts }) => counts === load));
  const base = of("base");
  return {
    base,
    worn: of("worn"),
    consumable: of("consumable"),
    hobby: of("hobby"),
    onBack: base + of("consumable") + of("hobby"),
    home: gramsOf(lines.filter(({ column }) => column === "leave")),
    dead: along.reduce((sum, { dead }) => sum + dead, 0),
  };
}
