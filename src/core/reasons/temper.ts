import { isQuieter, leaningOn, type Leaning } from "../belief/taste";
import { isCritical, type Case } from "../decide/case";
import type { Sureness } from "../model";
import { known } from "../sums/there";
import { RANK } from "../trade/jobs";
import { VERBS } from "../trade/verbs";
import type { Finding } from "./finding";
import { isLaw } from "./law-reasons";

const QUIETLY: Readonly<Record<Sureness, Sureness>> = {
  sure: "likely",
  likely: "perhaps",
  perhaps: "leaning",
  leaning: "leaning",
};

/**
 * How its owner leans by advice of a finding's sort, where it is a matter of taste at all: never law or
 * danger, nor what the walk rests on, nor what the owner said outright; of what is to be seen to, only what
 * would be a nuisance at worst.
 */
export function leaningBy(one: Pick<Case, "item" | "taste">, finding: Finding): Leaning | null {
  const { family } = VERBS[finding.verb];
  if (!family || finding.done || finding.caution || isLaw(finding) || finding.reason === "your word")
    return null;
  if (family === "see to it" ? RANK[one.item.consequence] > 0 : isCritical(one)) return null;
  return leaningOn(known(one.taste.leanings, family), one.item.id);
}

/** What is found, said as this owner takes such advice: a step more quietly to who never follows it. */
export function tempered(one: Case, finding: Finding): Finding {
  const leaning = leaningBy(one, finding);
  if (!leaning || !isQuieter(leaning)) return finding;
  const sureness = QUIETLY[finding.sureness];
  return { ...finding, sureness, ...(sureness === "leaning" && { urgency: "watch" as const }) };
}
