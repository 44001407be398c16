import type { HeardFact } from "../model";

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
