import type { AdviceFamily, BenchPlace, EntryWhat, OwnerCall, Verb } from "../model";
import type { StepSort } from "./steps";

/** The sting for what must not go out, the stem for what is to be done, the leaf for what is to be thought of. */
export type Look = "sting" | "stem" | "leaf" | "struck" | "quiet";

interface VerbRule {
  /** Its place among verdicts of equal weight, the first leading. */
  readonly order: number;
  /** Whose taste it is a matter of, where its owner may do otherwise. */
  readonly family?: AdviceFamily;
  /** On what is trip-ending or dangerous it comes before everything else. */
  readonly pressing?: boolean;
  /** Following it leaves the thing at home: for good, or unless what calls for it is to come. */
  readonly leaves?: "for good" | "unless called";
  /** A thing that goes along is not ready before this is done about it. */
  readonly first?: boolean;
  /** Where it is done, of what is work for the bench; and which steps it takes. */
  readonly bench?: { readonly place: BenchPlace; readonly steps: StepSort };
  /** Another thing would settle it. */
  readonly wantsAnother?: boolean;
  /**
   * It says that the thing may go wrong: what the engine's own score is reckoned from, and what whoever lent
   * it is told.
   */
  readonly warns?: boolean;
  /** Nothing is to be done: the thing goes along. */
  readonly stays?: boolean;
  /** What need not be said of the same thing beside it. */
  readonly silences: readonly Verb[];
  /** What may be logged against it, the likeliest first. */
  readonly remedies: readonly EntryWhat[];
  /** The owner's calls that it agrees with. */
  readonly agrees: readonly OwnerCall[];
  /** How its word looks; the classes are the theme's. */
  readonly look: Look;
}

/** What the rest of the code needs to know of each verb, once. */
export const VERBS: Readonly<Record<Verb, VerbRule>> = {
  replace: {
    order: 0,
    family: "see to it",
    pressing: true,
    first: true,
    bench: { place: "shop", steps: "buy" },
    wantsAnother: true,
    warns: true,
    silences: ["repair", "service", "prove", "swap"],
    remedies: ["restock", "repair", "service"],
    agrees: ["replace", "leave", "try something else"],
    look: "sting",
  },
  repair: {
    order: 1,
    family: "see to it",
    pressing: true,
    first: true,
    bench: { place: "home", steps: "mend" },
    warns: true,
    silences: ["service", "prove"],
    remedies: ["repair"],
    agrees: ["fix", "bring again"],
    look: "sting",
  },
  service: {
    order: 2,
    family: "see to it",
    first: true,
    bench: { place: "home", steps: "serve" },
    silences: [],
    remedies: ["service", "restock", "wash", "check"],
    agrees: ["fix", "bring again", "bring when"],
    look: "stem",
  },
  prove: {
    order: 3,
    family: "see to it",
    pressing: true,
    first: true,
    bench: { place: "near home", steps: "try" },
    silences: [],
    remedies: ["trial"],
    agrees: ["bring again", "bring when", "fix"],
    look: "stem",
  },
  drop: {
    order: 4,
    family: "leave it",
    leaves: "for good",
    silences: ["service", "bring only when", "slim", "swap", "prove", "keep as cover"],
    remedies: [],
    agrees: ["leave", "try something else"],
    look: "struck",
  },
  "bring only when": {
    order: 5,
    family: "only when",
    leaves: "unless called",
    silences: ["keep as cover", "swap"],
    remedies: [],
    agrees: ["bring when", "leave", "bring again"],
    look: "leaf",
  },
  slim: {
    order: 6,
    family: "thinner",
    bench: { place: "home", steps: "thin" },
    silences: ["keep as cover"],
    remedies: [],
    agrees: ["bring again"],
    look: "stem",
  },
  swap: {
    order: 7,
    family: "another sort",
    bench: { place: "shop", steps: "buy" },
    wantsAnother: true,
    silences: [],
    remedies: [],
    agrees: ["try something else", "replace"],
    look: "stem",
  },
  add: { order: 8, silences: [], remedies: [], agrees: [], look: "leaf" },
  "keep as cover": {
    order: 9,
    stays: true,
    silences: [],
    remedies: [],
    agrees: ["bring again", "bring when"],
    look: "quiet",
  },
  keep: {
    order: 10,
    stays: true,
    silences: [],
    remedies: [],
    agrees: ["bring again", "bring when"],
    look: "quiet",
  },
};

export const stays = (verb: Verb) => VERBS[verb].stays === true;
