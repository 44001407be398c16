import type { Mapping, Mends } from "@/formats/items-csv";

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
  /** The weight of several pieces is that of each. */
  readonly each: boolean;
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
  each: false,
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
