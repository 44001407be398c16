import type { Metadata } from "next";
import Link from "next/link";
import { Suspense } from "react";
import { readBook } from "@/app/book";
import { givingWay, keptWith, type Reading } from "@/app/reading";
import {
  lookBack,
  lookedBackOn,
  scoreOf,
  shareBetween,
  type LookBack,
  type Score,
} from "@/core/seasons/score";
import { swapsMade } from "@/core/seasons/swaps";
import type { Kit } from "@/core/advice/kit";
import { savedByLeaving } from "@/core/seasons/leaving";
import { listsBetween, seasonOf, yearsOf } from "@/core/seasons/season";
import type { Book } from "@/core/ledger/book";
import { sayMoney } from "@/core/say/money";
import { capital, count, percent, sayDeadWeight, sayMass, type Units } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Section } from "@/ui/page/section";
import { itemPath } from "@/ui/paths";
import { Table } from "@/ui/page/table";
import { ListChanges } from "./list-changes";
import { YearRing } from "./year-ring";
import { YearsBeside } from "./years-beside";

export const metadata: Metadata = { title: "Season" };

interface Asked {
  readonly searchParams: Promise<{ a?: string; b?: string }>;
}

/** One year against another, and how what was said came out. */
export default async function SeasonPage({ searchParams }: Asked) {
  const asked = await searchParams;
  const reading = await readBook();
  const { book } = reading;
  const { units } = book.settings;
  const years = yearsOf(book);
  const after = years.find((year) => year === asked.b) ?? years[0];
  if (!after) return <NoSeason />;
  const before = years.find((year) => year === asked.a) ?? years.find((year) => year < after) ?? after;
  const [was, is] = [seasonOf(book, before), seasonOf(book, after)];
  const difference = listsBetween(was, is, book);
  return (
    <>
      <PageHead title="Season">{before === after ? after : `${after} beside ${before}`}</PageHead>
      {years.length > 1 && <ChooseYears years={years} before={before} after={after} />}
      <div className="grid grid-cols-1 gap-x-10 gap-y-4 lg:grid-cols-[1fr_auto]">
        <YearsBeside was={was} is={is} book={book} />
        <YearRing year={is} inside={before === after ? null : was} units={units} />
      </div>
      {difference && (
        <Section title={`From the last list of ${before} to that of ${after}`} look="mt-6 max-w-4xl">
          <ListChanges difference={difference} units={units} />
        </Section>
      )}
      <WhatLeavingSaved book={book} />
      <WhatSwapsCameTo kit={reading.kit} />
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

/** What has been left at home since it lay idle, and what that has saved so far. */
function WhatLeavingSaved({ book }: { book: Book }) {
  const { units } = book.settings;
  const left = savedByLeaving(book);
  if (left.length === 0) return null;
  const all = left.reduce((sum, { gramMetres }) => sum + gramMetres, 0);
  return (
    <Section title="What leaving has saved so far" look="mt-8 max-w-4xl">
      <p className="mb-2">
        <b>{sayDeadWeight(all, units)}</b> not lugged, by {count(left.length, "thing")} left at home since
        they lay idle, or since you agreed to leave them.
      </p>
      <Table
        rows={left}
        keyOf={({ item }) => item.id}
        columns={[
          {
            head: "thing",
            cell: ({ item }) => (
              <Link prefetch={false} href={itemPath(item.id)} className="hover:underline">
                {item.name}
              </Link>
            ),
          },
          { head: "stayed at home on", number: true, cell: ({ trips }) => count(trips, "trip") },
          {
            head: "missed",
            number: true,
            cell: ({ missed }) => (missed > 0 ? count(missed, "time") : "never"),
          },
          { head: "saved", number: true, cell: ({ gramMetres }) => sayDeadWeight(gramMetres, units) },
        ]}
      />
    </Section>
  );
}

/** One thing in another's place: what it spared, and whether it was worth it. */
function WhatSwapsCameTo({ kit }: { kit: Kit }) {
  const { units, currency } = kit.book.settings;
  const swaps = swapsMade(kit);
  if (swaps.length === 0) return null;
  return (
    <Section title="What swaps came to" look="mt-8 max-w-4xl">
      <Table
        rows={swaps}
        keyOf={({ to }) => to.case.item.id}
        columns={[
          {
            head: "in place of another",
            cell: ({ from, to }) => (
              <>
                <Link prefetch={false} href={itemPath(to.case.item.id)} className="hover:underline">
                  {to.case.item.name}
                </Link>{" "}
                <span className="text-muted">for {from.case.item.name}</span>
              </>
            ),
          },
          {
            head: "since",
            number: true,
            cell: ({ trips, nights }) => `${count(trips, "trip")}, ${count(Math.round(nights), "night")}`,
          },
          {
            head: "each",
            number: true,
            look: "pl-4",
            cell: ({ grams }) => (grams === null ? "–" : sayLighter(grams, units)),
          },
          {
            head: "spared so far",
            number: true,
            look: "pl-4",
            cell: ({ gramMetres }) => (gramMetres > 0 ? sayDeadWeight(gramMetres, units) : "–"),
          },
          {
            head: "something wrong: before, since",
            number: true,
            look: "hidden pl-4 sm:table-cell",
            cell: ({ before, since }) => `${before.trouble} of ${before.of}, ${since.trouble} of ${since.of}`,
          },
          {
            head: "cost",
            number: true,
            look: "hidden pl-4 sm:table-cell",
            cell: ({
              to: {
                case: { item },
              },
            }) => (item.price === null ? "–" : sayMoney(item.price, item.currency ?? currency)),
          },
        ]}
      />
    </Section>
  );
}

const sayLighter = (grams: number, units: Units) =>
  grams === 0 ? "as heavy" : `${sayMass(Math.abs(grams), units)} ${grams > 0 ? "lighter" : "heavier"}`;

function NoSeason() {
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
}

interface ChooseYearsProps {
  readonly years: readonly string[];
  readonly before: string;
  readonly after: string;
}

function ChooseYears({ years, before, after }: ChooseYearsProps) {
  const options = years.map((year) => <option key={year}>{year}</option>);
  return (
    <form action="/season" className="mb-4 flex flex-wrap items-end gap-3">
      <label className="label">
        This year{" "}
        <select name="b" defaultValue={after} className="field !w-28">
          {options}
        </select>
      </label>
      <label className="label">
        beside{" "}
        <select name="a" defaultValue={before} className="field !w-28">
          {options}
        </select>
      </label>
      <button className="btn">Set them side by side</button>
    </form>
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

/** What it is reckoned from: what was said then, or what would be said today of what was known then. */
function sayJudged({ trips, asSaid }: Score): string {
  const anew = "judged anew as on its first morning, with nothing known of what came after.";
  if (asSaid === 0) return anew;
  const kept = "by what was said as its list was made";
  return asSaid === trips ? `${kept}.` : `${count(asSaid, "of them", "of them")} ${kept}, the others ${anew}`;
}

/** The tool's own score, in view: what was said before each trip, and what happened on it. */
async function HowItCameOut({ reading }: { reading: Reading }) {
  const score = await scored(reading);
  if (score.trips === 0) return null;
  const { flagged, flaggedFailed, unflagged, unflaggedFailed, leftTaken, leftUsed, left, leftMissed } = score;
  return (
    <Section title="Verdicts that came true, and that did not" look="mt-8 max-w-4xl">
      <p className="hint mb-2">
        {score.trips === 1 ? "The last trip" : `Each of the last ${count(score.trips, "trip")}`}:{" "}
        {sayJudged(score)}
      </p>
      <ul className="mb-3">
        <li>
          Of what was flagged for repair or replacement and taken all the same,{" "}
          <b>{sayShare(flaggedFailed, flagged)}</b> went wrong on the trip; of what was not,{" "}
          <b>{sayShare(unflaggedFailed, unflagged)}</b>. {capital(count(unflaggedFailed, "thing"))} went wrong
          that nobody had flagged.
        </li>
        <li>
          Told to leave and taken: {leftTaken}; {leftUsed} of them were used. Told to leave and left: {left};{" "}
          {leftMissed} were missed.
        </li>
      </ul>
      <p className="mb-1 font-semibold">“It gives out on this trip”: what was said, and what happened</p>
      <Table
        rows={score.givesOut}
        keyOf={({ from }) => from}
        columns={[
          { head: "said", cell: ({ from, to }) => `${Math.round(from * 100)} to ${percent(to)}` },
          { head: "times", number: true, cell: ({ times }) => times },
          { head: "on average", number: true, cell: ({ said }) => percent(said) },
          {
            head: "happened",
            number: true,
            cell: ({ happened, times }) => `${happened}, ${percent(happened / times)}`,
          },
          {
            head: <span className="sr-only">picture</span>,
            look: "w-1/2 pl-4",
            cell: ({ said, happened, times }) => <SaidAndHappened said={said} happened={happened / times} />,
          },
        ]}
      />
      <p className="hint">The bar is how often it happened, the upright how often it was said to.</p>
    </Section>
  );
}

/** "33 % (4 of 12; 18 to 50 %)": a share, and where four in five of such lie. */
function sayShare(happened: number, of: number): string {
  if (of === 0) return "none (nothing was)";
  const [low, high] = shareBetween(happened, of);
  return `${percent(happened / of)} (${happened} of ${of}; ${Math.round(100 * low)} to ${percent(high)})`;
}

/** Two shares, 0 to 1: what happened as a bar, what was said as an upright across it. */
function SaidAndHappened({ said, happened }: { said: number; happened: number }) {
  return (
    <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="h-4 w-full" aria-hidden="true">
      <rect x="0" y="3.5" width="100" height="1" className="fill-rule" />
      <rect x="0" y="2" width={100 * happened} height="4" className="fill-leaf" />
      <rect x={100 * said - 0.3} y="0" width="0.6" height="8" className="fill-ink" />
    </svg>
  );
}
