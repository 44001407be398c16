import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import { z } from "zod";
import { hear, namedOf, type Named } from "@/core/hear/hear";
import { factsTold } from "@/core/hear/taken/told-facts";
import { Item } from "@/core/model";
import { withDefaults } from "@/core/trade/full-item";
import { findKind, kindOf } from "@/core/trade/words/names";
import { readLogFile } from "@/formats/log-file";

/** Things as they are handed over: a name, and what sort and how many it is. */
const Shelf = z.object({
  things: z.array(
    z.object({
      name: z.string().min(1),
      kind: z.string().default("other"),
      pieces: z.int().min(1).default(1),
    }),
  ),
});

/** `npm run -s hear -- SHELF.json TEXT.txt [--on 2026-06-12]`: what a text says, one JSON object a sentence. */
async function main(): Promise<number> {
  const { positionals } = parseArgs({ allowPositionals: true, options: { on: { type: "string" } } });
  const refuse = (why: string) => {
    console.error(why);
    return 2;
  };
  const [shelf, text] = positionals;
  if (!shelf || !text || positionals.length > 2)
    return refuse("Give two files: npm run -s hear -- SHELF.json TEXT.txt");
  const [told, words] = await Promise.all(
    [shelf, text].map((file) => readFile(file, "utf8").catch((error: Error) => error)),
  );
  if (told instanceof Error) return refuse(`Can't read ${shelf}: ${told.message}`);
  if (words instanceof Error) return refuse(`Can't read ${text}: ${words.message}`);
  const things = thingsOf(told!);
  if (!things)
    return refuse(
      `${shelf} holds neither a log nor things: {"things": [{"name": …, "kind": …, "pieces": …}]}.`,
    );
  for (const { text: sentence, heard } of hear(words!, things))
    console.log(
      JSON.stringify({
        text: sentence,
        facts: heard.length > 0 ? heard.map(({ fact }) => factsTold(fact, things)) : [{ note: true }],
      }),
    );
  return 0;
}

function thingsOf(file: string): Named[] | null {
  const log = readLogFile(file);
  if (log.ok) return log.log.items.map((item) => namedOf(withDefaults(item, kindOf(item)), true));
  const shelf = Shelf.safeParse(jsonOf(file));
  return shelf.success
    ? shelf.data.things.map(({ name, kind, pieces }, n) => {
        const item = Item.parse({ id: `thing-${n}`, name, kind: findKind(kind)?.id ?? "other", pieces });
        return namedOf(withDefaults(item, kindOf(item)), true);
      })
    : null;
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

process.exitCode = await main();
