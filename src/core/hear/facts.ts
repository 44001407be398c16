import type {
  Symptom,
  Complaint,
  ExitHow,
  Felt,
  Frost,
  ItemId,
  OwnerCall,
  Trouble,
  Use,
  WhyUnused,
} from "../model";

/** What was said of one thing: each field only where it was told. */
export interface ThingFact {
  readonly about: "thing";
  readonly item: ItemId;
  readonly use?: Use;
  readonly trouble?: Exclude<Trouble, "nuisance">;
  readonly symptoms?: readonly Symptom[];
  readonly complaints?: readonly Complaint["what"][];
  /** Ground or weather of the complaint. */
  readonly on?: NonNullable<Complaint["on"]>;
  readonly exit?: ExitHow;
  /** What it was swapped for. */
  readonly for?: ItemId;
  readonly why?: WhyUnused;
  readonly call?: OwnerCall;
  /** Pieces of a set that were lost or broken; and how many would have been enough. */
  readonly pieces?: number;
  readonly enough?: number;
  /** Share, 0 to 1, that is left of it. */
  readonly left?: number;
  readonly condition?: number;
  readonly frost?: Frost;
  readonly fix?: "patched" | "swapped" | "went without";
  /** Metres from the start; the day of the trip, from 1. */
  readonly metres?: number;
  readonly day?: number;
  /** Days that it was used on. */
  readonly days?: number;
  /** Who carries or shares it. */
  readonly with?: string;
  readonly did?: "repair" | "wash" | "service" | "restock";
}

export type HeardFact =
  | ThingFact
  | {
      readonly about: "night";
      /** In °C; null: no temperature was told. */
      readonly low: number | null;
      readonly felt: Felt | null;
      readonly slept: readonly ItemId[];
      readonly nights: number;
    }
  | {
      readonly about: "amount";
      readonly what: "gas" | "spirit" | "food" | "battery" | "boiled" | "water drunk" | "water carried";
      readonly how: "out" | "left" | "used";
      readonly value: number;
      readonly unit: "g" | "L" | "%" | "Wh";
    }
  | {
      readonly about: "joined";
      readonly how: "bought" | "found" | "borrowed" | "given";
      readonly what: string;
      /** What it came for. */
      readonly for: ItemId | null;
      readonly from: string | null;
    }
  | { readonly about: "missed"; readonly what: string };

/** A fact, and the stretches of the text that it stands on. */
export interface Heard {
  readonly fact: HeardFact;
  readonly from: readonly { readonly at: number; readonly end: number }[];
}

/** A sentence, to the letter, with what it says. All sentences of a text put together are the text. */
export interface HeardSentence {
  readonly text: string;
  readonly heard: readonly Heard[];
}
