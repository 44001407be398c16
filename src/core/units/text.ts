import { z } from "zod";
import { STRAY } from "./strays";

/** Every string that a person may type, or a file bring in. */
export const Text = z
  .string("Write it as text.")
  .refine((text) => !STRAY.test(text), "It holds a character that can't be kept. Type it again.");
