import type { ChildProcess } from "node:child_process";
import { request } from "node:http";
import { anyFile } from "../../tests/histories";
import fc from "fast-check";
import { answers, freePort, launch } from "../../tests/launch";

/** What is attacked: an app on a folder of its own, which an attack may kill and start again. */
export interface Target {
  readonly folder: string;
  port: number;
  child: ChildProcess;
}

/** What came of one round of an attack: so many tries, and what should not have been. */
interface Round {
  readonly tries: number;
  readonly faults: readonly string[];
}

/** One round; numbers 0 to 1 from `random`, so that a run is repeated by its seed. */
export type Attack = (target: Target, random: () => number) => Promise<Round>;

const urlOf = ({ port }: Target) => `http://127.0.0.1:${port}`;
const pick = <T>(all: readonly T[], random: () => number): T => all[Math.floor(random() * all.length)]!;
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

export async function start(target: Target, snapshot?: string): Promise<void> {
  target.port = await freePort();
  target.child = launch(target.folder, target.port, snapshot);
  await answers(urlOf(target), target.child);
}

async function killed(target: Target): Promise<void> {
  const ended = new Promise((resolve) => target.child.on("exit", resolve));
  target.child.kill("SIGKILL");
  await ended;
  await start(target);
}

interface Told {
  readonly items: readonly { readonly id: string; readonly name: string }[];
  readonly trips: readonly {
    readonly id: string;
    readonly legs?: readonly { readonly id?: string }[];
    readonly marks: readonly {
      readonly item: string;
      readonly use?: string;
      readonly note?: string;
      readonly exit?: object;
    }[];
  }[];
}
const exportOf = async (target: Target) => (await fetch(`${urlOf(target)}/api/log`)).text();
const told = async (target: Target) => JSON.parse(await exportOf(target)) as Told;

const post = (target: Target, at: string, body: unknown) =>
  fetch(urlOf(target) + at, { method: "POST", body: typeof body === "string" ? body : JSON.stringify(body) });

/** The trip that most was carried on, and what was along and did not leave. */
function largest({ trips }: Told) {
  const trip = trips.toSorted((a, b) => b.marks.length - a.marks.length)[0]!;
  return { trip, items: trip.marks.filter(({ exit }) => exit === undefined).map(({ item }) => item) };
}

/** Streams of marks at once, and marks that go out together. */
const STREAMS = 4;
const BATCH = 5;

/** Sends marks in several streams, each thing in one of them, until it is told to stop; what was acknowledged is told as it is. */
function streamsOf(target: Target, goesOn: (sent: number) => boolean) {
  const acknowledged = new Map<string, number>();
  let sent = 0;
  const run = async () => {
    const { trip, items } = largest(await told(target));
    const stream = async (n: number) => {
      const mine = items.filter((_, at) => at % STREAMS === n);
      for (let from = 0; goesOn(sent); from += BATCH) {
        const batch = Array.from(
          { length: BATCH },
          (_, k) => [mine[(from + k) % mine.length]!, from + k] as const,
        );
        const answer = await post(
          target,
          "/api/marks",
          batch.map(([item, k]) => ({ trip: trip.id, item, mark: { use: "used", note: `kill ${k}` } })),
        ).catch(() => null);
        if (!answer?.ok) return;
        sent += BATCH;
        for (const [item, k] of batch) acknowledged.set(item, k);
      }
    };
    await Promise.all(Array.from({ length: STREAMS }, (_, n) => stream(n)));
    return trip.id;
  };
  return { acknowledged, tries: () => sent, done: run() };
}

/** What was acknowledged and is not there, or is older than what was acknowledged. */
async function lostOf(
  target: Target,
  trip: string,
  acknowledged: ReadonlyMap<string, number>,
): Promise<string[]> {
  const kept = new Map(
    (await told(target)).trips
      .find(({ id }) => id === trip)!
      .marks.map(({ item, note }) => [item, note ?? ""]),
  );
  return [...acknowledged].flatMap(([item, n]) => {
    const there = Number(/^kill (\d+)$/.exec(kept.get(item) ?? "")?.[1] ?? Number.NaN);
    return there >= n ? [] : [`mark ${n} of ${item} was acknowledged, and is “${kept.get(item) ?? ""}”`];
  });
}

/** kill -9 at any moment of streams of marks: nothing acknowledged is lost, and nothing is there by halves. */
const killsInMarks: Attack = async (target, random) => {
  const streams = streamsOf(target, () => true);
  const after = 20 + random() * 150;
  while (streams.tries() < after) await wait(2);
  const again = killed(target);
  const trip = await streams.done;
  await again;
  return { tries: streams.tries(), faults: await lostOf(target, trip, streams.acknowledged) };
};

/** Streams of marks that nobody stops: each that was acknowledged is there. */
const marksInStreams: Attack = async (target) => {
  const streams = streamsOf(target, (sent) => sent < 200);
  const trip = await streams.done;
  return { tries: streams.tries(), faults: await lostOf(target, trip, streams.acknowledged) };
};

/** How often each of two writers says something of one thing. */
const SAID = 12;

/**
 * Two screens at the same things at once, each saying a field of its own from what it saw before, at any pace: what each
 * said last is there, whatever the other says meanwhile.
 */
const twoWriters: Attack = async (target, random) => {
  const { trip, items } = largest(await told(target));
  const things = items.slice(0, 3);
  const writer = async (field: string, value: (n: number) => unknown) => {
    const saw = new Map<string, object>(things.map((item) => [item, { use: "used" }]));
    for (let n = 0; n < SAID; n++) {
      const item = things[n % things.length]!;
      const [from, mark] = [saw.get(item)!, { ...saw.get(item)!, [field]: value(n) }];
      await wait(random() * 8);
      const { ok } = await post(target, "/api/marks", [{ trip: trip.id, item, mark, from }]);
      if (ok) saw.set(item, mark);
    }
    return saw;
  };
  await post(
    target,
    "/api/marks",
    things.map((item) => ({ trip: trip.id, item, use: "used" })),
  );
  const writers = await Promise.all([writer("note", (n) => `said ${n}`), writer("condition", (n) => n % 6)]);
  const { marks } = (await told(target)).trips.find(({ id }) => id === trip.id)!;
  const faults = writers.flatMap((saw) =>
    [...saw].flatMap(([item, said]) => {
      const kept = marks.find((mark) => mark.item === item)! as unknown as Record<string, unknown>;
      return Object.entries(said)
        .filter(([field, value]) => kept[field] !== value)
        .map(([field]) => `${item}: what was said last of its ${field} is not there`);
    }),
  );
  return { tries: 2 * SAID, faults };
};

const EXITS = ["lost", "given away", "sent home", "worn out"] as const;
const PAGES = ["/shelf", "/"] as const;
/** The words of a page: its pieces come in no fixed order, and its scripts bear another nonce each time. */
const pageOf = async (target: Target, at: string) =>
  (await (await fetch(urlOf(target) + at)).text())
    .replaceAll(/<(script|style)[^]*?<\/\1>|<[^>]*>/g, " ")
    .split(/\s+/)
    .sort()
    .join(" ");

/** What pages say once things have left, come back and were complained of is what they say when all is read anew. */
const staleness: Attack = async (target, random) => {
  // On the last walk: what left on an earlier one and was carried since is refused.
  const { trips } = await told(target);
  const trip = trips.findLast(({ marks }) => marks.some(({ use }) => use !== undefined))!;
  const items = trip.marks.map(({ item }) => item);
  const faults: string[] = [];
  const before = await exportOf(target);
  const marked = [0, 1, 2].map(() => pick(items, random));
  for (const item of marked) {
    await post(target, "/api/marks", [
      {
        trip: trip.id,
        item,
        mark: { use: "used", exit: { how: pick(EXITS, random) }, troubles: ["failed"] },
      },
    ]);
    await fetch(`${urlOf(target)}/item/${item}`).then((answer) => answer.text());
  }
  const pages = [...PAGES, ...marked.map((item) => `/item/${item}`)];
  const now = await Promise.all(pages.map((at) => pageOf(target, at)));
  await killed(target);
  for (const [n, at] of pages.entries())
    if ((await pageOf(target, at)) !== now[n]) faults.push(`${at} says another thing after a restart`);
  await post(target, "/api/log?replace", before);
  return { tries: pages.length, faults };
};

/** Marks on what is not there, texts that can't be kept, files over a limit: what of it is accepted, its export is read again as it is. */
const restores: Attack = async (target, random) => {
  const { items, trip } = largest(await told(target));
  const before = await exportOf(target);
  const faults: string[] = [];
  const stray = pick(["nowhere", "leg-99"], random);
  const mark = { use: "used" };
  const bodies: readonly (readonly [string, unknown])[] = [
    ...HOSTILE_TEXTS.map(
      (text) =>
        [
          "/api/marks",
          [{ trip: trip.id, item: pick(items, random), mark: { ...mark, note: text, where: text } }],
        ] as const,
    ),
    ...HOSTILE_TEXTS.map(
      (text, n) =>
        [
          "/api/lines",
          { trip: trip.id, lines: [{ id: `l-${n}`, at: "2026-05-01T10:00:00Z", text }] },
        ] as const,
    ),
    ["/api/marks", [{ trip: trip.id, item: items[0], mark: { ...mark, at: { leg: stray } } }]],
    [
      "/api/marks",
      [{ trip: trip.id, item: items[1], mark: { ...mark, exit: { how: "swapped", for: stray } } }],
    ],
    [
      "/api/log?add",
      {
        format: "nettle-tally",
        version: 2,
        items: Array.from({ length: 4990 }, (_, n) => ({ id: `many-${n}`, name: `Many ${n}`, kind: "mug" })),
      },
    ],
  ];
  for (const [way, body] of bodies) {
    const answer = await post(target, way, body);
    if (answer.status >= 500)
      faults.push(`${way}: ${answer.status} for ${JSON.stringify(body).slice(0, 120)}`);
  }
  const text = await exportOf(target);
  const look = await post(target, "/api/log?look", text);
  const read = (await look.json()) as {
    same?: boolean;
    mended?: readonly string[];
    problems?: readonly string[];
  };
  if (!read.same || read.mended?.length)
    faults.push(
      `what was accepted is not read again as it is: ${JSON.stringify(read.problems ?? read.mended).slice(0, 200)}`,
    );
  await post(target, "/api/log?replace", before);
  return { tries: bodies.length, faults };
};

/** kill -9 at any moment of an import: all of it is there, or nothing of it. */
const killsInImport: Attack = async (target, random) => {
  const before = await exportOf(target);
  const log = JSON.parse(before) as Told & { items: object[] };
  const more = Array.from({ length: 400 }, (_, n) => ({
    id: `hostile-${n}`,
    name: `Thing ${n}`,
    kind: "mug",
  }));
  const put = fetch(`${urlOf(target)}/api/log?replace`, {
    method: "POST",
    body: JSON.stringify({ ...log, items: [...log.items, ...more] }),
  }).catch(() => null);
  await wait(random() * 700);
  const again = killed(target);
  const answer = await put;
  await again;
  const { items } = await told(target);
  const isWhole = items.length === log.items.length + more.length;
  const isBefore = items.length === log.items.length;
  const faults = [
    ...(isWhole || isBefore ? [] : [`${items.length} things after an import cut short`]),
    ...(answer?.ok && !isWhole ? ["an import that was acknowledged is not there"] : []),
  ];
  await fetch(`${urlOf(target)}/api/log?replace`, { method: "POST", body: before });
  return { tries: 1, faults };
};

/** kill -9 as it starts, before it answers or just after: the next start takes the folder, and answers with all that was there. */
const killsInStart: Attack = async (target, random) => {
  const before = await exportOf(target);
  const ended = new Promise((resolve) => target.child.on("exit", resolve));
  target.child.kill("SIGKILL");
  await ended;
  const young = launch(target.folder, await freePort());
  const gone = new Promise((resolve) => young.on("exit", resolve));
  await wait(random() * 2000);
  young.kill("SIGKILL");
  await gone;
  await start(target);
  const after = await exportOf(target);
  return { tries: 1, faults: after === before ? [] : ["another log after a start that was killed"] };
};

/** A second process on the same folder: it ends by itself, and never answers. */
const secondProcess: Attack = async (target) => {
  const port = await freePort();
  const second = launch(target.folder, port);
  const code = new Promise<number | null>((resolve) => second.on("exit", resolve));
  const answered = await Promise.race([
    code.then(() => false),
    answers(`http://127.0.0.1:${port}`, second).then(
      () => true,
      () => false,
    ),
  ]);
  const faults = answered ? ["two processes answered on one folder"] : [];
  second.kill("SIGKILL");
  const ended = await code;
  if (!answered && ended !== 3) faults.push(`the second process ended with ${ended}`);
  if (!(await fetch(`${urlOf(target)}/api/alive`)).ok) faults.push("the first no longer answers");
  return { tries: 1, faults };
};

const HOSTILE_TEXTS = [
  "\0",
  "\ud800",
  "\u0001",
  "'; drop table item; --",
  "<script>alert(1)</script>",
  "../../../../etc/passwd",
  "=1+1",
  "𝕏".repeat(70),
  "1e999",
  "-0",
  "0000-01-01",
  "9".repeat(400),
  "\n\r\t",
] as const;

/** Any JSON, hostile words in it. */
const anyJson = fc.jsonValue({ maxDepth: 3 });

/** Bodies that nobody should send, to whatever takes one: refused with a sentence, never the server's failure. */
const fuzz: Attack = async (target, random) => {
  const ways = ["/api/marks", "/api/lines", "/api/log?look", "/api/log?add", "/api/what-if", "/api/pair"];
  const faults: string[] = [];
  const seed = Math.floor(random() * 2 ** 31);
  const bodies = [
    ...fc.sample(anyJson, { numRuns: 12, seed }).map((value) => JSON.stringify(value)),
    ...fc.sample(anyFile, { numRuns: 3, seed }).map((file) => spoilt(JSON.stringify(file), random)),
    ...HOSTILE_TEXTS.map((text) =>
      JSON.stringify([{ trip: text, item: text, mark: { use: "used", note: text, where: text } }]),
    ),
    "[".repeat(60_000),
  ];
  for (const body of bodies) {
    const way = pick(ways, random);
    const answer = await fetch(urlOf(target) + way, { method: "POST", body }).catch((error: Error) => error);
    if (answer instanceof Error) faults.push(`${way}: ${answer.message}`);
    else if (answer.status >= 500) faults.push(`${way}: ${answer.status} for ${body.slice(0, 120)}`);
  }
  return { tries: bodies.length, faults };
};

/** A file with one letter of it another. */
function spoilt(text: string, random: () => number): string {
  const at = Math.floor(random() * text.length);
  return text.slice(0, at) + pick(['"', "0", "{", "\0", "é", "-"], random) + text.slice(at + 1);
}

const PATHS = [
  "/",
  "/item/%00",
  "/item/a%20b",
  `/item/${"a".repeat(81)}`,
  "/item/..%2f..%2f",
  "/trips/%F0%9F%8F%94",
  "/unpack/nowhere",
  "/trips/%",
  "/next?trip=%00",
  "/trips/supplies?dry=-1&nights=1e99",
  "/trips/nights?low=abc&bed=%00",
  "/shelf/beside?of=x&of=y",
  "/api/argument?item=%00&verb=x&ground=y",
  "/api/cell?item=x",
  "/api/track/none",
  "/api/list/none?as=csv",
  "/api/weather?from=x",
  "/favicon.icoX",
  "/_next/staticX",
  "/.env",
  "/season?a=0000&b=99999",
] as const;

/** Addresses that cannot be, names it does not listen on, pages of others: 4xx or a page of its own, and nothing of the log to a stranger. */
const probes: Attack = async (target, random) => {
  const faults: string[] = [];
  for (const path of PATHS) {
    const host = random() < 0.3 ? pick(["evil.example", "127.0.0.1.evil.example", ""], random) : null;
    const { status, body } = await raw(target, path, host);
    if (status >= 500) faults.push(`${path}: ${status}`);
    if (host && (status !== 403 || /Quilt|Vask/.test(body)))
      faults.push(`${path} answered to “${host}”: ${status}`);
  }
  const foreign = await fetch(`${urlOf(target)}/api/marks`, {
    method: "POST",
    body: "[]",
    headers: { origin: pick(["null", "http://evil.example", "garbage"], random) },
  });
  if (foreign.status !== 403) faults.push(`a page of another site could write: ${foreign.status}`);
  return { tries: PATHS.length + 1, faults };
};

const raw = ({ port }: Target, path: string, host: string | null) =>
  new Promise<{ status: number; body: string }>((resolve, reject) => {
    const sent = request(
      { port, host: "127.0.0.1", path, ...(host === null ? {} : { headers: { host } }) },
      (answer) => {
        let body = "";
        answer.on("data", (part: Buffer) => (body += part.toString()));
        answer.on("end", () => resolve({ status: answer.statusCode!, body }));
      },
    );
    sent.on("error", reject);
    sent.end();
  });

/** Kills in streams of marks are the surest of all, and are tried again between the others. */
const KILLS = ["kill -9 in streams of marks", killsInMarks] as const;

export const ATTACKS: readonly (readonly [name: string, attack: Attack])[] = [
  ["streams of marks", marksInStreams],
  ["two writers at one thing", twoWriters],
  ["what is accepted is restored", restores],
  ["addresses, names and origins", probes],
  KILLS,
  ["pages after things have left", staleness],
  KILLS,
  ["bodies that nobody should send", fuzz],
  KILLS,
  ["kill -9 in an import", killsInImport],
  KILLS,
  ["kill -9 of a start", killsInStart],
  KILLS,
  ["a second process", secondProcess],
  KILLS,
];
