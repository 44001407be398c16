import { readFileSync } from "node:fs";
import path from "node:path";
import { hear, type Named } from "@/core/hear/hear";
import { readSentence, namesOf } from "@/core/hear/clause";
import { factsTold } from "@/core/hear/told-facts";
import { withDefaults } from "@/core/trade/full-item";
import { kindOf } from "@/core/trade/words/names";
import { practiceKits } from "./practice-kits";
const kits = [...practiceKits("v2"), ...practiceKits("later")];
for (const which of process.argv.slice(2)) {
  const file = JSON.parse(readFileSync(path.join("measure/hearing/talks", which + ".json"), "utf8"));
  const kit = kits.find(({ name }) => name.startsWith(which))!;
  const things = kit.log.items.map((item): Named => {
    const full = withDefaults(item, kindOf(item));
    return { id: item.id, name: item.name, kind: item.kind, pieces: item.pieces, jobs: full.jobs };
  });
  const names = namesOf(things);
  console.log("=== " + which);
  for (const s of hear(file.talk, things)) {
    console.log("\n> " + s.text.trim());
    const r = readSentence(s.text, names);
    console.log("  " + r.clauses.map((c) => c.units.map((u) => u.word === "T" ? "T[" + u.mentions.map((m) => m.things.map((t) => t.name).join("|")).join(" + ") + "]" : u.word).join(" ")).join(" / "));
    for (const { fact } of s.heard) console.log("     " + JSON.stringify(factsTold(fact, things)));
  }
}
