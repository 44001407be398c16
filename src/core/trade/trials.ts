import type { Job, Trigger } from "../model";

/** Where a thing can be tried near home, from the shortest to the longest. */
export const SETTINGS = ["evening", "day", "night"] as const;
export type Setting = (typeof SETTINGS)[number];

interface Trial {
  readonly setting: Setting;
  /** How to tell that it holds, to whoever has it in hand. */
  readonly how: string;
}

/** How a thing is tried by what it does. Common practice, no source. */
const TRIALS: Readonly<Partial<Record<Job, Trial>>> = {
  shelter: {
    setting: "night",
    how: "Pitch it with nothing but what is packed, sleep in it, and in the morning feel the floor, the seams and the bed: dry?",
  },
  "sleep warm": {
    setting: "night",
    how: "Sleep in it with what you would wear, window or tent open, and say in the morning how it felt and how cold it was.",
  },
  pad: { setting: "night", how: "Blow it up at eight, lie on it till morning: still as high?" },
  "stay dry": {
    setting: "evening",
    how: "Walk in it for an hour in the rain: shoulders, cuffs and seat dry within?",
  },
  "keep kit dry": { setting: "evening", how: "Pack paper in it and leave it out in the rain: dry?" },
  "stay warm": {
    setting: "evening",
    how: "Sit still in it outside for half an hour after dark: warm enough?",
  },
  "hands warm": {
    setting: "evening",
    how: "Pitch and tie with them on: do the fingers do it, and stay warm?",
  },
  walk: { setting: "day", how: "Walk a day in them with the load: no rubbing, no slipping, dry by evening?" },
  carry: {
    setting: "day",
    how: "Walk a day with all of it in: do hips and shoulders bear it, does nothing slip?",
  },
  "treat water": {
    setting: "evening",
    how: "Run two litres through it against the clock, from a bucket with some earth in it.",
  },
  cook: {
    setting: "evening",
    how: "Boil a litre outside, in whatever wind there is, and weigh what it took.",
  },
  fire: { setting: "evening", how: "Light the stove with it ten times, the last with wet hands." },
  light: { setting: "evening", how: "Charge it, burn it at walking strength: as many hours as you need?" },
  power: { setting: "evening", how: "Charge everything from it once: does it hold what it says?" },
  "find the way": { setting: "day", how: "Go a way you don’t know with nothing else." },
  "call for help": { setting: "evening", how: "Send its test message from the open, and see that it comes." },
  traction: {
    setting: "day",
    how: "Put them on and off with gloves; on ice, if there is any, walk an hour.",
  },
};

const ANY: Trial = { setting: "evening", how: "Use it once as you would out there, and look it over after." };

/** How and where a thing is tried: by the first of its jobs that has a way of its own. */
export const trialOf = (jobs: readonly Job[]): Trial => jobs.flatMap((job) => TRIALS[job] ?? [])[0] ?? ANY;

/** Weather that near home can be waited for; what else a thing is for is met on the walk itself. */
export const NEAR_HOME: readonly Trigger[] = ["rain", "wind", "cold", "freezing"];
