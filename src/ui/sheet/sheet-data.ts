import type { State } from "@/core/ledger/history";
import type { Job, Stow, TripId, ItemId, Verb } from "@/core/model";
import type { Urgency } from "@/core/model";
import type { Units } from "@/core/units/speak";
import type { RulerFigures } from "../ruler";
import type { StrokeCode } from "../stroke/stroke";

/** A column of the sheet. */
export interface SheetTrip {
  readonly id: TripId;
  readonly name: string;
  readonly metres: number;
  readonly distance: string;
  readonly nights: number;
  readonly signs: readonly string[];
  readonly cut: boolean;
}

/** A row of the sheet; `strokes` has one code a trip. */
export interface SheetRow {
  readonly id: ItemId;
  readonly name: string;
  readonly kind: string;
  readonly jobs: readonly Job[];
  readonly stow: Stow;
  readonly grams: number;
  readonly weight: string;
  readonly strokes: string;
  /** What was done to it before the trip of a column, in words; after the last trip, under the number of trips. */
  readonly seams: Readonly<Record<number, string>>;
  readonly metres: number;
  readonly distance: string;
  readonly nights: number;
  readonly ruler: RulerFigures | null;
  readonly left: string;
  /** "active", or how it left. */
  readonly state: State;
  readonly verb: Verb;
  readonly urgency: Urgency;
  /** One telling of the owner: drawn lighter. */
  readonly leaning: boolean;
  readonly ruled: boolean;
  readonly says: string;
  readonly dead: number;
  readonly worth: number;
}

export interface SheetData {
  readonly trips: readonly SheetTrip[];
  readonly rows: readonly SheetRow[];
  readonly units: Units;
}

export const strokeAt = (row: SheetRow, trip: number) => row.strokes[trip] as StrokeCode;

const SEAMS = new WeakMap<SheetRow, readonly number[]>();
/** The columns before which something was done to it; the same list each time, as it is drawn from. */
export function seamsOf(row: SheetRow): readonly number[] {
  const known = SEAMS.get(row) ?? Object.keys(row.seams).map(Number);
  SEAMS.set(row, known);
  return known;
}
