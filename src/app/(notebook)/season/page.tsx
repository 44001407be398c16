import type { Metadata } from "next";
import Link from "next/link";
import { Suspense } from "react";
import { readBook } from "@/app/book";
import { swapsMade } from "@/core/seasons/swaps";
import type { Kit } from "@/core/advice/kit";
import { savedByLeaving } from "@/core/seasons/leaving";
import { listsBetween, seasonOf, yearsOf } from "@/core/seasons/season";
import type { Book } from "@/core/ledger/book";
import { sayMoney } from "@/core/say/money";
import { count, sayDeadWeight, sayLugged, sayMass, type Units } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Section } from "@/ui/page/section";
import { itemPath } from "@/ui/paths";
import { Table } from "@/ui/page/table";
import { HowItCameOut } from "./how-it-came-out";
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
        As much as <b>{sayLugged(all, units)}</b> not carried, by {count(left.length, "thing")} left at home
        since they lay idle, or since you agreed to leave them.
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
