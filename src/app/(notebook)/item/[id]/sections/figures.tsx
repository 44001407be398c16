import type { Advice } from "@/core/advice/advise";
import { sayDeadWeight, sayDistance } from "@/core/units/speak";
import { usedInAll } from "@/core/ledger/totals";
import { costPer } from "@/core/compare/money";
import { sayMoney } from "@/core/say/money";
import { sayWay } from "@/core/say/words";
import { wearFromNumber } from "@/core/say/wear";
import { Figure } from "@/ui/page/figure";

/** How far it went, how far for nothing, and what that cost. */
export function Figures({ advice }: { advice: Advice }) {
  const { item, totals, book } = advice.case;
  const { units, currency } = book.settings;
  const { used, carried } = totals;
  const cost = costPer(advice, currency);
  const in_ = item.currency ?? currency;
  const all = usedInAll(totals);
  return (
    <dl className="my-5 grid grid-cols-2 gap-x-8 gap-y-3 sm:grid-cols-4 lg:grid-cols-6">
      <Figure name="used for">{sayDistance(all.metres, units)}</Figure>
      <Figure name="carried for">{sayDistance(carried.metres, units)}</Figure>
      <Figure name="nights used">{Math.round(all.nights)}</Figure>
      <Figure name="trips used">
        {used.trips} of {carried.trips}
      </Figure>
      {totals.deadGramMetres > 0 && (
        <Figure name="carried for nothing" from="/trips/loads">
          {sayDeadWeight(totals.deadGramMetres, units)}
        </Figure>
      )}
      {cost.night !== null && (
        <Figure name="costs a night" from="/shelf/money">
          {sayMoney(cost.night, in_)}
        </Figure>
      )}
      {cost.metre !== null && (
        <Figure name={`costs a ${units.distance}`} from="/shelf/money">
          {sayMoney(cost.metre * wearFromNumber(1, "m", units), in_)}
        </Figure>
      )}
      {totals.outside.metres > 0 && (
        <div className="col-span-full">
          <dt className="text-sm text-muted">all its way</dt>
          <dd>{sayWay(advice, units)}</dd>
        </div>
      )}
      {item.past === "unknown" && <Figure name="before the log">unknown</Figure>}
    </dl>
  );
}
