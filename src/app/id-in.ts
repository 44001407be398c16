import { notFound } from "next/navigation";
import type { z } from "zod";

/** The id in an address; what cannot be one is not found. */
export function idIn<T extends z.ZodType>(schema: T, raw: string): z.output<T> {
  const id = schema.safeParse(decoded(raw));
  return id.success ? id.data : notFound();
}

function decoded(raw: string): string | null {
  try {
    return decodeURIComponent(raw);
  } catch {
    return null;
  }
}
