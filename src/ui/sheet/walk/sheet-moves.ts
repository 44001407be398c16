import type { Use } from "@/core/model";
import type { Place } from "./cell-focus";

export const USE_KEYS: Readonly<Record<string, Use>> = { u: "used", h: "hardly", n: "unused" };

/** Rows that a page of keys goes by. */
const PAGE = 15;

const clamp = (n: number, length: number) => Math.max(0, Math.min(length - 1, n));

/** Where a key goes from a cell, within so many rows and trips; null: the key goes nowhere. */
export function moveOfKey(key: string, { row, trip }: Place, rows: number, trips: number): Place | null {
  const moves: Readonly<Record<string, Place>> = {
    ArrowDown: { row: row + 1, trip },
    ArrowUp: { row: row - 1, trip },
    ArrowRight: { row, trip: trip + 1 },
    ArrowLeft: { row, trip: trip - 1 },
    Home: { row, trip: 0 },
    End: { row, trip: trips - 1 },
    PageDown: { row: row + PAGE, trip },
    PageUp: { row: row - PAGE, trip },
  };
  const move = moves[key];
  return move ? { row: clamp(move.row, rows), trip: clamp(move.trip, trips) } : null;
}
