import { spawn, spawnSync } from "node:child_process";
import { createHash, X509Certificate } from "node:crypto";
import { mkdir, mkdtemp } from "node:fs/promises";
import { request as plainRequest } from "node:http";
import path from "node:path";
import { connect } from "node:tls";
import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import { goTo, openPage } from "./app";
import { answers, end, freePort, launch, openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

/** A request with a Host of its own, which fetch does not allow. */
const statusOf = (port: number, host: string) =>
  new Promise<number>((resolve, reject) =>
    plainRequest({ port, host: "127.0.0.1", path: "/api/log", headers: { host } }, (answer) => {
      answer.resume();
      resolve(answer.statusCode!);
    })
      .on("error", reject)
      .end(),
  );

/** A browser whose owner has told it to trust an authority; where certutil is not there, by the certificate's key alone. */
async function phoneThatTrusts(authority: string, port: number): Promise<Browser> {
  const home = await mkdtemp(path.join(inject("folder"), "phone-"));
  const rules = `--host-resolver-rules=MAP den 127.0.0.1`;
  const store = path.join(home, ".pki", "nssdb");
  await mkdir(store, { recursive: true });
  const certutil = (...args: string[]) =>
    spawnSync("certutil", ["-d", `sql:${store}`, ...args], { input: authority });
  if (certutil("-N", "--empty-password").error === undefined) {
    const told = certutil("-A", "-t", "C,,", "-n", "Nettle Tally");
    expect(String(told.stderr)).toBe("");
    return openBrowser([rules], home);
  }
  const key = (await shownAt(port)).publicKey.export({ type: "spki", format: "der" });
  const print = createHash("sha256").update(key).digest("base64");
  return openBrowser([rules, `--ignore-certificate-errors-spki-list=${print}`]);
}

/** The certificate that a server shows. */
const shownAt = (port: number) =>
  new Promise<X509Certificate>((resolve, reject) => {
    const line = connect({ port, host: "127.0.0.1", servername: "den", rejectUnauthorized: false }, () => {
      resolve(new X509Certificate(line.getPeerCertificate().raw));
      line.end();
    }).on("error", reject);
  });

test("shared on the network: nobody reads or writes unpaired; paired by the link, ended in Settings", async () => {
  const folder = await mkdtemp(path.join(inject("folder"), "share-"));
  const port = await freePort();
  const secret = "b6c1d2e3f4a5968778";
  const child = launch(folder, port, inject("demoSnapshot"), {
    NETTLE_SHARED_ON: "192.0.2.7 den",
    NETTLE_PAIRING: secret,
  });
  const url = `http://127.0.0.1:${port}`;
  try {
    await answers(url, child);
    // Nothing of the log, whatever is asked for and however: pages, the export, an action, a mark, another name.
    for (const at of ["/", "/shelf", "/nothing", "/api/log", "/api/shelf.csv", "/item/quilt", "/faviconX"]) {
      const answer = await fetch(url + at);
      expect(answer.status, at).toBe(401);
      expect(await answer.text(), at).not.toMatch(/quilt|Vask/i);
    }
    expect((await fetch(`${url}/api/marks`, { method: "POST", body: "[]" })).status).toBe(401);
    expect((await fetch(`${url}/api/log?replace`, { method: "POST", body: "{}" })).status).toBe(401);
    const forged = await fetch(`${url}/api/log`, { headers: { cookie: "nettle-paired=guess" } });
    expect(forged.status).toBe(401);
    // It answers to the names that it is shared on, and to no other; a name proves nothing.
    expect(await statusOf(port, `den:${port}`)).toBe(401);
    expect(await statusOf(port, `localhost:${port}`)).toBe(401);
    expect(await statusOf(port, "elsewhere.example")).toBe(403);

    // By the link: the secret goes from the address at once, and the cookie is out of every script's reach.
    const { page } = await openPage(browser, `${url}/#${secret}`);
    await page.getByRole("heading", { name: "Nettle Tally" }).waitFor();
    await page.getByRole("grid").waitFor();
    expect(page.url()).not.toContain(secret);
    const [cookie] = (await page.context().cookies()).filter(({ name }) => name === "nettle-paired");
    expect(cookie).toMatchObject({ httpOnly: true, sameSite: "Strict", path: "/" });
    expect(cookie!.value.length).toBeGreaterThanOrEqual(43);
    const paired = { headers: { cookie: `nettle-paired=${cookie!.value}` } };
    expect((await fetch(`${url}/api/log`, paired)).status).toBe(200);
    // Another site's page can't use it.
    const foreign = await fetch(`${url}/api/marks`, {
      method: "POST",
      body: "[]",
      headers: { ...paired.headers, origin: "http://elsewhere.example" },
    });
    expect(foreign.status).toBe(403);

    // A phone has no padlock there, and what browsers keep for padlocked pages is missing: a line from the way is kept all the same.
    const phone = await openBrowser([`--host-resolver-rules=MAP den 127.0.0.1`]);
    const { page: trail, faults } = await openPage(phone, `http://den:${port}/#${secret}`);
    await trail.getByRole("heading", { name: "The padlock", exact: true }).waitFor();
    const authority = await (await fetch(`${url}/api/trust`, paired)).text();
    await trail.getByText(new X509Certificate(authority).fingerprint256).waitFor();
    await trail.goto(`http://den:${port}/trail`);
    expect(await trail.evaluate(() => window.isSecureContext)).toBe(false);
    await trail.getByText("Without the padlock this page opens only while the computer answers.").waitFor();
    await trail.getByLabel("What happened").fill("torch died, km 41");
    await trail.getByRole("button", { name: "Keep it" }).click();
    await expect
      .poll(async () => (await fetch(`${url}/api/log`, paired)).text())
      .toContain("torch died, km 41");
    expect(faults.filter((fault) => !/401/.test(fault))).toEqual([]);
    await phone.close();

    // Behind the padlock, which this phone trusts, the page opens without a network, and a line is kept and sent.
    const trusting = await phoneThatTrusts(authority, port);
    const { page: far } = await openPage(trusting, `https://den:${port}/#${secret}`);
    await far.getByRole("grid").waitFor();
    await far.goto(`https://den:${port}/trail`);
    expect(await far.evaluate(() => window.isSecureContext)).toBe(true);
    await far.getByText("This page opens without a network.").waitFor();
    await far.context().setOffline(true);
    await far.reload();
    await far.getByLabel("What happened").fill("poncho torn, km 52");
    await far.getByRole("button", { name: "Keep it" }).click();
    await far.getByText(/^1.line on this phone/).waitFor();
    await far.context().setOffline(false);
    await expect
      .poll(async () => (await fetch(`${url}/api/log`, paired)).text())
      .toContain("poncho torn, km 52");
    await trusting.close();

    // One that does not trust it is warned by its browser, and nothing of the log is shown.
    const wary = await openBrowser([`--host-resolver-rules=MAP den 127.0.0.1`]);
    const warned = await wary.newPage();
    expect(await warned.goto(`https://den:${port}/`).catch((error: Error) => error.message)).toMatch(
      /ERR_CERT_AUTHORITY_INVALID/,
    );
    await wary.close();

    // Five wrong tries, and nobody is let in for a minute.
    const tries = async (word: string) =>
      (await fetch(`${url}/api/pair`, { method: "POST", body: JSON.stringify({ secret: word }) })).status;
    const answered = [];
    for (const word of ["", "a", "b", "c", "d", "e", secret]) answered.push(await tries(word));
    expect(answered).toEqual([403, 403, 403, 403, 403, 429, 429]);

    // Ended in Settings, it is let in no more.
    await goTo(page, `${url}/settings`);
    await page.getByText(/^3.browsers paired:$/).waitFor();
    await page
      .getByRole("button", { name: /^End ?the pairing of Chromium on Linux/ })
      .first()
      .click();
    await expect.poll(async () => (await fetch(`${url}/api/log`, paired)).status).toBe(401);
    // The page may be on its way to where it is let in no more.
    const opens = () =>
      page.goto(url).then(
        () => true,
        () => false,
      );
    await expect.poll(opens).toBe(true);
    await page.getByText("This browser is not paired.").waitFor();
    await page.close();
  } finally {
    await end(child);
  }
});

test("it does not listen on the network without pairing, and says how", async () => {
  const child = spawn(process.execPath, ["scripts/start.mjs"], {
    env: { ...process.env, HOST: "0.0.0.0", NETTLE_DATA: path.join(inject("folder"), "never") },
    stdio: ["ignore", "ignore", "pipe"],
  });
  let said = "";
  child.stderr.on("data", (chunk) => (said += String(chunk)));
  expect(await new Promise((resolve) => child.on("exit", resolve))).toBe(1);
  expect(said).toMatch(/does not listen on 0\.0\.0\.0.*Start it with --share/);
});
