import type { Strength, Terrain } from "../model";

/** How hard ground is on what touches it. Common practice, no source. */
export const TERRAIN_WEAR: Readonly<Record<Terrain, number>> = {
  soft: 0.8,
  mixed: 1,
  road: 1.2,
  mud: 1.2,
  sand: 1.3,
  rock: 1.5,
};

/** Share of a trip's days on which something that the weather calls for is in use. Common practice, no source. */
export const CALLED_SHARE: Readonly<Record<Strength, number>> = { none: 0.05, some: 0.4, strong: 0.75 };
