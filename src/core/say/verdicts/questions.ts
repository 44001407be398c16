import type { Question } from "../../ask/questions";
import type { Book } from "../../ledger/book";
import type { Verb } from "../../model";
import type { FullItem } from "../../trade/full-item";
import { capital } from "../../units/speak";
import { symptomWords, theThing } from "../words";

const plain = (item: FullItem) => theThing(item).replace(/^the /, "");

/** A question as it is put, short. */
export function sayQuestion({ asked, about, trip }: Question, item: FullItem, { outings }: Book): string {
  const where = outings.find((outing) => outing.trip.id === trip)?.trip.name ?? "the last trip";
  const it = theThing(item);
  switch (asked) {
    case "frost":
      return `Was ${it} kept from freezing on ${where}?`;
    case "grade":
      return `How ${item.pieces > 1 || item.name.includes(",") ? `good are the ${plain(item)}` : `good is ${it}`} now, 0 (gone) to 5 (as new)?`;
    case "firm":
      return `Was ${it} still firm in the morning?`;
    case "why unused":
      return `Why did ${it} stay unused?`;
    case "again":
      return `Would you take ${it} again?`;
    case "enough":
      return `How many of the ${plain(item)} would have been enough on ${where}?`;
    case "days used":
      return `On about how many days of ${where} was ${it} used?`;
    case "complete":
      return `Is ${it} complete?`;
    case "seen to":
      return `Was ${it} seen to since ${where}?`;
    case "rained":
      return `On about how many days of ${where} did it rain?`;
    case "everyday":
      return `About how far were the ${plain(item)} worn between trips this year?`;
    case "symptom":
      return `${capital(it)}: ${symptomWords(about ? [about] : [])}? Your note sounds like it.`;
  }
}

/** What is asked as a verdict is done with whose outcome matters. */
export const askOutcome = (verb: Verb) => (verb === "prove" ? "Did it hold?" : "Is it right again?");
