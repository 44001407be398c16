import type { Book } from "@/core/ledger/book";
import { sayAmount } from "@/core/say/supplies";
import { CAMP_WATER } from "@/core/trade/supplies";
import { sayDistance } from "@/core/units/speak";
import type { SupplyUse } from "@/core/weighin/supplies";
import type { SuppliesAhead } from "@/core/weighin/supplies-ahead";
import { Section } from "@/ui/page/section";
import { Rate, told, type Ahead } from "./rate";
import { nth } from "@/core/sums/there";

/** What can be carried, what is drunk, and what a dry stretch and a dry camp want. */
export function Water({
  book,
  uses,
  ahead,
  dry,
  wanted,
}: {
  book: Book;
  uses: readonly SupplyUse[];
  ahead: Ahead;
  dry: number;
  wanted: SuppliesAhead;
}) {
  const { units } = book.settings;
  const { vessels, capacity, need, lacks } = wanted.water;
  const use = nth(told(uses, "water"), 0);
  const litres = (value: number) => sayAmount(value, "L", units);
  const carried = use.taken.reduce((sum, { out }) => sum + out, 0);
  const drunk = use.taken.reduce((sum, { used }) => sum + used, 0);
  return (
    <Section title="Water">
      <p>
        You can carry <b>{litres(capacity)}</b>
        {vessels.length > 0 && (
          <span className="text-muted">
            {" "}
            ({vessels.map(({ name, ratings }) => `${name} ${litres(ratings.litres!)}`).join(", ")})
          </span>
        )}
        {vessels.length === 0 && ": no bottle on the shelf says what it holds"}.
      </p>
      {carried > 0 && (
        <p>
          Of {litres(carried)} carried from one water to the next, {litres(drunk)} were drunk and{" "}
          {litres(carried - drunk)} poured away.
        </p>
      )}
      <Rate use={use} ahead={{ ...ahead, km: 0 }} units={units} />
      {dry > 0 && (
        <p className={lacks > 0 ? "font-semibold text-sting" : ""}>
          For {sayDistance(dry * 1000, units)} without water: {litres(need)}
          {lacks > 0 ? `, ${litres(lacks)} more than you can carry.` : "."}
        </p>
      )}
      <p>
        In camp, from evening to morning: {litres(CAMP_WATER)}{" "}
        <span className="text-muted">(common practice)</span>
        {capacity > 0 &&
          capacity < CAMP_WATER + need &&
          dry > 0 &&
          "; where the camp is dry, both at once are more than you can carry"}
        .
      </p>
    </Section>
  );
}
