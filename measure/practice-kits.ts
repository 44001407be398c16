import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { openBook } from "@/core/ledger/book";
import type { Log, SchoolName, Verb } from "@/core/model";
import type { Advice } from "@/core/advice/advise";
import { kitOf } from "@/core/advice/kit";
import { answered, questionsAfter } from "@/core/ask/questions";
import { readLogFile, sayProblem } from "@/formats/log-file";

/** What a practitioner would say of one thing: the leading verb, and others that a reasonable one would accept. */
interface Expected {
  readonly item: string;
  readonly best: Verb;
  readonly also: readonly Verb[];
  readonly why: string;
}

/** An invented owner: a whole kit with its log, and what a fair practitioner would say of every thing. */
export interface Kit {
  readonly name: string;
  readonly about: string;
  readonly school: SchoolName;
  readonly today: string;
  readonly log: Log;
  readonly expected: readonly Expected[];
  readonly expectedAdd: readonly { readonly what: string; readonly why: string }[];
}

/** The first twelve as they were written, and as a careful owner would have marked them in version 2 of the record; and twelve by other heads, who saw neither. */
export const VERSIONS = ["v1", "v2", "later"] as const;
type Version = (typeof VERSIONS)[number];

const FOLDER = path.resolve("measure", "practice");

/** @throws Error if a kit can't be read */
export const practiceKits = (version: Version): Kit[] =>
  readdirSync(path.join(FOLDER, version))
    .filter((file) => file.endsWith(".json"))
    .sort()
    .map((file) => readKit(path.join(FOLDER, version, file)));

function readKit(file: string): Kit {
  const { log, ...kit } = JSON.parse(readFileSync(file, "utf8")) as Omit<Kit, "log" | "name"> & {
    log: unknown;
  };
  const read = readLogFile(JSON.stringify(log));
  if (!read.ok) throw new Error(`${file}: ${read.problems.map(sayProblem).join("; ")}`);
  return { ...kit, name: path.basename(file, ".json"), log: read.log };
}

/** One thing judged against what was expected of it: 1 for the best verb, ½ for one that is accepted. */
export interface Hit {
  readonly kit: string;
  readonly expected: Expected;
  readonly verb: Verb;
  readonly score: number;
  readonly advice: Advice;
}

export interface Score {
  readonly hits: readonly Hit[];
  /** Mean of the hits; and the mean over verbs of the hits within each best verb. */
  readonly agreement: number;
  readonly balanced: number;
  /** Things that should stay and were told otherwise, of all that should stay. */
  readonly falseAlarms: number;
  readonly kept: number;
  readonly named: number;
  readonly toName: number;
  readonly namedWrongly: number;
  /** Cover that was told to stay at home. */
  readonly coverDropped: number;
}

const STAYS: readonly Verb[] = ["keep", "keep as cover"];
const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;

/**
 * A kit with its questions answered as its owner would: the word that brings the verdict nearest to what a
 * practitioner says, and where none does, the likeliest.
 */
function asked(kit: Kit, judged: Advised): Advised {
  return questionsAfter(judged).reduce((now: Advised, { id, item, answers }) => {
    const expected = kit.expected.find(
      (each) => each.item === item || each.item === now.book.item(item)?.name,
    );
    const tried = answers.flatMap(({ word, likely }) => {
      const book = answered(now, id, word);
      const after = book && kitOf(book);
      const verb = after?.of(item)?.verdicts[0].verb;
      const score = verb && expected ? scoreFor(expected, verb) : 0;
      return after ? [{ after, score, likely }] : [];
    });
    const [best] = tried.toSorted((a, b) => b.score - a.score || b.likely - a.likely);
    return best?.after ?? now;
  }, judged);
}
type Advised = ReturnType<typeof kitOf>;
const scoreFor = ({ best, also }: Expected, verb: Verb) =>
  verb === best ? 1 : also.includes(verb) ? 0.5 : 0;

/** @param isAsked the owner answers up to three questions first */
export function scoreOf(kits: readonly Kit[], isAsked = false): Score {
  const judged = kits.map((kit) => {
    const first = kitOf(openBook(kit.log, kit.today, kit.school));
    const { things: advised, toAdd } = isAsked ? asked(kit, first) : first;
    return { kit, advised, toAdd };
  });
  const hits = judged.flatMap(({ kit, advised }) =>
    kit.expected.map((expected): Hit => {
      const advice = advised.find(
        ({ case: { item } }) => item.id === expected.item || item.name === expected.item,
      );
      if (!advice) throw new Error(`${kit.name}: nothing is called ${expected.item}`);
      const { verb } = advice.verdicts[0];
      const score = scoreFor(expected, verb);
      return { kit: kit.name, expected, verb, score, advice };
    }),
  );
  const verbs = [...new Set(hits.map(({ expected }) => expected.best))];
  const staying = hits.filter(({ expected: { best, also } }) =>
    [best, ...also].every((verb) => STAYS.includes(verb)),
  );
  const named = judged.map(({ kit, toAdd }) => ({
    right: kit.expectedAdd.filter(({ what }) => toAdd.some((addition) => addition.what === what)).length,
    wrong: toAdd.filter(({ what }) => kit.expectedAdd.every((each) => each.what !== what)).length,
  }));
  return {
    hits,
    agreement: mean(hits.map(({ score }) => score)),
    balanced: mean(
      verbs.map((verb) =>
        mean(hits.filter(({ expected }) => expected.best === verb).map(({ score }) => score)),
      ),
    ),
    falseAlarms: staying.filter(({ verb }) => !STAYS.includes(verb)).length,
    kept: staying.length,
    named: named.reduce((sum, { right }) => sum + right, 0),
    toName: kits.reduce((sum, { expectedAdd }) => sum + expectedAdd.length, 0),
    namedWrongly: named.reduce((sum, { wrong }) => sum + wrong, 0),
    coverDropped: hits.filter(
      ({
        advice: {
          case: { item },
        },
        expected,
        verb,
      }) => item.cover && verb === "drop" && expected.best !== "drop",
    ).length,
  };
}
