import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import { openBook } from "@/core/ledger/book";
import { SchoolName } from "@/core/model";
import { survey } from "@/core/verdict/case";
import { nearestFlip, sayFlip } from "@/core/verdict/flip";
import { judgeAll } from "@/core/verdict/judge";
import { readLogFile, sayProblem } from "@/formats/log-file";

/** `npm run assess -- FILE.json [--school lean|even|roomy|wary] [--today 2026-05-01]`: the verdicts, as JSON on standard output. */
async function main(): Promise<number> {
  const { values, positionals } = parseArgs({ allowPositionals: true, options: { school: { type: "string" }, today: { type: "string" } } });
  const refuse = (why: string) => {
    console.error(why);
    return 2;
  };
  if (positionals.length !== 1) return refuse("Give one file: npm run assess -- FILE.json [--school even] [--today 2026-05-01]");
  const school = SchoolName.optional().safeParse(values.school);
  if (!school.success) return refuse(`There is no school “${values.school}”. Choose one of ${SchoolName.options.join(", ")}.`);
  const text = await readFile(positionals[0]!, "utf8").catch((error: Error) => error);
  if (text instanceof Error) return refuse(`Can't read ${positionals[0]}: ${text.message}`);
  const read = readLogFile(text);
  if (!read.ok) return refuse(read.problems.map(sayProblem).join("\n"));
  const today = values.today ?? new Date().toISOString().slice(0, 10);
  const surveyed = survey(openBook(read.log, today, school.data));
  const told = judgeAll(surveyed).map((judgement) => {
    const { case: { item, totals, left, state }, verdicts, dissent } = judgement;
    return {
      id: item.id, name: item.name, kind: item.kind, state,
    totals: { carried: totals.carried, used: totals.used, wear: totals.wear, wearUnit: item.wears, deadGramMetres: totals.deadGramMetres, spent: totals.spent },
    left: left && { median: left.median, low: left.low, high: left.high, givesOutNextTrip: left.givesOut },
    verdict: verdicts[0].verb,
    verdicts: verdicts.map((verdict) => {
      const { verb, urgency, sureness, says, evidence, rule, caution, when, stake, ruling } = verdict;
      return {
        verb, urgency, sureness, says, evidence, rule, wouldChange: sayFlip(nearestFlip(judgement, verdict, surveyed)), caution: caution ?? null, when: when ?? null, stake,
        ruling: ruling && { decision: ruling.decision, reason: ruling.reason },
      };
    }),
    dissent,
    };
  });
  process.stdout.write(`${JSON.stringify(told, null, 2)}\n`);
  return 0;
}

process.exitCode = await main();
