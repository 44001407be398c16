import { mkdtemp, readFile, stat } from "node:fs/promises";
import { createServer, request } from "node:https";
import { X509Certificate } from "node:crypto";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { expect, test } from "vitest";
import { padlockFor } from "./padlock";

// Checked by OpenSSL, as Node has it: who trusts the authority, and nobody else, takes the server's certificate for
// its names.
test("a certificate for the names that the app is shared on, by an authority of its own that is made once", async () => {
  const folder = await mkdtemp(path.join(tmpdir(), "nettle-padlock-"));
  const padlock = await padlockFor(["192.0.2.7", "[fe80::1]", "den", "den.local"], folder);
  const [authority, certificate] = [padlock.authority, padlock.cert].map(
    (pem) => new X509Certificate(pem),
  ) as [X509Certificate, X509Certificate];
  expect(authority.ca).toBe(true);
  expect(certificate.ca).toBe(false);
  expect(certificate.verify(authority.publicKey)).toBe(true);
  expect(certificate.checkHost("den")).toBe("den");
  expect(certificate.checkIP("192.0.2.7")).toBe("192.0.2.7");
  expect(certificate.checkHost("elsewhere")).toBeUndefined();
  expect(padlock.fingerprint).toBe(authority.fingerprint256);
  // Apple's systems take none of more than 825 days.
  const days = (Date.parse(certificate.validTo) - Date.parse(certificate.validFrom)) / 86_400_000;
  expect(days).toBeLessThan(825);

  const { mode } = await stat(path.join(folder, "share", "authority.key"));
  expect(mode & 0o777).toBe(0o600);
  expect((await padlockFor(["den"], folder)).authority).toBe(padlock.authority);
  expect(await readFile(path.join(folder, "share", "authority.pem"), "utf8")).toBe(padlock.authority);

  const server = createServer({ cert: padlock.cert, key: padlock.key }, (_, answer) => answer.end("here"));
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.address() as AddressInfo;
  const asked = (ca: string | undefined, servername: string) =>
    new Promise<string>((resolve) =>
      request({ host: "127.0.0.1", port, servername, ca }, (answer) => {
        answer.resume();
        resolve(String(answer.statusCode));
      })
        .on("error", (error: NodeJS.ErrnoException) => resolve(error.code ?? error.message))
        .end(),
    );
  expect(await asked(padlock.authority, "den")).toBe("200");
  expect(await asked(padlock.authority, "elsewhere")).toBe("ERR_TLS_CERT_ALTNAME_INVALID");
  expect(await asked(undefined, "den")).toMatch(/UNABLE_TO_VERIFY|SELF_SIGNED/);
  server.close();
});
