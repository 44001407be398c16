import { z } from "zod";
import { ItemId, Mark, SchoolName, TripId } from "@/core/model";
import { nextLike } from "@/core/ledger/next-outing";
import { says } from "@/core/say/verdicts/says";
import { whatIf } from "@/core/advice/what-if";
import { byField, refuse, type Answer } from "@/ui/form/answer";
import type { ToldChange } from "@/app/(notebook)/verdicts/what-if/use-what-if";
import { jsonIn } from "../answering";
import { readBook } from "../../book";

const Supposed = z.object({
  school: SchoolName.optional(),
  next: z
    .object({
      days: z
        .number("Write the days as a number.")
        .min(1, "At least one day.")
        .max(731, "Two years at most."),
      metres: z
        .number("Write the distance as a number.")
        .min(0, "It can't be below zero.")
        .max(2e7, "That is further than can be walked."),
    })
    .optional(),
  mark: z.object({ trip: TripId, item: ItemId, mark: Mark.nullable() }).optional(),
});

/** Which verdicts would change under a supposition. Nothing is kept. */
export async function POST(request: Request): Promise<Response> {
  const asked = Supposed.safeParse(jsonIn(await request.text()));
  if (!asked.success) return answer(refuse(byField(asked.error)));
  const { school, next, mark } = asked.data;
  const { kit } = await readBook();
  const changes = whatIf(kit, {
    school,
    mark,
    ...(next && { next: nextLike({ days: next.days, nights: next.days - 1, metres: next.metres }) }),
  });
  return answer({
    ok: true,
    value: changes.map(({ item, name, from, to, then }) => ({
      item,
      name,
      from: { verb: from.verb, urgency: from.urgency },
      to: { verb: to.verb, urgency: to.urgency, says: says(then, to) },
    })),
  });
}

const answer = (said: Answer<readonly ToldChange[]>) => Response.json(said);
