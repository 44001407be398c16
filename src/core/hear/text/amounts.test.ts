import { expect, test } from "vitest";
import { amountsIn } from "./amounts";
import { nounOf, numberOf, partOf } from "./quantities";

const told = (text: string) =>
  amountsIn(text).map(({ fact: { what, how, value, unit } }) => `${what} ${how} ${value} ${unit}`);

// Grams in an ounce: 28.349523125, by definition (NIST SP 811); rounded to the milligram here.
test.each<readonly [string, ...string[]]>([
  ["20 g of gas left", "gas left 20 g"],
  ["20 g gas to go", "gas left 20 g"],
  ["0.5 kg of the gas came back", "gas left 500 g"],
  ["gas at 40 %", "gas left 40 %"],
  ["gas : about 90 g", "gas left 90 g"],
  ["gas down to 90 g", "gas left 90 g"],
  ["1 oz gas left", "gas left 28.35 g"],
  ["set out with 230 g of gas", "gas out 230 g"],
  ["left with 230 g gas", "gas out 230 g"],
  ["gas half gone", "gas left 50 %"],
  ["gas is three quarters full", "gas left 75 %"],
  ["gas a quarter used", "gas left 75 %"],
  ["half of the gas gone", "gas left 50 %"],
  ["a third of my gas left", "gas left 33 %"],
  ["out of gas", "gas left 0 %"],
  ["no more gas left", "gas left 0 %"],
  ["gas ran out", "gas left 0 %"],
  ["gas is empty", "gas left 0 %"],
  ["ran out of gas", "gas left 0 %"],
  ["20 g of gas left , no food", "gas left 20 g", "food left 0 %"],
  ["battery at 40 %", "battery left 40 %"],
  ["power bank : 15 %", "battery left 15 %"],
  ["boiled 1.2 l", "boiled used 1.2 L"],
  ["boiled about 800 ml", "boiled used 0.8 L"],
  ["drank 3 l", "water drunk used 3 L"],
  ["drank about 500 ml", "water drunk used 0.5 L"],
  ["carried 2 l", "water carried out 2 L"],
  ["carried 3 , then 2", "water carried out 3 L"],
  ["carried 3", "water carried out 3 L"],
  // Of a sort that is told both ways, each by the words about it; grams where nobody says, kilograms of a few.
  ["gas , 230 g out , 96 came back", "gas out 230 g", "gas left 96 g"],
  ["gas 230 g , 96 came home", "gas out 230 g", "gas left 96 g"],
  ["gas went out with 230 g and 196 left", "gas out 230 g", "gas left 196 g"],
  ["food 4 out , 650 g came back", "food out 4000 g", "food left 650 g"],
])("an amount: %s", (text, ...amounts) => {
  expect(told(text)).toEqual(amounts);
});

test.each([
  "bought 230 g of gas",
  "bought gas , 230 g can",
  "a new gas , 230 g",
  "carried 3 kg",
  "carried 3 km",
  "carried the pack",
  "battery died",
  "gas was fine",
  "boiled twice",
])("none: %s", (text) => {
  expect(told(text)).toEqual([]);
});

test("a share is of what is gone or of what is left; without a word of it, a half", () => {
  expect(partOf("gas", "two thirds", "gone").value).toBe(33);
  expect(partOf("gas", "two thirds", "left").value).toBe(67);
  expect(partOf("gas", "40 %", "used").value).toBe(60);
  expect(partOf("gas", "some", "full").value).toBe(50);
});

test("a number in figures or as a word", () => {
  expect(["3", "-2.5", "two", "both", "a", "x", "2.", undefined].map(numberOf)).toEqual([
    3,
    -2.5,
    2,
    2,
    1,
    null,
    null,
    null,
  ]);
});

test.each([
  ["a second pair of gloves , really", "gloves"],
  ["the warm hat next time", "warm hat"],
  ["some of that tape", "tape"],
  ["gloves for the ridge", "gloves"],
  ["was my spare pair of socks .", "socks"],
  ["it", null],
  ["not much", null],
  ["nothing", null],
  ["", null],
  ["a hat that is wider than my own hat", null],
])("what a stretch of words is about: %s", (words, noun) => {
  expect(nounOf(words)).toBe(noun);
});
