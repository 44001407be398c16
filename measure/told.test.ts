import path from "node:path";
import { expect, test } from "vitest";
import { questionsAfter } from "@/core/ask/questions";
import { openBook } from "@/core/ledger/book";
import type { Log, SchoolName } from "@/core/model";
import { argue } from "@/core/say/verdicts/argument";
import { kitOf } from "@/core/advice/kit";
import { says } from "@/core/say/verdicts/says";
import { saysToAdd } from "@/core/say/verdicts/says-to-add";
import { sayQuestion } from "@/core/say/verdicts/questions";
import { demoLog } from "../demo/log";
import { practiceKits } from "./practice-kits";

/** All that the engine tells an owner, as it was last read through. A line that changes is to be read again before it is approved (`-u`). */
function toldOf(log: Log, today: string, school: SchoolName): string {
  const book = openBook(log, today, school);
  const kit = kitOf(book);
  const lines = [
    ...kit.things.flatMap(({ case: one, verdicts }) =>
      verdicts.map(
        (verdict, n) =>
          `${n === 0 ? one.item.name : "  also"}: ${verdict.verb} (${verdict.reason}, ${verdict.sureness}, ${verdict.urgency}) ${says(one, verdict)}`,
      ),
    ),
    ...kit.toAdd.map(
      (addition) =>
        `add ${addition.what} (${addition.reason}, ${addition.sureness}) ${saysToAdd(addition, book)}`,
    ),
    ...questionsAfter(kit).map(
      (question) =>
        `asked: ${sayQuestion(question, book.item(question.item)!, book)} ${question.answers.map(({ word }) => word).join(" · ")}`,
    ),
  ];
  return `${lines.join("\n").replaceAll(/[\u00a0\u202f]/g, " ")}\n`;
}

const approved = (name: string) => path.join(import.meta.dirname, "told", `${name}.txt`);

/** Kits that are read through, for their words; what the engine may not do is held by directions and boundaries. */
const READ = ["03-wet-and-cut-short", "07-four-seasons-wary", "11-second-hand-first-night"];

test.each(
  practiceKits("v2")
    .filter(({ name }) => READ.includes(name))
    .map((kit) => [kit.name, kit] as const),
)("what kit %s is told is what was read through", async (name, { log, today, school }) => {
  await expect(toldOf(log, today, school)).toMatchFileSnapshot(approved(name));
});

test("what the demo's walker is told", async () => {
  await expect(toldOf(demoLog(), "2026-11-26", "even")).toMatchFileSnapshot(approved("demo-even"));
});

test("the arguments behind what the demo's walker is told", async () => {
  const book = openBook(demoLog(), "2026-11-26");
  const lines = kitOf(book).things.flatMap((advice) =>
    advice.verdicts.map((verdict) => {
      const { evidence, wanted, worn, worth, flip } = argue(advice, verdict);
      return [
        `${advice.case.item.name}: ${verdict.verb}`,
        ...evidence.map(({ text, trips }) => `  ${text} [${trips.map(({ name }) => name).join(", ")}]`),
        ...[wanted, ...worn, worth].filter(Boolean).map((line) => `  ${line}`),
        `  ${flip}`,
      ].join("\n");
    }),
  );
  await expect(`${lines.join("\n").replaceAll(/[\u00a0\u202f]/g, " ")}\n`).toMatchFileSnapshot(
    approved("demo-arguments"),
  );
});
