// `npm start` and `npm run dev`: the owner's own data, in ./data or NETTLE_DATA. With `-- --share`, on the home network.
import { bundle, checkNode, dataFolder, ensureBuild, ensurePackages, runTs, serve } from "./setup.mjs";

const dev = process.argv.includes("--dev");
checkNode();
await ensurePackages();
const folder = dataFolder("data");
const restore = process.argv.indexOf("--restore");
if (restore > 0)
  await runTs("scripts/restore.ts", [folder, ...process.argv.slice(restore + 1, restore + 2)]).catch(() =>
    process.exit(1),
  );
else await start();

/** Serves the log until it is stopped. */
async function start() {
  await (dev ? bundle() : ensureBuild());
  if (!process.argv.includes("--share")) {
    serve({ folder, port: 4180, dev, ready: (url) => `Nettle Tally is on ${url}` });
    return;
  }
  const { pairingWords, sharing } = await import("./share.mjs");
  const shared = sharing();
  const words = await pairingWords(shared, process.env.PORT || 4180);
  serve({ folder, port: 4180, dev, shared, ready: () => words });
}
