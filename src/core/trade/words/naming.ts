/*
 * How things are called, beside their own names: rows, as another language would have them. Common practice, no source.
 */

/** Other words that people use for what stands in a thing's name. */
export const WORDS_FOR: Readonly<Record<string, readonly string[]>> = {
  thick: ["fat", "wide"],
  thin: ["slim", "skinny"],
  big: ["large", "bigger", "biggest"],
  small: ["little", "smaller", "tiny"],
  warm: ["thick"],
  umbrella: ["brolly", "schirm"],
  torch: ["headlamp", "headlight", "lamp", "stirnlampe"],
  lamp: ["headlamp", "torch", "light"],
  pad: ["mat", "mattress"],
  mat: ["pad", "mattress"],
  stakes: ["pegs"],
  pegs: ["stakes"],
  jacket: ["coat", "shell"],
  shell: ["jacket"],
  bag: ["schlafsack"],
  tent: ["zelt"],
  pack: ["rucksack", "backpack"],
  bottle: ["flask"],
  gloves: ["glove", "mittens"],
  mitts: ["mitt", "mittens", "gloves"],
  stove: ["burner", "cooker"],
  bank: ["powerbank"],
  novel: ["book", "paperback"],
  paperback: ["book", "novel"],
  book: ["novel", "paperback"],
};

/** Words for a sort of thing, by its kind. */
export const KIND_WORDS: Readonly<Record<string, string>> = {
  puffy: "insulated jacket",
  "down jacket": "insulated jacket",
  schlafsack: "sleeping bag",
  "sleeping bag": "sleeping bag",
  zelt: "tent",
  stirnlampe: "head torch",
  brolly: "umbrella",
  headlamp: "head torch",
  rucksack: "pack",
  backpack: "pack",
  book: "book",
  drybag: "dry bag",
  shoes: "trail shoes",
  bank: "power bank",
  glasses: "sunglasses",
  shades: "sunglasses",
};

/** Words that stand in names of things, and seldom mean one by themselves. */
export const NOT_ALONE: ReadonlySet<string> = new Set(
  (
    "day rain warm thin thick big small spare air hard down water camp foam light first aid sun long short " +
    "old new wool steel snow ice winter summer soft dry sleeping sleep map kit set other trail walking hiking " +
    "one l repair head power synthetic person man tape case cap sit town ski running food gas pair up off out " +
    "on over through back away at under by to two three four five six seven eight nine ten second third bear " +
    "lake ridge river sea coast moor hill mountain tunnel house hut car train bus road path park tree stone " +
    "rock sand mud bog wind night morning evening year week month coffee tea iron wood cotton paper front " +
    "side inner outer mesh bottom top hand foot feet heel left right home travel wash face party high low " +
    "good white black red green blue grey yellow liquid hot cold heavy all clean wild free plus pro mini " +
    "micro zip stuff half full empty quarter"
  ).split(" "),
);
/** Of these a thing is named by the one word all the same, where nothing else bears it. */
export const MAY_STAND_ALONE: ReadonlySet<string> = new Set(["foam", "map", "cap", "gas", "food", "light"]);

/** Without its last letter each is another word: what is too short is no pair of shorts. */
export const ONLY_PLURAL: ReadonlySet<string> = new Set([
  "shorts",
  "drops",
  "tights",
  "longs",
  "flats",
  "thongs",
  "runners",
]);

/** Words of their own that are a letter away from what many things are called. */
export const NO_SLIP: ReadonlySet<string> = new Set(
  (
    "shot shots spot sort port past last lost test rest want send sent spend bang pole poled matter packed packs " +
    "mend tint tend text goes coal boat float stone store stared sock shock short towel trowel"
  ).split(" "),
);
