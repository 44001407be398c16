import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from "node:fs/promises";
import path from "node:path";
import { format } from "date-fns";
import type { WholeLog } from "@/core/model";
import { store } from "@/data/connection";
import { dataFolder } from "@/data/folder";
import { readWholeLog } from "@/data/records/log";
import { writeLogFile } from "@/formats/log-file";
import { readApart } from "./read-apart";

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

/** A copy of the log: which of them, when it was made, and its size in bytes. */
export interface Copy {
  readonly file: string;
  readonly made: Date;
  readonly bytes: number;
}

/** The copies beside a log, the newest first. */
export async function copiesIn(folder: string): Promise<Copy[]> {
  const beside = path.join(folder, "copies");
  const names = (await readdir(beside).catch(() => [])).filter((name) => name.endsWith(".json"));
  const copies = await Promise.all(
    names.map(async (name) => {
      const file = path.join(beside, name);
      const { mtime, size } = await stat(file);
      return { file, made: mtime, bytes: size };
    }),
  );
  return copies.sort((a, b) => b.made.getTime() - a.made.getTime());
}

/** A copy in words: "29 November 2026, 14:05 (86 KB): day-2026-11-29.json". */
export const sayCopy = ({ file, made, bytes }: Copy) =>
  `${format(made, "d MMMM yyyy, HH:mm")} (${Math.ceil(bytes / 1024)} KB): ${path.basename(file)}`;

async function keep(sort: CopySort, when: string, text: string): Promise<void> {
  const folder = path.join(dataFolder(), "copies");
  await mkdir(folder, { recursive: true });
  const file = path.join(folder, `${sort}-${when}.json`);
  if ((await readFile(file, "utf8").catch(() => null)) === text) return;
  // In one step: a copy is whole, or is the one before.
  await writeFile(`${file}.next`, text);
  // A copy that nobody can read is none: it is read once as it lies on the disk before it counts.
  const read = await readApart("log", await readFile(`${file}.next`, "utf8"));
  if (!read.ok) throw new Error(`The copy of ${when} can’t be read back, and the one before it stays.`);
  await rename(`${file}.next`, file);
  for (const old of staleCopies(await readdir(folder))) await rm(path.join(folder, old));
}

/** What is about to be replaced, kept beside the data. */
export const keepCopyBefore = (log: WholeLog): Promise<void> =>
  keep("before", new Date().toISOString().replaceAll(":", "-"), writeLogFile(log));

/** The log as it is now, as the copy of its day; of an empty log none is made. */
export async function keepDailyCopy(): Promise<void> {
  const log = await (await store()).snapshot(readWholeLog);
  if (log.items.length === 0 && log.trips.length === 0) return;
  await keep("day", new Date().toISOString().slice(0, 10), writeLogFile(log));
}
