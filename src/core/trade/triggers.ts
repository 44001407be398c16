import type { Trigger } from "../model";
import { isOneOf, keysOf } from "../sums/keys";

interface TriggerRule {
  /** As the end of "bring it only when you expect …" and of "no …". */
  readonly words: string;
  /** Can be seen coming before a trip; the lower, the more telling. */
  readonly foreseen?: number;
  /** Every night out, or every trip, brings it by itself: "no call for it" is no excuse there. */
  readonly unavoidable?: boolean;
}

/** What calls things into use. Common practice, no source. */
export const TRIGGER_RULES: Readonly<Record<Trigger, TriggerRule>> = {
  "snow or ice": { words: "snow and ice", foreseen: 1 },
  bugs: { words: "bugs", foreseen: 2 },
  ticks: { words: "ticks", foreseen: 3 },
  freezing: { words: "frost", foreseen: 4 },
  "dry stretch": { words: "long dry stretches", foreseen: 5 },
  crossings: { words: "river crossings", foreseen: 6 },
  cold: { words: "cold", foreseen: 7 },
  heat: { words: "heat", foreseen: 8 },
  sun: { words: "sun", foreseen: 9 },
  rain: { words: "rain", foreseen: 10 },
  wind: { words: "wind", foreseen: 11 },
  condensation: { words: "condensation", foreseen: 12 },
  "no signal": { words: "no signal", foreseen: 13 },
  town: { words: "towns", foreseen: 14 },
  darkness: { words: "long dark evenings", unavoidable: true },
  "camp time": { words: "long camps", unavoidable: true },
  injury: { words: "injury" },
  breakage: { words: "breakage" },
  always: { words: "always", unavoidable: true },
};

const rank = (trigger: Trigger) => TRIGGER_RULES[trigger].foreseen;

/** What can be seen coming, the most telling first. */
export const FORESEEN: readonly Trigger[] = keysOf(TRIGGER_RULES)
  .filter((trigger) => rank(trigger) !== undefined)
  .sort((a, b) => rank(a)! - rank(b)!);

export const isUnavoidable = (trigger: Trigger) => TRIGGER_RULES[trigger].unavoidable === true;
/** Weather that can be seen coming, among the grounds and weathers that a complaint may name. */
export const isWeatherToCome = (place: string): place is Trigger => isOneOf(FORESEEN, place);
export const isForeseen = (trigger: Trigger) => rank(trigger) !== undefined;
