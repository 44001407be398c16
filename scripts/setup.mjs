// What the commands need before anything is installed: only Node's own modules here.
import { spawn } from "node:child_process";
import { createHash } from "node:crypto";
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import path from "node:path";
import { fileURLToPath } from "node:url";

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "..");
const NEXT = path.join(ROOT, "node_modules", "next", "dist", "bin", "next");

/** Where what the framework does not bundle is put, beside the trail page's worker. */
const BUILT = path.join(ROOT, "build");

const BUNDLED = { bundle: true, logLevel: "warning" };
const FOR_NODE = {
  platform: "node",
  format: "esm",
  packages: "external",
  tsconfig: path.join(ROOT, "tsconfig.json"),
};

/** Ends with a sentence where Node.js is too old to go on. */
export function checkNode() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major > 20 || (major === 20 && minor >= 9)) return;
  console.error(`Nettle Tally needs Node.js 20.9 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

/** Runs a command to its end and throws if it fails. What it says goes on as it comes, or into the open file `into`. */
export async function run(command, args, { env = {}, quiet = false, into = "inherit" } = {}) {
  const child = spawn(command, args, {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: ["ignore", quiet ? "ignore" : into, into],
  });
  const code = await new Promise((resolve, reject) =>
    child.on("error", reject).on("exit", (status, signal) => resolve(signal ?? status)),
  );
  if (code !== 0)
    throw new Error(`${path.basename(command)} ${args.slice(0, 3).join(" ")} ended with ${code}`);
}

/** Runs one of the project's own TypeScript programs: bundled into one file, which is gone when it ends. */
export async function runTs(file, args = [], options = {}) {
  const { build } = await import("esbuild");
  const program = path.join(BUILT, `${path.parse(file).name}.${process.pid}.mjs`);
  await build({
    ...BUNDLED,
    entryPoints: [path.join(ROOT, file)],
    outfile: program,
    ...FOR_NODE,
    sourcemap: "inline",
  });
  try {
    await run(process.execPath, ["--enable-source-maps", program, ...args], options);
  } finally {
    rmSync(program, { force: true });
  }
}

const hash = (...parts) => parts.reduce((sum, part) => sum.update(part), createHash("sha256")).digest("hex");
const stampOf = (file) => (existsSync(file) ? readFileSync(file, "utf8") : "");

/**
 * Installs the packages of the lock file, unless they are there. Not `npm ci`: it refuses a lock file without the binaries
 * of systems whose packages the registry it was made with does not carry.
 */
export async function ensurePackages() {
  const stamp = path.join(ROOT, "node_modules", ".nettle-lock");
  const wanted = hash(readFileSync(path.join(ROOT, "package-lock.json")), process.version);
  if (stampOf(stamp) === wanted) return;
  console.error("Installing packages …");
  await run(
    process.platform === "win32" ? "npm.cmd" : "npm",
    ["install", "--include=dev", "--no-save", "--no-audit", "--no-fund", "--loglevel=error"],
    { quiet: true },
  );
  writeFileSync(stamp, wanted);
}

function filesUnder(folder) {
  return readdirSync(folder, { withFileTypes: true })
    .sort((a, b) => a.name.localeCompare(b.name))
    .flatMap((entry) =>
      entry.isDirectory() ? filesUnder(path.join(folder, entry.name)) : [path.join(folder, entry.name)],
    );
}

/** Bundles what the framework does not: the server with its guard, the reader of files, and the worker of the trail page. */
export async function bundle() {
  const { build } = await import("esbuild");
  const server = await build({
    ...BUNDLED,
    ...FOR_NODE,
    write: false,
    entryPoints: ["serve", "reader"].map((name) => path.join(ROOT, "src", "server", `${name}.ts`)),
    outdir: BUILT,
    outExtension: { ".js": ".mjs" },
  });
  const worker = await build({
    ...BUNDLED,
    write: false,
    entryPoints: [path.join(ROOT, "src", "app", "(notebook)", "trail", "worker", "worker.ts")],
    outfile: path.join(ROOT, "public", "trail-worker.js"),
    minify: true,
    define: { "process.env.NODE_ENV": '"production"' },
  });
  mkdirSync(BUILT, { recursive: true });
  for (const { path: file, contents } of [...server.outputFiles, ...worker.outputFiles]) {
    // In one step: another process may be about to run what was there.
    writeFileSync(`${file}.${process.pid}`, contents);
    renameSync(`${file}.${process.pid}`, file);
  }
}

/** Builds the app, unless nothing that goes into it has changed. */
export async function ensureBuild() {
  const sources = [
    ...filesUnder(path.join(ROOT, "src")),
    ...filesUnder(path.join(ROOT, "demo")),
    ...["next.config.ts", "package-lock.json", "postcss.config.mjs", "tsconfig.json"].map((file) =>
      path.join(ROOT, file),
    ),
  ];
  const wanted = hash(
    ...sources
      .filter((file) => !/\.test\.tsx?$/.test(file))
      .flatMap((file) => [path.relative(ROOT, file), readFileSync(file)]),
  );
  const stamp = path.join(ROOT, ".next", "nettle-sources");
  if (stampOf(stamp) === wanted) return;
  console.error("Building …");
  await bundle();
  await run(process.execPath, [NEXT, "build"], {
    env: { NEXT_TELEMETRY_DISABLED: "1", NODE_ENV: "production" },
  });
  writeFileSync(stamp, wanted);
}

/** Where a command keeps its data: NETTLE_DATA, else the folder given. */
export function dataFolder(fallback) {
  const folder = path.resolve(ROOT, process.env.NETTLE_DATA || fallback);
  mkdirSync(folder, { recursive: true });
  return folder;
}

export const isEmptyFolder = (folder) =>
  !existsSync(path.join(folder, "pg")) || !statSync(path.join(folder, "pg")).isDirectory();

const LOOPBACK = ["127.0.0.1", "::1", "localhost"];

/** Serves the app until it is stopped, and ends as it ends. */
export function serve({ folder, port: fallbackPort, dev = false, shared = null, ready }) {
  const port = process.env.PORT || String(fallbackPort);
  const host = shared ? "0.0.0.0" : process.env.HOST || "127.0.0.1";
  if (!shared && !LOOPBACK.includes(host)) {
    console.error(
      `Nettle Tally does not listen on ${host}: there anybody on the network could read and write. Start it with --share, and it lets in the browsers that you pair.`,
    );
    process.exit(1);
  }
  const child = spawn(process.execPath, [path.join(BUILT, "serve.mjs")], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_ENV: dev ? "development" : "production",
      NETTLE_DATA: folder,
      NETTLE_HOST: host,
      NETTLE_READY: ready(`http://localhost:${port}`),
      ...shared,
      PORT: port,
      NEXT_TELEMETRY_DISABLED: "1",
    },
    stdio: ["ignore", "inherit", "inherit"],
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
  child.on("exit", (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
}
