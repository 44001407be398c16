import { readSentence, namesOf } from "@/core/hear/clause";
import { readFileSync } from "node:fs";
import { hear } from "@/core/hear/hear";
import { factsTold } from "@/core/hear/told-facts";
import { withDefaults } from "@/core/trade/full-item";
import { kindOf } from "@/core/trade/words/names";
import { Item } from "@/core/model";
const d = JSON.parse(readFileSync("measure/hearing/lines.json","utf8"));
for (const k of ["a","b"]) {
 const things = d.shelves[k].map(({name,kind,pieces=1}: any, n: number) => { const i = withDefaults(Item.parse({id:`thing-${n}`,name,kind,pieces}), kindOf(Item.parse({id:`thing-${n}`,name,kind,pieces}))); return {id:i.id,name,kind,pieces,jobs:i.jobs}; });
 for (const line of  readFileSync(`/tmp/h/${k}.txt`,"utf8").trim().split("\n")) {
  if (process.argv[2]) console.log(readSentence(line, namesOf(things)).clauses.map((c) => c.words).join(" / ")); console.log(line.padEnd(60), hear(line, things).flatMap(({heard})=>heard.map(({fact})=>JSON.stringify(factsTold(fact,things)))).join(" ") || "-");
 }
}
