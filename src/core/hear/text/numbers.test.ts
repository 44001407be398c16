import { expect, test } from "vitest";
import { withNumbers } from "./numbers";
import { tokensOf } from "./tokens";

/** The words of a text with its numbers in figures. */
const figures = (text: string) =>
  withNumbers(tokensOf(text))
    .map(({ plain }) => plain)
    .join(" ");

test.each([
  ["two hundred and thirty grams", "230 g"],
  ["two hundred and thirty", "230"],
  ["a hundred", "100"],
  ["a thousand and six", "1006"],
  ["two thousand four hundred and six", "2406"],
  ["one hundred twenty-five", "125"],
  ["twenty two", "22"],
  ["thirty-nine", "39"],
  ["three hundred", "300"],
  ["nineteen", "19"],
  ["thirteen", "13"],
  ["minus two degrees", "-2 degrees"],
  ["minus twelve c", "-12 c"],
  ["two point five l", "2.5 l"],
  ["two point oh five km", "2.05 km"],
  ["two and a half l", "2.5 l"],
  ["six degrees", "6 degrees"],
  ["ninety-six came back", "96 came back"],
])("a number in words, as many of them as make one: %s", (text, said) => {
  expect(figures(text)).toBe(said);
});

test.each([
  // A small one is often no number, and stays a word, but before a measure.
  ["one of them", "one of them"],
  ["twelve stakes", "twelve stakes"],
  ["a pack", "a pack"],
  ["a half", "a half"],
  // Two numbers beside one another are two.
  ["five and six degrees", "five and 6 degrees"],
  ["and six degrees", "and 6 degrees"],
  ["twenty and thirty", "20 and 30"],
  ["hundred", "hundred"],
  ["two hundred and a torch", "200 and a torch"],
  ["two hundred and", "200 and"],
  ["twenty - the torch", "20 - the torch"],
  ["twenty ten", "20 ten"],
  ["thirty forty", "30 40"],
  ["seven eight", "seven eight"],
  ["minus the torch", "minus the torch"],
  ["two point the torch", "two point the torch"],
  ["230 g", "230 g"],
  ["-4 c", "-4 c"],
])("what is no number of several words stays as it is: %s", (text, said) => {
  expect(figures(text)).toBe(said);
});

test.each([
  ["four, no, five days", "five days"],
  ["four , sorry , fifteen", "15"],
  ["four hundred grams, no, four hundred and fifty", "450"],
  ["230 g, no, 240 g", "240 g"],
  // A comma alone puts nothing right, nor does a word without a number behind it.
  ["four, five days", "four , five days"],
  ["four, no", "four , no"],
  ["four no torch", "four no torch"],
])("a number that is put right in the next breath: %s", (text, said) => {
  expect(figures(text)).toBe(said);
});
