import { format } from "date-fns";
import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import { answered, questionsAfter } from "@/core/ask/questions";
import { openBook, type Book } from "@/core/ledger/book";
import type { Totals } from "@/core/ledger/totals";
import { SchoolName } from "@/core/model";
import type { Addition } from "@/core/advice/add";
import { nearestFlip } from "@/core/advice/flip";
import type { Advice, Verdict } from "@/core/advice/advise";
import { kitOf, type Kit } from "@/core/advice/kit";
import { evidenceOf } from "@/core/say/verdicts/argument";
import { CAUTIONS } from "@/core/say/cautions";
import { sayFlip } from "@/core/say/verdicts/flip";
import { sayQuestion } from "@/core/say/verdicts/questions";
import { RULE_WORDS } from "@/core/say/verdicts/rules";
import { says, SETTLES } from "@/core/say/verdicts/says";
import { saysToAdd, settlesAddition } from "@/core/say/verdicts/says-to-add";
import { readLogFile, sayProblem } from "@/formats/log-file";

/**
 * `npm run assess -- FILE.json [--school lean|even|roomy|wary] [--today 2026-05-01] [--answer "QUESTION-ID=WORD"]…`: the
 * verdicts, as JSON on standard output; with answers, as they would be after them.
 */
async function main(): Promise<number> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      school: { type: "string" },
      today: { type: "string" },
      answer: { type: "string", multiple: true, default: [] },
    },
  });
  const refuse = (why: string) => {
    console.error(why);
    return 2;
  };
  if (positionals.length !== 1)
    return refuse("Give one file: npm run assess -- FILE.json [--school even] [--today 2026-05-01]");
  const school = SchoolName.optional().safeParse(values.school);
  if (!school.success)
    return refuse(`There is no school “${values.school}”. Choose one of ${SchoolName.options.join(", ")}.`);
  const text = await readFile(positionals[0]!, "utf8").catch((error: Error) => error);
  if (text instanceof Error) return refuse(`Can't read ${positionals[0]}: ${text.message}`);
  const read = readLogFile(text);
  if (!read.ok) return refuse(read.problems.map(sayProblem).join("\n"));
  // The owner's local day, as in the app.
  const today = values.today ?? format(new Date(), "yyyy-MM-dd");
  let kit = kitOf(openBook(read.log, today, school.data));
  for (const answer of values.answer) {
    const cut = answer.lastIndexOf("=");
    const book = answered(kit, answer.slice(0, cut), answer.slice(cut + 1));
    if (!book)
      return refuse(`Nothing is asked that “${answer}” answers. Each question tells its id and its words.`);
    kit = kitOf(book);
  }
  const told = [
    ...kit.things.map((advice) => tellItem(advice, kit)),
    ...kit.toAdd.map((addition) => tellAddition(addition, kit.book)),
  ];
  process.stdout.write(`${JSON.stringify(told, null, 2)}\n`);
  return 0;
}

function tellItem(advice: Advice, kit: Kit) {
  const { case: one, verdicts, dissent } = advice;
  const { left } = advice;
  const { item, totals, standing, state } = one;
  return {
    id: item.id,
    name: item.name,
    kind: item.kind,
    state: standing === "at home" ? standing : state,
    totals: {
      carried: totals.carried,
      used: totals.used,
      wear: totals.wear,
      wearUnit: item.wears,
      deadGramMetres: totals.deadGramMetres,
      spent: totals.spent,
    },
    left: left && { median: left.median, low: left.low, high: left.high, givesOutNextTrip: left.givesOut },
    verdict: verdicts[0].verb,
    verdicts: verdicts.map((verdict) => tellVerdict(advice, verdict)),
    dissent,
    questions: questionsAfter({ ...kit, things: [advice] }).map((question) => ({
      id: question.id,
      asks: sayQuestion(question, item, kit.book),
      answers: question.answers.map(({ word, likely }) => ({ word, likely })),
      worth: question.worth,
    })),
  };
}

function tellVerdict(advice: Advice, verdict: Verdict) {
  const { verb, reason, urgency, sureness, caution, when, done, ruling, stake } = verdict;
  return {
    verb,
    reason,
    urgency,
    sureness,
    says: [says(advice.case, verdict), ...(sureness === "leaning" ? [SETTLES] : [])].join(" "),
    evidence: evidenceOf(advice, verdict),
    rule: RULE_WORDS[reason],
    wouldChange: sayFlip(nearestFlip(advice, verdict)),
    caution: caution ? CAUTIONS[caution] : null,
    when: when ?? null,
    done: done ?? false,
    stake,
    ruling: ruling && { decision: ruling.decision, reason: ruling.reason },
  };
}

const NOTHING: Totals["carried"] = { metres: 0, nights: 0, days: 0, trips: 0 };

/** Something to add is no item yet: it has no id, no kind and no totals. */
function tellAddition(addition: Addition, book: Book) {
  const { verb, reason, urgency, sureness, trips, ruling, what, owned } = addition;
  return {
    id: null,
    name: what,
    kind: null,
    state: owned ? "left at home" : "not owned",
    totals: { carried: NOTHING, used: NOTHING, wear: 0, wearUnit: "none", deadGramMetres: 0, spent: 0 },
    left: null,
    verdict: verb,
    verdicts: [
      {
        verb,
        reason,
        urgency,
        sureness,
        says: saysToAdd(addition, book),
        evidence: [{ text: `missed ${addition.times} times`, trips }],
        rule: RULE_WORDS[reason],
        wouldChange: settlesAddition(addition),
        caution: null,
        when: null,
        done: false,
        stake: { grams: null, deadGramMetres: 0, price: null },
        ruling: ruling && { decision: ruling.decision, reason: ruling.reason },
      },
    ],
    dissent: null,
    questions: [],
  };
}

process.exitCode = await main();
