import type { Trigger, TripId, Verb } from "../model";

export const URGENCIES = ["now", "before next trip", "when convenient", "watch"] as const;
export type Urgency = (typeof URGENCIES)[number];
type Sureness = "sure" | "likely" | "perhaps";

/** One figure or fact, and the trips it comes from. */
interface Evidence {
  readonly text: string;
  readonly trips: readonly TripId[];
}

/** What a rule finds: advice with its evidence. The owner decides. */
export interface Finding {
  readonly verb: Verb;
  readonly urgency: Urgency;
  readonly sureness: Sureness;
  /** One sentence of plain evidence, then the advice. */
  readonly says: string;
  readonly evidence: readonly Evidence[];
  /** The rule that spoke, and the line it was held against. */
  readonly rule: string;
  readonly caution?: string;
  /** For "bring only when": what calls for it. */
  readonly when?: readonly Trigger[];
  /** Grams that following it takes out of the pack. */
  readonly saves?: number;
}

/** What hangs on it: weight saved by leaving it, weight lugged for nothing so far, money. */
export interface Stake {
  readonly grams: number | null;
  readonly deadGramMetres: number;
  readonly price: number | null;
}
