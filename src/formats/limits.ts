/** Largest track read, in bytes. */
export const GPX_LIMIT = 64 * 1024 * 1024;

/** Largest list read, in bytes. */
export const CSV_LIMIT = 5 * 1024 * 1024;
