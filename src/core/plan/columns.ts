/** Where a thing stands for the trip ahead, in the order it is read. */
export const COLUMNS = ["not ready", "take", "take if", "leave"] as const;
export type Column = (typeof COLUMNS)[number];
