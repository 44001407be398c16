import { mkdtemp, readdir, readFile } from "node:fs/promises";
import { Agent, request } from "node:http";
import path from "node:path";
import { expect, inject, test } from "vitest";
import { seeded } from "./seeded";
import { answers, end, freePort, launch } from "./launch";

// Whatever address a stranger asks for, and however: nothing of the log, and the policy on each answer.

/** Names that browsers, phones and crawlers ask for by themselves. Common practice, no one source. */
const WELL_KNOWN = [
  ..."favicon.ico icon.svg apple-icon.png apple-touch-icon.png apple-touch-icon-precomposed.png icon-192.png icon-512.png".split(
    " ",
  ),
  ..."manifest.webmanifest manifest.json browserconfig.xml site.webmanifest robots.txt sitemap.xml humans.txt ads.txt".split(
    " ",
  ),
  ..."sw.js service-worker.js trail-worker.js crossdomain.xml opensearch.xml .well-known/security.txt .well-known/assetlinks.json".split(
    " ",
  ),
  ...".well-known/appspecific/com.chrome.devtools.json .well-known/change-password .well-known/apple-app-site-association .well-known/traffic-advice".split(
    " ",
  ),
].map((name) => `/${name}`);

/** Files of the build, and of what is laid beside it. */
async function filesUnder(folder: string, at: string): Promise<string[]> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true });
  return entries
    .filter((entry) => entry.isFile())
    .map((entry) => at + path.relative(folder, path.join(entry.parentPath, entry.name)));
}

/** Every address of the build's own manifests, those with an id for a thing and a trip that are there. */
async function addressesOf(item: string, trip: string): Promise<string[]> {
  const routes = Object.values(
    JSON.parse(await readFile(".next/app-path-routes-manifest.json", "utf8")) as Record<string, string>,
  );
  const { redirects, dynamicRoutes } = JSON.parse(await readFile(".next/routes-manifest.json", "utf8")) as {
    redirects: { source: string }[];
    dynamicRoutes: { page: string }[];
  };
  const named = [
    ...routes,
    ...dynamicRoutes.map(({ page }) => page),
    ...redirects.map(({ source }) => source),
  ].flatMap((route) => [
    route.replaceAll(/\[id\]/g, route.includes("item") ? item : trip).replaceAll(/\[\w+\]/g, trip),
    route,
  ]);
  const built = await filesUnder(".next/static", "/_next/static/");
  const some = built.filter((_, n) => n % Math.ceil(built.length / 40) === 0);
  return [
    ...new Set([
      ...named,
      ...some,
      ...(await filesUnder("public", "/")),
      "/_next/data/x/index.json",
      "/_next/image?url=%2Ficon.svg&w=64&q=75",
    ]),
  ];
}

/** Addresses made up out of pieces of real ones. */
function madeUp(n: number, pieces: readonly string[]): string[] {
  const random = seeded(20);
  const pick = (of: readonly string[]) => of[Math.floor(random() * of.length)]!;
  const odd = [
    "%00",
    "%2e%2e",
    "..",
    "%2f",
    "a%20b",
    ".rsc",
    ".json",
    "__PAGE__",
    "🏔",
    "%F0%9F",
    "index.php",
    ";x=1",
  ];
  return Array.from({ length: n }, () =>
    Array.from(
      { length: 1 + Math.floor(random() * 4) },
      () => `/${pick(random() < 0.5 ? pieces : odd)}`,
    ).join(""),
  );
}

interface Answer {
  readonly status: number;
  readonly body: string;
  readonly policy: string | undefined;
}

const agent = new Agent({ keepAlive: true, maxSockets: 8 });
const ask = (port: number, method: string, at: string, headers: Record<string, string>) =>
  new Promise<Answer>((resolve, reject) => {
    const sent = request({ port, host: "127.0.0.1", method, path: at, headers, agent }, (answer) => {
      let body = "";
      answer.on("data", (part: Buffer) => (body += part.toString("latin1")));
      answer.on("end", () =>
        resolve({
          status: answer.statusCode!,
          body: Buffer.from(body, "latin1").toString(),
          policy: answer.headers["content-security-policy"] as string | undefined,
        }),
      );
    });
    sent.on("error", reject).end();
  });

const WAYS: readonly (readonly [method: string, headers: Record<string, string>, more: string])[] = [
  ["GET", {}, ""],
  ["HEAD", {}, ""],
  ["POST", {}, ""],
  ["OPTIONS", {}, ""],
  ["GET", { RSC: "1" }, ""],
  ["GET", { RSC: "1", "Next-Router-Prefetch": "1" }, "?_rsc=abc"],
];
/** The same address as others write it. */
const written = (at: string) => [at, `/${at}`, `${at}/`, at.replaceAll(/(?!^)\//g, "%2F")];

test("a stranger is told nothing, at any address and in any way: unpaired, and by a name that it does not listen on", async () => {
  const open = async (env: Record<string, string>, name: string) => {
    const port = await freePort();
    const child = launch(await mkdtemp(path.join(inject("folder"), name)), port, inject("demoSnapshot"), env);
    await answers(`http://127.0.0.1:${port}`, child);
    return { port, child };
  };
  const alone = await open({}, "door-");
  const shared = await open(
    { NETTLE_SHARED_ON: "192.0.2.7", NETTLE_PAIRING: "b6c1d2e3f4a5968778" },
    "door-shared-",
  );
  try {
    const log = (await (await fetch(`http://127.0.0.1:${alone.port}/api/log`)).json()) as {
      items: { id: string; name: string }[];
      trips: { id: string; name: string; starts: string }[];
    };
    // What is short or a plain word ("Mug") may stand in a script of the framework; of those there are enough others.
    const telling = [
      ...log.items.flatMap(({ id, name }) => [id, name]),
      ...log.trips.flatMap(({ id, name, starts }) => [id, name, starts]),
    ].filter((word) => word.length > 8);
    expect(telling.length).toBeGreaterThan(100);
    const known = await addressesOf(log.items[0]!.id, log.trips[0]!.id);
    const pieces = known.flatMap((at) => at.split("/")).filter(Boolean);
    const addresses = [...known, ...WELL_KNOWN, ...madeUp(300, pieces)];
    expect(addresses.length).toBeGreaterThan(400);

    const faults: string[] = [];
    let asked = 0;
    const look = async (port: number, who: string, at: string, headers: Record<string, string>) => {
      for (const [method, more, query] of WAYS) {
        const { status, body, policy } = await ask(port, method, at + query, { ...headers, ...more });
        asked += 1;
        // What the address itself says, the asker knows.
        const told = telling.find((word) => body.includes(word) && !at.includes(word));
        if (told) faults.push(`${who} ${method} ${at}: ${status} tells “${told}”`);
        if (!policy?.includes("default-src 'self'"))
          faults.push(`${who} ${method} ${at}: ${status} without the policy`);
        if (status >= 500) faults.push(`${who} ${method} ${at}: ${status}`);
      }
    };
    const all = addresses
      .flatMap((at, n) => (n % 5 === 0 ? written(at) : [at]))
      .filter((at) => !/[^\x21-\x7e]/.test(at));
    const each = async (at: string) => {
      await look(shared.port, "unpaired", at, { host: `localhost:${shared.port}` });
      await look(alone.port, "foreign name", at, { host: "rebound.example" });
    };
    for (let n = 0; n < all.length; n += 8) await Promise.all(all.slice(n, n + 8).map(each));
    expect(faults.slice(0, 20)).toEqual([]);
    expect(asked).toBeGreaterThan(5000);
    // What is not there, and what failed, is told without the log to those who are let in, too.
    const lost = await ask(alone.port, "GET", "/nowhere-at-all", { host: `localhost:${alone.port}` });
    expect(lost.status).toBe(404);
    expect(telling.filter((word) => lost.body.includes(word))).toEqual([]);
    expect(lost.body).toContain("Nothing in the log has this address");
    // The signs that it lets out are there, and are pictures.
    for (const sign of [
      "/favicon.ico",
      "/icon.svg",
      "/apple-icon.png",
      "/icon-192.png",
      "/icon-512.png",
      "/manifest.webmanifest",
    ])
      expect((await ask(shared.port, "GET", sign, { host: `localhost:${shared.port}` })).status, sign).toBe(
        200,
      );
  } finally {
    await Promise.all([alone.child, shared.child].map(end));
  }
});

test("a body is cut off at its limit, however it is sent; a stranger’s is not kept at all", async () => {
  const port = await freePort();
  const child = launch(await mkdtemp(path.join(inject("folder"), "body-")), port, inject("emptySnapshot"), {
    NETTLE_SHARED_ON: "192.0.2.7",
    NETTLE_PAIRING: "b6c1d2e3f4a5968778",
  });
  const url = `http://127.0.0.1:${port}`;
  const resident = async () =>
    Number(/VmRSS:\s+(\d+) kB/.exec(await readFile(`/proc/${child.pid}/status`, "utf8"))?.[1]) / 1024;
  try {
    await answers(url, child);
    const paired = await fetch(`${url}/api/pair`, {
      method: "POST",
      body: JSON.stringify({ secret: "b6c1d2e3f4a5968778" }),
    });
    const cookie = paired.headers.get("set-cookie")!.split(";")[0]!;
    /** Sends so many megabytes without saying how many, until it is answered. */
    const pour = (at: string, mb: number, headers: Record<string, string>) =>
      new Promise<number>((resolve, reject) => {
        const sent = request(
          {
            port,
            host: "127.0.0.1",
            method: "POST",
            path: at,
            headers: { host: `localhost:${port}`, ...headers },
          },
          (answer) => {
            answer.resume();
            resolve(answer.statusCode!);
          },
        );
        sent.on("error", reject);
        const piece = Buffer.alloc(1024 * 1024, 32);
        const more = (n: number): void => void (n === 0 ? sent.end() : sent.write(piece, () => more(n - 1)));
        more(mb);
      });
    const before = await resident();
    expect(await Promise.all(Array.from({ length: 6 }, () => pour("/api/log?replace", 33, {})))).toEqual(
      Array(6).fill(401),
    );
    expect((await resident()) - before).toBeLessThan(60);
    expect(await pour("/api/marks", 5, { cookie })).toBe(413);
    const declared = await fetch(`${url}/api/marks`, {
      method: "POST",
      headers: { cookie },
      body: " ".repeat(5 * 1024 * 1024),
    });
    expect(declared.status).toBe(413);
    expect(await declared.json()).toEqual({
      why: "That is larger than 2 MB, the most that is taken here.",
      problems: ["That is larger than 2 MB, the most that is taken here."],
    });
    expect((await fetch(`${url}/api/alive`, { headers: { cookie } })).status).toBe(204);
  } finally {
    await end(child);
  }
});
