import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { formatISO } from "date-fns";
import { PGlite } from "@electric-sql/pglite";
import type { TestProject } from "vitest/node";
import type { WholeLog } from "@/core/model";
import { readWholeLog, replaceLog } from "@/data/records/log";
import { migrate } from "@/data/migrate";
import { liteStore } from "@/data/store";
import { writeLogFile } from "@/formats/log-file";
import { demoLog } from "../demo/log";
import { answers, end, freePort, launch } from "./launch";

declare module "vitest" {
  export interface ProvidedContext {
    /**
     * Prepared databases as snapshots, and the same logs as files: the demo's walked log, the whole demo with the walks around
     * today, and nothing; and a folder for what tests write.
     */
    demoSnapshot: string;
    todaySnapshot: string;
    emptySnapshot: string;
    demoFile: string;
    todayFile: string;
    emptyFile: string;
    folder: string;
    /** Where the apps answer that are lent to one test after another: one for each worker. */
    lent: readonly string[];
  }
}

/** Workers of the whole project: as many as `maxWorkers` says. */
const WORKERS = 2;

/** Makes the logs that the tests start from, and starts the apps they are lent: the first start of one takes seconds. */
export default async function prepare(project: TestProject) {
  const folder = await mkdtemp(path.join(tmpdir(), "nettle-tests-"));
  const lite = await PGlite.create();
  const store = liteStore(lite);
  await migrate(store);
  const keep = async (name: "demo" | "today" | "empty", log?: WholeLog) => {
    if (log) await store.transaction((tx) => replaceLog(tx, log));
    const [snapshot, file] = [path.join(folder, `${name}.tar`), path.join(folder, `${name}.json`)];
    await writeFile(snapshot, Buffer.from(await (await lite.dumpDataDir("none")).arrayBuffer()));
    await writeFile(file, writeLogFile(await store.snapshot(readWholeLog)));
    project.provide(`${name}Snapshot`, snapshot);
    project.provide(`${name}File`, file);
    return snapshot;
  };
  const empty = await keep("empty");
  await keep("demo", demoLog());
  await keep("today", demoLog(formatISO(new Date(), { representation: "date" })));
  project.provide("folder", folder);
  await lite.close();
  const lent = await Promise.all(
    Array.from({ length: WORKERS }, async (_, n) => {
      const port = await freePort();
      const child = launch(path.join(folder, `lent-${n}`), port, empty);
      child.stdout?.resume();
      child.stderr?.resume();
      await answers(`http://127.0.0.1:${port}`, child);
      return { url: `http://127.0.0.1:${port}`, child };
    }),
  );
  project.provide(
    "lent",
    lent.map(({ url }) => url),
  );
  return async () => {
    await Promise.all(lent.map(({ child }) => end(child)));
    await rm(folder, { recursive: true, force: true });
  };
}
