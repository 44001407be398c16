import type { ItemId, Load, Stow } from "@/core/model";
import type { Column } from "@/core/plan/columns";
import type { Plan } from "@/core/plan/plan";
import { sayWhy } from "@/core/plan/words";
import { countsAs } from "@/core/weighin/weigh-in";

/** Where its owner puts a thing by hand. */
export type Side = "take" | "leave";

/** A thing on the board, as plain data. */
export interface BoardLine {
  readonly id: ItemId;
  readonly name: string;
  readonly stow: Stow;
  /** What it moves as one with: all lines of that set; null: it moves by itself. */
  readonly set: string | null;
  readonly grams: number | null;
  readonly counts: Load;
  readonly column: Column;
  /** Where it stands by itself. */
  readonly own: Column;
  readonly why: string;
  /** Chance, 0 to 1, that it is used. */
  readonly chance: number;
  /** Gram-metres of it that are likely carried for nothing. */
  readonly dead: number;
}

export const boardLines = ({ lines, next }: Plan): BoardLine[] =>
  lines.map((line) => ({
    id: line.item.id,
    name: line.item.name,
    stow: line.item.stow,
    set: line.item.set,
    grams: line.advice.grams,
    counts: countsAs(line.item),
    column: line.column,
    own: line.own,
    why: sayWhy(line),
    chance: line.chance,
    dead: line.item.cover ? 0 : (line.advice.grams ?? 0) * (1 - line.chance) * next.metres,
  }));

/** A move, or the owner's word taken back (null). */
export interface Move {
  readonly id: ItemId;
  readonly set: string | null;
  readonly to: Side | null;
}
