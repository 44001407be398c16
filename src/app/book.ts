import { cache } from "react";
import type { Addition } from "@/core/reasons/add";
import type { Judgement, Verdict } from "@/core/reasons/judge";
import { readLatest } from "./reading";

/** The log, opened and judged; the same for the whole of a request. */
export const readBook = cache(readLatest);

/** Agreed is not done: it stays counted until it is. */
const isPressing = ({ ruling, urgency }: Pick<Verdict, "ruling" | "urgency">) =>
  (ruling === null || ruling.decision === "agree") && (urgency === "now" || urgency === "before next trip");

/** How many things want something done before the next trip, and have not been ruled on. */
export const pressingCount = (judgements: readonly Judgement[], toAdd: readonly Addition[]) =>
  [...judgements.map(({ verdicts: [lead] }) => lead), ...toAdd].filter(isPressing).length;
