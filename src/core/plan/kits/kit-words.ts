import { compareLists, type Listed } from "../../compare/lists";
import { theThing } from "../../say/words";
import { partition } from "../../sums/group";
import type { FullItem } from "../../trade/full-item";
import { isBed } from "../../trade/warmth";
import type { WayToSleep } from "../../weighin/sleep";
import { capital, count, listWords, percent, sayMass, sayTemperature, type Units } from "../../units/speak";
import { isTooCold, warmTo, type HeldKit, type kitChange } from "./which-kit";

const MONTH = new Intl.DateTimeFormat("en-GB", { month: "long", timeZone: "UTC" });
export const sayMonth = (month: number) => MONTH.format(Date.UTC(2026, month - 1, 15));

/** The month that follows: after December, January. */
const after = (month: number) => (month % 12) + 1;

/** A season in words: "November to March"; "any month" where none is said. */
export function sayMonths(months: readonly number[]): string {
  const all = new Set(months);
  if (all.size === 0 || all.size === 12) return "any month";
  const begins = [...all].filter((month) => !all.has(month === 1 ? 12 : month - 1)).sort((a, b) => a - b);
  const runs = begins.map((first) => {
    let last = first;
    while (all.has(after(last))) last = after(last);
    return first === last ? sayMonth(first) : `${sayMonth(first)} to ${sayMonth(last)}`;
  });
  return listWords(runs, "and");
}

/** How likely a cold night is, and in what: "37 % for a cold night in the quilt and the down jacket". */
const oddsIn = (way: WayToSleep, cold: number) =>
  `${percent(cold)} for a cold night in ${listWords([way.bed, ...way.extras].map(theThing), "and")}`;

/** A kit against the coldest night expected. */
export function sayCold({ way, cold }: HeldKit, low: number | null, units: Units): string {
  if (!way) return "No bed is in it.";
  if (low === null || cold === null)
    return `${capital(theThing(way.bed))}, to ${sayTemperature(warmTo(way), units)}.`;
  const fits = isTooCold({ cold }) ? "Too cold" : "Warm enough";
  return `${fits} for ${sayTemperature(low, units)}: ${oddsIn(way, cold)}.`;
}

/** Things named in a sentence; the rest are counted. */
const NAMED = 4;
const named = (things: readonly FullItem[]) => {
  const more = things.length - NAMED;
  const [beds, others] = partition(things, ({ kind }) => isBed(kind));
  const names = [...beds, ...others].slice(0, NAMED).map(({ name }) => name);
  return listWords(more > 0 ? [...names, count(more, "more thing")] : names, "and");
};

/** Another kit's time has come, in what goes in and what comes out. */
export function sayKitChange(
  { from, to, why }: NonNullable<ReturnType<typeof kitChange>>,
  low: number | null,
  units: Units,
): string {
  const listed = ({ things }: HeldKit) =>
    things.map((item): Listed => ({ item, grams: item.weight?.g ?? null }));
  const { into, out, swapped } = compareLists(listed(from), listed(to));
  const comes = [...swapped.map((each) => each.to), ...into].map(({ item }) => item);
  const goes = [...swapped.map((each) => each.from), ...out].map(({ item }) => item);
  const at = low === null ? "" : ` down to ${sayTemperature(low, units)}`;
  const lead =
    why === "too cold"
      ? `Time for “${to.kit.name}”: nights${at} are to be expected, and “${from.kit.name}” is too cold for them${from.way && from.cold !== null ? `: ${oddsIn(from.way, from.cold)}` : ""}.`
      : `“${to.kit.name}” will do for nights${at}: ${sayMass(from.grams - to.grams, units)} less than “${from.kit.name}”.`;
  return [
    lead,
    ...(comes.length > 0 ? [`In: ${named(comes)}.`] : []),
    ...(goes.length > 0 ? [`Out: ${named(goes)}.`] : []),
  ].join(" ");
}
