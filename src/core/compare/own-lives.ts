import type { Kit } from "../advice/kit";
import { kaplanMeier } from "../belief/fits/kaplan-meier";
import { wornOutOf } from "../belief/life-belief";
import { fitWeibull, weibullMedian } from "../belief/fits/weibull-fit";

/** What the owner's own lives of a kind come to, in its wear unit. */
export interface OwnLives {
  readonly wornOut: number;
  readonly all: number;
  /** By which half were over (Kaplan–Meier), and the Weibull fitted to them; null where too few have worn out. */
  readonly half: number | null;
  readonly fit: { readonly median: number; readonly shape: number } | null;
}

/** The owner's own lives, by kind. */
export const ownLives = ({ surveyed }: Kit): Readonly<Record<string, OwnLives>> =>
  Object.fromEntries(
    [...surveyed.beliefs].map(([kind, { lives }]) => {
      const fit = fitWeibull(lives);
      return [
        kind,
        {
          wornOut: wornOutOf(lives),
          all: lives.length,
          half: kaplanMeier(lives).find(({ lasts }) => lasts <= 0.5)?.wear ?? null,
          fit: fit && { median: weibullMedian(fit), shape: fit.shape },
        },
      ];
    }),
  );
