import type { Life } from "../life-belief";

/** Share, 0 to 1, of lives that last beyond `wear`, from each worn-out life on. */
export interface SurvivalStep {
  readonly wear: number;
  readonly lasts: number;
}

/**
 * The product-limit estimate of Kaplan and Meier (J. Amer. Statist. Assoc. 53:457, 1958): survival as the
 * lives show it, with no model of their shape. A life censored at the wear at which another ends counts as
 * still going there.
 */
export function kaplanMeier(lives: readonly Life[]): SurvivalStep[] {
  const ends = [...new Set(lives.filter(isOver).map((life) => life.wear))].sort((a, b) => a - b);
  let lasts = 1;
  return ends.map((wear) => {
    const going = lives.filter((life) => life.wear >= wear).length;
    const over = lives.filter((life) => isOver(life) && life.wear === wear).length;
    lasts *= 1 - over / going;
    return { wear, lasts };
  });
}

const isOver = ({ wornOut }: Life) => wornOut > 0.5;
