// `npm start` and `npm run dev`: the owner's own data, in ./data or NETTLE_DATA. With `-- --share`, on the home network.
import { buildWorker, checkNode, dataFolder, ensureBuild, ensurePackages, serve } from "./setup.mjs";

const dev = process.argv.includes("--dev");
checkNode();
await ensurePackages();
await (dev ? buildWorker() : ensureBuild());
const folder = dataFolder("data");
if (process.argv.includes("--share")) {
  const { pairingWords, sharing } = await import("./share.mjs");
  const shared = sharing();
  console.log(await pairingWords(shared, process.env.PORT || 4180));
  serve({ folder, port: 4180, dev, shared });
} else serve({ folder, port: 4180, dev, ready: (url) => `Nettle Tally is on ${url}` });
