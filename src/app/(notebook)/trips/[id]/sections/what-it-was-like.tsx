import type { Book } from "@/core/ledger/book";
import { alikeNights } from "@/core/ledger/nights";
import type { Trip } from "@/core/model";
import { sayCameHome } from "@/core/say/supplies";
import { sayNights } from "@/core/say/walk/nights";
import { nameIn } from "./looked-back";

/** Its weather and ground, how the nights were, and what came home. */
export function WhatItWasLike({ trip, book }: { trip: Trip; book: Book }) {
  const conditions = Object.entries(trip.conditions)
    .filter(([, strength]) => strength !== "none")
    .sort(([, a], [, b]) => b.localeCompare(a))
    .map(([trigger, strength]) => `${strength} ${trigger}`);
  const nights = alikeNights(trip.felt).map((alike) => sayNights(alike, nameIn(book), book.settings.units));
  const home = trip.supplies.map((supply) => `${supply.what} ${sayCameHome(supply, book.settings.units)}`);
  return (
    <>
      <h2 className="mb-1 mt-5 text-lg">What it was like</h2>
      <p>{conditions.join(", ") || "Nothing noted."}</p>
      {nights.length > 0 && <p className="mt-1">{nights.join("; ")}.</p>}
      {home.length > 0 && <p className="mt-1">Came home: {home.join(", ")}.</p>}
      {trip.note && <p className="mt-1 text-muted">{trip.note}</p>}
    </>
  );
}
