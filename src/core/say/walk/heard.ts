import type { HeardFact } from "../../model";
import type { ItemId } from "../../model";
import {
  capital,
  count,
  listWords,
  percent,
  sayDistance,
  sayTemperature,
  type Units,
} from "../../units/speak";

/** What was heard, fact by fact, in a phrase each; "a note" where nothing was. */
export const sayHeard = (
  facts: readonly HeardFact[],
  units: Units,
  nameOf: (item: ItemId) => string,
): string =>
  facts.length === 0 ? "A note, kept as it is" : facts.map((fact) => sayFact(fact, units, nameOf)).join("; ");

function sayFact(fact: HeardFact, units: Units, nameOf: (item: ItemId) => string): string {
  switch (fact.about) {
    case "thing": {
      const {
        use,
        trouble,
        symptoms = [],
        complaints = [],
        on,
        exit,
        for: instead,
        why,
        call,
        pieces,
        enough,
        left,
        condition,
        frost,
        fix,
        metres,
        day,
        days,
        with: who,
        did,
        made,
        stay,
      } = fact;
      // What was harmed on the way was used.
      const isHarmed = trouble !== undefined || symptoms.length + complaints.length > 0;
      const told = [
        trouble,
        ...symptoms,
        ...complaints.map((each) => (on ? `${each} (${on})` : each)),
        exit && (instead ? `${exit} for ${nameOf(instead)}` : exit),
        isHarmed && use === "used" ? undefined : use,
        why,
        pieces !== undefined && count(pieces, "piece"),
        enough !== undefined && `${enough} would be enough`,
        left !== undefined && `${percent(left)} left`,
        condition !== undefined && `graded ${condition} of 5`,
        frost &&
          { froze: "froze", kept: "kept from freezing", unknown: "nobody knows whether it froze" }[frost],
        fix,
        days !== undefined && `used on ${count(days, "day")}`,
        who && `with ${who}`,
        did && DONE[did],
        call && !stay && `“${call}”`,
        made && "made the trip",
        stay && "could have stayed at home",
        metres !== undefined && `at ${sayDistance(metres, units)}`,
        day !== undefined && `on day ${day}`,
      ].filter((each) => typeof each === "string");
      return `${nameOf(fact.item)}: ${told.join(", ")}`;
    }
    case "night": {
      const { low, felt, slept, nights } = fact;
      return [
        `${nights === 1 ? "A night" : count(nights, "night")}${felt ? ` that felt ${felt}` : ""}`,
        low === null ? "" : `down to ${sayTemperature(low, units)}`,
        slept.length > 0 ? `in ${listWords(slept.map(nameOf))}` : "",
      ]
        .filter(Boolean)
        .join(", ");
    }
    case "amount":
      return capital(
        `${fact.what}: ${fact.value} ${fact.unit} ${fact.how === "used" ? "" : fact.how}`.trim(),
      );
    case "joined":
      return capital(
        `${fact.how}: ${fact.what}${fact.from ? `, from ${fact.from}` : ""}${fact.for ? `, in place of ${nameOf(fact.for)}` : ""}`,
      );
    case "missed":
      return `Missed: ${fact.what}`;
  }
}

const DONE = { repair: "repaired", wash: "washed", service: "serviced", restock: "restocked" } as const;
