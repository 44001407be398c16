// `npm run demo`: on a fresh clone, everything; again, up in seconds with what was entered kept. `-- --fresh` starts over.
import { rmSync } from "node:fs";
import { checkNode, dataFolder, ensureBuild, ensurePackages, isEmptyFolder, runTs, serve } from "./setup.mjs";

checkNode();
await ensurePackages();
await ensureBuild();
const folder = dataFolder("demo-data");
if (process.argv.includes("--fresh")) rmSync(folder, { recursive: true, force: true });
if (isEmptyFolder(folder)) {
  console.log("Laying out the demo walker's gear …");
  await runTs("demo/load.ts", [folder]);
}
serve({ folder, port: 4180, ready: (url) => `Nettle Tally, with the demo walker's gear, is on ${url}` });
