/** What a page is for, and the keys that are its own. */
export interface PageHelp {
  readonly about: string;
  readonly keys: readonly (readonly [key: string, does: string])[];
}

/** By the address of the page at the notebook's edge. */
export const PAGE_HELP: Readonly<Record<string, PageHelp>> = {
  "/trail": {
    about:
      "One line for what happened, as it comes. It is understood, kept on the phone, and sent when it can be.",
    keys: [["Enter", "keep the line"]],
  },
  "/unpack": {
    about: "Tip the pack out, and say of each thing what it was: used, hardly, unused, failed.",
    keys: [
      ["u", "used"],
      ["h", "hardly: once or twice, would not have been missed"],
      ["n", "unused"],
      ["f", "failed: how, what is to be seen, why"],
      ["t", "damaged, or a nuisance"],
      ["x", "what was wrong with it: too heavy, too cold …"],
      ["Shift U", "the rest of this pocket was used"],
      ["0 – 5", "its condition: 5 as new, 0 gone"],
      ["w", "why it stayed unused"],
      ["c", "your call"],
      ["e", "it left the pack: lost, given away, sent home …"],
      ["b", "bought or found on the way"],
      ["q", "days used, how many would do, what is left"],
      ["k", "was it kept from freezing?"],
      ["Enter", "a note"],
      ["a", "to the questions, once all is marked"],
      ["z", "take the last mark back"],
      ["↑ ↓", "up and down"],
      ["← →", "the pocket before, the next"],
    ],
  },
  "/verdicts": {
    about:
      "What to leave, mend, replace, service, prove or add, and why. You rule on each; nothing is done by itself.",
    keys: [
      ["↑ ↓", "from slip to slip"],
      ["a", "agree"],
      ["d", "done"],
      ["o", "overrule, with your reason"],
      ["l", "later"],
      ["Enter", "the whole argument"],
      ["1 – 9", "answer what is asked above"],
    ],
  },
  "/season": {
    about: "A year of walks at a glance: what was used, what failed, and whether the verdicts held.",
    keys: [],
  },
  "/bench": { about: "The jobs that the verdicts ask for, and your own, by where they are done.", keys: [] },
  "/ready": { about: "Each thing looked at before it goes out again.", keys: [] },
  "/next/replay": {
    about:
      "Any list, walked over the days that you were out: what it would have weighed, and what would have been missing.",
    keys: [],
  },
  "/next": {
    about: "The next trip: what goes, what stays, and what must be seen to first.",
    keys: [
      ["t l", "on the board: take the thing in hand, or leave it"],
      ["b", "hold it beside another"],
    ],
  },
  "/": {
    about: "All things by all trips: a stroke for each, as it was marked.",
    keys: [
      ["← ↑ ↓ →", "walk the sheet"],
      ["u h n", "mark in place: used, hardly, unused"],
      ["z", "take the last mark back"],
      ["Enter", "all that is said of it"],
      ["/", "filter by name"],
    ],
  },
  "/trips": { about: "The walks, and what is planned.", keys: [] },
  "/trips/nights": {
    about: "How nights felt, in which bed, and how low that bed is right for you.",
    keys: [],
  },
  "/trips/supplies": { about: "Gas, food, water and power: what you use, and what to plan on.", keys: [] },
  "/trips/loads": { about: "What was on the back, by trip and by thing.", keys: [] },
  "/shelf": {
    about: "All that is owned. One line each puts a thing there.",
    keys: [["Enter", "put the line on the shelf"]],
  },
  "/shelf/weigh": { about: "A weight for each thing, from the kitchen scale or typed.", keys: [] },
  "/shelf/money": { about: "What things cost, a night and a kilometre.", keys: [] },
  "/shelf/wishes": { about: "What you would like, and whether it would earn its place.", keys: [] },
  "/settings": {
    about: "Units, the school you pack by, the trade’s numbers, backups, and your phone.",
    keys: [],
  },
};
