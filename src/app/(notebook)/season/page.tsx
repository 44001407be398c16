import type { Metadata } from "next";
import Link from "next/link";
import { Suspense } from "react";
import { totalOf, type Listed } from "@/core/compare/lists";
import { lookBack, lookedBackOn, scoreOf, type LookBack } from "@/core/seasons/score";
import { listsBetween, seasonOf, yearsOf, type Season } from "@/core/seasons/season";
import { sayMoney } from "@/core/say/money";
import { wearNumber } from "@/core/say/words";
import {
  count,
  listWords,
  percent,
  sayDeadWeight,
  sayDistance,
  sayMass,
  type Units,
} from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { givingWay, keptWith, type Reading } from "@/app/reading";
import { YearRing } from "./year-ring";

export const metadata: Metadata = { title: "Season" };

/** One year against another, and how what was said came out. */
export default async function SeasonPage({
  searchParams,
}: {
  searchParams: Promise<{ a?: string; b?: string }>;
}) {
  const asked = await searchParams;
  const reading = await readBook();
  const { book } = reading;
  const { units, currency } = book.settings;
  const years = yearsOf(book);
  const after = years.find((year) => year === asked.b) ?? years[0];
  if (!after)
    return (
      <>
        <PageHead title="Season" />
        <Empty
          title="No trip has been walked yet"
          action={
            <Link href="/trips/new" className="btn btn-leaf">
              Enter the first trip
            </Link>
          }
        >
          A year&rsquo;s trips stand here beside the year before: what the pack weighed, what came out and in,
          what failed.
        </Empty>
      </>
    );
  const before = years.find((year) => year === asked.a) ?? years.find((year) => year < after) ?? after;
  const [was, is] = [seasonOf(book, before), seasonOf(book, after)];
  const difference = listsBetween(was, is, book);
  const money = (value: number) => sayMoney(value, currency);
  const cost = ({ bought, spent }: Season) => bought + spent;
  const rows: readonly (readonly [string, (season: Season) => string])[] = [
    ["trips", ({ outings }) => String(outings.length)],
    ["walked", ({ metres }) => sayDistance(metres, units)],
    ["nights out", ({ nights }) => String(nights)],
    ["base weight, the middle trip", ({ base }) => (base === null ? "–" : sayMass(base, units))],
    ["carried for nothing", ({ deadGramMetres }) => sayDeadWeight(deadGramMetres, units)],
    [
      "failures",
      ({ failures }) =>
        listWords(failures.map(([kind, times]) => `${kind}${times > 1 ? ` ×${times}` : ""}`)) || "none",
    ],
    ["bought", ({ bought }) => money(bought)],
    ["repairs, washes, services", ({ spent }) => money(spent)],
    ["cost a night", (season) => (season.nights > 0 ? money(cost(season) / season.nights) : "–")],
    [
      `cost a ${units.distance}`,
      (season) => (season.metres > 0 ? money(cost(season) / wearNumber(season.metres, "m", units)) : "–"),
    ],
  ];
  return (
    <>
      <PageHead title="Season">{before === after ? after : `${after} beside ${before}`}</PageHead>
      {years.length > 1 && (
        <form action="/season" className="mb-4 flex flex-wrap items-end gap-3">
          <label className="label">
            This year{" "}
            <select name="b" defaultValue={after} className="field !w-28">
              {years.map((year) => (
                <option key={year}>{year}</option>
              ))}
            </select>
          </label>
          <label className="label">
            beside{" "}
            <select name="a" defaultValue={before} className="field !w-28">
              {years.map((year) => (
                <option key={year}>{year}</option>
              ))}
            </select>
          </label>
          <button className="btn">Set them side by side</button>
        </form>
      )}
      <div className="grid grid-cols-1 gap-x-10 gap-y-4 lg:grid-cols-[1fr_auto]">
        <table className="w-full max-w-3xl self-start text-[0.95rem]">
          <thead>
            <tr className="border-b-2 border-ink text-right font-head">
              <td />
              <th className="py-1">{before}</th>
              <th className="py-1">{after}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, cell]) => (
              <tr key={name} className="border-b border-rule">
                <th className="py-1 text-left font-normal text-muted">{name}</th>
                <td className="num text-right">{cell(was)}</td>
                <td className="num text-right">{cell(is)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <YearRing year={is} inside={before === after ? null : was} units={units} />
      </div>
      {difference && (
        <section className="mt-6 max-w-4xl">
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">
            From the last list of {before} to that of {after}
          </h2>
          <p>
            {difference.grams === 0
              ? "As heavy as it was."
              : `${sayMass(Math.abs(difference.grams), units)} ${difference.grams < 0 ? "lighter" : "heavier"}.`}
          </p>
          <Change name="Came out" list={difference.out} units={units} />
          <Change name="Went in" list={difference.into} units={units} />
          {difference.swapped.length > 0 && (
            <p>
              <span className="text-muted">One in place of another:</span>{" "}
              {listWords(
                difference.swapped.map(
                  ({ from, to, grams }) =>
                    `${to.item.name} for ${from.item.name} (${grams < 0 ? "−" : "+"}${sayMass(Math.abs(grams), units)})`,
                ),
              )}
            </p>
          )}
        </section>
      )}
      <Suspense
        fallback={
          <p role="status" className="hint mt-8">
            Judging the last trips as on their first mornings …
          </p>
        }
      >
        <HowItCameOut reading={reading} />
      </Suspense>
    </>
  );
}

function Change({ name, list, units }: { name: string; list: readonly Listed[]; units: Units }) {
  if (list.length === 0) return null;
  return (
    <p>
      <span className="text-muted">
        {name}, {sayMass(totalOf(list), units)}:
      </span>{" "}
      {list.map(({ item, grams }, n) => (
        <span key={item.id}>
          {n > 0 && ", "}
          <Link prefetch={false} href={itemPath(item.id)} className="hover:underline">
            {item.name}
          </Link>
          {grams !== null && <span className="text-sm text-muted"> {sayMass(grams, units)}</span>}
        </span>
      ))}
    </p>
  );
}

/** All is judged anew for each trip that is looked back on: the page goes out first, and others have their turns. */
const scored = keptWith(async ({ log, book }) => {
  const looks: LookBack[] = [];
  const giveWay = givingWay();
  for (const trip of lookedBackOn(log, book.today)) {
    await giveWay();
    looks.push(lookBack(log, trip));
  }
  return scoreOf(looks);
});

/** The tool's own score, in view: what was said before each trip, and what happened on it. */
async function HowItCameOut({ reading }: { reading: Reading }) {
  const score = await scored(reading);
  if (score.trips === 0) return null;
  const { flagged, flaggedFailed, unflagged, unflaggedFailed, leftTaken, leftUsed, left, leftMissed } = score;
  return (
    <section className="mt-8 max-w-4xl">
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">Verdicts that came true, and that did not</h2>
      <p className="hint mb-2">
        {score.trips === 1 ? "The last trip" : `Each of the last ${count(score.trips, "trip")}`}, judged as on
        its first morning, with nothing known of what came after.
      </p>
      <ul className="mb-3">
        <li>
          Flagged for repair or replacement and taken all the same: {flagged}; {flaggedFailed} of them were
          damaged or failed on the trip. Not flagged: {unflagged}; {unflaggedFailed} were.
        </li>
        <li>
          Told to leave and taken: {leftTaken}; {leftUsed} of them were used. Told to leave and left: {left};{" "}
          {leftMissed} were missed.
        </li>
      </ul>
      <table className="w-full text-[0.95rem]">
        <caption className="mb-1 text-left font-semibold">
          “It gives out on this trip”: what was said, and what happened
        </caption>
        <thead className="text-left text-sm text-muted">
          <tr>
            <th className="font-normal">said</th>
            <th className="text-right font-normal">times</th>
            <th className="text-right font-normal">on average</th>
            <th className="text-right font-normal">happened</th>
            <th className="w-1/2 pl-4 font-normal">
              <span className="sr-only">picture</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {score.givesOut.map(({ from, to, said, times, happened }) => (
            <tr key={from} className="border-t border-rule">
              <td className="py-1">
                {Math.round(from * 100)} to {percent(to)}
              </td>
              <td className="num text-right">{times}</td>
              <td className="num text-right">{percent(said)}</td>
              <td className="num text-right">
                {happened}, {percent(happened / times)}
              </td>
              <td className="pl-4">
                <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="h-4 w-full" aria-hidden="true">
                  <rect x="0" y="3.5" width="100" height="1" className="fill-rule" />
                  <rect x="0" y="2" width={(100 * happened) / times} height="4" className="fill-leaf" />
                  <rect x={100 * said - 0.3} y="0" width="0.6" height="8" className="fill-ink" />
                </svg>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="hint">The bar is how often it happened, the upright how often it was said to.</p>
    </section>
  );
}
