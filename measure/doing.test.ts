import { describe, expect, test } from "vitest";
import { openBook } from "@/core/ledger/book";
import { Entry } from "@/core/model";
import { doingOf } from "@/core/advice/doing";
import { kitOf } from "@/core/advice/kit";
import { VERBS } from "@/core/trade/verbs";
import { practiceKits } from "./practice-kits";

// Done on a slip must not leave the slip where it was: on every practice kit, what is logged settles what was said.
describe.each(practiceKits("v2").map((kit) => [kit.name, kit] as const))("%s", (_, { log, today }) => {
  const book = openBook(log, today);
  const told = kitOf(book).things.flatMap(({ case: one, verdicts }) =>
    verdicts.map((verdict) => ({ one, verdict })),
  );

  test("what Done logs settles the verdict", () => {
    for (const { one, verdict } of told) {
      // What is to be bought again is put on the shelf; whether a filter froze is a question.
      if (
        verdict.done ||
        verdict.reason === "buy again" ||
        verdict.reason === "frost nobody noted" ||
        VERBS[verdict.verb].remedies.length === 0
      )
        continue;
      const doing = doingOf(log, one, verdict);
      const what = `${one.item.name}: ${verdict.verb}, ${verdict.reason}`;
      expect(doing, what).not.toBeNull();
      const { items, entries } = log;
      const after = openBook(
        "leaves" in doing!
          ? {
              ...log,
              items: items.map((item) =>
                item.id === one.item.id ? { ...item, state: doing.leaves, since: today } : item,
              ),
            }
          : {
              ...log,
              entries: [
                ...entries,
                Entry.parse({
                  id: "done",
                  item: one.item.id,
                  on: today,
                  what: doing!.log,
                  condition: verdict.reason === "look it over" ? 4 : null,
                }),
              ],
            },
        today,
      );
      const now = kitOf(after).of(one.item.id)!.verdicts;
      expect(
        now.some((each) => each.verb === verdict.verb && each.reason === verdict.reason && !each.done),
        what,
      ).toBe(false);
    }
  });
});
