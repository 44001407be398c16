import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import { lacksTold, sayCold, sayReplay } from "@/core/replay/words";
import { count, sayMass } from "@/core/units/speak";
import { Choices } from "@/ui/page/choices";
import { Empty, PageHead } from "@/ui/page/page-head";
import { aheadOf } from "../ahead";
import { ChangeList } from "./change-list";
import { DayStrip } from "./day-strip";
import { askedIn, listsOf, replayFor } from "./replay-data";
import { replayPath } from "@/ui/paths";
import { What } from "./what";

export const metadata: Metadata = { title: "Over your days" };

/** Any list, walked over the owner's own past days. */
export default async function ReplayPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const asked = askedIn(await searchParams);
  const reading = await readBook();
  const { book, log } = reading;
  const { units } = book.settings;
  const trip = aheadOf(log.trips, book.today)[0] ?? null;
  const { days, overs, over, whole, list, replayed } = await replayFor(asked, trip, reading);
  if (days.length === 0) return <NoDays />;
  const lists = listsOf(reading, trip);
  return (
    <>
      <PageHead title="Over your days">
        A list walked over the {count(days.length, "day")} that you were out: what it would have come to on
        them. Never “safe”; always “on your days”.
      </PageHead>
      <Choices
        label="Which list"
        chosen={asked.list}
        choices={lists.map(({ key, words }) => ({
          key,
          words,
          href: replayPath({ ...asked, list: key, without: [], and: [] }),
        }))}
      />
      <Choices
        label="Over which days"
        chosen={over.key}
        choices={overs.map(({ key, words }) => ({ key, words, href: replayPath({ ...asked, over: key }) }))}
      />
      <p className="max-w-3xl text-lg" role="status">
        {sayReplay(replayed, units)}
      </p>
      <p className="hint mb-4">
        {count(list.length, "thing")}, {sayMass(replayed.grams, units)} as it weighs now.
      </p>
      <DayStrip book={book} replayed={replayed} units={units} />
      <div className="mt-6 grid gap-8 lg:grid-cols-2">
        <What
          title="Cold nights"
          none="No night of these would likely have been cold."
          told={replayed.cold.map((each) => ({ words: sayCold(each, units), days: [each.day] }))}
        />
        <What
          title="What nothing on it would have done"
          none="All that was used on these days, something on the list does."
          told={lacksTold(replayed)}
        />
        <ChangeList asked={asked} whole={whole} list={list} book={book} />
        {replayed.since.length > 0 && (
          <p className="hint self-start">
            {replayed.since.map(({ name }) => name).join(", ")}: not yours on the first of these days, so it
            could not have been there.
          </p>
        )}
      </div>
      <p className="hint mt-8 max-w-3xl">
        A day’s weather that was only told of the whole walk is spread over its days, and lows that nobody
        measured are guessed from what was said of the cold. What you used then stands for what a day asks; a
        day that never came is not among them.{" "}
        <Link href="/next" className="link" prefetch={false}>
          The list itself
        </Link>
      </p>
    </>
  );
}

function NoDays() {
  return (
    <>
      <PageHead title="Over your days" />
      <Empty
        title="No day walked yet"
        action={
          <Link href="/trips/new" className="btn btn-leaf">
            Enter a trip
          </Link>
        }
      >
        After the first walk any list can be held against its days.
      </Empty>
    </>
  );
}
