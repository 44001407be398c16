import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { Item, Mark, TripHead, type ItemId } from "../model";
import { sayHeard } from "../say/walk/heard";
import { withDefaults } from "../trade/full-item";
import { kindOf } from "../trade/words/names";
import type { HeardFact } from "../model";
import { hear, namedOf } from "./hear";
import { intoDebrief } from "./taken/into-debrief";
import { piecesOf } from "./taken/pieces";

const thing = (id: string, name: string, kind: string, pieces = 1) => {
  const item = Item.parse({ id, name, kind, pieces });
  return namedOf(withDefaults(item, kindOf(item)), true);
};
const ALONG = [
  thing("torch", "First head torch", "head torch"),
  thing("poncho", "Green poncho", "light rain shell"),
  thing("quilt", "Quilt", "quilt"),
  thing("jacket", "Down jacket", "insulated jacket"),
  thing("shoes-2", "Trail shoes, pair 2", "trail shoes"),
  thing("shoes-3", "Trail shoes, pair 3", "trail shoes"),
  thing("gas", "Gas canister", "fuel"),
  thing("pad", "Air pad", "inflatable pad"),
  thing("map", "Map and compass", "map and compass"),
  thing("stakes", "Stakes", "stakes", 8),
];
const factsOf = (text: string): HeardFact[] =>
  hear(text, ALONG).flatMap(({ heard }) => heard.map(({ fact }) => fact));

describe("lines as they are written on the way", () => {
  test.each<[string, object[]]>([
    ["torch died, km 41", [{ item: "torch", trouble: "failed", metres: 41_000 }]],
    ["Torch dead at 41.5 km", [{ item: "torch", trouble: "failed", metres: 41_500 }]],
    ["poncho sent home", [{ item: "poncho", exit: "sent home" }]],
    ["lost the poncho near mile 10", [{ item: "poncho", exit: "lost", metres: 16_093.44 }]],
    ["air pad leaks", [{ item: "pad", trouble: "damaged", symptoms: ["leaks air"] }]],
    ["pair 2 worn out, km 320", [{ item: "shoes-2", exit: "worn out", metres: 320_000 }]],
    [
      "pair 2 swapped for pair 3 at km 150",
      [{ item: "shoes-2", exit: "swapped", for: "shoes-3", metres: 150_000 }],
    ],
    ["swapped in pair 3 for pair 2", [{ item: "shoes-2", exit: "swapped", for: "shoes-3" }]],
    ["down jacket unused", [{ item: "jacket", use: "unused" }]],
    [
      "lost two stakes and the poncho",
      [
        { item: "stakes", pieces: 2 },
        { item: "poncho", exit: "lost" },
      ],
    ],
    ["night −3°, fine in the quilt", [{ about: "night", low: -3, felt: "right", slept: ["quilt"] }]],
    ["28 °F night", [{ about: "night", low: -2.2, felt: null, slept: [] }]],
    ["boiled 1.2 L", [{ about: "amount", what: "boiled", how: "used", value: 1.2, unit: "L" }]],
    ["400 g of gas left", [{ about: "amount", what: "gas", how: "left", value: 400, unit: "g" }]],
    ["bought a sun hat", [{ about: "joined", how: "bought", what: "sun hat" }]],
    ["borrowed gaiters from Ida", [{ about: "joined", how: "borrowed", what: "gaiters", from: "Ida" }]],
    ["wish I had a warm hat", [{ about: "missed", what: "warm hat" }]],
    ["no cold nights", []],
    ["torch never failed", []],
    ["Ida's torch died", []],
    ["lost the trail for an hour", []],
    ["almost lost the poncho", []],
    ["if the torch dies I go home", []],
    ["quilt better than the down jacket", []],
    ["the ferry only goes on Tuesdays", []],
    ["left the poncho at 6", []],
    ["bent down to fix the poncho", []],
    ["did the torch die?", []],
    ["quilt", []],
    ["", []],
  ])("%s", (text, facts) => {
    const heard = factsOf(text);
    expect(heard).toMatchObject(facts);
    expect(heard).toHaveLength(facts.length);
  });

  test.each<[string, object[]]>([
    // What is spoken of stays so while other things are named beside it.
    ["The quilt, well, I lay on the air pad, so I never got that out.", [{ item: "quilt", use: "unused" }]],
    ["The poncho tore while I was washing the down jacket.", [{ item: "poncho", symptoms: ["torn"] }]],
    ["The sleeve of the down jacket is torn", [{ item: "jacket", symptoms: ["torn"] }]],
    ["The poncho never left the pack", [{ item: "poncho", use: "unused" }]],
    // Whatever one does with a thing, one did not.
    ["The poncho I never unfurled", [{ item: "poncho", use: "unused" }]],
    ["they never dried out", []],
    // Numbers in words, and put right.
    ["I used the poncho on four, no, five days", [{ item: "poncho", use: "used", days: 5 }]],
    [
      "Gas, two hundred and thirty grams out, ninety-six came back",
      [
        { about: "amount", how: "out", value: 230 },
        { about: "amount", how: "left", value: 96 },
      ],
    ],
    [
      "In the quilt, six degrees the first night and cool, minus two the second and cold",
      [
        { about: "night", low: 6, felt: "cool", slept: ["quilt"] },
        { about: "night", low: -2, felt: "cold", slept: ["quilt"] },
      ],
    ],
    // What is to be done, was held against, or was bought.
    ["The poncho needs a wash and reproofing", []],
    ["bought gas, 230 g can", [{ about: "joined", how: "bought" }]],
    ["lost my way, map and compass out all day", [{ item: "map", use: "used" }]],
    ["the quilt lost feathers all night", []],
    // A night with its degrees, told in any order, and what was worn in it.
    [
      "In the quilt the night was cold at about 3",
      [{ about: "night", low: 3, felt: "cold", slept: ["quilt"] }],
    ],
    ["In the quilt the nights were fine, at -4", [{ about: "night", low: -4, slept: ["quilt"] }]],
    ["In the quilt the night was cold at 12", [{ about: "night", low: 12 }]],
    [
      "Slept in the quilt with the down jacket on, minus four, cold",
      [{ about: "night", low: -4, felt: "cold", slept: ["quilt", "jacket"] }],
    ],
    // What was only thought of is no call, nor what should have been.
    ["Thinking of leaving the poncho at home next time", []],
    ["The poncho should have been mended before", []],
  ])("talk: %s", (text, facts) => {
    const heard = factsOf(text);
    expect(heard.filter((each) => each.about !== "thing" || each.item !== "pad")).toMatchObject(facts);
  });

  test("it is said back in plain words", () => {
    const units = { weight: "g", distance: "km", temperature: "C" } as const;
    const say = (text: string) =>
      sayHeard(factsOf(text), units, (id) => ALONG.find((each) => each.id === id)!.name).replaceAll(
        /[\u00a0\u202f]/g,
        " ",
      );
    expect(say("torch died, km 41")).toBe("First head torch: failed, at 41 km");
    expect(say("20 g gas left, torch dead. great")).toBe("Gas: 20 g left; First head torch: failed");
    expect(say("hm")).toBe("A note, kept as it is");
  });
});

describe("directions", () => {
  const HARMS = ["leaks", "tore", "broke", "died", "slides", "clogged", "smells", "is bent"];
  const SUBJECTS = [
    ["torch", "torch"],
    ["poncho", "poncho"],
    ["air pad", "pad"],
    ["down jacket", "jacket"],
  ] as const;
  const harm = fc.constantFrom(...HARMS);
  const subject = fc.constantFrom(...SUBJECTS);

  test("a denial put in takes the fact away, and turns it into no other", () =>
    fc.assert(
      fc.property(subject, harm, ([words, id], verb) => {
        const heard = factsOf(`the ${words} never ${verb}`);
        expect(
          heard.filter(
            (fact) =>
              fact.about === "thing" &&
              fact.item === id &&
              (fact.trouble ?? fact.symptoms ?? fact.complaints),
          ),
        ).toEqual([]);
      }),
    ));

  test("two things said in one line say what both say by themselves", () =>
    fc.assert(
      fc.property(subject, harm, subject, harm, (a, one, b, other) => {
        fc.pre(a !== b);
        const both = factsOf(`the ${a[0]} ${one}, the ${b[0]} ${other}`);
        expect(both).toEqual(
          expect.arrayContaining([...factsOf(`the ${a[0]} ${one}`), ...factsOf(`the ${b[0]} ${other}`)]),
        );
      }),
    ));

  test("case, and a letter swapped in a long word, change nothing", () => {
    expect(factsOf("PONCHO TORN")).toEqual(factsOf("poncho torn"));
    expect(factsOf("ponhco torn")).toEqual(factsOf("poncho torn"));
    expect(factsOf("down jakcet smells")).toEqual(factsOf("down jacket smells"));
  });

  test("another word for a thing changes nothing, nor in which order a swap is told", () => {
    for (const [name, other] of [
      ["head torch", "headlamp"],
      ["air pad", "air mattress"],
      ["down jacket", "puffy"],
      ["stakes", "pegs"],
      ["gas canister", "gas"],
    ] as const)
      for (const said of ["is broken", "never used", "sent home from the shop", "lost on the ferry"])
        expect(factsOf(`the ${other} ${said}`)).toEqual(factsOf(`the ${name} ${said}`));
    const swap = factsOf("swapped pair 2 for pair 3");
    for (const told of [
      "pair 2 swapped for pair 3",
      "pair 3 instead of pair 2",
      "swapped in pair 3 for pair 2",
    ])
      expect(factsOf(told)).toEqual(swap);
  });

  test("a text of many sentences, each told by itself, says what they say together", () => {
    const said = ["The poncho tore at the hem.", "I never put the down jacket on.", "Lost two stakes."];
    expect(factsOf(said.join(" "))).toEqual(said.flatMap((sentence) => factsOf(sentence)));
  });
});

const WORDS = [
  "torch",
  "quilt",
  "gas",
  "died",
  "sent home",
  "lost",
  "km 41",
  "2 °C",
  "night",
  "cold",
  "in",
  "and",
  "left",
  "400 g",
  "swapped for",
  "boiled",
  "bought",
  "Ida's",
  "\n",
  "… ",
];

describe("in other words", () => {
  const SHELF = [
    ...ALONG,
    thing("filter", "Filter", "filter"),
    thing("socks", "Socks", "socks", 3),
    thing("pot", "Pot", "pot"),
    thing("bottle", "Water bottle", "water bottle"),
    thing("shorts", "Shorts", "trousers"),
    thing("cream", "Sunscreen", "sunscreen"),
  ];
  const told = (text: string) => hear(text, SHELF).flatMap(({ heard }) => heard.map(({ fact }) => fact));

  test.each<[string, ...object[]]>([
    // The day and the place are of what happened.
    [
      "torch died on day 3, so the map came out",
      { item: "torch", trouble: "failed", day: 3 },
      { item: "map", use: "used" },
    ],
    [
      "on day 4 the torch died and I never used the poncho",
      { item: "torch", trouble: "failed", day: 4 },
      { item: "poncho", use: "unused" },
    ],
    ["the poncho came out on day 2", { item: "poncho", use: "used", day: 2 }],
    // A question that names a thing says what the answer is about; any other question tells nothing.
    ["The poncho? Never used.", { item: "poncho", use: "unused" }],
    ["And the map? Stayed in the pack all week.", { item: "map", use: "unused" }],
    ["What about the jacket? Hardly wore it.", { item: "jacket", use: "hardly" }],
    ["the poncho? I don't know. It rained."],
    ["Did the poncho tear? Never used."],
    ["did I miss anything? Camp shoes.", { about: "missed", what: "camp shoes" }],
    ["Did I miss anything? No."],
    // Whose it was, who had it.
    ["I shared the poncho with Ida", { item: "poncho", with: "Ida", use: "used" }],
    ["Ida carried the pot", { item: "pot", with: "Ida" }],
    ["the pot in Ida's pack", { item: "pot", with: "Ida" }],
    ["lent the map to Ida", { item: "map", with: "Ida" }],
    ["gave Ida the pot to carry", { item: "pot", with: "Ida" }],
    ["gave Ida the jacket", { item: "jacket", exit: "given away" }],
    ["gave Ida the jacket for the night"],
    ["Ida's torch died, used mine", { item: "torch", use: "used" }],
    // Frost harms what treats water alone.
    ["filter froze overnight", { item: "filter", frost: "froze" }],
    ["filter kept in the bag, never froze", { item: "filter", frost: "kept" }],
    ["slept with the filter in my bag", { item: "filter", frost: "kept" }],
    ["no idea whether the filter froze", { item: "filter", frost: "unknown" }],
    ["the filter may have frozen", { item: "filter", frost: "unknown" }],
    ["only for frost, the jacket", { item: "jacket", call: "bring when" }],
    // So many of several.
    ["three of the stakes are bent", { item: "stakes", pieces: 3, symptoms: ["bent"] }],
    ["lost 2 of the 8 stakes", { item: "stakes", pieces: 2 }],
    ["stakes: one gone", { item: "stakes", pieces: 1 }],
    ["a stake is missing", { item: "stakes", pieces: 1 }],
    ["tip of one stake bent", { item: "stakes", pieces: 1, symptoms: ["bent"] }],
    ["one pair of socks is through at the heels", { item: "socks", pieces: 1, symptoms: ["holed"] }],
    ["four stakes are enough", { item: "stakes", enough: 4 }],
    ["two pairs of socks would do", { item: "socks", enough: 2 }],
    ["too many socks", { item: "socks", why: "too much of it" }],
    ["one of them snapped"],
    // What is left of it, and the days of it.
    ["the sunscreen is half gone", { item: "cream", left: 0.5 }],
    ["a quarter of the sunscreen left", { item: "cream", left: 0.25 }],
    ["the sunscreen ran out", { item: "cream", left: 0 }],
    ["wore the poncho on three of the days", { item: "poncho", days: 3, use: "used" }],
    ["used the map two days out of five", { item: "map", days: 2, use: "used" }],
    ["the jacket for three evenings", { item: "jacket", days: 3 }],
    ["poncho 2.5 of 5", { item: "poncho", condition: 2.5 }],
    // How it was used, and why it was not.
    ["barely needed the map", { item: "map", use: "hardly" }],
    ["forgot I had the map", { item: "map", use: "unused", why: "forgot it" }],
    ["never took the jacket out, it was too warm", { item: "jacket", use: "unused", why: "no call for it" }],
    [
      "never used the map because the phone did it",
      { item: "map", use: "unused", why: "another did the job" },
    ],
    [
      "we cut the trip short, never got to the river, so the pot stayed packed",
      { item: "pot", use: "unused", why: "trip cut short" },
    ],
    ["used the poncho but not the map", { item: "poncho", use: "used" }, { item: "map", use: "unused" }],
    [
      "The map never came out. Same with the jacket.",
      { item: "map", use: "unused" },
      { item: "jacket", use: "unused" },
    ],
    [
      "Used the map every day, the jacket likewise",
      { item: "map", use: "used" },
      { item: "jacket", use: "used" },
    ],
    [
      "What never came out: the map, the jacket, and the shorts",
      { item: "map", use: "unused" },
      { item: "jacket", use: "unused" },
      { item: "shorts", use: "unused" },
    ],
    ["the torch worked", { item: "torch", use: "used" }],
    ["had the poncho on twice", { item: "poncho", use: "hardly" }],
    ["the shorts chafe", { item: "shorts", complaints: ["rubs or hurts"] }],
    // What became of it.
    ["left the bottle at a hut", { item: "bottle", exit: "lost" }],
    ["left the bottle by the stream", { item: "bottle", exit: "lost" }],
    ["left the bottle at a hut, for collection"],
    ["lost the bottle on the ferry, rained till noon", { item: "bottle", exit: "lost" }],
    ["bottle washed away in the river", { item: "bottle", exit: "lost" }],
    ["washed the bottle", { item: "bottle", did: "wash" }],
    ["lost the lid of the pot", { item: "pot", trouble: "damaged", symptoms: ["broken"] }],
    ["the pot's lid is gone", { item: "pot", trouble: "damaged", symptoms: ["broken"] }],
    ["lost the pot and the map", { item: "pot", exit: "lost" }, { item: "map", exit: "lost" }],
    ["wore the socks out", { item: "socks", exit: "worn out" }],
    ["wore the jacket out", { item: "jacket", use: "used" }],
    ["sent the jacket ahead", { item: "jacket", exit: "posted ahead" }],
    ["posted on the jacket to the ferry", { item: "jacket", exit: "posted ahead" }],
    ["jacket in the same parcel", { item: "jacket", exit: "sent home" }],
    ["left the shorts for the next walker", { item: "shorts", exit: "given away" }],
    ["I almost threw the shorts away"],
    // Harmed, and seen to.
    [
      "The poncho tore. Taped it up and it held.",
      { item: "poncho", symptoms: ["torn"], trouble: "damaged" },
      { item: "poncho", fix: "patched" },
    ],
    ["the pad went flat, slept on the ground", { item: "pad", symptoms: ["leaks air"], trouble: "failed" }],
    ["the torch's battery cover broke off", { item: "torch", symptoms: ["broken"], trouble: "damaged" }],
    ["I fixed the torch", { item: "torch", did: "repair" }],
    ["the torch needs fixing", { item: "torch", call: "fix" }],
    ["the torch died, did without", { item: "torch", trouble: "failed", fix: "went without" }],
    ["the torch died and I went without", { item: "torch", trouble: "failed", fix: "went without" }],
    ["the poncho tore, went without", { item: "poncho", symptoms: ["torn"], fix: "went without" }],
    ["did without the poncho"],
    // Used up: not what carries, lights or sleeps.
    ["the gas canister is empty", { item: "gas", left: 0 }],
    ["the bottle is empty"],
    ["the torch is empty"],
    ["the quilt is empty"],
    ["one stake bent", { item: "stakes", pieces: 1, symptoms: ["bent"] }],
    ["two of the socks are holed", { item: "socks", pieces: 2, symptoms: ["holed"] }],
    ["one pair of socks got lost", { item: "socks", pieces: 1 }],
    // Worn out is what walks or is worn; of anything else it must be said in so many words.
    ["the socks had had it", { item: "socks", exit: "worn out" }],
    ["the poncho has had it"],
    ["the poncho is worn out", { item: "poncho", exit: "worn out" }],
    ["third pair worn out", { item: "shoes-3", exit: "worn out" }],
    ["pair two worn out", { item: "shoes-2", exit: "worn out" }],
    [
      "bought new socks, mine were worn out",
      { about: "joined", for: "socks" },
      { item: "socks", exit: "worn out" },
    ],
    ["bought new socks, the old ones given away", { about: "joined" }, { item: "socks", exit: "given away" }],
    ["bought new socks, lost one pair of the old ones", { about: "joined" }, { item: "socks", pieces: 1 }],
    // Named in other ways.
    ["torch - dead", { item: "torch", trouble: "failed" }],
    ["(torch died)", { item: "torch", trouble: "failed" }],
    ["the green one tore", { item: "poncho", symptoms: ["torn"] }],
    ["the compass got lost", { item: "map", exit: "lost" }],
    ["torch 2"],
    ["the l"],
    // Said of the one, and of the other.
    ["Poncho: used. Torch: not.", { item: "poncho", use: "used" }, { item: "torch", use: "unused" }],
    ["poncho used, torch not", { item: "poncho", use: "used" }, { item: "torch", use: "unused" }],
    [
      "The map was never used. Nor was the jacket.",
      { item: "map", use: "unused" },
      { item: "jacket", use: "unused" },
    ],
    [
      "The map was used every day. So was the jacket.",
      { item: "map", use: "used" },
      { item: "jacket", use: "used" },
    ],
    ["so was the jacket"],
    [
      "map torch pot all used",
      { item: "map", use: "used" },
      { item: "torch", use: "used" },
      { item: "pot", use: "used" },
    ],
    [
      "I used the torch every night and it was bright enough the jacket I never wore the whole week because it was " +
        "warm I slept in the quilt and it was fine the pad leaked air again and I blew it up twice a night really " +
        "the stakes held",
      { item: "torch", use: "used" },
      { about: "night", felt: "right", slept: ["quilt"] },
      { item: "jacket", use: "unused" },
      { item: "pad", symptoms: ["leaks air"] },
    ],
    // Said of the one, beside the other.
    [
      "while I washed the shorts the poncho tore",
      { item: "shorts", did: "wash" },
      { item: "poncho", symptoms: ["torn"] },
    ],
    ["poncho: strap snapped under the pad", { item: "poncho", symptoms: ["broken"] }],
    ["Walked round the lake in the shorts, those were wonderful", { item: "shorts", use: "used" }],
    [
      "neither the map nor the torch came out",
      { item: "map", use: "unused" },
      { item: "torch", use: "unused" },
    ],
    ["all but the map came out", { item: "map", use: "unused" }],
    ["everything except the map was used", { item: "map", use: "unused" }],
    ["would have swapped the map for the torch"],
    ["swapped the map for Ida's torch"],
    ["swapped the torch for the head torch"],
    ["map: once", { item: "map", use: "hardly" }],
    // Several of a kind by their numbers.
    [
      "Trail shoes, two pairs. Two was worn out at km 300.",
      { item: "shoes-2", exit: "worn out", metres: 300_000 },
    ],
    ["Two was worn out at km 300."],
    // One in the place of another, however it is put.
    ["wore the poncho instead of the jacket", { item: "jacket", exit: "swapped", for: "poncho" }],
    ["the poncho on, the jacket off", { item: "jacket", exit: "swapped", for: "poncho" }],
    ["the jacket off, the poncho on", { item: "jacket", exit: "swapped", for: "poncho" }],
    ["the torch replaces the map", { item: "map", exit: "swapped", for: "torch" }],
    ["the torch replaced by the map", { item: "torch", exit: "swapped", for: "map" }],
    // What it goes back to.
    [
      "bought a new torch. It died on day 2.",
      { about: "joined", what: "torch" },
      { item: "torch", trouble: "failed", day: 2 },
    ],
    ["it tore, the poncho", { item: "poncho", symptoms: ["torn"] }],
    ["The poncho I liked. Well, it tore at km 3.", { item: "poncho", symptoms: ["torn"], metres: 3000 }],
    ["The poncho. The map it tore.", { item: "map", symptoms: ["torn"] }],
    // Slips of the finger, and words of their own.
    ["poncho tron", { item: "poncho", symptoms: ["torn"] }],
    ["lsot the poncho", { item: "poncho", exit: "lost" }],
    ["brought the poncho"],
    ["the jacket was heavier than the poncho"],
    ["no need to replace the torch"],
    // The owner's own calls.
    ["don't take the jacket again", { item: "jacket", call: "leave" }],
    ["I won't take the jacket", { item: "jacket", call: "leave" }],
    ["would not take the jacket again", { item: "jacket", call: "leave" }],
    ["take the jacket again any time", { item: "jacket", call: "bring again" }],
    ["jacket saved the trip", { item: "jacket", call: "bring again", made: true, use: "used" }],
    [
      "The jacket could have stayed. So could the map.",
      { item: "jacket", call: "leave", stay: true },
      { item: "map", call: "leave" },
    ],
    // What came, and what was lacking.
    ["found a pair of gloves on the path", { about: "joined", how: "found", what: "gloves", from: null }],
    ["found a spring"],
    ["picked up a new gas in the village", { about: "joined", how: "bought", what: "gas" }],
    ["picked up a hat on the path", { about: "joined", how: "found", what: "hat" }],
    ["a woman gave me a hat", { about: "joined", how: "given", what: "hat", from: "woman" }],
    [
      "bought new socks for the old ones, threw the old ones away",
      { about: "joined", how: "bought", what: "socks", for: "socks" },
      { item: "socks", exit: "thrown out" },
    ],
    ["missed my warm hat every night", { about: "missed", what: "warm hat" }],
    ["I wish I had left the map at home", { item: "map", call: "leave" }],
    // Nights.
    [
      "In the quilt the first night, 6, cool, and the second night, -3, cold",
      { about: "night", low: 6, felt: "cool", slept: ["quilt"] },
      { about: "night", low: -3, felt: "cold", slept: ["quilt"] },
    ],
    [
      "first night 4 and fine, second night minus two and cold",
      { about: "night", low: 4, felt: "right" },
      { about: "night", low: -2, felt: "cold" },
    ],
    [
      "both nights in the quilt were cold",
      { about: "night", low: null, felt: "cold", slept: ["quilt"], nights: 2 },
    ],
    ["three nights of 5 degrees in the quilt, cool", { about: "night", low: 5, felt: "cool", nights: 3 }],
    [
      "it was 30 f at night, shivered in the quilt",
      { about: "night", low: -1.1, felt: "cold", slept: ["quilt"] },
    ],
    ["too hot in the quilt at 15 c", { about: "night", low: 15, felt: "hot", slept: ["quilt"] }],
    ["the label says 2 c"],
    ["not a cold night in the quilt"],
  ])("%s", (text, ...facts) => {
    const heard = told(text);
    expect(heard).toMatchObject(facts);
    expect(heard).toHaveLength(facts.length);
  });
});

test("of two alike, the one that was along is meant", () => {
  const item = (id: string, along: boolean) => ({ ...thing(id, `Torch ${id}`, "head torch"), along });
  const told = (...shelf: ReturnType<typeof item>[]) =>
    hear("the torch died", shelf).flatMap(({ heard }) => heard.map(({ fact }) => fact));
  expect(told(item("red", false), item("blue", true))).toMatchObject([{ item: "blue", trouble: "failed" }]);
  expect(told(item("red", true), item("blue", true))).toEqual([]);
});

test("of two who walk together, each has their own", () => {
  const both = [
    thing("quilt", "Quilt", "quilt"),
    thing("hers", "Ida’s quilt", "quilt"),
    thing("pad", "Air pad", "inflatable pad"),
  ];
  const told = (text: string) => hear(text, both).flatMap(({ heard }) => heard.map(({ fact }) => fact));
  expect(told("Ida and I walked. Her quilt tore.")).toMatchObject([{ item: "hers", symptoms: ["torn"] }]);
  expect(told("Me and Ida walked. My quilt tore.")).toMatchObject([{ item: "quilt", symptoms: ["torn"] }]);
  expect(told("Ida and me walked. Quilts: mine tore, hers was fine.")).toMatchObject([
    { item: "quilt", symptoms: ["torn"] },
    { item: "hers", use: "used" },
  ]);
  const named = [thing("his", "Ole’s quilt", "quilt"), thing("hers", "Ida’s quilt", "quilt")];
  const oles = (text: string) => hear(text, named).flatMap(({ heard }) => heard.map(({ fact }) => fact));
  expect(oles("Ida and I walked. My quilt tore.")).toMatchObject([{ item: "his" }]);
  expect(oles("Ida and I walked. Her quilt tore.")).toMatchObject([{ item: "hers" }]);
  // Walked alone, what is hers is somebody else's.
  expect(told("We walked. Her quilt tore.")).toEqual([]);
});

test("never a character that was typed is lost, whatever it is, and nothing throws", () =>
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ unit: "grapheme" }),
        fc
          .array(fc.oneof(fc.constantFrom(...WORDS), fc.string({ maxLength: 4 })))
          .map((words) => words.join(" ")),
      ),
      (text) => {
        const sentences = hear(text, ALONG);
        expect(sentences.map((sentence) => sentence.text).join("")).toBe(text);
        const pieces = piecesOf(sentences);
        expect(pieces.map((piece) => piece.text).join("")).toBe(text);
        expect(pieces.every((piece) => piece.text.length > 0)).toBe(true);
      },
    ),
    { numRuns: 1500 },
  ));

test("a long line, none on the shelf, and six hundred things of like names are answered", () => {
  const many = Array.from({ length: 600 }, (_, n) => thing(`thing-${n}`, `Pad ${n}`, "foam pad"));
  expect(hear("the pad tore ".repeat(25), many).length).toBeGreaterThan(0);
  expect(hear("the pad tore", []).flatMap(({ heard }) => heard)).toEqual([]);
  expect(
    hear("العشاء كان باردا 🏕️ torch died", ALONG)
      .map(({ text }) => text)
      .join(""),
  ).toBe("العشاء كان باردا 🏕️ torch died");
});

describe("what a line becomes at the debrief", () => {
  const trip = TripHead.parse({
    id: "t",
    name: "T",
    starts: "2026-05-01",
    ends: "2026-05-04",
    legs: [
      { id: "a", distance: "40 km" },
      { id: "b", distance: "30 km" },
    ],
  });
  const into = (text: string, known: Mark | null = null, item = "torch") =>
    intoDebrief(
      factsOf(text).map((fact) => ({ fact, text })),
      { trip, carries: [{ item: item as ItemId, legs: null, shared: null, mark: known }] },
      "2026-05-02",
    );

  test("a mark keeps what it said, and has the line in its note and its place on its leg", () => {
    const known = Mark.parse({ use: "used", complaints: [{ what: "weak" }], note: "dim" });
    const { marks } = into("torch died, km 41", known);
    expect(marks.get("torch" as ItemId)).toMatchObject({
      use: "used",
      troubles: ["failed"],
      complaints: [{ what: "weak" }],
      note: "dim; torch died, km 41",
      at: { leg: "b", distance: { m: 41_000 } },
    });
  });

  test("a night keeps its date and its bed; gas left stands in its supply; what was missed, done or bought is told apart", () => {
    expect(into("-1 in the quilt, fine").trip.felt).toMatchObject([
      { on: "2026-05-02", low: -1, felt: "right", slept: ["quilt"] },
    ]);
    expect(into("set out with 230 g gas").trip.supplies).toMatchObject([
      { what: "gas", unit: "g", out: 230, back: 0 },
    ]);
    // What was carried adds up, what was drunk comes off it; a share is of what went out, and of nothing it is none.
    expect(into("carried 3 l\ncarried 2 l\ndrank 4 l").trip.supplies).toMatchObject([
      { what: "water", unit: "L", out: 5, back: 1 },
    ]);
    expect(into("set out with 230 g gas\ngas half left").trip.supplies).toMatchObject([
      { what: "gas", unit: "g", out: 230, back: 115 },
    ]);
    expect(into("gas half left").trip.supplies).toEqual([]);
    expect(into("wish I had a warm hat").trip.missed).toMatchObject([{ what: "warm hat" }]);
    expect(into("sewed the poncho").done).toMatchObject([{ item: "poncho", what: "repair" }]);
    expect(into("bought a sun hat").joined).toMatchObject([{ how: "bought", what: "sun hat" }]);
    expect(into("boiled 1.5 l").trip.boiled).toBe(1.5);
  });

  test("a note changes nothing", () => {
    const { marks, done, joined, trip: told } = into("lovely morning");
    expect([marks.size, done, joined, told.felt, told.missed]).toEqual([0, [], [], [], []]);
  });
});
