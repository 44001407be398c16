import { survey, type Case } from "../decide/case";
import { openBook } from "../ledger/book";
import { Entry, type EntryWhat, type Log } from "../model";
import type { Finding, Reason } from "../reasons/finding";
import { adviseItem, type Verdict } from "./advise";
import { VERBS } from "../trade/verbs";

/** What doing as a verdict says comes to: something logged of the thing, or that it has left. */
export type Doing =
  { readonly log: EntryWhat; readonly service: string | null } | { readonly leaves: "worn out" };

/**
 * What is logged when a verdict has been followed: of the remedies of its verb the first after which the
 * engine says it no longer. A thing that is replaced leaves; what is only filled up again or dated stays.
 * Null where nothing that can be logged settles it.
 */
export function doingOf(log: Log, { item, book }: Case, finding: Finding): Doing | null {
  const { verb, reason } = finding;
  if (finding.reason === "own service") return { log: "own service", service: finding.facts.what };
  const filled = item.load === "consumable" || item.rules.contents || item.expires !== null;
  if (verb === "replace" && !filled) return { leaves: "worn out" };
  const settles = (what: EntryWhat) => {
    const entry = Entry.parse({ id: "done", item: item.id, on: book.today, what });
    const after = openBook({ ...log, entries: [...log.entries, entry] }, book.today);
    const { verdicts } = adviseItem(item.id, survey(after));
    return !verdicts.some((each) => each.verb === verb && each.reason === reason);
  };
  const remedy = VERBS[verb].remedies.find(settles);
  if (remedy) return { log: remedy, service: null };
  return verb === "replace" ? { leaves: "worn out" } : null;
}

/** How a verdict is done with: something is logged, or that and what came of it, or the thing graded. */
export type DoneBy = "log" | "outcome" | "grade";

/** Tried or flushed is not yet sound: these are done with only once it is said what came of it. */
const asksOutcome = ({ verb, reason }: Pick<Finding, "verb" | "reason">) =>
  verb === "prove" || reason === "comes back by service";

/** What is done by logging nothing: it is put on the shelf, or a question answered. */
const UNLOGGED: ReadonlySet<Reason> = new Set<Reason>(["buy again", "frost nobody noted"]);

/** How a verdict is done with in one press; null where only leaving it out, or another line on the shelf, does it. */
export function doneBy({ verb, reason, done }: Pick<Finding, "verb" | "reason" | "done">): DoneBy | null {
  if (reason === "look it over") return "grade";
  if (done || UNLOGGED.has(reason) || VERBS[verb].remedies.length === 0) return null;
  return asksOutcome({ verb, reason }) ? "outcome" : "log";
}

/** It is settled by another of it on the shelf. */
export const boughtAgain = ({ reason, ruling }: Pick<Verdict, "reason" | "ruling">) =>
  reason === "buy again" && ruling === null;
