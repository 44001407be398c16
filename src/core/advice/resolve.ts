import { nth } from "../sums/there";
import { URGENCIES, type Ruling, type Sureness, type Verb } from "../model";
import { isCritical, type Case } from "../decide/case";
import { findingOf, type Finding } from "../reasons/finding";
import { keep } from "../reasons/verbs/keep";
import { isLaw } from "../reasons/law-reasons";
import { standingRuling } from "../reasons/rulings";
import { isRoutine } from "../reasons/verbs/service";
import { VERBS } from "../trade/verbs";

/** A finding with the owner's ruling on it, while that stands. */
export type Ruled = Finding & { readonly ruling: Ruling | null };

/** One verb's advice: the finding that leads it, and the others that speak for the same. */
export type Resolved = Ruled & { readonly also: readonly Ruled[] };

/**
 * What all that was found of one thing comes to, the most pressing first. In this order:
 *
 * 1. rulings: what its owner overruled is set aside, each on its own reason, and silences nothing;
 * 2. silences: of what stands, one verb makes another needless (a thing to be replaced needs no repair);
 * 3. what speaks for the same verb stands together under its strongest reason;
 * 4. order: law and danger, the owner's own word, then the order of the verbs; what is routine behind;
 * 5. what is left: where nothing but routine stands, it stays.
 */
export function resolve(one: Case, findings: readonly Finding[]): [Resolved, ...Resolved[]] {
  const ruled = findings.map((finding): Ruled => ({ ...finding, ruling: standingRuling(one, finding) }));
  const aside = ruled.filter(isSetAside);
  const standing = withoutEchoes(
    ruled.filter((finding) => !isSetAside(finding)),
    one,
  );
  const together = byAdvice(standing.toSorted(inOrder(one)));
  const stays = together.some((finding) => !isRoutine(finding))
    ? []
    : [{ ...stayingOf(one, aside), ruling: null, also: [] }];
  const all = [...stays, ...together].toSorted(inOrder(one));
  return [...all, ...aside.map((finding) => ({ ...finding, also: [] }))] as [Resolved, ...Resolved[]];
}

/** What is only put off still stands: it is to be said again, and comes behind what is not. */
export const isSetAside = ({ ruling }: Pick<Ruled, "ruling">) => ruling?.decision === "overrule";

/** It stays: by its own merits, or since its owner overruled all that spoke against it. */
function stayingOf(one: Case, aside: readonly Ruled[]): Finding {
  const kept = keep(one);
  return aside.length === 0
    ? kept
    : findingOf({
        verb: "keep",
        reason: "your ruling",
        facts: { reason: nth(aside, 0).ruling!.reason },
        urgency: "watch",
        sureness: "sure",
        trips: kept.trips,
      });
}

/** What need not be said beside what stands; what its owner would rather leave is neither mended nor bought again. */
function withoutEchoes(findings: readonly Ruled[], one: Case): Ruled[] {
  const silent = new Set<Verb>(findings.flatMap(({ verb, silences }) => silences ?? VERBS[verb].silences));
  if (findings.some(({ verb }) => verb === "drop") && !isCritical(one))
    for (const verb of ["replace", "repair"] as const) silent.add(verb);
  return findings.filter((finding) => !silent.has(finding.verb) || isLaw(finding));
}

/** Of one verb, and for services of one thing to be done, the strongest leads and has the others with it. */
function byAdvice(sorted: readonly Ruled[]): Resolved[] {
  const leads = new Map<string, { lead: Ruled; also: Ruled[] }>();
  for (const finding of sorted) {
    const key = adviceOf(finding);
    const there = leads.get(key);
    if (there) there.also.push(finding);
    else leads.set(key, { lead: finding, also: [] });
  }
  return [...leads.values()].map(({ lead, also }) => ({ ...lead, also }));
}

/** Two services of one thing are two jobs; a verb's other reasons are one; what was put off stands by itself. */
function adviceOf({ verb, facts, reason, ruling }: Ruled): string {
  if (ruling?.decision === "later") return `${verb} put off ${reason}`;
  return verb === "service" && "what" in facts ? `service ${String(facts.what)}` : verb;
}

const PUT_OFF = 1000;
const ROUTINE = 500;
const NOT_PRESSING = 100;
const BY_WORD = 50;

/**
 * Its place by what it asks: danger first, then the owner's own word, then the order of the verbs; what is
 * routine comes last.
 */
export function precedence(finding: Ruled, one: Pick<Case, "item">): number {
  const { verb, urgency, ruling } = finding;
  const putOff = ruling?.decision === "later" ? PUT_OFF : 0;
  const presses = isCritical(one) && VERBS[verb].pressing && urgency !== "watch";
  const unpressing = isWord(finding) ? BY_WORD : NOT_PRESSING;
  const pressing = presses || isLaw(finding) ? 0 : unpressing;
  return putOff + (isRoutine(finding) ? ROUTINE : 0) + pressing + VERBS[verb].order;
}

/** The owner's call leads, but for "bring again": that only takes back what speaks against it. */
const isWord = ({ reason, verb }: Finding) => reason === "your word" && verb !== "keep";

const SURENESS: readonly Sureness[] = ["sure", "likely", "perhaps", "leaning"];

/** By precedence; of one verb the more urgent, then the surer, then as the rules stand. */
const inOrder =
  (one: Case) =>
  (a: Ruled, b: Ruled): number =>
    precedence(a, one) - precedence(b, one) ||
    URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency) ||
    SURENESS.indexOf(a.sureness) - SURENESS.indexOf(b.sureness);
