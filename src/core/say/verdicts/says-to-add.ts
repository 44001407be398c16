import type { Book } from "../../ledger/book";
import type { Addition } from "../../advice/add";
import type { Finding } from "../../reasons/finding";
import { onTrips, theThing } from "../words";
import { capital, times } from "../../units/speak";
import type { Job } from "../../model";

const DOES: Partial<Record<Job, string>> = {
  "treat water": "treat water",
  light: "give light",
  fire: "make fire",
  "find the way": "find the way",
  "call for help": "call for help",
  "first aid": "treat an injury",
  "stay dry": "keep you dry",
  "stay warm": "keep you warm",
  shelter: "shelter you",
  "sun protection": "keep the sun off",
  mend: "mend with",
};

/** Why something should be added to the list. */
export function saysToAdd(addition: Addition, book: Book): string {
  const finding: Finding = addition;
  const where = `Missed ${addition.times > 1 ? times(addition.times) : onTrips(finding.trips, book)}`;
  switch (finding.reason) {
    case "take it along":
      return `${where}, and ${theThing(finding.facts.owned)} is on the shelf. Take it along.`;
    case "nothing does it":
      return (
        `Nothing on the shelf is there to ${DOES[finding.facts.job] ?? finding.facts.job}. ` +
        `Add it, or give the thing that does it that job.`
      );
    case "missed": {
      const cost =
        {
          nuisance: "only a nuisance",
          discomfort: "a discomfort",
          "trip-ending": "and it ended the trip",
          danger: "and that was dangerous",
        }[finding.facts.cost] ?? "";
      return (
        `${where}${cost ? `, ${cost}` : ""}. ` +
        `${finding.sureness === "leaning" ? "Leaning: add it. Missed once more, it is settled." : "Add it."}`
      );
    }
    default:
      throw new Error(`saysToAdd: “${finding.reason}” is of a thing`);
  }
}

export const settlesAddition = ({ owned }: Addition) =>
  owned
    ? `${capital(theThing(owned))} taken along: then it is settled.`
    : "One bought and on the shelf: then it is settled.";
