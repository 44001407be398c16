import { mkdir, readdir, readFile, rename, rm, writeFile } from "node:fs/promises";
import path from "node:path";
import type { WholeLog } from "@/core/model";
import { store } from "@/data/connection";
import { dataFolder } from "@/data/folder";
import { readWholeLog } from "@/data/log";
import { writeLogFile } from "@/formats/log-file";

/** Copies of a sort kept whatever their month. */
const NEWEST = 10;

/** `before`: what a file took the place of; `day`: as it was on a day, at the last. */
type CopySort = "before" | "day";

/** Of the copies, by their names, those that neither are among the newest of their sort nor the last of their month. */
function staleCopies(names: readonly string[]): string[] {
  return (["before", "day"] as const).flatMap((sort) => {
    const copies = names.filter((name) => new RegExp(`^${sort}-\\d{4}-\\d{2}-.*\\.json$`).test(name)).sort();
    const monthOf = (name: string) => name.slice(0, `${sort}-2026-11`.length);
    const lastOfMonth = new Map(copies.map((name) => [monthOf(name), name]));
    return copies.slice(0, -NEWEST).filter((name) => lastOfMonth.get(monthOf(name)) !== name);
  });
}

async function keep(sort: CopySort, when: string, text: string): Promise<void> {
  const folder = path.join(dataFolder(), "copies");
  await mkdir(folder, { recursive: true });
  const file = path.join(folder, `${sort}-${when}.json`);
  if ((await readFile(file, "utf8").catch(() => null)) === text) return;
  // In one step: a copy is whole, or is the one before.
  await writeFile(`${file}.next`, text);
  await rename(`${file}.next`, file);
  for (const old of staleCopies(await readdir(folder))) await rm(path.join(folder, old));
}

/** What is about to be replaced, kept beside the data. */
export const keepCopyBefore = (log: WholeLog): Promise<void> =>
  keep("before", new Date().toISOString().replaceAll(":", "-"), writeLogFile(log));

/** The log as it is now, as the copy of its day; of an empty log none is made. */
export async function keepDailyCopy(): Promise<void> {
  const log = await readWholeLog(await store());
  if (log.items.length === 0 && log.trips.length === 0) return;
  await keep("day", new Date().toISOString().slice(0, 10), writeLogFile(log));
}
