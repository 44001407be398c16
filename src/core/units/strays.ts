/**
 * Characters of XML 1.0 (section 2.2, Char): what no file, store or page may hold is none of them, half a
 * character among it.
 */
export const STRAY = /[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/u;
const STRAYS = new RegExp(STRAY, "gu");

/** What is left of a text without characters that can't be kept. */
export const withoutStrays = (text: string): string => text.replace(STRAYS, "");
