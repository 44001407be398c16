import "reflect-metadata";
import { webcrypto } from "node:crypto";
import { chmod, mkdir, readFile, writeFile } from "node:fs/promises";
import { isIP } from "node:net";
import { hostname } from "node:os";
import path from "node:path";
import {
  BasicConstraintsExtension,
  cryptoProvider,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  X509Certificate,
  X509CertificateGenerator,
} from "@peculiar/x509";

/**
 * The padlock of a shared app: a certificate authority of its own, which a phone can be told to trust, and a
 * certificate
 * by it for the names that the app is shared on. Without one a browser keeps no page for when there is no network.
 */
export interface Padlock {
  /** What the server shows: its own certificate and key, PEM. */
  readonly cert: string;
  readonly key: string;
  /** What a phone is to trust, PEM, and its fingerprint as phones show it. */
  readonly authority: string;
  readonly fingerprint: string;
}

const ALGORITHM = { name: "ECDSA", namedCurve: "P-256", hash: "SHA-256" } as const;
const DAY_MS = 24 * 3600 * 1000;
/** An authority is trusted once and for years; Apple's systems take no server certificate of more than 825 days. */
const AUTHORITY_DAYS = 3650;
const CERTIFICATE_DAYS = 397;

interface Authority {
  readonly certificate: X509Certificate;
  readonly key: webcrypto.CryptoKey;
}

const until = (days: number) => ({
  notBefore: new Date(Date.now() - DAY_MS),
  notAfter: new Date(Date.now() + days * DAY_MS),
});
const serialNumber = () =>
  Buffer.from(webcrypto.getRandomValues(new Uint8Array(16)))
    .toString("hex")
    .replace(/^./, "1");

/** Its own authority beside the data; made at the first need. The key is readable by its owner alone. */
async function authorityIn(folder: string): Promise<Authority> {
  const [certificateFile, keyFile] = [
    path.join(folder, "share", "authority.pem"),
    path.join(folder, "share", "authority.key"),
  ];
  const known = await Promise.all([readFile(certificateFile, "utf8"), readFile(keyFile, "utf8")]).catch(
    () => null,
  );
  if (known) {
    const [pem, keyPem] = known;
    const key = await webcrypto.subtle.importKey("pkcs8", PemConverter.decodeFirst(keyPem), ALGORITHM, true, [
      "sign",
    ]);
    return { certificate: new X509Certificate(pem), key };
  }
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ["sign", "verify"]);
  const certificate = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    name: `CN=Nettle Tally on ${hostname().replace(/[^\w.-]/g, " ")}`,
    ...until(AUTHORITY_DAYS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
    ],
  });
  await mkdir(path.dirname(keyFile), { recursive: true, mode: 0o700 });
  await writeFile(keyFile, await keyPemOf(keys.privateKey), { mode: 0o600 });
  await chmod(keyFile, 0o600);
  await writeFile(certificateFile, certificate.toString("pem"));
  return { certificate, key: keys.privateKey };
}

const keyPemOf = async (key: webcrypto.CryptoKey): Promise<string> =>
  PemConverter.encode(await webcrypto.subtle.exportKey("pkcs8", key), "PRIVATE KEY");

/**
 * A certificate for so many names and addresses, new at each start.
 *
 * @param folder the data's folder, beside which the authority is kept
 */
export async function padlockFor(names: readonly string[], folder: string): Promise<Padlock> {
  cryptoProvider.set(webcrypto as Crypto);
  const { certificate: authority, key } = await authorityIn(folder);
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ["sign", "verify"]);
  const bare = [...new Set([...names, "localhost", "127.0.0.1"])].map((name) => name.replace(/^\[|\]$/g, ""));
  const certificate = await X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    subject: "CN=Nettle Tally",
    issuer: authority.subject,
    ...until(CERTIFICATE_DAYS),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey: key,
    extensions: [
      new BasicConstraintsExtension(false),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        bare.map((value) => ({ type: isIP(value) ? ("ip" as const) : ("dns" as const), value })),
      ),
    ],
  });
  const print = Buffer.from(await authority.getThumbprint("SHA-256"))
    .toString("hex")
    .toUpperCase();
  return {
    cert: certificate.toString("pem"),
    key: await keyPemOf(keys.privateKey),
    authority: authority.toString("pem"),
    fingerprint: print.match(/../g)!.join(":"),
  };
}
