import type { z } from "zod";
import type { Mark } from "./mark";

/**
 * Marks where a page makes and sends them, without their schema: `Mark.parse({ use })` and `Mark.encode`, as
 * `plain-mark.test.ts` holds.
 */
export const markOf = (use: Mark["use"]): Mark => ({
  use,
  troubles: [],
  symptoms: [],
  complaints: [],
  exit: null,
  why: null,
  cause: null,
  at: null,
  where: "",
  fix: null,
  cost: null,
  condition: null,
  reading: null,
  days: null,
  pieces: null,
  enough: null,
  left: null,
  frost: null,
  call: null,
  note: "",
});

/** A mark as a file has it: a distance as it was typed. */
export const markInFile = (mark: Mark): z.input<typeof Mark> => ({
  ...mark,
  at: mark.at && { ...mark.at, distance: mark.at.distance?.typed ?? null },
});
