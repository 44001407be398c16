import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import { openBook, type Book } from "@/core/ledger/book";
import type { Totals } from "@/core/ledger/totals";
import { SchoolName } from "@/core/model";
import { additions, saySettled, settledBy, type Addition } from "@/core/verdict/add";
import { survey, type Survey } from "@/core/verdict/case";
import { nearestFlip, sayFlip } from "@/core/verdict/flip";
import { judgeAll, type Judgement, type Verdict } from "@/core/verdict/judge";
import type { Finding, Stake } from "@/core/verdict/verdict";
import { readLogFile, sayProblem } from "@/formats/log-file";

/** `npm run assess -- FILE.json [--school lean|even|roomy|wary] [--today 2026-05-01]`: the verdicts, as JSON on standard output. */
async function main(): Promise<number> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { school: { type: "string" }, today: { type: "string" } },
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
  const today = values.today ?? new Date().toISOString().slice(0, 10);
  const surveyed = survey(openBook(read.log, today, school.data));
  const judgements = judgeAll(surveyed);
  const told = [
    ...judgements.map((judgement) => tellItem(judgement, surveyed)),
    ...additions(surveyed.book, judgements).map((addition) =>
      tellAddition(addition, surveyed.book, judgements),
    ),
  ];
  process.stdout.write(`${JSON.stringify(told, null, 2)}\n`);
  return 0;
}

function tellItem(judgement: Judgement, surveyed: Survey) {
  const {
    case: { item, totals, left, state },
    verdicts,
    dissent,
  } = judgement;
  return {
    id: item.id,
    name: item.name,
    kind: item.kind,
    state,
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
    verdicts: verdicts.map((verdict) =>
      tellFinding(verdict, verdict.stake, sayFlip(nearestFlip(judgement, verdict, surveyed))),
    ),
    dissent,
  };
}

const NOTHING: Totals["carried"] = { metres: 0, nights: 0, days: 0, trips: 0 };

/** Something to add is no item yet: it has no id, no kind and no totals. */
function tellAddition(addition: Addition, book: Book, judgements: readonly Judgement[]) {
  return {
    id: null,
    name: addition.what,
    kind: null,
    state: addition.owned ? "left at home" : "not owned",
    totals: { carried: NOTHING, used: NOTHING, wear: 0, wearUnit: "none", deadGramMetres: 0, spent: 0 },
    left: null,
    verdict: addition.verb,
    verdicts: [
      tellFinding(
        addition,
        { grams: null, deadGramMetres: 0, price: null },
        saySettled(settledBy(addition, book, judgements)),
      ),
    ],
    dissent: null,
  };
}

function tellFinding(
  { verb, urgency, sureness, says, evidence, rule, caution, when, ruling }: Finding & Pick<Verdict, "ruling">,
  stake: Stake,
  wouldChange: string,
) {
  return {
    verb,
    urgency,
    sureness,
    says,
    evidence,
    rule,
    wouldChange,
    caution: caution ?? null,
    when: when ?? null,
    stake,
    ruling: ruling && { decision: ruling.decision, reason: ruling.reason },
  };
}

process.exitCode = await main();
