import { format } from "date-fns";
import { cache } from "react";
import { openBook, type Book } from "@/core/ledger/book";
import type { Log } from "@/core/model";
import { survey, type Survey } from "@/core/verdict/case";
import { judgeAll, type Judgement } from "@/core/verdict/judge";
import { store } from "@/data/connection";
import { readLog } from "@/data/log";

/** The owner's local date. */
export const today = () => format(new Date(), "yyyy-MM-dd");

/** The log, opened and judged; once a request. */
export const readBook = cache(async (): Promise<{ log: Log; book: Book; surveyed: Survey; judgements: Judgement[] }> => {
  const log = await readLog(await store());
  const book = openBook(log, today());
  const surveyed = survey(book);
  return { log, book, surveyed, judgements: judgeAll(surveyed) };
});

/** Verdicts that want something done and have not been ruled on. */
const isPressing = ({ verdicts: [lead] }: Judgement) => lead.ruling === null && (lead.urgency === "now" || lead.urgency === "before next trip");
export const pressingCount = (judgements: readonly Judgement[]) => judgements.filter(isPressing).length;
