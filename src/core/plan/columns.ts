/** Where a thing stands for the trip ahead, in the order it is read. */
export const COLUMNS = ["not ready", "take", "take if", "leave"] as const;
export type Column = (typeof COLUMNS)[number];

/** Does what stands in a column go along? What is not ready does too, once something is done. */
export const isAlong = (column: Column) => column === "take" || column === "not ready";
