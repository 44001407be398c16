// Runs one of the project's TypeScript programs on a fresh clone: `node scripts/run.mjs FILE [arguments]`.
import { checkNode, ensurePackages, runTs } from "./setup.mjs";

checkNode();
await ensurePackages();
const [file, ...args] = process.argv.slice(2);
await runTs(file, args).catch(() => process.exit(2));
