import type { Advice } from "@/core/advice/advise";
import { sayDeadWeight, sayDistance } from "@/core/units/speak";
import { wearNumber } from "@/core/say/words";
import { Figure } from "@/ui/page/figure";

/** How far it went, how far for nothing, and what that cost. */
export function Figures({ advice }: { advice: Advice }) {
  const { item, totals, book } = advice.case;
  const { units, currency } = book.settings;
  const { used, carried } = totals;
  const cost = (item.price ?? 0) + totals.spent;
  return (
    <dl className="my-5 grid grid-cols-2 gap-x-8 gap-y-3 sm:grid-cols-4 lg:grid-cols-6">
      <Figure name="used for">{sayDistance(used.metres, units)}</Figure>
      <Figure name="carried for">{sayDistance(carried.metres, units)}</Figure>
      <Figure name="nights used">{Math.round(used.nights)}</Figure>
      <Figure name="trips used">
        {used.trips} of {carried.trips}
      </Figure>
      {totals.deadGramMetres > 0 && (
        <Figure name="carried for nothing">{sayDeadWeight(totals.deadGramMetres, units)}</Figure>
      )}
      {cost > 0 && used.nights >= 1 && (
        <Figure name="costs a night">
          {currency}
          {(cost / used.nights).toFixed(2)}
        </Figure>
      )}
      {cost > 0 && used.metres > 0 && (
        <Figure name={`costs a ${units.distance}`}>
          {currency}
          {(cost / wearNumber(used.metres, "m", units)).toFixed(2)}
        </Figure>
      )}
      {item.past === "unknown" && <Figure name="before the log">unknown</Figure>}
    </dl>
  );
}
