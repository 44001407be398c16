import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { formatISO } from "date-fns";
import { PGlite } from "@electric-sql/pglite";
import type { TestProject } from "vitest/node";
import { replaceLog } from "@/data/records/log";
import { migrate } from "@/data/migrate";
import { liteStore } from "@/data/store";
import { demoLog } from "../demo/log";

declare module "vitest" {
  export interface ProvidedContext {
    /**
     * Prepared databases as snapshots: the demo's walked log, the whole demo with the walks around today, and nothing; and a
     * folder for what tests write.
     */
    demoSnapshot: string;
    todaySnapshot: string;
    emptySnapshot: string;
    folder: string;
  }
}

/** Makes the databases that the tests start from: the first start of one takes seconds. */
export default async function prepare(project: TestProject) {
  const folder = await mkdtemp(path.join(tmpdir(), "nettle-tests-"));
  const lite = await PGlite.create();
  const store = liteStore(lite);
  await migrate(store);
  const keep = async (name: string) => {
    const file = path.join(folder, name);
    await writeFile(file, Buffer.from(await (await lite.dumpDataDir("none")).arrayBuffer()));
    return file;
  };
  project.provide("emptySnapshot", await keep("empty.tar"));
  await store.transaction((tx) => replaceLog(tx, demoLog()));
  project.provide("demoSnapshot", await keep("demo.tar"));
  await store.transaction((tx) => replaceLog(tx, demoLog(formatISO(new Date(), { representation: "date" }))));
  project.provide("todaySnapshot", await keep("today.tar"));
  project.provide("folder", folder);
  await lite.close();
  return () => rm(folder, { recursive: true, force: true });
}
