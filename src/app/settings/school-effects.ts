import { openBook } from "@/core/ledger/book";
import type { Log, SchoolName } from "@/core/model";
import { judge, type Judgement } from "@/core/reasons/judge";
import { SCHOOLS } from "@/core/trade/schools";
import { count, listWords, sayMass, type Units } from "@/core/units/speak";
import { schoolEffect, type Swayed } from "@/core/weighin/school-effect";
import { today } from "../book";

/** Things that a school's effect names; more are counted. */
const NAMED = 3;

/** What each school would change of the present judgement, in words. Judged one after another, after the page is out. */
export async function schoolEffects(
  log: Log,
  now: readonly Judgement[],
): Promise<Readonly<Record<SchoolName, string>>> {
  const effects: [SchoolName, string][] = [];
  for (const school of Object.keys(SCHOOLS) as SchoolName[]) {
    if (school === log.settings.school) {
      effects.push([school, "What you are judged by now."]);
      continue;
    }
    // The page goes out first, and other requests get a turn between two schools.
    await new Promise((resolve) => setImmediate(resolve));
    const settings = { ...log.settings, school };
    const { leaves, takes } = schoolEffect(now, judge(openBook({ ...log, settings }, today())));
    effects.push([
      school,
      [said("Would also leave", leaves, settings.units), said("Would take back", takes, settings.units)]
        .filter(Boolean)
        .join(" ") || "Would leave the same things as now.",
    ]);
  }
  return Object.fromEntries(effects) as Record<SchoolName, string>;
}

function said(verb: string, things: readonly Swayed[], units: Units): string {
  if (things.length === 0) return "";
  const grams = things.reduce((sum, thing) => sum + thing.grams, 0);
  const names = things.slice(0, NAMED).map(({ name }) => name);
  const rest = things.length - names.length;
  return `${verb} ${count(things.length, "thing")}, ${sayMass(grams, units)}: ${listWords(rest > 0 ? [...names, `${rest} others`] : names)}.`;
}
