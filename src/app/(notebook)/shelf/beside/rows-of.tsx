import type { ReactNode } from "react";
import type { Advice } from "@/core/advice/advise";
import { usedInAll } from "@/core/ledger/totals";
import { costPer } from "@/core/compare/money";
import { complaintsOf } from "@/core/compare/candidate";
import { sayMoney } from "@/core/say/money";
import { sayLeftOf, sayWay } from "@/core/say/words";
import { sayWear } from "@/core/say/wear";
import type { FullItem } from "@/core/trade/full-item";
import {
  listWords,
  sayMass,
  sayPoured,
  sayRoom,
  sayTemperature,
  timesEach,
  type Units,
} from "@/core/units/speak";
import { VerbWord } from "@/ui/verb-word";

export const isTold = (cell: ReactNode) => cell !== null && cell !== undefined && cell !== false;

type Cell = (item: FullItem, judged: Advice | undefined) => ReactNode;

/** What is told of each, line by line; null where there is nothing to tell. */
export const rowsOf = (units: Units, own: string): readonly (readonly [name: string, cell: Cell])[] => [
  ...asItIs(units, own),
  ...asItServed(units),
  [
    "cost a night",
    (item, judged) => {
      const night = judged && costPer(judged, own).night;
      return item.price === null || !night ? null : sayMoney(night, item.currency ?? own);
    },
  ],
  ["verdict", (_, judged) => judged && <VerbWord verb={judged.verdicts[0].verb} />],
];

const withUnit = (value: number | undefined, unit: string) =>
  value === undefined ? null : `${value}\u00a0${unit}`;

const roomOf = (litres: number | undefined, units: Units) =>
  litres === undefined ? null : sayRoom(litres, units);

/** What it is, before anybody has used it. */
const asItIs = (units: Units, own: string): readonly (readonly [name: string, cell: Cell])[] => [
  [
    "weight",
    ({ weight, weights }) => weight && <Weighed grams={weight.g} how={weights.at(-1)?.how} units={units} />,
  ],
  ["price", ({ price, currency }) => price !== null && sayMoney(price, currency ?? own)],
  ["state", ({ state }, judged) => judged?.case.state ?? state],
  ["label", ({ ratings: { label } }) => label && `${sayTemperature(label.celsius, units)} ${label.means}`],
  ["R-value", ({ ratings }) => ratings.rValue ?? null],
  ["capacity", ({ ratings }) => withUnit(ratings.wattHours, "Wh")],
  ["holds", ({ ratings }) => (ratings.litres === undefined ? null : sayPoured(ratings.litres, units))],
  ["room in it", ({ ratings }) => roomOf(ratings.volume, units)],
  ["packed", ({ ratings }) => roomOf(ratings.packed, units)],
  ["light", ({ ratings }) => withUnit(ratings.lumens, "lm")],
];

const Weighed = ({ grams, how, units }: { grams: number; how: string | undefined; units: Units }) => (
  <>
    <span className="num">{sayMass(grams, units)}</span>{" "}
    <span className="text-sm text-muted">{how === "claimed" ? "as claimed" : "on your scale"}</span>
  </>
);

/** What came of using it. */
const asItServed = (units: Units): readonly (readonly [name: string, cell: Cell])[] => [
  [
    "used",
    (_, judged) => judged && `${judged.case.totals.used.trips} of ${judged.case.totals.carried.trips} trips`,
  ],
  ["nights used", (_, judged) => judged && Math.round(usedInAll(judged.case.totals).nights)],
  ["used for", (_, judged) => judged && sayWay(judged, units)],
  [
    "wear",
    ({ wears }, judged) =>
      judged?.case.left
        ? `${sayWear(judged.case.left.worn, wears, units)}; ${sayLeftOf(judged, units)}`
        : null,
  ],
  ["said against it", (_, judged) => judged && (listWords(complaintsOf(judged).map(timesEach)) || "nothing")],
  ["troubles", (_, judged) => judged && (listWords(judged.case.history.troubles.map(sayTrouble)) || "none")],
];

const sayTrouble = ({ symptoms, failed }: Advice["case"]["history"]["troubles"][number]) =>
  listWords(symptoms) || (failed ? "failed" : "damaged");
