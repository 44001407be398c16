/** How a weight is known, and what is weighed first. */
export const ITEM_PLACES = { "not weighed": 0, claimed: 1, measured: 2 } as const;
export type Known = keyof typeof ITEM_PLACES;
