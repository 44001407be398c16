import { z } from "zod";
import { ItemId, Verb } from "@/core/model";
import { argue } from "@/core/verdict/argument";
import { readBook } from "../../book";

const Asked = z.object({ item: ItemId, verb: Verb });

/** The whole argument of one verdict (`?item=…&verb=…`); fetched when a slip is opened. */
export async function GET(request: Request): Promise<Response> {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return Response.json({ why: "Ask for an item and a verb." }, { status: 400 });
  const { judgements, surveyed } = await readBook();
  const judgement = judgements.find(({ case: { item } }) => item.id === asked.data.item);
  const verdict = judgement?.verdicts.find(({ verb }) => verb === asked.data.verb);
  if (!judgement || !verdict) return Response.json({ why: "That verdict no longer stands. Reload the page." }, { status: 404 });
  return Response.json(argue(judgement, verdict, surveyed));
}
