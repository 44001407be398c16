import { expect, test } from "vitest";
import { parsePrice } from "./price";

test.each([
  ["$180", 180, "$"],
  ["180 $", 180, "$"],
  ["42,50 €", 42.5, "€"],
  ["€ 1,200.50", 1200.5, "€"],
  ["180", 180, null],
  ["1 590 kr", 1590, "kr"],
  ["95 usd", 95, "$"],
  ["120 chf", 120, "CHF"],
])("%s is a price", (typed, amount, currency) => expect(parsePrice(typed)).toEqual({ amount, currency }));

test.each(["", "dear", "$", "180 krona", "about $180 or so"])("“%s” is none", (typed) =>
  expect(parsePrice(typed)).toBeNull(),
);
