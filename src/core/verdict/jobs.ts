import type { Consequence, Job, Trigger } from "../model";

export const RANK: Readonly<Record<Consequence, number>> = {
  nuisance: 0,
  discomfort: 1,
  "trip-ending": 2,
  danger: 3,
};

/** Jobs that one backup may double; beyond that a doubled job is trimmed. Common practice, no source. */
export const DOUBLED_JOBS: readonly Job[] = [
  "treat water",
  "light",
  "fire",
  "find the way",
  "call for help",
  "stay warm",
  "stay dry",
  "head shaded",
];
/** Nothing that does one of these is dropped for want of use: the commonly taught ten essential systems. */
export const ESSENTIAL_JOBS: readonly Job[] = [
  ...DOUBLED_JOBS,
  "shelter",
  "sleep warm",
  "first aid",
  "food",
  "sun protection",
  "traction",
  "mend",
];
/** Jobs of which one item is enough: two that went along are compared. */
export const RIVAL_JOBS: readonly Job[] = [
  ...DOUBLED_JOBS,
  "head warm",
  "hands warm",
  "pad",
  "pillow",
  "sit",
  "camp shoes",
  "keep kit dry",
];

/** What a thing must have met before it counts as tried, by the job it is bought for; other jobs by whatever calls for them. */
export const PROVED_BY: Partial<Record<Job, readonly Trigger[]>> = {
  shelter: ["rain", "wind"],
  "stay dry": ["rain"],
  "keep kit dry": ["rain"],
  "sleep warm": ["cold", "freezing"],
  "stay warm": ["cold", "freezing"],
  traction: ["snow or ice"],
};
