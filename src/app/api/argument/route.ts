import { z } from "zod";
import { ItemId, Verb } from "@/core/model";
import { argue, argueToAdd } from "@/core/say/verdicts/argument";
import { Text } from "@/core/units/text";
import { VERBS } from "@/core/trade/verbs";
import { readBook } from "../../book";
import { leftAtHome } from "../../past";

const Asked = z.union([z.object({ item: ItemId, verb: Verb, ground: Text }), z.object({ what: Text })]);

/**
 * The whole argument of one verdict (`?item=…&verb=…`), or for something to add (`?what=…`); fetched when a
 * slip is opened.
 */
export async function GET(request: Request): Promise<Response> {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return Response.json({ why: "Ask for an item and a verb." }, { status: 400 });
  const argument = await argumentOf(asked.data);
  return argument
    ? Response.json(argument)
    : Response.json({ why: "That verdict no longer stands. Reload the page." }, { status: 404 });
}

async function argumentOf(asked: z.infer<typeof Asked>) {
  const reading = await readBook();
  const { book, kit } = reading;
  if ("what" in asked) {
    const addition = kit.toAdd.find(({ what }) => what === asked.what);
    return addition && { ...argueToAdd(addition, book), overDays: null };
  }
  const advice = kit.of(asked.item);
  const verdict = advice?.verdicts.find(({ verb, reason }) => verb === asked.verb && reason === asked.ground);
  if (!advice || !verdict) return undefined;
  const overDays = VERBS[verdict.verb].leaves ? await leftAtHome(advice, reading) : null;
  return { ...argue(advice, verdict), overDays };
}
