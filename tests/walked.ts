import { addDays, formatISO, parseISO } from "date-fns";
import { openBook } from "@/core/ledger/book";
import type { SchoolName, Verb } from "@/core/model";
import type { Advice, Verdict } from "@/core/advice/advise";
import { kitOf } from "@/core/advice/kit";
import { says } from "@/core/say/verdicts/says";
import { logOf } from "./histories";

/** A history for a test: the thing in question, its marks trip by trip (null: left at home), and what else there is to know. */
interface Walked {
  /** The thing: its kind at least. */
  readonly item: object;
  readonly marks: readonly (object | null)[];
  /** Days of each trip; 3 unless said. */
  readonly days?: number;
  /** Of each trip: conditions, missed, made, supplies. */
  readonly trip?: (n: number) => object;
  /** What else is on the shelf, with its marks. */
  readonly beside?: readonly { readonly item: object; readonly marks: readonly (object | null)[] }[];
  readonly entries?: readonly object[];
  readonly rulings?: readonly object[];
  readonly settings?: object;
  /** A trip that is planned. */
  readonly planned?: object;
  readonly school?: SchoolName;
  /** Days after the last trip on which it is judged; 5 unless said. */
  readonly after?: number;
}

const FIRST_DAY = "2025-01-10";
const BETWEEN = 40;
const day = (offset: number) => formatISO(addDays(parseISO(FIRST_DAY), offset), { representation: "date" });
/** First day of the nth trip, from 0, and the last. */
export const startOf = (n: number) => day(n * BETWEEN);
export const endOf = (n: number, days = 3) => day(n * BETWEEN + days - 1);

export function fileOf({
  item,
  marks,
  days = 3,
  trip = () => ({}),
  beside = [],
  entries = [],
  rulings = [],
  settings = {},
  planned,
}: Walked): object {
  const things = [
    { item: { name: "It", ...item }, marks },
    ...beside.map((each) => ({ ...each, item: { name: "Other", ...each.item } })),
  ];
  return {
    settings,
    items: things.map((each) => each.item),
    trips: [
      ...marks.map((_, n) => ({
        id: `t${n}`,
        name: `Walk ${n + 1}`,
        starts: startOf(n),
        ends: endOf(n, days),
        distance: `${days * 15} km`,
        ...trip(n),
        marks: things.flatMap((each) => {
          const mark = each.marks[n];
          return mark ? [{ item: (each.item as { name: string }).name, use: "used", ...mark }] : [];
        }),
      })),
      ...(planned ? [{ id: "next", name: "The next", planned: true, distance: "40 km", ...planned }] : []),
    ],
    entries: entries.map((entry) => ({ item: "It", ...entry })),
    rulings: rulings.map((ruling) => ({ item: "It", ...ruling })),
  };
}

/** The advice of the thing in question, some days after its last trip. */
export function judged(
  walked: Walked,
): Advice & { readonly lead: Verdict; readonly says: string; readonly verbs: readonly Verb[] } {
  const { marks, days = 3, after = 5, school } = walked;
  const today = formatISO(addDays(parseISO(endOf(marks.length - 1, days)), after), {
    representation: "date",
  });
  const advice = kitOf(openBook(logOf(fileOf(walked)), today, school)).things.find(
    ({ case: { item } }) => item.name === "It",
  )!;
  const [lead] = advice.verdicts;
  return {
    ...advice,
    lead,
    says: says(advice.case, lead),
    verbs: advice.verdicts.map(({ verb }) => verb),
  };
}

/** The leading verb and the reason for it, as "verb: reason". */
export const told = (walked: Walked) => {
  const { lead } = judged(walked);
  return `${lead.verb}: ${lead.reason}`;
};

export function toAdd(walked: Walked) {
  const { marks, days = 3, after = 5, school } = walked;
  const today = formatISO(addDays(parseISO(endOf(marks.length - 1, days)), after), {
    representation: "date",
  });
  return kitOf(openBook(logOf(fileOf(walked)), today, school)).toAdd;
}
