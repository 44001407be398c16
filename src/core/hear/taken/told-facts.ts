import { nth } from "../../sums/there";
import type { HeardFact, ThingFact } from "../../model";
import type { Named } from "../things";

/** What is told of one thing, each field one value or a list. */
interface ToldOfThing extends Partial<Record<ToldField, unknown>> {
  readonly item: string;
}
type ToldField =
  | Exclude<keyof ThingFact, "about" | "item" | "symptoms" | "complaints" | "metres" | "made" | "stay">
  | "symptom"
  | "complaint"
  | "km";

/** A fact in the plain form that `npm run hear` prints: things by their names, kilometres, one value or a list. */
export type ToldFact =
  | ToldOfThing
  | {
      readonly night: {
        readonly low?: number;
        readonly felt?: string;
        readonly slept?: readonly string[];
        readonly nights?: number;
      };
    }
  | {
      readonly amount: {
        readonly what: string;
        readonly how: string;
        readonly value: number;
        readonly unit: string;
      };
    }
  | {
      readonly joined: {
        readonly how: string;
        readonly what: string;
        readonly for?: string;
        readonly from?: string;
      };
    }
  | { readonly missed: string }
  | { readonly note: true };

const oneOrMore = <Value>(values: readonly Value[]): Value | readonly Value[] =>
  values.length === 1 ? nth(values, 0) : values;

/** Said by another name, or only there to tell facts apart. */
const TOLD_APART: ReadonlySet<string> = new Set([
  "about",
  "item",
  "symptoms",
  "complaints",
  "metres",
  "for",
  "made",
  "stay",
]);

/** A fact as it is printed. */
export function factsTold(fact: HeardFact, things: readonly Named[]): ToldFact {
  const nameOf = (id: string) => things.find((thing) => thing.id === id)!.name;
  switch (fact.about) {
    case "thing": {
      const { item, symptoms, complaints, metres, for: instead } = fact;
      const fields = Object.fromEntries(Object.entries(fact).filter(([field]) => !TOLD_APART.has(field)));
      return {
        item: nameOf(item),
        ...fields,
        ...(symptoms && { symptom: oneOrMore(symptoms) }),
        ...(complaints && { complaint: oneOrMore(complaints) }),
        ...(instead && { for: nameOf(instead) }),
        ...(metres !== undefined && { km: Math.round(metres / 100) / 10 }),
      };
    }
    case "night":
      return {
        night: {
          ...(fact.low !== null && { low: fact.low }),
          ...(fact.felt && { felt: fact.felt }),
          slept: fact.slept.map(nameOf),
          ...(fact.nights > 1 && { nights: fact.nights }),
        },
      };
    case "amount": {
      const { what, how, value, unit } = fact;
      return { amount: { what, how, value, unit } };
    }
    case "joined":
      return {
        joined: {
          how: fact.how,
          what: fact.what,
          ...(fact.for && { for: nameOf(fact.for) }),
          ...(fact.from && { from: fact.from }),
        },
      };
    case "missed":
      return { missed: fact.what };
  }
}
