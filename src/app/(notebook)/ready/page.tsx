import type { Metadata } from "next";
import Link from "next/link";
import type { ReactNode } from "react";
import { readyFor, type Ready } from "@/core/jobs/ready";
import { groupBy } from "@/core/sums/group";
import { count, sayDay, sayLong } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import type { ItemId } from "@/core/model";
import { readBook } from "@/app/book";
import { AllSound, SetPlace, Tick } from "./tick";

export const metadata: Metadata = { title: "Ready" };

const WHY = {
  store: "from store",
  mended: "mended since",
  date: "its date is near",
  "used up": "used up on the way",
  season: "before a trip",
} as const;

/** What to look at before going out: from what is owned, and what it went through. */
export default async function ReadyPage() {
  const { book, kit } = await readBook();
  const { stored, afterStore, checks, away, borrowed } = readyFor(kit);
  const open = checks.filter(({ done }) => !done).map(({ item }) => item.id);
  const left = open.length;
  return (
    <>
      <PageHead
        title="Ready?"
        actions={
          <Link href="/bench" prefetch={false} className="btn">
            The bench
          </Link>
        }
      >
        {stored !== null && `${sayLong(Math.max(1, stored))} since the last trip; `}
        {left === 0
          ? "everything has been looked at"
          : `${left} of ${count(checks.length, "thing")} still to be looked at`}
      </PageHead>
      {afterStore && left > 0 && (
        <p className="mb-4 max-w-3xl border-l-4 border-catkin-strong pl-3">
          It lay in store for a season. What store can spoil leads: look at it before anything else is packed.
        </p>
      )}
      <Elsewhere away={away} borrowed={borrowed} />
      {checks.length === 0 && <NothingYet />}
      {[...groupBy(checks, ({ look }) => look)].map(([look, group]) => (
        <Looks key={look} look={look} checks={group} today={book.today} />
      ))}
      {open.length > 1 && <AllSound items={open} words={`All that is left is sound (${open.length})`} />}
      <p className="hint mt-6 max-w-3xl">
        Of maps, messengers and permits the app knows nothing: update them, look at subscriptions, and leave
        word with someone.
      </p>
    </>
  );
}

/** What others have, and what is theirs. */
function Elsewhere({ away, borrowed }: Pick<Ready, "away" | "borrowed">) {
  if (away.length + borrowed.length === 0) return null;
  return (
    <section className="mb-5">
      <h2 className="border-b-2 border-ink pb-1 text-lg">With others, and of others</h2>
      <ul>
        {away.map(({ id, name, lentTo }) => (
          <NotHere key={id} id={id} name={name}>
            {lentTo} has it
            <SetPlace item={id} name={name} change="home" />
          </NotHere>
        ))}
        {borrowed.map(({ id, name, owner }) => (
          <NotHere key={id} id={id} name={name}>
            {owner}&rsquo;s, to give back
            <SetPlace item={id} name={name} change="given back" />
          </NotHere>
        ))}
      </ul>
    </section>
  );
}

const NotHere = ({ id, name, children }: { id: ItemId; name: string; children: ReactNode }) => (
  <li className="flex flex-wrap items-center gap-3 border-b border-rule py-1">
    <Link prefetch={false} href={itemPath(id)} className="font-semibold hover:underline">
      {name}
    </Link>
    {children}
  </li>
);

interface LooksProps {
  readonly look: string;
  readonly checks: Ready["checks"];
  readonly today: string;
}

/** All that is looked at in one way, each ticked where it was. */
function Looks({ look, checks, today }: LooksProps) {
  const open = checks.filter(({ done }) => !done).map(({ item }) => item.id);
  return (
    <section className="mb-4 grid gap-x-8 lg:grid-cols-[20rem_1fr]">
      <div className="border-t-2 border-ink pt-1.5">
        <h2 className="font-sans text-base font-semibold">{look}</h2>
        {open.length > 1 && <AllSound items={open} of={look} words={`All ${open.length} sound`} />}
      </div>
      <ul className="lg:border-t-2 lg:border-ink">
        {checks.map(({ item, why, last, done }) => (
          <li
            key={item.id}
            className={`flex items-center gap-3 border-b border-rule py-1 ${done ? "text-muted" : ""}`}
          >
            <span className="flex-1">
              <Link prefetch={false} href={itemPath(item.id)} className="font-semibold hover:underline">
                {item.name}
              </Link>
              <span className="ml-2 text-sm text-muted">
                {WHY[why]}
                {last ? `; last on ${sayDay(last)}` : ""}
              </span>
            </span>
            <Tick item={item.id} name={item.name} done={done} today={today} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function NothingYet() {
  return (
    <Empty
      title="Nothing to look at yet"
      action={
        <Link href="/shelf" className="btn btn-leaf">
          To the shelf
        </Link>
      }
    >
      After the first trip the things that went along are looked at here before the next.
    </Empty>
  );
}
