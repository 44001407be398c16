import type { Case } from "../decide/case";
import { partOf } from "../ledger/book";
import type { Outing } from "../ledger/outing";
import type { Advice } from "../advice/advise";
import { whenHolds } from "../advice/foresee";
import type { Kit } from "../advice/kit";
import { walkingKilocalories, TYPICAL_BODY_KG } from "./load-energy";
import { lastOf } from "../sums/there";

/** A thing of the last pack with its worth for its weight. */
interface Ranked {
  readonly one: Case;
  readonly worth: number;
  readonly grams: number;
  /** To be left on a trip like this, by its leading verdict: dropped, or without the weather that it is for. */
  readonly loses: boolean;
  /** Used on most trips like it: it is kept for that, whatever its weight. */
  readonly wanted: boolean;
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

/** Used on so large a share of trips, a thing is kept for its use. */
const WANTED = 0.5;

/**
 * The advice decides, here as on the slips: what is brought only when its weather comes stays when that was
 * not there.
 */
const isLeft = ({ leaves }: Advice, { strengths }: Outing): boolean =>
  leaves !== null &&
  (leaves.when === undefined ||
    whenHolds(leaves.when, { strength: (trigger) => strengths[trigger] }) !== true);

/**
 * Of the last outing's pack; null before the first. Cover, what is dangerous to lack, joys and what was not
 * weighed are not ranked.
 */
export function packWorth({ book, things }: Kit): PackWorth | null {
  const outing = book.outings.at(-1);
  if (!outing) return null;
  const along = things.filter(({ case: { marked } }) => marked.at(-1)?.outing === outing);
  const ranked = along
    .flatMap((advice): Ranked[] => {
      const { case: one } = advice;
      const grams = (one.item.weight?.g ?? 0) * partOf(lastOf(one.marked).carry);
      // What has left since is ranked no more; it weighed on that trip all the same.
      if (one.standing === "gone") return [];
      if (one.worth === null || grams === 0 || one.item.load === "consumable") return [];
      return [
        { one, grams, worth: one.worth, loses: isLeft(advice, outing), wanted: one.tripChance >= WANTED },
      ];
    })
    .sort((a, b) => a.worth - b.worth || b.grams - a.grams);
  const savedGrams = ranked.reduce((sum, { loses, grams }) => sum + (loses ? grams : 0), 0);
  const body = (book.settings.body?.g ?? TYPICAL_BODY_KG * 1000) / 1000;
  const load =
    along.reduce(
      (sum, { case: { item, marked } }) => sum + (item.weight?.g ?? 0) * partOf(lastOf(marked).carry),
      0,
    ) / 1000;
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
