import { anyOf } from "./any-of";

/** What a supply is called. */
export const SUPPLY_WORDS: Readonly<Record<string, "gas" | "spirit" | "food">> = {
  gas: "gas",
  fuel: "gas",
  spirit: "spirit",
  meths: "spirit",
  alcohol: "spirit",
  food: "food",
};

/** An amount at the start, by the words about it. */
export const SUPPLY_OUT = {
  after: anyOf(
    /^ ?(of \w+ )?(going )?out\b/,
    /^ ?(of \w+ )?in all\b/,
    /^ ?(of \w+ )?(at|to) (the )?start\b/,
    /^ ?(of \w+ )?when (i|we) (set|left|started)/,
    /^ ?(of \w+ )?(to begin|packed)\b/,
  ),
  before: /\b(set out|started|went out|left|began|had|took|packed) (with )?(about )?$/,
};
/** An amount that is left. */
export const SUPPLY_BACK = {
  after: /^ ?(of \w+ )?(came |is |was |were |went )?(back|home|left|remaining|to go|still (in|there)|over)\b/,
  before: /\b(back|home|left|still|remaining)( with| in it| over)?( ,| and| :)? ?(about |just )?$/,
};
