import { readFile } from "node:fs/promises";
import { describe, expect, test } from "vitest";
import { RULE_WORDS } from "@/core/say/verdicts/rules";
import { openBook } from "@/core/ledger/book";
import { SchoolName } from "@/core/model";
import { kitOf } from "@/core/advice/kit";
import { argue, argueToAdd, type Argument } from "@/core/say/verdicts/argument";
import { says } from "@/core/say/verdicts/says";
import { saysToAdd } from "@/core/say/verdicts/says-to-add";
import { practiceKits } from "./practice-kits";

/** A sentence is read aloud: so long at most. */
const LONGEST = 220;

/** What a sentence must not look like, whatever it says. */
function faultsOf(sentence: string): string[] {
  return [
    [/undefined|null|NaN|\[object/, "a value that was not there"],
    [/ {2}|\.\.| [.,;]|“”/, "a gap where something was left out"],
    [/\b0.(trip|night|day|km)s?\b/, "nothing, counted"],
    [/\b1.(trips|nights|days)\b/, "one of many"],
    [/^[a-z]/, "no capital to begin with"],
    [/[^.?”]$/, "no stop at its end"],
  ].flatMap(([pattern, fault]) =>
    (pattern as RegExp).test(sentence) ? [`${fault as string}: ${sentence}`] : [],
  );
}

const told = ({ rule, flip, evidence, worn, wanted, worth }: Argument) => [
  rule,
  flip,
  ...[wanted, worth].filter((each) => each !== null),
  ...worn.map((each) => each.charAt(0).toUpperCase() + each.slice(1)),
  ...evidence.map(({ text }) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`),
];

describe("every sentence about the practice kits can be read aloud", () => {
  const kits = practiceKits("v2");
  test.each(SchoolName.options)("as the %s school judges", (school) => {
    for (const kit of kits) {
      const { book, things, toAdd } = kitOf(openBook(kit.log, kit.today, school));
      const sentences = [
        ...things.flatMap(({ case: one, verdicts }) => verdicts.map((verdict) => says(one, verdict))),
        ...toAdd.map((each) => saysToAdd(each, book)),
      ];
      expect(sentences.flatMap(faultsOf)).toEqual([]);
      expect(sentences.filter(({ length }) => length > LONGEST)).toEqual([]);
    }
  });

  test("and so can the arguments behind them, each with something that it rests on", () => {
    for (const kit of kits.slice(0, 4)) {
      const { book, things, toAdd } = kitOf(openBook(kit.log, kit.today, kit.school));
      const trips = new Set(kit.log.trips.map(({ id }) => id));
      const argued = [
        ...things.map((advice) => argue(advice, advice.verdicts[0])),
        ...toAdd.map((each) => argueToAdd(each, book)),
      ];
      for (const argument of argued) {
        expect(told(argument).flatMap(faultsOf)).toEqual([]);
        expect(argument.evidence.length).toBeGreaterThan(0);
        expect(argument.evidence.flatMap((each) => each.trips).every(({ id }) => trips.has(id))).toBe(true);
      }
    }
  });
});

test("every reason stands in the docs, in its sentence, and no other does", async () => {
  const docs = await readFile("docs/verdicts.md", "utf8");
  const [, table] = /<!-- reasons -->\n([^]*?)\n<!-- \/reasons -->/.exec(docs)!;
  expect(table!.split("\n").slice(2)).toEqual(
    Object.entries(RULE_WORDS).map(([reason, rule]) => `| ${reason} | ${rule.replaceAll("|", "\\|")} |`),
  );
});
