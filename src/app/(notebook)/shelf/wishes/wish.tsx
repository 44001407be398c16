import Link from "next/link";
import type { Kit } from "@/core/advice/kit";
import type { Candidate } from "@/core/compare/candidate";
import type { Book } from "@/core/ledger/book";
import { sayMoney } from "@/core/say/money";
import { says } from "@/core/say/verdicts/says";
import { sayLeftOf } from "@/core/say/words";
import { GRAMS_PER_OUNCE } from "@/core/units/quantity";
import { listWords, sayMass, sayRoom, timesEach } from "@/core/units/speak";
import { weighIn } from "@/core/weighin/weigh-in";
import { itemPath, replayPath } from "@/ui/paths";
import { VerbWord } from "@/ui/verb-word";
import { WishButtons } from "./wish-buttons";

interface WishProps {
  readonly candidate: Candidate;
  readonly kit: Kit;
}

/** Something wished for, beside what it would take the place of. */
export function Wish({ candidate, kit }: WishProps) {
  const { wish, present } = candidate;
  return (
    <li className="grid gap-x-8 gap-y-1 border-b border-rule py-3 lg:grid-cols-[1fr_1fr_auto]">
      <Wished candidate={candidate} book={kit.book} />
      <InPlaceOf candidate={candidate} kit={kit} />
      <WishButtons wish={wish.id} name={wish.name} present={present ? { name: present.name } : null} />
    </li>
  );
}

/** What it is, weighs and costs, and what it would save. */
function Wished({ candidate, book }: { candidate: Candidate; book: Book }) {
  const { wish, roomier } = candidate;
  const { units, currency } = book.settings;
  const claimed = wish.weights.at(-1)?.how === "claimed" ? "claimed" : "";
  return (
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
          wish.weight ? `${sayMass(wish.weight.g, units)} ${claimed}` : "weight not known",
          wish.price === null ? "price not known" : sayMoney(wish.price, wish.currency ?? currency),
        ].join(" · ")}
      </p>
      <p>
        {saySaves(candidate, book)}
        {roomier !== null && ` ${sayFit(roomier, book)}`}
      </p>
    </div>
  );
}

function saySaves({ wish, present, saves, perHundredGrams }: Candidate, { settings }: Book): string {
  if (saves === null) return "What it saves can’t be told: one of the two is not weighed.";
  const lighter = `${sayMass(Math.abs(saves), settings.units)} ${saves > 0 ? "lighter" : "heavier"}`;
  const than = present ? ` ${saves === 0 ? "as" : "than"} ${present.name}` : "";
  const [hundred, sayEach] = settings.units.weight === "g" ? [100, "100\u00a0g"] : [GRAMS_PER_OUNCE, "ounce"];
  const each =
    perHundredGrams === null
      ? ""
      : `, at ${sayMoney(perHundredGrams * (hundred / 100), wish.currency ?? settings.currency)} for each ${sayEach} saved`;
  return `${saves === 0 ? "As heavy" : lighter}${than}${each}.`;
}

/** What there is in its place now, and what the log says about that. */
function InPlaceOf({ candidate: { wish, present, complaints, asked }, kit }: WishProps) {
  const judged = present && kit.of(present.id);
  if (!judged) return <p className="text-muted">In the place of nothing that you own.</p>;
  const { units } = kit.book.settings;
  const both = new URLSearchParams([
    ["of", wish.id],
    ["of", present.id],
  ]);
  return (
    <div>
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
          ? `Said against it: ${listWords(complaints.map(timesEach))}.`
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
        <Link prefetch={false} href={`/shelf/beside?${both}`} className="link">
          Side by side
        </Link>
        {" · "}
        <Link prefetch={false} href={replayPath({ without: [present.id], and: [wish.id] })} className="link">
          In its place over your days
        </Link>
      </p>
    </div>
  );
}

/** What it changes of the room in the last trip's pack. */
function sayFit(roomier: number, book: Book): string {
  const litres = (value: number) => sayRoom(Math.abs(value), book.settings.units);
  const last = book.outings.at(-1);
  const room = last && weighIn(book.tripOf(last), book.item, book.items).room;
  const other = `${litres(roomier)} ${roomier > 0 ? "smaller" : "larger"} when packed`;
  const change = roomier === 0 ? "As large when packed" : other;
  if (!room) return `${change}.`;
  const free = room.volume - room.packed + roomier;
  return free >= 0
    ? `${change}: it fits, with ${litres(free)} to spare.`
    : `${change}: ${litres(free)} too much for ${room.pack.name}.`;
}
