/** How a thing came to its owner: what that says of its life before. */
export const HOW_COME = ["bought", "found", "borrowed", "had already"] as const;
export type HowCome = (typeof HOW_COME)[number];
