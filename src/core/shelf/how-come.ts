/** How a thing came to its owner: what that says of its life before. */
export const HOW_COME = ["bought", "found", "borrowed", "had already"] as const;
export type HowCome = (typeof HOW_COME)[number];

/** What became of the thing that a new one took over from. */
export const OLDER_IS = ["worn out", "retired", "still in use"] as const;
export type OlderIs = (typeof OLDER_IS)[number];
