import type { Consequence, Job, Load, OwnService, Stow, Symptom, Trigger, WearUnit } from "../model";

/**
 * A service that keeps a kind going: due by whichever of its counts comes first. Common practice, no source.
 * Lengths in metres.
 */
export interface ServiceRule {
  readonly what: string;
  /** Wear, in the kind's own unit, after which it is due. */
  readonly every?: number;
  /** The need for it shows in use, so that its count alone is only a reminder. */
  readonly shows?: boolean;
  /** Due once a year of use, before the season. */
  readonly seasonal?: boolean;
  /** Days since it was last done, and washes since, that it holds. */
  readonly days?: number;
  readonly washes?: number;
  /** Store can spoil it: it wants this look before the first trip after a long rest. */
  readonly afterStore?: boolean;
  /** Due after a patch, before it is relied on again. */
  readonly afterMending?: boolean;
  /** Done first when one of these is seen: leaks and clogs get service before anything is mended or bought. */
  readonly cures?: readonly Symptom[];
}

/** What a kind is looked at for before it goes out. */
export interface Look {
  readonly what: string;
  /** Store can spoil it: it is the first to be looked at after a long rest. */
  readonly store: boolean;
}

/** A rest from so many days on can spoil what store can spoil. Common practice, no source. */
export const STORED_DAYS = 100;

/** Weibull life in the kind's wear unit; `a` is how many observed lives the rule of thumb is worth. */
export interface LifeRule {
  readonly median: number;
  readonly k: number;
  readonly a: number;
}

/** A thing that can be measured on a kind, and the value at which it is done. Readings fall with wear. */
export interface ReadingRule {
  readonly what: string;
  readonly unit: string;
  /** At or below this it no longer does its job. */
  readonly limit: number;
  /** How far two readings of the same thing may differ, as a standard deviation. */
  readonly error: number;
}

/** A sort of thing, and what it brings with it. */
export interface Kind {
  readonly id: string;
  readonly jobs: readonly Job[];
  readonly triggers: readonly Trigger[];
  readonly stow: Stow;
  readonly load: Load;
  readonly cover: boolean;
  readonly consequence: Consequence;
  /** What a usual one costs, in euros, where the owner has not told. */
  readonly price: number;
  readonly wears: WearUnit;
  /** Wear in `wears` for each night out, where the log counts nothing closer (litres, burns, cycles). */
  readonly perNight: number;
  readonly terrain: boolean;
  /** Of what is worn about camp and in town: metres an evening, instead of the day's way; 0: the day's. */
  readonly evening: number;
  /** Several on one leg are worn in turn and share its wear; so are the pieces of one item. */
  readonly inTurn: boolean;
  readonly life: LifeRule | null;
  /**
   * Wear, not only age or mishap, ends it, and with it the trip or worse: a life nearly used up is enough to
   * replace it.
   */
  readonly wearsOut: boolean;
  readonly services: readonly ServiceRule[];
  /** Those that its owner wants done on everything of the kind. */
  readonly ownServices: readonly OwnService[];
  /** What can be measured on it, and the value at which it is done. */
  readonly readings: readonly ReadingRule[];
  /** Days in use after which it is replaced whatever it looks like; null: age does not decide. */
  readonly ageDays: number | null;
  /** What mending brings back: wear and damage, damage alone (worn cloth stays worn), or nothing. */
  readonly mends: "all" | "damage" | "nothing";
  /** Mended or altered, it is tried near home before it is relied on, though it is no matter of life. */
  readonly triedFirst: boolean;
  /** Ruined by freezing wet, in a way that no test at home shows. */
  readonly freezes: boolean;
  /** Its parts are used up or opened one by one: slimmed, not dropped. */
  readonly contents: boolean;
  /** Drunk from, or blown into: mould inside ends it. */
  readonly spoiltByMould: boolean;
  /** Cells, gas and sparks stop in the cold and work again in the warm: that is no fault of theirs. */
  readonly coldStops: boolean;
  /** For a season, a place, bugs or long carries: brought when those are expected. */
  readonly seasonal: boolean;
  /** What a trip without a call says of it: nothing ("keep"), or what its whole record says ("weigh"). */
  readonly noCall: "keep" | "weigh";
  readonly look: Look | null;
  /** Filled again from a socket or a bank: it wants a cable for that. */
  readonly filled: boolean;
  /** Several are in use at a time, so that their number counts. */
  readonly counted: boolean;
  /**
   * Grams from which what holds several things is a full shop-bought one, that may be thinned. Common
   * practice, no source.
   */
  readonly fullKit: number;
}

const PLAIN: Omit<Kind, "id"> = {
  jobs: ["other"],
  triggers: ["always"],
  stow: "main",
  load: "base",
  cover: false,
  consequence: "nuisance",
  price: 25,
  wears: "none",
  perNight: 0,
  terrain: false,
  evening: 0,
  inTurn: false,
  life: null,
  wearsOut: false,
  services: [],
  ownServices: [],
  readings: [],
  ageDays: null,
  mends: "damage",
  triedFirst: false,
  freezes: false,
  contents: false,
  spoiltByMould: false,
  coldStops: false,
  seasonal: false,
  noCall: "weigh",
  look: null,
  filled: false,
  counted: false,
  fullKit: 500,
};

/**
 * The owner's own grade, 5 (as new) to 0 (gone): at 1 it is done. Two looks at the same thing differ by over
 * half a grade. Common practice, no source.
 */
export const CONDITION: ReadingRule = { what: "condition", unit: "of 5", limit: 1, error: 0.6 };

/** A kind, by what sets it apart from a plain thing. */
export const kind = (id: string, differs: Partial<Kind>): Kind => ({
  ...PLAIN,
  ...differs,
  id,
  readings: [...(differs.readings ?? []), ...(differs.life ? [CONDITION] : [])],
});
