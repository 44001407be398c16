import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { readBook } from "@/app/book";
import { idIn } from "@/app/id-in";
import { TripId } from "@/core/model";
import { reviewOf, type ReviewRow } from "@/core/say/walk/review";
import { PageHead } from "@/ui/page/page-head";
import { Table } from "@/ui/page/table";
import { tripPath } from "@/ui/paths";

export const metadata: Metadata = { title: "How it was" };

/** A trip told to somebody who asks how it was: prose and a table, to read, print or hand on. */
export default async function ToldPage({ params }: { params: Promise<{ id: string }> }) {
  const id = idIn(TripId, (await params).id);
  const { log, book, kit } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) notFound();
  const { title, about, parts, rows } = reviewOf(trip, book, kit);
  return (
    <>
      <PageHead
        title={`How it was: ${title}`}
        actions={
          <>
            <a className="btn" href={`/api/told/${encodeURIComponent(trip.id)}`} download>
              As Markdown
            </a>
            <Link prefetch={false} href={tripPath(trip.id)} className="btn">
              The trip
            </Link>
          </>
        }
      >
        {about}
      </PageHead>
      <div className="max-w-[44rem]">
        {parts.map(({ head, sentences }) => (
          <section key={head} className="mb-5 break-inside-avoid">
            <h2 className="mb-1 text-lg">{head}</h2>
            {sentences.map((sentence) => (
              <p key={sentence} className="mb-1">
                {sentence}
              </p>
            ))}
          </section>
        ))}
      </div>
      <h2 className="mb-1 mt-8 text-lg">Thing by thing</h2>
      <Things rows={rows} />
    </>
  );
}

function Things({ rows }: { rows: readonly ReviewRow[] }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Thing by thing">
      <Table
        rows={rows}
        keyOf={({ name }, n) => `${n} ${name}`}
        columns={[
          { head: "thing", cell: ({ name }) => name },
          { head: "weight", number: true, look: "pr-6", cell: ({ weight }) => weight },
          { head: "used", look: "pr-4", cell: ({ use }) => use },
          { head: "what was said", look: "pr-4", cell: ({ said }) => said },
          { head: "next", cell: ({ next }) => next },
        ]}
      />
    </div>
  );
}
