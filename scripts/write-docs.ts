import { readFile, writeFile } from "node:fs/promises";
import { RULE_WORDS } from "@/core/say/verdicts/rules";
import { kindsPage } from "@/formats/kinds-page";
import { logSchema } from "@/formats/log-schema";

/** Writes anew what in docs follows from the code; tests hold them to it. */
await writeFile("docs/nettle-tally.schema.json", `${JSON.stringify(logSchema(), null, 2)}\n`);
await writeFile("docs/kinds.md", kindsPage());
const verdicts = await readFile("docs/verdicts.md", "utf8");
const table = [
  "| reason | rule |",
  "|---|---|",
  ...Object.entries(RULE_WORDS).map(([reason, rule]) => `| ${reason} | ${rule.replaceAll("|", "\\|")} |`),
].join("\n");
await writeFile(
  "docs/verdicts.md",
  verdicts.replace(
    /(<!-- reasons -->\n)[^]*?(<!-- \/reasons -->)/,
    (_, from: string, to: string) => `${from}${table}\n${to}`,
  ),
);
