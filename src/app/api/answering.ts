import { z } from "zod";
import { codeOf, isRefused, NOT_THERE } from "@/data/refused";

/** A body as JSON; what is none is nothing that any schema takes. */
export function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/**
 * Answers a request with what `work` comes to, as JSON; or, in a sentence, with what is wrong with it (400),
 * what stands against it (409), or that there is no room (507): what was refused for want of room may be sent
 * again.
 */
export async function answering(work: () => Promise<unknown>): Promise<Response> {
  try {
    return Response.json(await work());
  } catch (error) {
    if (error instanceof z.core.$ZodError)
      return no(400, error.issues.map(({ path, message }) => `${path.join(".")}: ${message}`).join("; "));
    if (isRefused(error)) return no(error.wantsRoom ? 507 : 409, error.message);
    // Removed meanwhile, perhaps in another tab.
    if (codeOf(error) === NOT_THERE) return no(409, "That trip or thing is no longer here. Reload the page.");
    throw error;
  }
}

const no = (status: number, why: string) => Response.json({ why }, { status });
