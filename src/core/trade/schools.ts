import type { Job, SchoolName } from "../model";

/** Where practitioners disagree: how readily a thing is left at home. Common practice, no source. */
export interface School {
  readonly name: SchoolName;
  readonly motto: string;
  /** Drop where the 80th percentile of P(use | called) lies below this. */
  readonly dropLine: number;
  /** Unused chances that a drop for want of use takes. */
  readonly dropChances: number;
  /** Backups for a critical job; and for light and water. */
  readonly backups: number;
  readonly backupsLightWater: number;
  /** Worth ÷ weight that a thing needs to earn its place. */
  readonly worthNeeded: number;
  /** Grams below which disuse is not worth an argument. */
  readonly tooLight: number;
}

export const SCHOOLS: Readonly<Record<SchoolName, School>> = {
  lean: {
    name: "lean",
    motto: "every gram argues for itself",
    dropLine: 0.45,
    dropChances: 2,
    backups: 0,
    backupsLightWater: 0,
    worthNeeded: 1.5,
    tooLight: 15,
  },
  even: {
    name: "even",
    motto: "a fair hearing, then out",
    dropLine: 0.35,
    dropChances: 3,
    backups: 1,
    backupsLightWater: 1,
    worthNeeded: 1,
    tooLight: 30,
  },
  roomy: {
    name: "roomy",
    motto: "comfort is why I go",
    dropLine: 0.28,
    dropChances: 4,
    backups: 1,
    backupsLightWater: 1,
    worthNeeded: 0.6,
    tooLight: 50,
  },
  wary: {
    name: "wary",
    motto: "rather have it",
    dropLine: 0.24,
    dropChances: 5,
    backups: 1,
    backupsLightWater: 2,
    worthNeeded: 0.4,
    tooLight: 50,
  },
};

/** Backups that a school grants a job that may be doubled. */
export const backupsFor = (school: School, job: Job) =>
  job === "light" || job === "treat water" ? school.backupsLightWater : school.backups;
