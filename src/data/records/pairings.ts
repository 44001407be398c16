import { createHash, randomBytes, randomUUID, timingSafeEqual } from "node:crypto";
import { mkdirSync, readFileSync, renameSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { z } from "zod";
import { dataFolder } from "../folder";

/**
 * Browsers that may read and write while the app is shared on the home network. They stand in a file beside
 * the log and not in it: who may come in is no part of what is exported, and is asked at every request. Of
 * each cookie only its hash is kept.
 */
const Pairing = z.object({ id: z.string(), hash: z.string(), name: z.string(), since: z.string() });
export type Pairing = z.infer<typeof Pairing>;

export const PAIRED_COOKIE = "nettle-paired";

const file = () => path.join(dataFolder(), "paired.json");
let read: { readonly at: number; readonly pairings: readonly Pairing[] } | null = null;

/** Those paired now, oldest first; the file is read again only where it has changed. */
export function pairings(): readonly Pairing[] {
  const at = statSync(file(), { throwIfNoEntry: false })?.mtimeMs ?? 0;
  if (at === 0) return [];
  if (read?.at !== at)
    read = { at, pairings: z.array(Pairing).parse(JSON.parse(readFileSync(file(), "utf8"))) };
  return read.pairings;
}

const hashed = (text: string) => createHash("sha256").update(text).digest("hex");
const isSame = (a: string, b: string) => timingSafeEqual(Buffer.from(hashed(a)), Buffer.from(hashed(b)));

export const isPaired = (cookie: string | undefined): boolean =>
  cookie !== undefined && pairings().some(({ hash }) => isSame(hash, hashed(cookie)));

/** Is this the secret that was printed when the app was shared? */
export const isPairingSecret = (said: string): boolean => {
  const secret = process.env.NETTLE_PAIRING;
  return secret !== undefined && secret !== "" && isSame(secret, said);
};

/** Lets one browser more in; returns the cookie that it is known by. */
export function pair(name: string): string {
  const cookie = randomBytes(32).toString("base64url");
  keep([
    ...pairings(),
    { id: randomUUID(), hash: hashed(cookie), name: name.slice(0, 80), since: new Date().toISOString() },
  ]);
  return cookie;
}

export const unpair = (id: string): void => keep(pairings().filter((each) => each.id !== id));

function keep(all: readonly Pairing[]): void {
  mkdirSync(dataFolder(), { recursive: true });
  // In one step: a crash leaves the old list or the new one.
  writeFileSync(`${file()}.next`, JSON.stringify(all), { mode: 0o600 });
  renameSync(`${file()}.next`, file());
  read = null;
}
