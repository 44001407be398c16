import { z } from "zod";
import { Text } from "../../units/text";
import { findKind } from "./names";

/** A kind by any of its names, kept as its first; the list is docs/kinds.md. */
export const KindName = z.codec(Text.max(60), Text, {
  decode: (word, context) => {
    const found = findKind(word);
    if (found) return found.id;
    context.issues.push({
      code: "custom",
      message: `“${word}” is not a kind known here; “other” always is.`,
      input: word,
    });
    return z.NEVER;
  },
  encode: (id) => id,
});
