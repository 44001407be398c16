import { z } from "zod";
import {
  CAUSES,
  ADVICE_FAMILIES,
  COMPLAINT_WHATS,
  CONSEQUENCES,
  EXIT_HOWS,
  FELTS,
  SPOILS,
  FROSTS,
  JOBS,
  LOADS,
  OFFERS,
  OWNER_CALLS,
  SCHOOL_NAMES,
  STOWS,
  STRENGTHS,
  SYMPTOMS,
  TERRAINS,
  TRIGGERS,
  TROUBLES,
  USES,
  VERB_NAMES,
  WEAR_UNITS,
  WHYS_UNUSED,
} from "./lists";
import type { SURENESSES, URGENCIES } from "./lists";

/**
 * The closed lists of the trade's words that records are made of. What each of them means to the engine
 * stands in `trade/`.
 */

export const Trigger = z.enum(TRIGGERS);
export type Trigger = z.infer<typeof Trigger>;

/** What the way offers, which takes jobs off the list. */
export const Offer = z.enum(OFFERS);
export type Offer = z.infer<typeof Offer>;

export const Job = z.enum(JOBS);
export type Job = z.infer<typeof Job>;

/** Where a thing rides, in the order it comes out at the debrief. */
export const Stow = z.enum(STOWS);
export type Stow = z.infer<typeof Stow>;

export const Consequence = z.enum(CONSEQUENCES);
export type Consequence = z.infer<typeof Consequence>;

export const Load = z.enum(LOADS);
export type Load = z.infer<typeof Load>;

/**
 * What an item's wear is counted in. Lengths are metres; `days` is the calendar; `called days` those with its
 * weather.
 */
export const WearUnit = z.enum(WEAR_UNITS);
export type WearUnit = z.infer<typeof WearUnit>;

export const Terrain = z.enum(TERRAINS);
export type Terrain = z.infer<typeof Terrain>;

export const Strength = z.enum(STRENGTHS);
export type Strength = z.infer<typeof Strength>;

export const Use = z.enum(USES);
export type Use = z.infer<typeof Use>;

/** Nuisance annoys; damaged still does its job; failed stopped doing it. */
export const Trouble = z.enum(TROUBLES);
export type Trouble = z.infer<typeof Trouble>;

/** How a thing left the pack on the way, apart from any trouble with it. */
export const AdviceFamily = z.enum(ADVICE_FAMILIES);
export type AdviceFamily = z.infer<typeof AdviceFamily>;

export const ExitHow = z.enum(EXIT_HOWS);
export type ExitHow = z.infer<typeof ExitHow>;

/** What is to be seen, felt or smelt on a thing that is not right. */
export const Symptom = z.enum(SYMPTOMS);
export type Symptom = z.infer<typeof Symptom>;

/** What was wrong with a thing that was used. */
export const ComplaintWhat = z.enum(COMPLAINT_WHATS);
export type ComplaintWhat = z.infer<typeof ComplaintWhat>;

export const WhyUnused = z.enum(WHYS_UNUSED);
export type WhyUnused = z.infer<typeof WhyUnused>;

export const Cause = z.enum(CAUSES);
export type Cause = z.infer<typeof Cause>;

/** Was it kept from freezing? `unknown`: asked, and nobody knows. */
export const Frost = z.enum(FROSTS);
export type Frost = z.infer<typeof Frost>;

export const OwnerCall = z.enum(OWNER_CALLS);
export type OwnerCall = z.infer<typeof OwnerCall>;

export const Felt = z.enum(FELTS);
export type Felt = z.infer<typeof Felt>;
export const Spoil = z.enum(SPOILS);
export type Spoil = z.infer<typeof Spoil>;

export const SchoolName = z.enum(SCHOOL_NAMES);
export type SchoolName = z.infer<typeof SchoolName>;

/** What the engine advises. The order, urgency and colour of each stand in `trade/verbs.ts`. */
export const Verb = z.enum(VERB_NAMES);
export type Verb = z.infer<typeof Verb>;

/** How soon a verdict wants something done, the soonest first. */
export type Urgency = (typeof URGENCIES)[number];

/** How sure a verdict is. One telling of the owner's is a leaning; it grows as chances add up. */
export type Sureness = (typeof SURENESSES)[number];
