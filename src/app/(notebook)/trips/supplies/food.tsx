import { count, type Units } from "@/core/units/speak";
import type { SupplyUse } from "@/core/weighin/supplies";
import { Section } from "@/ui/page/section";
import { Rate, told, type Ahead } from "./rate";

/** Food by the day, and dinners with what came home of them. */
export function Food({ uses, ahead, units }: { uses: readonly SupplyUse[]; ahead: Ahead; units: Units }) {
  const meals = uses.find(({ rule }) => rule.sort === "meals")!;
  const spares = meals.taken.map(({ back }) => back);
  const eaten = meals.taken.filter(({ back, reserve }) => reserve > 0 && back < reserve).length;
  return (
    <Section title="Food">
      {(["food", "snacks"] as const).flatMap((sort) =>
        told(uses, sort)
          .filter(({ taken }) => sort === "food" || taken.length > 0)
          .map((use) => <Rate key={sort + use.rule.unit} use={use} ahead={ahead} units={units} />),
      )}
      {meals.taken.length > 0 && (
        <>
          <h3 className="mt-3 font-sans text-sm font-semibold">Dinners</h3>
          <p>
            {spares.reduce((sum, each) => sum + each, 0)} came home over {count(spares.length, "trip")}
            {eaten === 0
              ? "; the spare one was never eaten into."
              : `; the spare one was eaten into on ${count(eaten, "trip")}.`}{" "}
            A spare meant as one is cover, not waste.
          </p>
          <Rate use={meals} ahead={ahead} units={units} />
        </>
      )}
    </Section>
  );
}
