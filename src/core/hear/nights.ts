import { nth } from "../sums/there";
import type { Felt } from "../model";
import { FELTS } from "../trade/words/nights";
import { NOT_SO } from "../trade/words/speech";
import { EACH_NIGHT, ON_LABEL } from "../trade/words/nights";
import { unitSpans, type Clause, type ReadSentence, type Unit } from "./clause";
import type { HeardFact } from "../model";
import { NUMBER, numberOf } from "./text/quantities";
import type { Mention, Named } from "./things";
import { isNegated } from "./told";

type Night = Extract<HeardFact, { about: "night" }>;

/** A night, the words that it stands on, and what was slept in. */
export interface HeardNight {
  readonly fact: Night;
  readonly units: readonly Unit[];
  readonly slept: readonly Named[];
}

/** Which things are meant by some mentions, among these words. */
export type Meant = (mentions: readonly Mention[], words: string) => readonly Named[];

const BEDS = ["sleep warm", "pad"];
const isBed = ({ jobs }: Named) => BEDS.some((job) => jobs.includes(job));
const fahrenheit = (degrees: number) => ((degrees - 32) * 5) / 9;
const tenth = (value: number) => Math.round(value * 10) / 10;

/** The nights that a sentence tells; a row of several temperatures is a night each. */
export function nightsIn(
  read: ReadSentence,
  topic: readonly Named[],
  plain: string,
  meant: Meant,
): HeardNight[] {
  const row = rowOfNights(read, topic, meant);
  if (row.length > 0) return row;
  const one = oneNight(read, topic, plain, meant);
  return one ? [one] : [];
}

const DEGREES = /(-?\d+(?:\.\d+)?) ?(?:° ?)?(degrees|c|f|°)(?![a-z])/;

function oneNight(
  { words, units, clauses }: ReadSentence,
  topic: readonly Named[],
  plain: string,
  meant: Meant,
): HeardNight | null {
  if (NOT_SO.test(words.replaceAll(/\b(should|could)(ve)?( have)? (stayed|been left)\b/g, ""))) return null;
  const degrees =
    DEGREES.exec(words) ??
    /(?:^|[ ,(])(-\d+(?:\.\d+)?)(?= |$|,)/.exec(words) ??
    /\bnights? (?:of|at|around|about) (-?\d+)\b/.exec(words) ??
    /\bnights?\b.*\bat (?:about |around |roughly )?(-?\d+)(?= ?$| ,)/.exec(words);
  const beds = sleptIn(units, words, meant);
  const worn = beds.length > 0 ? wornOrLainIn(clauses, meant) : [];
  const named = [...beds, ...worn.filter((thing) => !isBed(thing) && !beds.includes(thing))];
  const isNight = /\bnights?\b|\bslept\b|\bsleep\b/.test(words);
  // "Too cold" is a complaint, unless a temperature makes a night of it.
  const felt = feltOf(degrees ? words : words.replaceAll(/\btoo (cold|hot|warm|cool)\b/g, ""));
  if (!degrees && !(isNight && felt && named.length > 0)) return null;
  if (!degrees && /\bno (cold|warm|hot) nights?\b/.test(words)) return null;
  const slept = named.length === 0 && degrees && felt ? topic.filter(isBed) : named;
  if (degrees && slept.length === 0 && !isNight) return null;
  // "Never worn, nights of seventeen": why, no night of its own.
  if (degrees && slept.length === 0 && !felt && words.includes("T")) return null;
  if (ON_LABEL.test(words) && slept.length === 0) return null;
  if (/\b(filter|froze|frost|ice)\b/.test(plain) && slept.length === 0) return null;
  const days = /\b(mon|tue|wed|thu|fri|sat|sun)\w* (?:\+|and|&) (?:mon|tue|wed|thu|fri|sat|sun)/.test(words)
    ? 2
    : null;
  const many = new RegExp(`\\b${NUMBER} nights\\b`).exec(words);
  const nights = days ?? (many ? (numberOf(many[1]) ?? 1) : /\bboth nights\b/.test(words) ? 2 : 1);
  return night(degrees ? lowOf(degrees) : null, felt, slept, units, nights);
}

const lowOf = (degrees: RegExpExecArray) =>
  degrees[2] === "f" ? fahrenheit(Number(degrees[1])) : Number(degrees[1]);
const night = (
  low: number | null,
  felt: Felt | null,
  slept: readonly Named[],
  units: readonly Unit[],
  nights = 1,
): HeardNight => ({
  fact: {
    about: "night",
    low: low === null ? null : tenth(low),
    felt,
    slept: slept.map(({ id }) => id),
    nights,
  },
  units,
  slept,
});

/** The temperature of a night that a clause tells; in a row of nights a bare number behind "it was" is one. */
function temperatureOf({ words }: Clause): number | null {
  if (ON_LABEL.test(words)) return null;
  const degrees = DEGREES.exec(words);
  if (degrees) return lowOf(degrees);
  const minus = /(?:^| )(-\d+(?:\.\d+)?)(?= |$)/.exec(words);
  if (minus) return Number(minus[1]);
  const bare = new RegExp(
    `\\b(?:it was|night (?:it |we had )?was|${NIGHT_OF_SEVERAL}(?: night)?(?: it)?(?: was)?) ?(?:about |only )?${NUMBER}(?! (?:nights|days|of|in|km|times|more|people|pairs?)\\b)(?= |$)`,
  ).exec(words);
  if (!bare || !/\bnight|\bfirst\b|\bsecond\b|\bthird\b|\blast\b/.test(words)) return null;
  return /^(a|an|both)$/.test(nth(bare, 1)) ? null : numberOf(bare[1]);
}
const NIGHT_OF_SEVERAL = "(?:the )?(?:first|second|third|fourth|last|next|other)";

/** "Six the first night, and cold, and the second four, cool": each temperature begins another night. */
function rowOfNights(
  { clauses, units, words }: ReadSentence,
  topic: readonly Named[],
  meant: Meant,
): HeardNight[] {
  if (/\?$/.test(words)) return [];
  const starts = clauses.flatMap((clause, n) => {
    const bareAfterNight =
      n > 0 &&
      /^-?\d+$/.test(clause.words) &&
      /\bnight\b/.test(nth(clauses, n - 1).words) &&
      temperatureOf(nth(clauses, n - 1)) === null
        ? Number(clause.words)
        : null;
    const low = temperatureOf(clause) ?? bareAfterNight;
    // A bed named just before its temperature belongs to that night.
    return low === null ? [] : [{ n, low, from: bareAfterNight === null ? n : n - 1 }];
  });
  const known = sleptIn(units, words, meant);
  const beds = known.some(isBed) ? [] : topic.filter(isBed);
  if (starts.length < 2 && !(starts.length === 1 && !DEGREES.test(words) && /\bnight\b/.test(words)))
    return [];
  if (known.length === 0 && beds.length === 0 && !/\bnight/.test(words)) return [];
  const head = clauses.slice(0, nth(starts, 0).from);
  const always = clauses.filter((clause) => EACH_NIGHT.test(clause.words));
  const common = [...beds, ...[...head, ...always].flatMap((clause) => sleptIn(clause.units, words, meant))];
  // A night for which no bed is named is slept in that of the night before.
  let before: readonly Named[] = [];
  return starts.flatMap(({ low, from, n }, k): HeardNight[] => {
    const part = clauses.slice(from, starts[k + 1]?.from ?? clauses.length);
    const partWords = part.map((clause) => clause.words).join(" , ");
    if (NOT_SO.test(nth(clauses, n).words)) return [];
    const own = wornOrLainIn(part, meant);
    const hasBag = own.some(({ jobs }) => jobs.includes("sleep warm"));
    const named = [...common.filter(({ jobs }) => !(hasBag && jobs.includes("sleep warm"))), ...own];
    const slept = [...(named.some(isBed) ? [] : before.filter(isBed)), ...named].filter(
      (thing, at, all) => all.indexOf(thing) === at,
    );
    before = slept;
    return [
      night(
        low,
        feltOf(partWords),
        slept,
        part.flatMap((clause) => clause.units),
      ),
    ];
  });
}

/** Beds, and what was worn to bed: "with the jacket on". */
const wornOrLainIn = (part: readonly Clause[], meant: Meant): readonly Named[] =>
  part.flatMap(({ units, words }) =>
    units.flatMap((unit, n) => {
      if (unit.word !== "T") return [];
      const isWorn =
        /\b(in|with|under|inside|wearing|wore)\b/.test(
          units
            .slice(Math.max(0, n - 4), n)
            .map(({ word }) => word)
            .join(" "),
        ) && /\b(on|in|inside|under|it|that)\b/.test(words);
      return meant(unit.mentions, words).filter(
        (thing) => isBed(thing) || (isWorn && /warm|clothing/.test(thing.jobs.join(" "))),
      );
    }),
  );

/** Beds and what lies under them, but for what they are only held against. */
function sleptIn(units: readonly Unit[], words: string, meant: Meant): readonly Named[] {
  const than = unitSpans(units).find(({ word }) => word === "than")?.from ?? Infinity;
  return unitSpans(units)
    .filter(({ word, from }) => word === "T" && from < than)
    .flatMap(({ mentions }) => {
      const named = meant(mentions, words);
      // "In quilt and fleece": what is named with a bed was slept in too.
      return named.some(isBed) ? named : [];
    })
    .filter((thing, n, all) => all.indexOf(thing) === n);
}

function feltOf(words: string): Felt | null {
  const told = words
    .replaceAll(/\b(colder|warmer|cooler|hotter) than\b.*?(?=,|;|$)/g, "")
    .replaceAll(/\bnight of\b/g, "")
    .replaceAll(/\b(cold|warm|hot) (nights|again)\b/g, "$1");
  const row = FELTS.find(({ is }) => {
    const match = is.exec(told);
    return match && !isNegated(told, match.index);
  });
  return row?.gives ?? null;
}
