import { revalidatePath } from "next/cache";
import { z } from "zod";
import { logProblems, type Problem } from "@/core/ledger/check/check";
import { store } from "@/data/connection";
import type { Db } from "@/data/db";
import { codeOf, isRefused, NOT_THERE } from "@/data/refused";
import { weighLog } from "@/data/records/weight";
import { byField, refuse, type Answer, type No } from "@/ui/form/answer";
import { logIn } from "./reading";

/** Nothing of what was done is kept, since the answer to it is no. */
class NotDone extends Error {
  constructor(readonly answer: No) {
    super("not done");
  }
}

/** What was done would leave a log that its own file refuses. */
class Unsound extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map(said).join("\n"));
  }
}

/**
 * Does what an owner asks for, in one transaction: all of it, or, where the answer is no, nothing. What can't
 * be is answered in a sentence, by field. What it leaves is what the log's own file may hold, or it is not
 * done; only what an earlier version let in may stay as it was.
 */
export async function acting<T>(work: (tx: Db) => Promise<Answer<T>>): Promise<Answer<T>> {
  const answer = await inOne(work).catch(async (error: unknown) => {
    if (error instanceof NotDone) return error.answer;
    if (isRefused(error)) return refuse({ [error.field]: error.message });
    if (error instanceof z.core.$ZodError) return refuse(byField(error));
    if (codeOf(error) === NOT_THERE)
      return refuse({ "": "Something named here is no longer there. Reload the page." });
    if (!(error instanceof Unsound)) throw error;
    const before = new Set(logProblems(await logIn(await store())).map(said));
    const fresh = error.problems.find((problem) => !before.has(said(problem)));
    return fresh ? refuse({ "": fresh.message }) : inOne(work, { checked: false });
  });
  if (answer.ok) revalidatePath("/", "layout");
  return answer;
}

/** The same fault of the same thing, wherever in the log it stands now. */
const said = ({ message }: Problem) => message;

async function inOne<T>(work: (tx: Db) => Promise<Answer<T>>, { checked = true } = {}): Promise<Answer<T>> {
  return (await store()).transaction(async (tx) => {
    const answer = await work(tx);
    if (!answer.ok) throw new NotDone(answer);
    const problems = checked ? logProblems(await logIn(tx)) : [];
    if (problems.length > 0) throw new Unsound(problems);
    await weighLog(tx);
    return answer;
  });
}
