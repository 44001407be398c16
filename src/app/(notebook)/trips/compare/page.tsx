import type { Metadata } from "next";
import Link from "next/link";
import { compareLists, listOf, totalOf, type ListDifference, type Listed } from "@/core/compare/lists";
import type { Load, Trip } from "@/core/model";
import { thingsOf } from "@/core/plan/kits/which-kit";
import { countsAs } from "@/core/weighin/weigh-in";
import { count, sayDays, sayMass, type Units } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { Choose } from "./choose";
import { ListStrokes, type DrawnList } from "./list-strokes";

export const metadata: Metadata = { title: "Lists against lists" };

/** Trips drawn beside each other. */
const DRAWN = 24;

const LOADS: readonly (readonly [Load, string])[] = [
  ["base", "base"],
  ["worn", "worn"],
  ["consumable", "used up"],
  ["hobby", "hobby"],
];

/** A list by its name: of a walk, or a kit. */
interface Called {
  readonly key: string;
  readonly name: string;
  readonly words: string;
  readonly list: readonly Listed[];
}

interface Asked {
  readonly searchParams: Promise<{ a?: string; b?: string }>;
}

/**
 * One trip's list beside another's: what came out, what went in, what each change saved. The sum agrees to
 * the gram.
 */
export default async function ComparePage({ searchParams }: Asked) {
  const { log, book, kit } = await readBook();
  const walks = log.trips
    .filter(({ carries }) => carries.length > 0)
    .toSorted((a, b) => a.starts.localeCompare(b.starts))
    .map((trip): Called => {
      const { id, name, starts, ends } = trip;
      return { key: id, name, words: `${name}, ${sayDays(starts, ends)}`, list: listOf(trip, book.item) };
    });
  const kits = log.kits.map((saved): Called => {
    const list = thingsOf(saved, book).things.map((item) => ({
      item,
      grams: kit.of(item.id)?.grams ?? null,
    }));
    return { key: `kit ${saved.id}`, name: saved.name, words: `the kit “${saved.name}”`, list };
  });
  const asked = await searchParams;
  const find = (key: string | undefined) => [...walks, ...kits].find((each) => each.key === key);
  const after = find(asked.b) ?? walks.at(-1) ?? kits.at(-1);
  const before = find(asked.a) ?? [...kits, ...walks].filter((each) => each !== after).at(-1);
  if (!before || !after) return <TwoAreNeeded />;
  const { units } = book.settings;
  const difference = compareLists(before.list, after.list);
  const change = sayMass(Math.abs(difference.grams), units);
  return (
    <>
      <PageHead title="Lists against lists">
        {difference.grams === 0
          ? "Both weigh the same."
          : `${after.name} is ${change} ${difference.grams < 0 ? "lighter" : "heavier"}.`}
      </PageHead>
      <Choose
        a={before.key}
        b={after.key}
        options={[...walks, ...kits].map(({ key, words }) => [key, words] as const)}
      />
      <Sums before={before} after={after} units={units} />
      <ListStrokes
        lists={[...walks.slice(-DRAWN), ...kits].map((each) => drawnOf(each, log.trips))}
        units={units}
      />
      <AllChanges difference={difference} units={units} />
      <p className="hint mt-4">
        {count(difference.same.length, "thing")} on both, unchanged. A thing counts with what it was known to
        weigh then; of what was shared, the owner&rsquo;s part.
      </p>
    </>
  );
}

function TwoAreNeeded() {
  return (
    <>
      <PageHead title="Lists against lists" />
      <Empty
        title="Two lists are needed"
        action={
          <Link href="/trips" className="btn btn-leaf">
            To the trips
          </Link>
        }
      >
        Enter two trips with what was in the pack, or keep two kits, and they stand here side by side.
      </Empty>
    </>
  );
}

interface SumsProps {
  readonly before: Called;
  readonly after: Called;
  readonly units: Units;
}

/** What both lists weigh, load by load. */
function Sums({ before, after, units }: SumsProps) {
  const rows = [...LOADS, [null, "in all"] as const].map(([load, word]) => {
    const of = (list: readonly Listed[]) =>
      totalOf(load === null ? list : list.filter(({ item }) => countsAs(item) === load));
    return { load, word, was: of(before.list), is: of(after.list) };
  });
  return (
    <table className="mt-4 w-full max-w-2xl text-[0.95rem]">
      <thead className="text-left text-sm text-muted">
        <tr>
          <td />
          <th className="text-right font-normal">{before.name}</th>
          <th className="text-right font-normal">{after.name}</th>
          <th className="text-right font-normal">change</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr
            key={row.word}
            className={row.load ? "border-t border-rule" : "border-t-2 border-ink font-bold"}
          >
            <td className="py-1">{row.word}</td>
            <td className="num text-right">{sayMass(row.was, units)}</td>
            <td className="num text-right">{sayMass(row.is, units)}</td>
            <td className="num text-right">{sayChange(row.is - row.was, units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Every change from one list to the other, by its sort. */
function AllChanges({ difference, units }: { difference: ListDifference; units: Units }) {
  const { out, into, swapped, reweighed } = difference;
  return (
    <div className="mt-6 grid gap-8 lg:grid-cols-2">
      <Changes
        title="Came out"
        lines={out.map((listed) => ({ listed, grams: -(listed.grams ?? 0), beside: "" }))}
        units={units}
      />
      <Changes
        title="Went in"
        lines={into.map((listed) => ({ listed, grams: listed.grams ?? 0, beside: "" }))}
        units={units}
      />
      <Changes
        title="One in place of another"
        lines={swapped.map(({ from, to, grams }) => ({
          listed: to,
          grams,
          beside: `for ${from.item.name}`,
        }))}
        units={units}
      />
      <Changes
        title="On both, and of another weight"
        lines={reweighed.map(({ from, to, grams }) => ({
          listed: to,
          grams,
          beside: `${sayMass(from.grams ?? 0, units)}, then ${sayMass(to.grams ?? 0, units)}`,
        }))}
        units={units}
      />
    </div>
  );
}

const sayChange = (grams: number, units: Units) =>
  grams === 0 ? "–" : `${grams < 0 ? "−" : "+"}${sayMass(Math.abs(grams), units)}`;

/** A list with what became of each thing on its walk. */
function drawnOf({ key, name, list }: Called, trips: readonly Trip[]): DrawnList {
  const carries = trips.find(({ id }) => id === key)?.carries ?? [];
  const marks = new Map(carries.map(({ item, mark }) => [item, mark]));
  return {
    key,
    name,
    things: list.map((listed) => {
      const use = marks.get(listed.item.id)?.use;
      return { ...listed, came: use === "unused" && listed.item.cover ? "cover" : (use ?? "not told") };
    }),
  };
}

/** Changes of one sort, with what they come to. */
function Changes({
  title,
  lines,
  units,
}: {
  title: string;
  lines: readonly { readonly listed: Listed; readonly grams: number; readonly beside: string }[];
  units: Units;
}) {
  const sum = lines.reduce((all, { grams }) => all + grams, 0);
  return (
    <section aria-label={title}>
      <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-lg">
        {title}
        <span className="num text-base font-normal">{sayChange(sum, units)}</span>
      </h2>
      {lines.length === 0 && <p className="py-1 text-muted">Nothing.</p>}
      <ul>
        {lines.map(({ listed: { item, grams: weight }, grams, beside }) => (
          <li key={item.id} className="flex items-baseline justify-between border-b border-rule py-1">
            <span>
              <Link prefetch={false} href={itemPath(item.id)} className="hover:underline">
                {item.name}
              </Link>{" "}
              <span className="text-sm text-muted">{beside}</span>
            </span>
            <span className="num">{weight === null ? "not weighed" : sayChange(grams, units)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
