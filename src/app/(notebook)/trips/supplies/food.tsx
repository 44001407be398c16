import { capital, count, type Units } from "@/core/units/speak";
import type { SupplyUse } from "@/core/weighin/supplies";
import { Section } from "@/ui/page/section";
import { Rate, told, type Ahead } from "./rate";

const MEALS = ["breakfasts", "dinners", "meals"] as const;

/** Food by the day, and each sort of meal with what came home of it. */
export function Food({ uses, ahead, units }: { uses: readonly SupplyUse[]; ahead: Ahead; units: Units }) {
  return (
    <Section title="Food">
      {(["food", "snacks"] as const).flatMap((sort) =>
        told(uses, sort)
          .filter(({ taken }) => sort === "food" || taken.length > 0)
          .map((use) => <Rate key={sort + use.rule.unit} use={use} ahead={ahead} units={units} />),
      )}
      {MEALS.map((sort) => (
        <Meals key={sort} use={uses.find(({ rule }) => rule.sort === sort)} ahead={ahead} units={units} />
      ))}
    </Section>
  );
}

/** Meals of one sort: what came home of them, the spare ones apart, and how many a trip wants. */
function Meals({ use, ahead, units }: { use: SupplyUse | undefined; ahead: Ahead; units: Units }) {
  if (!use || use.taken.length === 0) return null;
  const spares = use.taken.map(({ back }) => back);
  const reserved = use.taken.filter(({ reserve }) => reserve > 0);
  const eaten = reserved.filter(({ back, reserve }) => back < reserve).length;
  return (
    <>
      <h3 className="mt-3 font-sans text-sm font-semibold">{capital(use.rule.sort)}</h3>
      <p>
        {spares.reduce((sum, each) => sum + each, 0)} came home over {count(spares.length, "trip")}.
        {reserved.length > 0 &&
          (eaten === 0
            ? " The spare one was never eaten into: it is cover, not waste."
            : ` The spare one was eaten into on ${count(eaten, "trip")}.`)}
      </p>
      <Rate use={use} ahead={ahead} units={units} />
    </>
  );
}
