import { format } from "date-fns";
import { cache } from "react";
import { openBook, type Book } from "@/core/ledger/book";
import type { Log } from "@/core/model";
import { additions, type Addition } from "@/core/reasons/add";
import { survey, type Survey } from "@/core/decide/case";
import { judgeAll, type Judgement, type Verdict } from "@/core/reasons/judge";
import { store } from "@/data/connection";
import { readLog } from "@/data/log";

/** The owner's local date. */
export const today = () => format(new Date(), "yyyy-MM-dd");

/** The log, opened and judged; once a request. */
export const readBook = cache(
  async (): Promise<{
    log: Log;
    book: Book;
    surveyed: Survey;
    judgements: Judgement[];
    toAdd: Addition[];
  }> => {
    const log = await readLog(await store());
    const book = openBook(log, today());
    const surveyed = survey(book);
    const judgements = judgeAll(surveyed);
    return { log, book, surveyed, judgements, toAdd: additions(book, judgements) };
  },
);

/** Agreed is not done: it stays counted until it is. */
const isPressing = ({ ruling, urgency }: Pick<Verdict, "ruling" | "urgency">) =>
  (ruling === null || ruling.decision === "agree") && (urgency === "now" || urgency === "before next trip");

/** How many things want something done before the next trip, and have not been ruled on. */
export const pressingCount = (judgements: readonly Judgement[], toAdd: readonly Addition[]) =>
  [...judgements.map(({ verdicts: [lead] }) => lead), ...toAdd].filter(isPressing).length;
