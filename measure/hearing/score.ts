import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { hear, type Named } from "@/core/hear/hear";
import { factsTold, type ToldFact } from "@/core/hear/taken/told-facts";
import { withDefaults } from "@/core/trade/full-item";
import { kindOf } from "@/core/trade/words/names";
import { Item } from "@/core/model";
import { practiceKits } from "../practice-kits";

/** A fact as the practice files put it: see their conventions in `README.md` of this folder. */
interface Line {
  readonly shelf: string;
  readonly line: string;
  readonly expect: readonly ToldFact[];
  readonly may?: readonly ToldFact[];
  readonly tricky: string;
}

type Shelf = readonly { readonly name: string; readonly kind: string; readonly pieces?: number }[];

const namedOf = (shelf: Shelf): Named[] =>
  shelf.map(({ name, kind, pieces = 1 }, n) => {
    const plain = Item.parse({ id: `thing-${n}`, name, kind, pieces });
    const item = withDefaults(plain, kindOf(plain));
    return { id: item.id, name: item.name, kind: item.kind, pieces, jobs: item.jobs };
  });

const folder = path.resolve("measure", "hearing");
const read = (file: string) => JSON.parse(readFileSync(path.join(folder, file), "utf8")) as unknown;

/** One value told of one thing, or a whole fact of another sort, as a line of text: what is counted. */
function atoms(fact: ToldFact): string[] {
  if ("note" in fact) return [];
  if ("item" in fact) {
    const { item, ...fields } = fact;
    return Object.entries(fields).flatMap(([field, value]) =>
      (Array.isArray(value) ? value : [value]).map((each) => `${item} · ${field} · ${plain(field, each)}`),
    );
  }
  return [JSON.stringify(fact)];
}
const plain = (field: string, value: unknown) =>
  field === "km"
    ? `${Math.round(Number(value))}`
    : typeof value === "number"
      ? `${Math.round(value * 100) / 100}`
      : String(value).toLowerCase();

const TWINS: readonly (readonly [string, string])[] = [
  ["complaint · slow", "symptom · clogged or slow"],
  ["complaint · weak", "symptom · dim or weak"],
  ["complaint · leaks", "symptom · leaks air"],
  ["complaint · leaks", "symptom · lets water in"],
  ["complaint · smells", "symptom · smell"],
  ["complaint · noisy", "symptom · noise"],
  ["fix · patched", "did · repair"],
];
const isTwin = (a: string, b: string) =>
  a.split(" · ")[0] === b.split(" · ")[0] &&
  TWINS.some(
    ([one, other]) => (a.endsWith(one) && b.endsWith(other)) || (a.endsWith(other) && b.endsWith(one)),
  );

const nouns = (text: string) =>
  new Set(
    text
      .toLowerCase()
      .split(/\W+/)
      .map((word) => word.replace(/s$/, ""))
      .filter((word) => word.length > 2),
  );
const near = (a: number | null | undefined, b: number | null | undefined, by: number) =>
  a == null || b == null ? a == null && b == null : Math.abs(a - b) <= by;

/** Does a fact that is no thing's say what another does? 1 wholly, 0.5 with something wanting, 0 not, −1 with something wrong. */
function sameOther(told: ToldFact, expected: ToldFact): number {
  if ("missed" in told && "missed" in expected)
    return [...nouns(told.missed)].some((noun) => nouns(expected.missed).has(noun)) ? 1 : 0;
  if ("joined" in told && "joined" in expected) {
    const [a, b] = [told.joined, expected.joined];
    if (![...nouns(a.what)].some((noun) => nouns(b.what).has(noun))) return 0;
    return a.how !== b.how
      ? -1
      : (b.from ?? "").toLowerCase() === (a.from ?? "").toLowerCase()
        ? 1
        : a.from
          ? -1
          : 0.5;
  }
  if ("amount" in told && "amount" in expected) {
    const [a, b] = [told.amount, expected.amount];
    if (a.what !== b.what || a.how !== b.how) return 0;
    return near(a.value, b.value, 0.02 * Math.max(1, b.value)) && (a.unit === b.unit || b.value === 0)
      ? 1
      : -1;
  }
  if ("night" in told && "night" in expected) {
    const [a, b] = [told.night, expected.night];
    if (!near(a.low ?? null, b.low ?? null, 0.6)) return a.low == null ? 0.5 : -1;
    if (a.felt && b.felt && a.felt !== b.felt) return -1;
    const [slept, there] = [new Set(a.slept ?? []), new Set(b.slept ?? [])];
    if ([...slept].some((each) => !there.has(each))) return -1;
    return slept.size < there.size || (b.felt && !a.felt) || (a.nights ?? 1) !== (b.nights ?? 1) ? 0.5 : 1;
  }
  return 0;
}

const isOther = (fact: ToldFact) => !("item" in fact) && !("note" in fact);

/** What stands in for a use that goes without saying. */
const IMPLIES_USE = /· (trouble|complaint|symptom|fix|days|pieces|for) ·/;

interface Verdict {
  readonly right: readonly string[];
  readonly wanting: readonly string[];
  readonly wrong: readonly string[];
}

/** Told against expected, a value at a time. */
function compare(
  told: readonly ToldFact[],
  expect: readonly ToldFact[],
  may: readonly ToldFact[] = [],
): Verdict {
  const [is, should, free] = [told, expect, may].map((facts) =>
    facts.flatMap((fact) => ("item" in fact ? atoms(fact) : [])),
  ) as [string[], string[], string[]];
  const right: string[] = [];
  const wanting: string[] = [];
  const wrong: string[] = [];
  for (const each of should) {
    if (is.includes(each) || is.some((other) => isTwin(each, other))) right.push(each);
    else if (!(
      each.endsWith("use · used") &&
      should.some((other) => other.startsWith(each.split(" · ")[0]!) && IMPLIES_USE.test(other))
    ))
      wanting.push(each);
  }
  for (const each of is) {
    const name = each.split(" · ")[0]!;
    const isFree =
      should.includes(each) ||
      free.includes(each) ||
      [...should, ...free].some((other) => isTwin(each, other)) ||
      (each.endsWith("use · used") &&
        [...should, ...is].some((other) => other.startsWith(`${name} ·`) && IMPLIES_USE.test(other))) ||
      (each.endsWith("trouble · damaged") && free.includes(`${name} · trouble · failed`));
    if (!isFree) wrong.push(each);
  }
  const others = told.filter(isOther);
  for (const one of expect.filter(isOther)) {
    const best = Math.max(0, ...others.map((other) => sameOther(other, one)));
    if (best === 1) right.push(JSON.stringify(one));
    else wanting.push(JSON.stringify(one));
  }
  for (const one of others) {
    const matches = [...expect, ...may].filter(isOther).map((other) => sameOther(one, other));
    const leftTwin = "amount" in one && [...should, ...free].some((each) => each.includes("· left ·"));
    if (!matches.some((match) => match > 0) && !leftTwin) wrong.push(JSON.stringify(one));
  }
  return { right, wanting, wrong };
}

type Grade = "right" | "half" | "wrong" | "left";

function gradeOf({ right, wanting, wrong }: Verdict): Grade {
  if (wrong.length > 0) return "wrong";
  if (wanting.length === 0) return "right";
  return right.length > 0 ? "half" : "left";
}

export interface GradedLine extends Verdict {
  readonly line: string;
  readonly tricky: string;
  readonly isNote: boolean;
  readonly grade: Grade;
}

export function gradeLines(): GradedLine[] {
  const { shelves, lines } = read("lines.json") as { shelves: Record<string, Shelf>; lines: Line[] };
  const named = new Map(Object.entries(shelves).map(([name, shelf]) => [name, namedOf(shelf)]));
  return lines.map(({ shelf, line, expect, may = [], tricky }) => {
    const things = named.get(shelf)!;
    const told = hear(line, things).flatMap(({ heard }) => heard.map(({ fact }) => factsTold(fact, things)));
    const verdict = compare(told, expect, may);
    return {
      ...verdict,
      line,
      tricky,
      isNote: expect.some((fact) => "note" in fact),
      grade: gradeOf(verdict),
    };
  });
}

interface Talk {
  readonly kit: string;
  readonly trip: number;
  readonly talk: string;
  readonly expect: Readonly<Record<string, object>>;
  readonly may?: Readonly<Record<string, object>>;
  readonly "said of the trip": {
    readonly made?: readonly string[];
    readonly stay?: readonly string[];
    readonly missed?: readonly string[];
    readonly nights?: readonly object[];
    readonly supplies?: readonly object[];
  };
}

interface GradedTalk extends Verdict {
  readonly name: string;
  readonly words: number;
  /** What it says of no thing: what was missed, nights, supplies. */
  readonly ofTrip: Verdict;
}

export function gradeTalks(): GradedTalk[] {
  const kits = [...practiceKits("v2"), ...practiceKits("later")];
  return readdirSync(path.join(folder, "talks"))
    .sort()
    .map((file) => {
      const talk = read(`talks/${file}`) as Talk;
      const kit = kits.find(({ name }) => name.startsWith(file.slice(0, 2)))!;
      const things = kit.log.items.map((item): Named => {
        const full = withDefaults(item, kindOf(item));
        return { id: item.id, name: item.name, kind: item.kind, pieces: item.pieces, jobs: full.jobs };
      });
      const all = hear(talk.talk, things).flatMap(({ heard }) =>
        heard.map(({ fact }) => factsTold(fact, things)),
      );
      const told = all.filter((fact) => "item" in fact);
      const { missed = [], nights = [], supplies = [] } = talk["said of the trip"];
      const ofTrip = [
        ...missed.map((each) => ({ missed: each })),
        ...nights.map((night) => ({ night })),
        ...supplies.map((amount) => ({ amount })),
      ] as ToldFact[];
      const asFacts = (of: Talk["expect"] = {}) =>
        Object.entries(of).map(([item, fields]) => ({ item, ...fields }) as ToldFact);
      return {
        ...compare(merged(told), asFacts(talk.expect), [...asFacts(talk.may), ...twins(talk)]),
        name: file,
        ofTrip: compare(
          all.filter((fact) => !("item" in fact) && !("joined" in fact)),
          ofTrip,
        ),
        words: talk.talk.split(/\s+/).length,
      };
    });
}

/** "Could have stayed" of a trip is "leave it" of a thing, "made the trip" is "again": neither asked for nor held against. */
const twins = ({ "said of the trip": { made = [], stay = [] } }: Talk): ToldFact[] => [
  ...stay.map((item) => ({ item, call: "leave" })),
  ...made.map((item) => ({ item, call: "bring again" })),
];

/** What several sentences say of one thing, together. */
function merged(facts: readonly ToldFact[]): ToldFact[] {
  const byItem = new Map<string, Record<string, unknown>>();
  for (const fact of facts) {
    if (!("item" in fact)) continue;
    const { item, ...fields } = fact;
    byItem.set(item, { ...byItem.get(item), ...fields });
  }
  return [...byItem].map(([item, fields]) => ({ item, ...fields }) as ToldFact);
}
