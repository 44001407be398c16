import { isAlong } from "@/core/plan/columns";
import type { Replayed } from "@/core/replay/replay";
import type { Day } from "@/core/replay/days";
import { withSchool } from "@/core/ledger/book";
import { ItemId, SchoolName, type Trip } from "@/core/model";
import { planFor, type Plan } from "@/core/plan/plan";
import { thingsOf } from "@/core/plan/kits/which-kit";
import type { FullItem } from "@/core/trade/full-item";
import { areNear, monthOf } from "@/core/sums/days";
import { pastOf } from "@/app/past";
import type { Reading } from "@/app/reading";
import { plansOf } from "@/app/plans";
import { nth } from "@/core/sums/there";

/** What is asked of the page: which list, what is left out of it and put in, over which days. */
export interface Asked {
  readonly list: string;
  readonly over: string;
  readonly without: readonly ItemId[];
  readonly and: readonly ItemId[];
}

type Raw = Readonly<Record<string, string | readonly string[] | undefined>>;
const many = (value: Raw[string]) => (value === undefined ? [] : [value].flat());
const idsIn = (value: Raw[string]) => many(value).flatMap((id) => ItemId.safeParse(id).data ?? []);

export const askedIn = (raw: Raw): Asked => ({
  list: many(raw.list)[0] ?? "next",
  over: many(raw.over)[0] ?? "all",
  without: idsIn(raw.without),
  and: idsIn(raw.and),
});

interface Choice {
  readonly key: string;
  readonly words: string;
}

/** Walks whose lists are offered; older ones are on their own pages. */
const LATEST = 4;

/**
 * Lists that may be walked: the one ahead, those kept by name, those of the last walks, and what each other school
 * would take.
 */
export const listsOf = ({ book, log }: Reading, trip: Trip | null): Choice[] => [
  { key: "next", words: trip ? `For ${trip.name}` : "For the next" },
  ...log.kits.map(({ id, name }) => ({ key: `kit ${id}`, words: `The kit “${name}”` })),
  ...book.outings
    .slice(-LATEST)
    .toReversed()
    .map(({ trip: { id, name } }) => ({ key: `trip ${id}`, words: `As on ${name}` })),
  ...SchoolName.options
    .filter((school) => school !== book.settings.school)
    .map((school) => ({ key: `school ${school}`, words: `The ${school} school’s` })),
];

const alongIn = ({ lines }: Plan) => lines.filter(({ column }) => isAlong(column)).map(({ item }) => item);

/** A list by its key; the one ahead where there is none of that key. */
async function listOf(key: string, trip: Trip | null, reading: Reading): Promise<readonly FullItem[]> {
  const { book, log } = reading;
  const [sort, name = ""] = [key.split(" ")[0], key.slice(key.indexOf(" ") + 1)];
  const outing = sort === "trip" ? book.outings.find(({ trip: { id } }) => id === name) : undefined;
  if (outing) return book.tripOf(outing).carries.flatMap(({ item }) => book.item(item) ?? []);
  const kit = sort === "kit" ? log.kits.find(({ id }) => id === name) : undefined;
  if (kit) return thingsOf(kit, book).things;
  const school = sort === "school" ? SchoolName.safeParse(name).data : undefined;
  if (school) return alongIn(planFor(withSchool(book, school), trip));
  return alongIn((await plansOf(reading))(trip));
}

/** Months of a year, by season; named by themselves, as north and south differ. */
const SEASONS: readonly (readonly [key: string, words: string, months: readonly number[]])[] = [
  ["mar-may", "March to May", [3, 4, 5]],
  ["jun-aug", "June to August", [6, 7, 8]],
  ["sep-nov", "September to November", [9, 10, 11]],
  ["dec-feb", "December to February", [12, 1, 2]],
];

/** Sorts of days that a list may be walked over, of which there are some. */
function oversOf(days: readonly Day[], trip: Trip | null): (Choice & { of: (day: Day) => boolean })[] {
  const around = trip ? monthOf(trip.starts) : null;
  const sorts = [
    { key: "all", words: "All your days", of: () => true },
    ...(around === null
      ? []
      : [{ key: "like", words: "That time of year", of: ({ on }: Day) => areNear(monthOf(on), around) }]),
    ...SEASONS.map(([key, words, months]) => ({
      key,
      words,
      of: ({ on }: Day) => months.includes(monthOf(on)),
    })),
    { key: "rain", words: "Days of rain", of: ({ weather }: Day) => weather.has("rain") },
    {
      key: "frost",
      words: "Frost",
      of: ({ weather, night }: Day) => weather.has("freezing") || (night?.low ?? 1) < 0,
    },
  ];
  return sorts.filter(({ key, of }) => key === "all" || days.some(of));
}

/** Everything that the page shows. */
export async function replayFor(asked: Asked, trip: Trip | null, reading: Reading) {
  const { book } = reading;
  const { days, replay } = await pastOf(reading);
  const overs = oversOf(days, trip);
  const over = overs.find(({ key }) => key === asked.over) ?? nth(overs, 0);
  const whole = await listOf(asked.list, trip, reading);
  const without = new Set(asked.without);
  const more = asked.and.flatMap((id) => book.item(id) ?? book.wishes.find((wish) => wish.id === id) ?? []);
  const list = [...new Set([...whole, ...more])].filter(({ id }) => !without.has(id));
  const replayed: Replayed = replay(list, over.of);
  return { days, overs, over, whole, list, replayed };
}

/** In one sentence, what the list ahead would have come to on the days that it is like. */
export async function replayedAhead(trip: Trip | null, reading: Reading): Promise<Replayed> {
  return (await replayFor({ list: "next", over: trip ? "like" : "all", without: [], and: [] }, trip, reading))
    .replayed;
}
