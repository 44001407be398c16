import { tripsOf } from "../ledger/history";
import type { Marked } from "../ledger/book";
import { isCritical, type Case } from "../decide/case";
import { mayStayHome } from "../decide/law";
import type { OwnerCall, Trigger } from "../model";
import { isWeatherToCome } from "../trade/triggers";
import { foreseenOf } from "./verbs/bring-only-when";
import { cureOf } from "./cures";
import { findingOf, type Finding, type Rule } from "./finding";
import { worksAgain } from "./verbs/replace";
import { comesBack } from "./verbs/service";
import { urgencyOf } from "./sureness";

/** What the owner said to do with a thing, by their own call, and nothing new has spoken against since. */
interface Word {
  readonly call: OwnerCall;
  readonly said: Marked;
}

/** What of a later trip speaks against each call. */
const AGAINST: Readonly<Record<OwnerCall, (later: Marked["mark"]) => boolean>> = {
  "bring again": ({ troubles, complaints, use, why }) =>
    troubles.length > 0 || complaints.length > 0 || (use === "unused" && why !== "no call for it"),
  "bring when": () => false,
  leave: ({ use, troubles, complaints }) => use === "used" && troubles.length + complaints.length === 0,
  "try something else": ({ use, troubles, complaints }) =>
    use === "used" && troubles.length + complaints.length === 0,
  replace: ({ use, troubles }) => use === "used" && troubles.length === 0,
  fix: ({ use, troubles }) => use === "used" && troubles.length === 0,
};

function wordOf({ item, marked }: Case): Word | null {
  const said = marked.findLast(({ mark }) => mark.call !== null);
  if (!said) return null;
  const call = said.mark.call!;
  const later = marked.slice(marked.indexOf(said) + 1);
  // Named on the same trip or since as one that could have stayed, it was not wanted again.
  const unsaid =
    call === "bring again" && [said, ...later].some(({ outing }) => outing.trip.stay.includes(item.id));
  return unsaid || later.some(({ mark }) => AGAINST[call](mark)) ? null : { call, said };
}

const basis = ({ said }: Word) => ({
  reason: "your word" as const,
  sureness: "likely" as const,
  trips: tripsOf([said]),
});
const factsOf = ({ call, said }: Word) => ({ call, complaints: said.mark.complaints });

/** It goes along, and what was complained of is repeated, not acted on. */
function bringAgain(one: Case): Finding | null {
  const word = wordOf(one);
  if (word?.call !== "bring again" || one.item.cover) return null;
  return findingOf({
    ...basis(word),
    verb: "keep",
    facts: factsOf(word),
    urgency: "watch",
    silences: ["drop", "bring only when", "swap"],
  });
}

/** What weather the owner meant: what was said of it on that trip, else what calls for it and can be seen coming. */
function whenOf(one: Case, { said }: Word): Trigger[] {
  const places = said.mark.complaints.flatMap(({ on }) => (on !== null && isWeatherToCome(on) ? [on] : []));
  return places.length > 0 ? places : foreseenOf(one);
}

function bringWhen(one: Case): Finding | null {
  const word = wordOf(one);
  if (word?.call !== "bring when") return null;
  return findingOf({
    ...basis(word),
    verb: "bring only when",
    facts: factsOf(word),
    urgency: "watch",
    saves: one.item.weight?.g ?? 0,
    when: { triggers: whenOf(one, word), caller: null },
    ...(one.kind.id === "traction" && { caution: "ice" as const }),
    ...(one.item.jobs.includes("stay warm") && { caution: "insulation" as const }),
  });
}

/** Unless nothing else would do an essential job of it. */
function leave(one: Case): Finding | null {
  const word = wordOf(one);
  if (word?.call !== "leave" || !mayStayHome(one)) return null;
  return findingOf({
    ...basis(word),
    verb: "drop",
    facts: factsOf(word),
    urgency: "before next trip",
    saves: one.item.weight?.g ?? 0,
  });
}

/** Leaks and clogs get service first, and what the cold or wet stopped works again: not bought anew on one word. */
function comesRight(one: Case): boolean {
  const trouble = one.history.open;
  return comesBack(one) !== null || (trouble !== null && worksAgain(one, trouble));
}

function trySomethingElse(one: Case): Finding | null {
  const word = wordOf(one);
  if (word?.call !== "try something else" || comesRight(one)) return null;
  return findingOf({ ...basis(word), verb: "swap", facts: factsOf(word), urgency: "before next trip" });
}

function replaceIt(one: Case): Finding | null {
  const word = wordOf(one);
  if (word?.call !== "replace" || isSeenTo(one, word) || comesRight(one)) return null;
  return findingOf({ ...basis(word), verb: "replace", facts: factsOf(word), urgency: urgencyOf(one) });
}

/** Mended; or, where a service would bring it back, or nothing is broken, serviced. */
function fix(one: Case): Finding | null {
  const word = wordOf(one);
  if (word?.call !== "fix" || isSeenTo(one, word)) return null;
  const trouble = one.history.open;
  const broken = trouble !== null && one.kind.mends !== "nothing" && cureOf(one, trouble) === null;
  return findingOf({
    ...basis(word),
    verb: broken ? "repair" : "service",
    facts: factsOf(word),
    urgency: trouble?.failed && isCritical(one) ? "now" : "before next trip",
  });
}

/** Something was done about it since it was said. */
const isSeenTo = ({ item, book }: Case, { said }: Word) =>
  book
    .entriesOf(item.id)
    .some(
      ({ what, on }) =>
        on >= said.outing.trip.ends && ["repair", "service", "wash", "restock"].includes(what),
    );

/** The plainest word of all: the owner's own call leads in its verb, unless law speaks. */
export const WORD: readonly Rule[] = [bringAgain, bringWhen, leave, trySomethingElse, replaceIt, fix];
