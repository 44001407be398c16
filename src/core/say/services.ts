import type { ServiceRule } from "../trade/kind";
import { listWords } from "../units/speak";

/** When a service is due, beside by its count: "each season", "after a patch". */
export const whenServiced = ({
  seasonal,
  days,
  washes,
  afterStore,
  afterMending,
  cures,
}: ServiceRule): string[] =>
  [
    seasonal ? "each season" : "",
    days === undefined ? "" : `after ${days} days`,
    washes === undefined ? "" : `or ${washes} washes`,
    afterStore ? "after store" : "",
    afterMending ? "after a patch" : "",
    cures ? `first, where it ${cures.length === 1 ? "shows" : "shows any of"} ${listWords(cures, "or")}` : "",
  ].filter(Boolean);
