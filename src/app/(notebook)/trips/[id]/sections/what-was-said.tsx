import type { Book } from "@/core/ledger/book";
import { followedOn } from "@/core/ledger/followed";
import type { Trip } from "@/core/model";
import { sayFollowed } from "@/core/say/walk/followed";
import { sayForetold } from "@/core/seasons/foretold-words";
import { sayDay } from "@/core/units/speak";

/**
 * What was advised as the list was made, and what came of it; nothing of a trip that is to come, or where nothing
 * was kept.
 */
export function WhatWasSaid({ trip, book }: { trip: Trip; book: Book }) {
  const { units } = book.settings;
  const followed = followedOn(trip, (id) => book.item(id)?.name);
  const sentences = [...sayFollowed(followed, units), ...sayForetold(trip, units)];
  if (!trip.advised || trip.planned || sentences.length === 0) return null;
  return (
    <>
      <h2 className="mb-1 mt-5 text-lg">What was advised and foreseen, and came of it</h2>
      {sentences.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <p className="hint mt-1">As it was said on {sayDay(trip.advised.on)}; nothing of it is judged anew.</p>
    </>
  );
}
