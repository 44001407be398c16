import { parseArgs } from "node:util";
import { practiceKits, scoreOf, VERSIONS, type Hit, type Score } from "./practice-kits";

/** `npm run practice [-- --misses] [-- --version v1]`: how often the engine agrees with a practitioner on the practice kits. */
const { values } = parseArgs({ options: { misses: { type: "boolean" }, version: { type: "string" } } });

const NAMES = {
  v1: "01–12, as they were written",
  v2: "01–12, marked by a careful owner",
  later: "13–24, by other heads",
} as const;

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

function tell(name: string, score: Score): void {
  const { hits, agreement, balanced, falseAlarms, kept, named, toName, namedWrongly, coverDropped } = score;
  console.log(
    `${name.padEnd(44)} ${percent(agreement).padStart(8)} ${percent(balanced).padStart(9)}   ${falseAlarms} of ${kept} (${percent(falseAlarms / kept)})   ${named} of ${toName}, ${namedWrongly} not asked for   ${coverDropped}   of ${hits.length}`,
  );
}

function tellMisses(hits: readonly Hit[]): void {
  for (const { kit, expected, verb, score, advice } of hits)
    if (score < 1)
      console.log(
        `${score ? "½" : "0"} ${kit.slice(0, 2)} ${expected.item}: ${verb} (${advice.verdicts[0].reason}), expected ${expected.best}${expected.also.length ? ` or ${expected.also.join(", ")}` : ""} – ${expected.why}`,
      );
}

const versions = VERSIONS.filter((version) => !values.version || values.version === version);
const scores = versions.map((version) => ({ version, score: scoreOf(practiceKits(version)) }));
if (values.misses) for (const { score } of scores) tellMisses(score.hits);
for (const { version, score } of scores) {
  console.log(`\n${version}, by best verb:`);
  for (const verb of new Set(score.hits.map(({ expected }) => expected.best))) {
    const its = score.hits.filter(({ expected }) => expected.best === verb);
    console.log(
      `  ${verb.padEnd(18)} ${percent(its.reduce((sum, hit) => sum + hit.score, 0) / its.length).padStart(8)} of ${its.length}`,
    );
  }
}
console.log(
  `\n${"".padEnd(44)} agrees    balanced   false alarms on kept    additions named           cover dropped`,
);
for (const { version, score } of scores) tell(NAMES[version], score);
for (const version of versions)
  tell(`${NAMES[version].slice(0, 28)}, asked`, scoreOf(practiceKits(version), true));
