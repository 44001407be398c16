import type { Metadata } from "next";
import Link from "next/link";
import { candidates, type Candidate } from "@/core/compare/candidate";
import { KINDS } from "@/core/trade/kinds";
import type { Book } from "@/core/ledger/book";
import type { Kit } from "@/core/advice/kit";
import { says } from "@/core/say/says";
import { sayMoney } from "@/core/say/money";
import { sayLeftOf } from "@/core/say/words";
import { count, listWords, sayMass, times } from "@/core/units/speak";
import { weighIn } from "@/core/weighin/weigh-in";
import { PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import { VerbWord } from "@/ui/verb-word";
import { readBook } from "@/app/book";
import { AddWish } from "./add-wish";
import { WishButtons } from "./wish-buttons";

export const metadata: Metadata = { title: "Wish list" };

/** What is wished for, beside what it would take the place of. */
export default async function WishesPage() {
  const { book, kit } = await readBook();
  const { units, currency } = book.settings;
  const wished = candidates(kit);
  const saves = wished.reduce((sum, { saves: grams }) => sum + Math.max(0, grams ?? 0), 0);
  return (
    <>
      <PageHead title="Wish list">
        {wished.length > 0 &&
          `${count(wished.length, "thing")}; all of them would save ${sayMass(saves, units)}`}
      </PageHead>
      <AddWish
        kinds={KINDS.map(({ id }) => id)}
        things={book.items
          .filter(({ state }) => state === "active")
          .map(({ id, name }) => [id, name] as const)}
        units={units}
        currency={currency}
      />
      {wished.length === 0 ? (
        <p className="max-w-xl text-muted">
          Put what you have your eye on here, and say what it would take the place of: it then stands beside
          that, with what it saves, what it costs, and what your log says about the one you have.
        </p>
      ) : (
        <ul className="border-t-2 border-ink">
          {wished.map((candidate) => (
            <Wish key={candidate.wish.id} candidate={candidate} kit={kit} />
          ))}
        </ul>
      )}
    </>
  );
}

function Wish({
  candidate: { wish, present, saves, roomier, complaints, perHundredGrams, asked },
  kit,
}: {
  candidate: Candidate;
  kit: Kit;
}) {
  const { book } = kit;
  const { units, currency } = book.settings;
  const judged = present ? kit.of(present.id) : undefined;
  const money = (value: number) => sayMoney(value, wish.currency ?? currency);
  return (
    <li className="grid gap-x-8 gap-y-1 border-b border-rule py-3 lg:grid-cols-[1fr_1fr_auto]">
      <div>
        <Link
          prefetch={false}
          href={`${itemPath(wish.id)}/edit`}
          className="font-head text-lg font-bold hover:underline"
        >
          {wish.name}
        </Link>
        <p className="text-sm text-muted">
          {[
            wish.kind,
            wish.weight
              ? `${sayMass(wish.weight.g, units)} ${wish.weights.at(-1)?.how === "claimed" ? "claimed" : ""}`
              : "weight not known",
            wish.price === null ? "price not known" : money(wish.price),
          ].join(" · ")}
        </p>
        <p>
          {saves === null
            ? "What it saves can’t be told: one of the two is not weighed."
            : saves > 0
              ? `${sayMass(saves, units)} lighter`
              : saves < 0
                ? `${sayMass(-saves, units)} heavier`
                : "As heavy"}
          {saves !== null && present && ` ${saves === 0 ? "as" : "than"} ${present.name}`}
          {perHundredGrams !== null && `, at ${money(perHundredGrams)} for each 100 g saved`}
          {saves !== null && "."}
          {roomier !== null && ` ${sayRoom(roomier, book)}`}
        </p>
      </div>
      <div>
        {present && judged ? (
          <>
            <p>
              In the place of{" "}
              <Link prefetch={false} href={itemPath(present.id)} className="font-semibold hover:underline">
                {present.name}
              </Link>
              <span className="text-muted">
                {judged.grams !== null && `, ${sayMass(judged.grams, units)}`}
                {judged.case.left && `: ${sayLeftOf(judged, units)}`}
              </span>
            </p>
            <p className="text-sm">
              {complaints.length
                ? `Said against it: ${listWords(complaints.map(({ what, times: n }) => `${what}${n > 1 ? ` ${times(n)}` : ""}`))}.`
                : "Nothing was said against it."}
            </p>
            <p className="text-sm">
              {asked ? (
                <>
                  <VerbWord verb={asked.verb} /> {says(judged.case, asked)}
                </>
              ) : (
                <span className="text-muted">No verdict asks for another.</span>
              )}
            </p>
            <p className="text-sm">
              <Link
                prefetch={false}
                href={`/shelf/beside?${new URLSearchParams([
                  ["of", wish.id],
                  ["of", present.id],
                ])}`}
                className="link"
              >
                Side by side
              </Link>
            </p>
          </>
        ) : (
          <p className="text-muted">In the place of nothing that you own.</p>
        )}
      </div>
      <WishButtons wish={wish.id} name={wish.name} present={present ? { name: present.name } : null} />
    </li>
  );
}

/** What it changes of the room in the last trip's pack. */
function sayRoom(roomier: number, book: Book): string {
  const litres = (value: number) => `${Math.round(Math.abs(value) * 10) / 10}\u00a0L`;
  const last = book.outings.at(-1);
  const room = last && weighIn(book.tripOf(last), book.item, book.items).room;
  const change =
    roomier === 0
      ? "As large when packed"
      : `${litres(roomier)} ${roomier > 0 ? "smaller" : "larger"} when packed`;
  if (!room) return `${change}.`;
  const free = room.volume - room.packed + roomier;
  return free >= 0
    ? `${change}: it fits, with ${litres(free)} to spare.`
    : `${change}: ${litres(free)} too much for ${room.pack.name}.`;
}
