// `npm start` and `npm run dev`: the owner's own data, in ./data or NETTLE_DATA.
import { buildWorker, checkNode, dataFolder, ensureBuild, ensurePackages, serve } from "./setup.mjs";

const dev = process.argv.includes("--dev");
checkNode();
await ensurePackages();
await (dev ? buildWorker() : ensureBuild());
serve({ folder: dataFolder("data"), port: 4180, dev, ready: (url) => `Nettle Tally is on ${url}` });
