/** Largest track read, in bytes. */
export const GPX_LIMIT = 64 * 1024 * 1024;

/** Largest list read, in bytes. */
export const CSV_LIMIT = 5 * 1024 * 1024;

/** Largest log read, in bytes: a reading a minute for five months. */
export const THERMOMETER_LIMIT = 16 * 1024 * 1024;

/** Cells of a spreadsheet at most. */
export const MOST_CELLS = 200_000;
