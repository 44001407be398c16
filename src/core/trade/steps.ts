import type { Symptom } from "../model";

/** How a job on a kind of thing is usually done. Common practice, no source; the maker's word comes first. */
export interface Steps {
  readonly steps: readonly string[];
  readonly materials: readonly string[];
  /** Rough time of the owner's own, in minutes; waiting for something to dry is not counted. */
  readonly minutes: number;
  /** What a step measures, where one does: it is kept as a reading. */
  readonly measures?: {
    readonly what: string;
    readonly unit: string;
    readonly ask: string;
    /** It is taken by a clock: the minutes themselves, or a litre in so many. */
    readonly timed?: "minutes" | "litre";
  };
}

interface StepRule extends Steps {
  readonly kinds: readonly string[];
  /** For these troubles; left out: for a service, or whatever the kind needs. */
  readonly symptoms?: readonly Symptom[];
}

const SEALER = ["seam sealer", "clean cloth"];

const STEP_RULES: readonly StepRule[] = [
  {
    kinds: ["inflatable pad", "pillow"],
    symptoms: ["leaks air", "holed"],
    steps: [
      "Blow it up hard, and leave it overnight.",
      "Find the leak: under water, or with soap and water; bubbles show it.",
      "Clean and dry the place, patch it, and give the patch its own time under a weight.",
      "Blow it up again and leave it overnight before you rely on it.",
    ],
    materials: ["patches and glue", "soap", "alcohol wipe"],
    minutes: 40,
    measures: {
      what: "firmness",
      unit: "% after a night",
      ask: "How firm was it in the morning, in % of the evening?",
    },
  },
  {
    kinds: ["inflatable pad", "pillow"],
    steps: [
      "Blow it up hard.",
      "Leave it overnight with something heavy on it.",
      "Feel it in the morning; soft means a slow leak.",
    ],
    materials: [],
    minutes: 10,
    measures: {
      what: "firmness",
      unit: "% after a night",
      ask: "How firm was it in the morning, in % of the evening?",
    },
  },
  {
    kinds: ["filter"],
    steps: [
      "Soak it for half an hour.",
      "Backflush with clean water, hard, until it runs clear; then again.",
      "Time a litre through it, and note the flow.",
      "If it is no better after the third time, replace it.",
    ],
    materials: ["clean water", "syringe or flushing bottle"],
    minutes: 30,
    measures: { what: "flow", unit: "L a minute", ask: "Litres a minute through it", timed: "litre" },
  },
  {
    kinds: ["tent", "tarp"],
    symptoms: ["lets water in", "wets out"],
    steps: [
      "Set it up dry, inside out where the seams are easier to reach.",
      "Wipe the seams; peel off old tape that lifts.",
      "Seal them thinly, and the stitching at pole sleeves and loops.",
      "Leave it to dry for a day, and dust it so that it does not stick.",
      "Then hose it, or one wet night near home.",
    ],
    materials: SEALER,
    minutes: 90,
  },
  {
    kinds: ["tent", "tarp"],
    steps: [
      "Set it up and look over seams, floor, zip, poles and cords.",
      "Sponge off dirt; free the zip and treat it.",
      "Dry it to the last corner before it is stored.",
    ],
    materials: ["sponge", "zip wax"],
    minutes: 45,
  },
  {
    kinds: ["rain shell", "rain trousers", "light rain shell", "rain mitts", "pack cover", "umbrella"],
    steps: [
      "Wash it with what is made for coated cloth, and rinse twice.",
      "Reproof it, and dry it with as much warmth as its label allows.",
      "Water should now stand in beads: hold it under the tap.",
    ],
    materials: ["wash for coated cloth", "reproofer"],
    minutes: 30,
  },
  {
    kinds: ["quilt", "sleeping bag", "insulated jacket", "insulated vest"],
    steps: [
      "Wash it gently, by hand or in a large machine, with what is made for its filling.",
      "Rinse until nothing foams; lift it with both arms.",
      "Dry it slowly, days if need be, and break up the lumps.",
      "Measure the loft when it has rested for a day.",
    ],
    materials: ["wash for its filling"],
    minutes: 60,
    measures: { what: "loft", unit: "% of new", ask: "Loft, in % of new" },
  },
  {
    kinds: ["stove"],
    steps: [
      "Clean the jet with its own pricker, and look at the seal.",
      "Screw on a canister outdoors; listen and smell, and put soapy water on the joint.",
      "Boil half a litre and time it.",
    ],
    materials: ["jet pricker", "soapy water"],
    minutes: 20,
    measures: { what: "boil", unit: "minutes", ask: "Minutes to boil half a litre", timed: "minutes" },
  },
  {
    kinds: ["boots", "trail shoes", "shoe lining", "camp shoes"],
    steps: [
      "Take out laces and insoles, wash off the dirt, and let them dry away from heat.",
      "Reproof them; rub in seams and tongue.",
      "Put in new insoles where the old ones are flat.",
    ],
    materials: ["brush", "reproofer", "insoles"],
    minutes: 30,
  },
  {
    kinds: ["poles"],
    steps: [
      "Take them apart, wipe and dry them.",
      "Tighten the locks until your whole weight holds.",
      "Change tips worn to the holder.",
    ],
    materials: ["cloth", "tips"],
    minutes: 20,
  },
  {
    kinds: ["power bank", "head torch", "spare light", "phone", "beacon"],
    steps: [
      "Charge it, and note whether it fills.",
      "Switch it on for as long as it is meant to last, or send the test message.",
      "For storage leave it half full, and locked against turning itself on.",
    ],
    materials: ["charger"],
    minutes: 10,
    measures: { what: "capacity", unit: "% of new", ask: "What it still gives, in % of new" },
  },
  {
    kinds: [
      "first-aid kit",
      "repair kit",
      "wash kit",
      "medicines",
      "treatment tablets",
      "sunscreen",
      "sanitiser",
      "insect repellent",
    ],
    steps: [
      "Tip it out.",
      "Read every date.",
      "Put back what was used, and leave out what was never opened twice over.",
    ],
    materials: ["what was used"],
    minutes: 15,
  },
  {
    kinds: ["insect treatment"],
    steps: [
      "Outdoors, by its label: treat the clothes, and keep wet product from cats and from water.",
      "Hang them until they are dry before you wear them.",
      "Note the day.",
    ],
    materials: ["treatment", "gloves"],
    minutes: 40,
  },
];

const TRYING: Steps = {
  steps: [
    "Take it on a walk or a night near home, in the weather that matters to it.",
    "See that it does its whole job, and log it as tried.",
  ],
  materials: [],
  minutes: 60,
};
const MENDING: Steps = {
  steps: ["Mend it, or have it mended.", "Try it near home before it goes far."],
  materials: [],
  minutes: 45,
};
const BUYING: Steps = {
  steps: [
    "Look at what your log says of the old one first.",
    "Weigh the new one on your own scale, and try it near home.",
  ],
  materials: [],
  minutes: 0,
};

/** What sort of work a job is. */
export type StepSort = "buy" | "mend" | "serve" | "try" | "thin";

/** How a job is done: by what is wrong with the thing, else as its kind is served. */
export function stepsFor(sort: StepSort, kind: string, symptoms: readonly Symptom[]): Steps {
  if (sort === "try") return TRYING;
  if (sort === "buy") return BUYING;
  if (sort === "thin")
    return { steps: ["Take out what was too much, and weigh it again."], materials: [], minutes: 5 };
  const own = STEP_RULES.filter(({ kinds }) => kinds.includes(kind));
  return (
    own.find((rule) => rule.symptoms?.some((symptom) => symptoms.includes(symptom))) ??
    (sort === "mend" ? undefined : own.find((rule) => rule.symptoms === undefined)) ??
    MENDING
  );
}
