import type { EntryWhat, OwnerCall, Verb } from "../model";

/** The sting for what must not go out, the stem for what is to be done, the leaf for what is to be thought of. */
export type Look = "sting" | "stem" | "leaf" | "struck" | "quiet";

interface VerbRule {
  /** Its place among verdicts of equal weight, the first leading. */
  readonly order: number;
  /** On what is trip-ending or dangerous it comes before everything else. */
  readonly pressing?: boolean;
  /** Following it leaves the thing at home. */
  readonly leaves?: boolean;
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
    pressing: true,
    silences: ["repair", "service", "prove", "swap"],
    remedies: ["restock", "repair", "service"],
    agrees: ["replace", "leave", "try something else"],
    look: "sting",
  },
  repair: {
    order: 1,
    pressing: true,
    silences: ["service", "prove"],
    remedies: ["repair"],
    agrees: ["fix", "bring again"],
    look: "sting",
  },
  service: {
    order: 2,
    silences: [],
    remedies: ["service", "restock", "wash", "check"],
    agrees: ["fix", "bring again", "bring when"],
    look: "stem",
  },
  prove: {
    order: 3,
    pressing: true,
    silences: [],
    remedies: ["trial"],
    agrees: ["bring again", "bring when", "fix"],
    look: "stem",
  },
  drop: {
    order: 4,
    leaves: true,
    silences: ["service", "bring only when", "slim", "swap", "prove", "keep as cover"],
    remedies: [],
    agrees: ["leave", "try something else"],
    look: "struck",
  },
  "bring only when": {
    order: 5,
    leaves: true,
    silences: ["keep as cover", "swap"],
    remedies: [],
    agrees: ["bring when", "leave", "bring again"],
    look: "leaf",
  },
  slim: {
    order: 6,
    silences: ["keep as cover"],
    remedies: [],
    agrees: ["bring again"],
    look: "stem",
  },
  swap: { order: 7, silences: [], remedies: [], agrees: ["try something else", "replace"], look: "stem" },
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
export const leavesHome = (verb: Verb) => VERBS[verb].leaves === true;
