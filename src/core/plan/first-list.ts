import type { Advice } from "../advice/advise";
import type { Job } from "../model";
import type { FullItem } from "../trade/full-item";
import { isUnavoidable } from "../trade/triggers";

/** Of what is worn in turn, so many go: one worn, one drying. Common practice, no source. */
const IN_TURN = 2;

/** How many of a sort go at a time, where nothing has gone yet. */
const atATime = ({ rules }: FullItem) => (rules.inTurn ? IN_TURN : 1);

/** Jobs that one thing does at a time, whatever it is called. */
const ONE_DOES: readonly Job[] = ["shelter", "pad", "walk", "carry", "light", "treat water"];

/** What does the same thing in the same place: one of it is enough. */
const isRival = (a: FullItem, b: FullItem) =>
  a.stow === b.stow &&
  ((a.kind === b.kind && a.kind !== "other") ||
    ONE_DOES.some((job) => a.jobs[0] === job && b.jobs[0] === job));

/** The lighter is taken first; of packs, the larger: what is to be out overnight has to go in. */
function isRather(a: FullItem, b: FullItem): boolean {
  const less = a.kind === "pack" ? weighs(b) - weighs(a) : weighs(a) - weighs(b);
  return less === 0 ? a.id < b.id : less < 0;
}

/** What was never weighed is taken for the heaviest. */
const weighs = ({ weight }: FullItem) => weight?.g ?? Infinity;

/**
 * Before anything ever went, what one needs: of each sort the lightest that does it; no hobby; and what only some
 * weather
 * asks for, where that is expected. Which thing goes in its place; null where none does.
 */
export function rivalAtFirst({ case: { item } }: Advice, things: readonly Advice[]): FullItem | null {
  const before = things
    .map(({ case: { item: other } }) => other)
    .filter((other) => other !== item && isRival(item, other) && isRather(other, item));
  return before.length >= atATime(item) ? (before[0] ?? null) : null;
}

/** Asked for by some weather or place, and not by every day or night out. */
export const isOfWeather = ({ triggers, cover, rules }: FullItem) =>
  rules.seasonal || (!cover && !triggers.some(isUnavoidable));
