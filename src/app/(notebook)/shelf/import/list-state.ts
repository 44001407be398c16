import type { Mapping, Mends } from "@/formats/items-csv";

/** How far all of a list has gone: as its trips will say, nowhere, or nobody knows. */
type Past = "known" | "new" | "unknown";

/** A list as it was given, and all that was said of it since: plain data. */
export interface ListState {
  readonly text: string;
  /** Columns as they were set by hand; null: as they are guessed. */
  readonly chosen: Mapping | null;
  readonly mends: Mends;
  /** Ticked: take what is here already, what looks like a heading, what is heavy. */
  readonly doubles: boolean;
  readonly asides: boolean;
  readonly sure: boolean;
  /** The weight of several pieces is that of each; null: as the column's heading says. */
  readonly each: boolean | null;
  /** The weights are the makers', and were never weighed. */
  readonly claimed: boolean;
  readonly past: Past;
  /** Say all weights in the list's unit from now on. */
  readonly takeUnit: boolean;
}

export const NO_LIST: ListState = {
  text: "",
  chosen: null,
  mends: new Map(),
  doubles: false,
  asides: false,
  sure: false,
  each: null,
  claimed: false,
  past: "known",
  takeUnit: false,
};

/** Another list: what was said of the last one's rows and columns does not hold for it. */
export const otherList = (state: ListState, text: string): ListState => ({
  ...state,
  text,
  chosen: null,
  sure: false,
  mends: new Map(),
});
