import { chmod, mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, expect, test, vi } from "vitest";
import { aptGet } from "../scripts/apt-get.mjs";

let folder: string;
const before = process.env.PATH;
beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), "nettle-apt-"));
  process.env.PATH = `${folder}:${before}`;
});
afterAll(async () => {
  process.env.PATH = before;
  await rm(folder, { recursive: true });
});

/** Stands in for apt-get: held by another program as often as told, then done, or failed with its own words. */
async function standIn(held: number, last: string): Promise<() => Promise<number>> {
  const tries = path.join(folder, "tries");
  await writeFile(tries, "");
  const script = `#!/bin/sh
echo "$@" >> ${tries}
if [ $(wc -l < ${tries}) -le ${held} ]; then
  echo "E: Could not get lock /var/lib/dpkg/lock-frontend. It is held by process 1" >&2
  exit 100
fi
${last}
`;
  await writeFile(path.join(folder, "apt-get"), script);
  await chmod(path.join(folder, "apt-get"), 0o755);
  return async () => (await readFile(tries, "utf8")).split("\n").length - 1;
}

test("while another program holds the installer it is waited for, with a word, and not for ever", async () => {
  const said = vi.spyOn(console, "error").mockImplementation(() => undefined);
  const tries = await standIn(3, "exit 0");
  expect(await aptGet(["update"], { patience: 10_000, again: 5 })).toBe(true);
  expect(await tries()).toBe(4);
  expect(said.mock.calls.flat().join()).toMatch(/^Another program is installing: waiting/);
  expect(said).toHaveBeenCalledOnce();

  const forEver = await standIn(1000, "exit 0");
  expect(await aptGet(["update"], { patience: 20, again: 5 })).toBe(false);
  expect(await forEver()).toBeLessThan(20);

  // What is wrong for another reason is not tried again.
  const broken = await standIn(0, 'echo "E: Unable to locate package" >&2; exit 100');
  expect(await aptGet(["install", "x"], { patience: 10_000, again: 5 })).toBe(false);
  expect(await broken()).toBe(1);
  said.mockRestore();
});
