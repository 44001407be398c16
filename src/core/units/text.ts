import { z } from "zod";

/**
 * Characters of XML 1.0 (section 2.2, Char): what no file, store or page may hold is none of them, half a
 * character among it.
 */
const STRAY = /[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/u;
const STRAYS = new RegExp(STRAY, "gu");

/** Every string that a person may type, or a file bring in. */
export const Text = z
  .string("Write it as text.")
  .refine((text) => !STRAY.test(text), "It holds a character that can't be kept. Type it again.");

/** What is left of a text without characters that can't be kept. */
export const withoutStrays = (text: string): string => text.replace(STRAYS, "");
