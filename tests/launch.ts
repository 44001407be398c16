import { spawn, type ChildProcess } from "node:child_process";
import { createServer } from "node:net";
import { chromium, type Browser } from "playwright-core";
import { chromiumProgram } from "../scripts/debian-programs.mjs";

export const freePort = () =>
  new Promise<number>((resolve, reject) => {
    const server = createServer();
    server.on("error", reject).listen(0, "127.0.0.1", () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });

/** The server's process itself, without waiting for it to answer. */
export function launch(
  folder: string,
  port: number,
  snapshot?: string,
  env: Readonly<Record<string, string>> = {},
): ChildProcess {
  return spawn(process.execPath, ["build/serve.mjs"], {
    env: {
      ...process.env,
      NODE_ENV: "production",
      PORT: String(port),
      NETTLE_DATA: folder,
      NETTLE_HOST: "127.0.0.1",
      NEXT_TELEMETRY_DISABLED: "1",
      ...(snapshot ? { NETTLE_SNAPSHOT: snapshot } : {}),
      ...env,
    },
    stdio: ["ignore", "pipe", "pipe"],
  });
}

/** Asks a server to end, and waits until it has. */
export const end = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve();
    child.on("exit", () => resolve()).kill();
  });

/** Waits until the app answers: that it is alive, or, where it is shared and nobody is paired, with 401. */
export async function answers(url: string, child: ChildProcess): Promise<void> {
  const deadline = Date.now() + 60_000;
  while (
    !(await fetch(`${url}/api/alive`).then(
      ({ ok, status }) => ok || status === 401,
      () => false,
    ))
  ) {
    if (child.exitCode !== null || Date.now() > deadline) throw new Error(`answers: none from ${url}`);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

/**
 * @param more arguments of its command line
 * @param home where it looks for what its owner trusts; left out: in nobody's
 */
export const openBrowser = (more: readonly string[] = [], home?: string): Promise<Browser> =>
  chromium.launch({
    ...(home && { env: { ...process.env, HOME: home } }),
    executablePath: chromiumProgram() ?? "/usr/bin/chromium",
    args: [
      "--no-sandbox",
      "--disable-gpu",
      "--disable-quic",
      "--no-first-run",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
      ...more,
    ],
  });
