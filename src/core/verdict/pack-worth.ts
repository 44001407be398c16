import { walkingKilocalories } from "../evidence/load-energy";
import type { Book, Outing } from "../ledger/book";
import type { Case } from "./case";
import { mayBeDropped } from "./drop";
import type { Judgement, Verdict } from "./judge";

/** A thing of the last pack with its worth for its weight. */
interface Ranked {
  readonly one: Case;
  readonly worth: number;
  readonly grams: number;
  /** To be left on a trip like this: dropped, one too many, idle without its weather, or worth less than the school asks and seldom used. */
  readonly loses: boolean;
}

/** The whole pack ranked, the least worth first, and what leaving the losers would save on a trip like the last. */
export interface PackWorth {
  readonly outing: Outing;
  readonly ranked: readonly Ranked[];
  readonly savedGrams: number;
  readonly savedGramMetres: number;
  /** By the Pandolf equation, for the owner's body weight and all that was carried and weighed. */
  readonly savedKilocalories: number;
  readonly body: number;
  readonly load: number;
}

/** Body weight where the owner has given none, kg. Common practice, no source. */
const TYPICAL_BODY = 75;

function isLeft(one: Case, lead: Verdict, outing: Outing): boolean {
  if (lead.verb === "drop" || (lead.verb === "slim" && lead.saves)) return true;
  if (lead.verb === "bring only when")
    return lead.when!.length > 0 && !lead.when!.some((trigger) => outing.calls.has(trigger));
  // Weight alone condemns nothing that is used and liked.
  return (
    mayBeDropped(one) &&
    one.worth! < one.school.worthNeeded &&
    one.tripChance < SELDOM &&
    one.marked.length >= MARKS_FOR_WORTH
  );
}

/** Used on fewer trips than this share, what is not worth its weight may go. Common practice, no source. */
const SELDOM = 0.5;

/** Marks below which worth is more guess than evidence. */
const MARKS_FOR_WORTH = 3;

/** Of the last outing's pack; null before the first. Cover, what is dangerous to lack, joys and what was not weighed are not ranked. */
export function packWorth(book: Book, judgements: readonly Judgement[]): PackWorth | null {
  const outing = book.outings.at(-1);
  if (!outing) return null;
  const along = judgements.filter(({ case: { marked } }) => marked.at(-1)?.outing === outing);
  const ranked = along
    .flatMap(({ case: one, verdicts }): Ranked[] => {
      const grams = one.item.weight?.g ?? 0;
      if (one.worth === null || grams === 0 || one.item.load === "consumable") return [];
      return [{ one, grams, worth: one.worth, loses: isLeft(one, verdicts[0], outing) }];
    })
    .sort((a, b) => a.worth - b.worth || b.grams - a.grams);
  const savedGrams = ranked.reduce((sum, { loses, grams }) => sum + (loses ? grams : 0), 0);
  const body = (book.settings.body?.g ?? TYPICAL_BODY * 1000) / 1000;
  const load = along.reduce((sum, { case: { item } }) => sum + (item.weight?.g ?? 0), 0) / 1000;
  const stretches = outing.trip.legs.map(({ distance, ascent, terrain }) => ({
    metres: distance.m,
    ascent: ascent?.m ?? 0,
    terrain,
  }));
  return {
    outing,
    ranked,
    savedGrams,
    body,
    load,
    savedGramMetres: savedGrams * outing.metres,
    savedKilocalories:
      walkingKilocalories(stretches, { body, load }) -
      walkingKilocalories(stretches, { body, load: load - savedGrams / 1000 }),
  };
}
