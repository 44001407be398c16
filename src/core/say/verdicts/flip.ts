import type { Flip, Supposition } from "../../advice/flip";
import type { EntryWhat } from "../../model";
import { several, inWords } from "../../units/speak";
import { sayTriggers } from "../words";

const LOGGED: Readonly<Record<EntryWhat, string>> = {
  repair: "A repair, logged",
  service: "The service, logged",
  restock: "What is missing put back, and logged",
  wash: "A wash, logged",
  check: "A look at home, logged",
  trial: "A trial near home, logged",
  wear: "Wear, logged",
  damage: "Damage, logged",
  "own service": "it is done",
  loan: "A loan, logged",
};

function saySupposed(supposed: Supposition): string {
  switch (supposed.kind) {
    case "logged":
      return LOGGED[supposed.what];
    case "kept from frost":
      return "“Kept from freezing” on its marks";
    case "later date":
      return "A later date on its label";
    case "graded":
      return `A grade of ${supposed.condition} of 5`;
    case "failure":
      return "A failure on the next trip";
    case "another on the shelf":
      return "Another on the shelf";
    case "next trip":
      return supposed.factor < 1
        ? `A next trip of ${supposed.factor === 0.5 ? "half" : "a quarter of"} the length`
        : `A next trip of ${supposed.factor === 2 ? "twice" : `${inWords(supposed.factor)} times`} the length`;
    case "trips": {
      const more = supposed.n === 1 ? "one more trip" : several(supposed.n, "more trip");
      const calls = supposed.calls.length
        ? ` ${supposed.without ? "without" : "with"} ${sayTriggers(supposed.calls)}`
        : "";
      return `${supposed.use === "used" ? "Used" : "Unused"} on ${more}${calls}`;
    }
  }
}

/** The flip as a sentence; where there is none, the rule is what stands in the way. */
export const sayFlip = (flip: Flip | null) =>
  flip
    ? `${saySupposed(flip.supposed)}: then “${flip.then}”.`
    : "Nothing that twenty more trips could bring.";
