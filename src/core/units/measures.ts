import { z } from "zod";
import { parseLength, parseMass, type Length, type Mass as MassRead, type Parsed } from "./quantity";
import { Text } from "./text";

/** Quantities as a file has them: what was typed, read as they are taken in. */
function quantitySchema<T extends { readonly typed: string }>(
  read: (text: string) => Parsed<T>,
  describe: string,
) {
  return z
    .codec(z.union([Text.max(60, "Keep it under 60 characters."), z.number()]), z.custom<T>(), {
      decode: (raw, context) => {
        const parsed = read(String(raw));
        if (parsed.ok) return parsed.value;
        context.issues.push({ code: "custom", message: parsed.why, input: raw });
        return z.NEVER;
      },
      encode: (quantity) => quantity.typed,
    })
    .meta({ description: describe });
}

/** In a file: "9.6 oz", or a number of grams. */
export const Mass = quantitySchema<MassRead>(
  (text) => parseMass(text, "g"),
  'A weight with its unit, as typed ("312 g", "9.6 oz", "2 lb 3 oz"); a bare number is grams.',
);
/** In a file: "62 km", or a number of kilometres. */
export const Distance = quantitySchema<Length>(
  (text) => parseLength(text, "km"),
  'A distance with its unit, as typed ("62 km", "38 mi"); a bare number is kilometres.',
);
/** In a file: "850 m", or a number of metres. */
export const Height = quantitySchema<Length>(
  (text) => parseLength(text, "m"),
  'A height with its unit, as typed ("850 m", "2800 ft"); a bare number is metres.',
);
