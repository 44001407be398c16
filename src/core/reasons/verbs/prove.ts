import { daysBetween } from "../../sums/days";
import { isCritical, type Case } from "../../decide/case";
import type { Trigger } from "../../model";
import { JOB_RULES } from "../../trade/jobs";
import { SYMPTOM_RULES } from "../../trade/symptoms";
import { findingOf, type Finding, type Rule } from "../finding";

/** Its owner logged a trial near home, and nothing was mended on it since. */
function isTriedAtHome({ item, book, history }: Case): boolean {
  const trial = book.entriesOf(item.id).findLast(({ what }) => what === "trial");
  return trial !== undefined && trial.on >= (history.lastMended ?? "");
}

function mendedNotTried(one: Case): Finding | null {
  const { history, kind, marked } = one;
  const on = history.lastMended;
  if (on === null || history.open !== null || !(isCritical(one) || kind.triedFirst)) return null;
  const needs = stressOf(one, on);
  const since = marked.filter(({ outing, mark }) => outing.trip.starts > on && mark.use !== "unused");
  const tried =
    needs.length === 0 ? since.length > 0 : needs.every((need) => since.some(({ calls }) => calls.has(need)));
  if (tried) return null;
  return findingOf({
    verb: "prove",
    reason: "mended, not tried",
    facts: { on, needs },
    urgency: "before next trip",
    sureness: "sure",
    trips: [],
  });
}

/** What a mended thing must meet again: the weather that its fault is of, else what its job met when it broke. */
function stressOf({ item, history }: Case, mended: string): readonly Trigger[] {
  const trouble = history.troubles.findLast(({ on }) => on <= mended);
  const bySymptom = trouble?.symptoms.flatMap((symptom) => SYMPTOM_RULES[symptom].triedBy ?? []) ?? [];
  const matters = provingWeather(item.jobs);
  if (matters.length === 0) return [];
  if (bySymptom.length > 0) return [...new Set(bySymptom)];
  const met = trouble?.outing ? matters.filter((trigger) => trouble.outing!.calls.has(trigger)) : [];
  return met;
}

const provingWeather = (jobs: Case["item"]["jobs"]) => jobs.flatMap((job) => JOB_RULES[job]?.provedBy ?? []);

/** Got so shortly before its first trip, a thing was new on it. Common practice, no source. */
const NEW_DAYS = 60;

function isNew({ item, marked }: Pick<Case, "item" | "marked">): boolean {
  if (item.opening !== null || item.past === "unknown") return false;
  if (item.past === "new") return true;
  const first = marked[0]?.outing.trip.starts;
  return item.acquired !== null && first !== undefined && daysBetween(item.acquired, first) <= NEW_DAYS;
}

function newNotTried(one: Case): Finding | null {
  const used = isUntried(one);
  if (used === null || !isNew(one)) return null;
  return findingOf({
    verb: "prove",
    reason: "new, not tried",
    facts: { needs: provingWeather(one.item.jobs), used: used === "dry" },
    urgency: "before next trip",
    sureness: "likely",
    trips: [],
  });
}

function unknownNotTried(one: Case): Finding | null {
  const { item } = one;
  const used = isUntried(one);
  if (used === null || item.past !== "unknown" || item.opening !== null) return null;
  return findingOf({
    verb: "prove",
    reason: "unknown past, not tried",
    facts: { needs: provingWeather(item.jobs), used: used === "dry" },
    urgency: "before next trip",
    sureness: "likely",
    trips: [],
  });
}

/** Never used, or used only where what matters was not met; null for what is tried, or is no matter of life. */
function isUntried(one: Case): "never" | "dry" | null {
  const { item, kind, marked } = one;
  if (!isCritical(one) || item.cover || kind.contents || kind.freezes || item.load === "consumable")
    return null;
  const needs = provingWeather(item.jobs);
  const uses = marked.filter(({ mark }) => mark.use !== "unused");
  // What needs no weather is tried by use: shoes are walked in, the rest is tried at home without a word from here.
  if (needs.length === 0) return uses.length === 0 && one.item.jobs.includes("walk") ? "never" : null;
  if (uses.some(({ calls }) => needs.some((need) => calls.has(need)))) return null;
  return uses.length ? "dry" : "never";
}

const unlessTried =
  (rule: Rule): Rule =>
  (one) =>
    isTriedAtHome(one) ? null : rule(one);

/**
 * Mended, altered, new or second-hand, not yet used in what matters, and trip-ending or dangerous if it
 * fails: try it near home first.
 */
export const PROVE: readonly Rule[] = [mendedNotTried, newNotTried, unknownNotTried].map(unlessTried);
