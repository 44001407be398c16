import { openCase, survey, type Case } from "../decide/case";
import { openBook } from "../ledger/book";
import { Entry, type EntryWhat, type Log } from "../model";
import type { Finding } from "./finding";
import { judgeCase } from "./judge";
import { VERBS } from "./verbs";

/** What doing as a verdict says comes to: something logged of the thing, or that it has left. */
export type Doing =
  { readonly log: EntryWhat; readonly service: string | null } | { readonly leaves: "worn out" };

/**
 * What is logged when a verdict has been followed: of the remedies of its verb the first after which the engine says it no
 * longer. A thing that is replaced leaves; what is only filled up again or dated stays. Null where nothing that can be logged
 * settles it.
 */
export function doingOf(log: Log, { item, book }: Case, finding: Finding): Doing | null {
  const { verb, reason } = finding;
  if (finding.reason === "own service") return { log: "own service", service: finding.facts.what };
  const filled = item.load === "consumable" || item.rules.contents || item.expires !== null;
  if (verb === "replace" && !filled) return { leaves: "worn out" };
  const settles = (what: EntryWhat) => {
    const entry = Entry.parse({ id: "done", item: item.id, on: book.today, what });
    const after = openBook({ ...log, entries: [...log.entries, entry] }, book.today);
    const { verdicts } = judgeCase(openCase(after.item(item.id)!, survey(after)));
    return !verdicts.some((each) => each.verb === verb && each.reason === reason);
  };
  const remedy = VERBS[verb].remedies.find(settles);
  return remedy ? { log: remedy, service: null } : verb === "replace" ? { leaves: "worn out" } : null;
}
