import type { ComponentProps } from "react";
import type { Book } from "@/core/ledger/book";
import { percent, sayLugged, sayMass, saySpeed } from "@/core/units/speak";
import { WALKING_SPEED } from "@/core/weighin/load-energy";
import type { PackWorth } from "@/core/weighin/pack-worth";
import type { PackTable } from "./pack-table";

/** The pack by worth, in words. */
export function packTableOf(pack: PackWorth, book: Book): ComponentProps<typeof PackTable> {
  const { outing, ranked, savedGrams, savedGramMetres, savedKilocalories, body, load } = pack;
  const { units } = book.settings;
  const { school } = book.rules;
  return {
    saves:
      savedGrams > 0
        ? `on a trip like ${outing.trip.name}, leaving the losers saves ${sayMass(savedGrams, units)}, ` +
          `as much as ${sayLugged(savedGramMetres, units)}, and about ${Math.round(savedKilocalories)} kcal`
        : `on a trip like ${outing.trip.name}, nothing loses its place`,
    how:
      `Worth is the chance that it is used × what you would carry to avoid going without, ÷ its weight; ` +
      `the ${school.name} school asks for ${school.worthNeeded}. ` +
      "Cover, what is dangerous to lack and what is carried for joy are not ranked. " +
      `Energy by the Pandolf equation for ${sayMass(Math.round(body) * 1000, units)} of body and the ${sayMass(load * 1000, units)} weighed, at ${saySpeed(WALKING_SPEED, units)}, half of the way climbing evenly and half taken as level.`,
    lines: ranked.map(({ one, worth, grams, loses, wanted }) => ({
      item: one.item.id,
      name: one.item.name,
      weight: sayMass(grams, units),
      usedOn: percent(one.tripChance),
      consequence: one.item.consequence,
      worth: worth.toFixed(worth < 10 ? 1 : 0),
      short: worth < school.worthNeeded,
      told: toldOf(loses, worth < school.worthNeeded, wanted),
      loses,
    })),
  };
}

/** What follows from its worth, in a word. */
function toldOf(loses: boolean, isShort: boolean, wanted: boolean): string {
  if (loses) return "leave";
  if (!isShort) return "";
  return wanted ? "used, so kept" : "seldom used";
}
