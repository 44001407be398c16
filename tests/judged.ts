import { openBook } from "@/core/ledger/book";
import type { Log, SchoolName, Verb } from "@/core/model";
import type { Advice } from "@/core/advice/advise";
import { kitOf } from "@/core/advice/kit";
import { says } from "@/core/say/verdicts/says";
import { logOf } from "./histories";

export const TODAY = "2026-11-24";
export const verdicts = (log: Log, school?: SchoolName) => kitOf(openBook(log, TODAY, school)).things;
/** The leading verdict, with its sentence. */
const toldLead = ({ case: one, verdicts: [first] }: Advice) => ({ ...first, says: says(one, first) });
export const lead = (file: object, name: string, school?: SchoolName) =>
  toldLead(verdicts(logOf(file), school).find(({ case: { item } }) => item.name === name)!);
export const verbs = (file: object, name: string): Verb[] =>
  verdicts(logOf(file))
    .find(({ case: { item } }) => item.name === name)!
    .verdicts.map(({ verb }) => verb);

/** `n` trips of four days, 50 km each, a month apart. */
export const trips = (n: number, more: (at: number) => object) =>
  Array.from({ length: n }, (_, at) => ({
    name: `Walk ${at + 1}`,
    starts: `202${5 + Math.floor(at / 12)}-${String(1 + (at % 12)).padStart(2, "0")}-10`,
    ends: `202${5 + Math.floor(at / 12)}-${String(1 + (at % 12)).padStart(2, "0")}-13`,
    distance: "50 km",
    ...more(at),
  }));
export const one = (item: object, n: number, mark: (at: number) => object, trip: object = {}) => ({
  items: [{ name: "It", ...item }],
  trips: trips(n, (at) => ({ ...trip, marks: [{ item: "It", use: "used", ...mark(at) }] })),
});
