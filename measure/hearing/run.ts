import { parseArgs } from "node:util";
import { gradeLines, gradeTalks, type GradedLine } from "./score";

/** `npm run hearing [-- --misses]`: how the practice lines and talks are heard, against what they say. */
const { values } = parseArgs({ options: { misses: { type: "boolean", default: false } } });
const lines = gradeLines();
const percent = (part: number, of: number) => `${((100 * part) / of).toFixed(1)} %`;
const count = (grade: GradedLine["grade"]) => lines.filter((line) => line.grade === grade).length;
const notes = lines.filter(({ isNote }) => isNote);
const talks = gradeTalks();
type Part = "right" | "wanting" | "wrong";
const sum = (of: Part) => talks.reduce((all, talk) => all + talk[of].length, 0);
const sumOfTrip = (of: Part) => talks.reduce((all, talk) => all + talk.ofTrip[of].length, 0);
if (values.misses) {
  for (const { grade, line, wanting, wrong } of lines.filter((each) => each.grade !== "right"))
    console.log(
      `${grade.padEnd(5)} | ${line}\n        wanting ${wanting.join(" ; ")}\n        wrong ${wrong.join(" ; ")}`,
    );
  for (const { name, wanting, wrong, ofTrip } of talks)
    console.log(
      `${name}\n   wanting ${[...wanting, ...ofTrip.wanting].join("\n           ")}\n   wrong   ${[...wrong, ...ofTrip.wrong].join("\n           ")}`,
    );
}
console.log(
  `${lines.length} lines: right ${percent(count("right"), lines.length)}, half ${percent(count("half"), lines.length)}, wrong ${percent(count("wrong"), lines.length)}, left as notes ${percent(count("left"), lines.length)}; notes left alone ${percent(notes.filter(({ grade }) => grade === "right").length, notes.length)} of ${notes.length}`,
);
console.log(
  `${talks.length} talks: recall ${percent(sum("right"), sum("right") + sum("wanting"))}, precision ${percent(sum("right"), sum("right") + sum("wrong"))}`,
);
console.log(
  `of the trips (missed, nights, supplies): recall ${percent(sumOfTrip("right"), sumOfTrip("right") + sumOfTrip("wanting"))}, precision ${percent(sumOfTrip("right"), sumOfTrip("right") + sumOfTrip("wrong"))}`,
);
