import type { SchoolName } from "@/core/model";
import { SCHOOLS } from "@/core/trade/schools";
import { count, listWords, sayMass, type Units } from "@/core/units/speak";
import { schoolEffect, type Swayed } from "@/core/weighin/school-effect";
import { givingWay, keptWith } from "@/app/reading";
import { keysOf, recordOf } from "@/core/sums/keys";

/** Things that a school's effect names; more are counted. */
const NAMED = 3;

/** What each school would change of the present advice, in words. Judged one after another, after the page is out. */
export const schoolEffects = keptWith(async ({ log, kit }) => {
  const effects: [SchoolName, string][] = [];
  const giveWay = givingWay();
  for (const school of keysOf(SCHOOLS)) {
    if (school === log.settings.school) {
      effects.push([school, "What you are judged by now."]);
      continue;
    }
    await giveWay();
    const { leaves, leans, takes } = schoolEffect(kit, school);
    const { units } = log.settings;
    effects.push([
      school,
      [
        said("Would also leave", leaves, units),
        said("Would lean to leaving", leans, units),
        said("Would take back", takes, units),
      ]
        .filter(Boolean)
        .join(" ") || "Would leave the same things as now.",
    ]);
  }
  return recordOf(effects);
});

function said(verb: string, things: readonly Swayed[], units: Units): string {
  if (things.length === 0) return "";
  const grams = things.reduce((sum, thing) => sum + thing.grams, 0);
  const names = things.slice(0, NAMED).map(({ name }) => name);
  const rest = things.length - names.length;
  return (
    `${verb} ${count(things.length, "thing")}, ${sayMass(grams, units)}: ` +
    `${listWords(rest > 0 ? [...names, `${rest} others`] : names)}.`
  );
}
