import { mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import type { ChildProcess } from "node:child_process";
import { tmpdir } from "node:os";
import path from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { sheetOf } from "@/app/(notebook)/(tally)/sheet-of";
import { replayer } from "@/core/replay/replay";
import { questionsAfter } from "@/core/ask/questions";
import { openBook, withMark, type Book } from "@/core/ledger/book";
import { compareLists, listOf } from "@/core/compare/lists";
import { FeltNight, ItemId, JOBS, LegId, Mark, Supply, type WholeLog } from "@/core/model";
import { bestWithin } from "@/core/plan/best";
import { planFor } from "@/core/plan/plan";
import { sleepOf } from "@/core/weighin/sleep";
import { supplyUses } from "@/core/weighin/supplies";
import { hear, namedOf } from "@/core/hear/hear";
import { kitAfter, kitOf, underNext } from "@/core/advice/kit";
import { whatIf } from "@/core/advice/what-if";
import { readLatest } from "@/app/reading";
import { changeCarry } from "@/data/records/carries";
import type { Store } from "@/data/db";
import { readLog, replaceLog } from "@/data/records/log";
import { migrate } from "@/data/migrate";
import { liteStore, openStore } from "@/data/store";
import { joinTracks } from "@/core/track/join";
import { thinned } from "@/core/track/thin";
import { parseXml, readGpx } from "@/formats/gpx";
import { writeLogFile } from "@/formats/log-file";
import { ensureBuild } from "../scripts/setup.mjs";
import { answers, freePort, launch, openBrowser } from "../tests/launch";
import type { Page } from "playwright-core";
import { seeded } from "../tests/seeded";
import { firstLoads } from "./first-load";
import { madeUpLog } from "./made-up-log";

const ITEMS = 300;
const TRIPS = 200;
const POINTS = 100_000;
const TODAY = "2026-01-01";

const timed = async (work: () => unknown): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};

const middle = (numbers: readonly number[]) =>
  [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)]!;

/** Median time in ms of some runs, after two that warm up. */
async function median(work: () => unknown, runs = 9): Promise<number> {
  const times: number[] = [];
  for (let n = 0; n < runs + 2; n++) times.push(await timed(work));
  return middle(times.slice(2));
}

/**
 * Times `work` against `base`, turn about, so that what slows the machine slows both; after two turns that warm up.
 * Tells the median of the ratios, and the least and the most of them.
 */
async function against(
  base: () => unknown,
  what: string,
  work: () => unknown,
  aim: string,
  runs = 15,
): Promise<void> {
  const turns: { ms: number; ratio: number }[] = [];
  for (let n = 0; n < runs + 2; n++) {
    const of = await timed(base);
    const ms = await timed(work);
    if (n >= 2) turns.push({ ms, ratio: ms / of });
  }
  const ratios = turns.map(({ ratio }) => ratio);
  console.log(
    `${what.padEnd(58)} ${middle(turns.map(({ ms }) => ms))
      .toFixed(0)
      .padStart(
        6,
      )} ms  ${middle(ratios).toFixed(2).padStart(6)} ×  (${Math.min(...ratios).toFixed(1)} to ${Math.max(...ratios).toFixed(1)})   aim ${aim}`,
  );
}

/** A database of a large log, and a snapshot of it to start servers from. */
async function largeLog(folder: string): Promise<{ store: Store; snapshot: string }> {
  console.log(`\n${ITEMS} items × ${TRIPS} trips, ${ITEMS * TRIPS} marks`);
  const lite = await PGlite.create(path.join(folder, "pg"));
  const store = liteStore(lite);
  await migrate(store);
  await store.transaction((tx) => replaceLog(tx, madeUpLog(ITEMS, TRIPS)));
  const snapshot = path.join(folder, "big.tar");
  await writeFile(snapshot, Buffer.from(await (await lite.dumpDataDir("none")).arrayBuffer()));
  return { store, snapshot };
}

async function speedOfJudgement(store: Store): Promise<void> {
  const aggregate = () =>
    store.query(
      `select c.item, c.use, count(*)::int as trips, sum(l.metres)::float8 as metres, sum(t.ends - t.starts)::int as nights
       from carry c join trip t on t.id = c.trip join (select trip, sum(distance_m) as metres from leg group by trip) l on l.trip = t.id
      group by c.item, c.use`,
    );
  console.log(
    `${"one plain SQL aggregate over the marks".padEnd(58)} ${(await median(aggregate)).toFixed(0).padStart(6)} ms`,
  );
  await against(
    aggregate,
    "tally page's server work: query, judgement, sheet",
    async () => {
      const book = openBook(await readLog(store), TODAY);
      sheetOf(kitOf(book));
    },
    "≤ 5 ×",
  );
  // As the server does it: what it has read and judged is kept, and only what the mark touches is done again.
  (globalThis as { nettleStore?: Promise<Store> }).nettleStore = Promise.resolve(store);
  let marked = 0;
  await against(
    aggregate,
    "a mark, and the tally page's server work after it",
    async () => {
      const { book: before } = await readLatest();
      marked += 7;
      await changeCarry(store, {
        item: before.items[marked % ITEMS]!.id,
        trip: before.outings[marked % TRIPS]!.trip.id,
        use: "hardly",
      });
      sheetOf((await readLatest()).kit);
    },
    "≤ 5 ×",
  );
  const log = await readLog(store);
  await against(
    aggregate,
    "whole verdict run, from the log in memory",
    () => kitOf(openBook(log, TODAY)),
    "≤ 5 ×",
  );
  const book = openBook(log, TODAY);
  const kit = kitOf(book);
  const fromSurvey = () => underNext(kit, book.next);
  await against(aggregate, "all verdicts, from totals", fromSurvey, "≤ 5 ×");
  const fromTotals = await median(fromSurvey);
  // Each run changes the mark of another thing: what one touches differs from thing to thing.
  let next = 0;
  const changed = () => {
    const item = book.items[(next += 7) % ITEMS]!.id;
    return { item, trip: book.outings[next % TRIPS]!.trip.id, mark: Mark.parse({ use: "unused" }) };
  };
  const one = await median(() => {
    const mark = changed();
    kitAfter(kit, withMark(book, mark), [mark.item]);
  }, 99);
  console.log(
    `${"one changed mark, judged again".padEnd(58)} ${one.toFixed(1).padStart(6)} ms  1/${(fromTotals / one).toFixed(0).padStart(3)} of all verdicts   aim ≤ 1/20`,
  );
  await against(aggregate, "what if: another school", () => whatIf(kit, { school: "lean" }), "–");
  await speedOfNumbers(book, aggregate);
}

/** The sums of a trip, of all trips, and of the next: lists against lists, the owner's rates and beds, the plan, the best list. */
async function speedOfNumbers(book: Book, aggregate: () => unknown): Promise<void> {
  const random = seeded(5);
  const felts = ["cool", "right", "warm"] as const;
  // Every trip tells of its supplies, and of two nights in a bed.
  const bed = book.items.find(({ kind }) => kind === "quilt")!.id;
  const told: Book = {
    ...book,
    outings: book.outings.map((outing) => ({
      ...outing,
      trip: {
        ...outing.trip,
        supplies: ["gas", "food"].map((what) =>
          Supply.parse({ what, unit: "g", out: 300, back: Math.round(random() * 200) }),
        ),
        felt: felts
          .slice(0, 2)
          .map((felt) => FeltNight.parse({ low: Math.round(random() * 12 - 3), felt, slept: [bed] })),
      },
    })),
  };
  await against(
    aggregate,
    `the owner's rates and beds, from ${TRIPS} trips`,
    () => [supplyUses(told), sleepOf(told)],
    "≤ 2 ×",
  );
  const [first, last] = [book.outings[0]!, book.outings.at(-1)!].map(book.tripOf);
  const list = await median(() => compareLists(listOf(first!, book.item), listOf(last!, book.item)));
  console.log(
    `${`a list of ${ITEMS} things against another`.padEnd(58)} ${list.toFixed(1).padStart(6)} ms   aim ≤ 50 ms`,
  );
  await against(
    aggregate,
    `the plan for ${ITEMS} things, judged anew for it`,
    () => planFor(book, null),
    "–",
  );
  const things = Array.from({ length: 150 }, (_, n) => ({
    id: ItemId.parse(`thing-${n}`),
    grams: Math.round(10 + random() * 600),
    litres: Math.round(random() * 30) / 10,
    worth: Math.round(random() * 1000),
    jobs: n % 11 === 0 ? [JOBS[n % JOBS.length]!] : [],
    needs: n % 9 === 0 && n > 0 ? [ItemId.parse(`thing-${n - 1}`)] : [],
    goes: false,
  }));
  const half = things.reduce((sum, { grams }) => sum + grams, 0) / 2;
  const within = { grams: half, litres: 150 };
  const best = await median(() => bestWithin(things, within), 5);
  const found = bestWithin(things, within);
  console.log(
    `${"the best list of 150 things within a weight".padEnd(58)} ${best.toFixed(0).padStart(6)} ms   ${found.fits && found.proved ? "proved" : "NOT proved"}   aim ≤ 2000 ms`,
  );
}

/** A trip holds two thousand things at most: of five thousand, a third goes along on each. */
const TAKEN = 1 / 3;

/** How judging grows with the things, and what the questions after it cost. */
async function growthOfJudgement(): Promise<void> {
  console.log("\nTo a whole verdict run over 500 items × 50 trips");
  const [small, large] = [500, 5000].map((items) => openBook(madeUpLog(items, 50, TAKEN), TODAY)) as [
    Book,
    Book,
  ];
  const base = () => kitOf(small);
  await against(base, "a whole verdict run over 5000 items × 50 trips", () => kitOf(large), "≤ 15 ×", 7);
  const kit = kitOf(small);
  await against(base, "the questions worth asking of 500 items", () => questionsAfter(kit), "≤ 3 ×", 7);
}

/** A list walked over every day of a long life of walking, held against opening those days. */
async function speedOfReplay(): Promise<void> {
  console.log("\nTo opening the past of 300 items × 200 trips");
  const book = openBook(madeUpLog(300, 200, TAKEN), TODAY);
  const past = replayer(book, ({ weight }) => weight?.g ?? 0);
  const list = book.items.filter((_, n) => n % 2 === 0);
  const ms = await median(() => past.replay(list), 9);
  console.log(
    `${`a list over its ${past.days.length} days`.padEnd(58)} ${ms.toFixed(0).padStart(6)} ms   aim ≤ 200 ms`,
  );
  await against(
    () => replayer(book, ({ weight }) => weight?.g ?? 0),
    "walking a list over them",
    () => past.replay(list),
    "≤ 1 ×",
    7,
  );
}

/** A debrief of 1500 words over a shelf of a hundred things, held against reading one line of it. */
async function speedOfHearing(): Promise<void> {
  console.log("\nHearing");
  const things = openBook(madeUpLog(100, 1, 1), TODAY).items.map((item) => namedOf(item, true));
  const [first, second] = things;
  const sentence = `The ${first!.name} leaked on day two, I patched it, and the ${second!.name} I never used, it could have stayed at home. `;
  const text = sentence.repeat(Math.ceil(1500 / sentence.split(" ").length));
  const ms = await median(() => hear(text, things), 9);
  console.log(
    `${`a talk of ${text.split(" ").length} words`.padEnd(58)} ${ms.toFixed(0).padStart(6)} ms   aim ≤ 300 ms`,
  );
  await against(
    () => hear(sentence, things),
    "the talk, to one of its sentences",
    () => hear(text, things),
    "–",
    9,
  );
}

async function speedOfTracks(): Promise<void> {
  console.log(`\nGPX of ${POINTS} points`);
  const points = Array.from(
    { length: POINTS },
    (_, n) =>
      `<trkpt lat="${(10 + Math.sin(n / 900) / 10).toFixed(6)}" lon="${(20 + n / 40_000).toFixed(6)}"><ele>${(300 + 200 * Math.sin(n / 700)).toFixed(1)}</ele><time>${new Date(1_750_000_000_000 + n * 5000).toISOString()}</time></trkpt>`,
  );
  const text = `<?xml version="1.0"?><gpx version="1.1"><trk><trkseg>${points.join("\n")}</trkseg></trk></gpx>`;
  await against(
    () => parseXml(text),
    "read, measured, cut into days and thinned, to the XML package alone",
    () => {
      const read = readGpx(text);
      const walk = read.ok ? joinTracks(read.tracks) : read;
      if (!walk.ok) throw new Error(walk.why);
      thinned(walk.value);
    },
    "≤ 3 ×",
    7,
  );
}

const watchTasks = (page: Page) =>
  page.evaluate(() => {
    const kept = window as unknown as { tasks: number[] };
    kept.tasks = [];
    new PerformanceObserver((list) =>
      kept.tasks.push(...list.getEntries().map((entry) => entry.duration)),
    ).observe({ type: "longtask" });
  });
/** The longest task, in ms, since it was last asked; 0: none over 50. */
const longestTask = (page: Page) =>
  page.evaluate(() =>
    (window as unknown as { tasks: number[] }).tasks.splice(0).reduce((most, ms) => Math.max(most, ms), 0),
  );

/** A trip of so many legs and things, with or without a track of a hundred thousand points. */
function tripLog(legs: number, things: number, hasTrack: boolean): WholeLog {
  const log = madeUpLog(things, 1);
  const trip = log.trips[0]!;
  const ids = Array.from({ length: legs }, (_, n) => LegId.parse(`leg-${n + 1}`));
  const walk = joinTracks([
    {
      file: "long.gpx",
      name: "long",
      segments: [
        Array.from({ length: POINTS }, (_, n) => ({
          lat: 10 + Math.sin(n / 900) / 10,
          lon: 20 + n / 40_000,
          ele: 300 + 200 * Math.sin(n / 700),
          time: 1_750_000_000_000 + n * 5000,
        })),
      ],
    },
  ]);
  if (!walk.ok) throw new Error(walk.why);
  return {
    ...log,
    trips: [
      {
        ...trip,
        legs: ids.map((id) => ({ ...trip.legs[0]!, id })),
        // On the long walk everything joined or left somewhere.
        carries: trip.carries.map((carry, n) => ({
          ...carry,
          legs: legs > 1 ? ids.slice(0, 1 + (n % (legs - 1))) : null,
        })),
      },
    ],
    tracks: hasTrack ? [{ ...thinned(walk.value), trip: trip.id }] : [],
  };
}

/** The page of a long trip beside that of a short one, and its picture of what joined and left under the hand. */
async function speedOfTripPage(folder: string): Promise<void> {
  console.log("\nThe page of a trip");
  await ensureBuild();
  const served = await Promise.all(
    [tripLog(1, 40, false), tripLog(12, 120, true)].map(async (log, n) => {
      const data = path.join(folder, `trip-${n}`);
      const store = await openStore({ folder: data });
      await store.transaction((tx) => replaceLog(tx, log));
      await store.close();
      const port = await freePort();
      const child = launch(data, port);
      const url = `http://127.0.0.1:${port}`;
      await answers(url, child);
      return { child, page: `${url}/trips/${log.trips[0]!.id}` };
    }),
  );
  const browser = await openBrowser();
  try {
    const [short, long] = served.map(({ page }) => page) as [string, string];
    await against(
      async () => (await fetch(short)).text(),
      "12 legs, 120 things, 100 000 points, to 1 leg and 40 things",
      async () => (await fetch(long)).text(),
      "≤ 2 ×",
    );
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(long, { waitUntil: "networkidle" });
    await page.getByRole("button", { name: /^Show the other/ }).click();
    await page.waitForTimeout(1500);
    await watchTasks(page);
    const rounds: number[] = [];
    const end = page.getByRole("slider", { name: /, to$/ }).nth(40);
    await end.scrollIntoViewIfNeeded();
    const box = (await end.boundingBox())!;
    for (let n = 0; n < 5; n++) {
      await longestTask(page);
      await page.mouse.move(box.x + 4, box.y + 8);
      await page.mouse.down();
      for (let step = 0; step < 60; step++) await page.mouse.move(box.x + 4 + step * 3, box.y + 8);
      for (let step = 60; step >= 0; step--) await page.mouse.move(box.x + 4 + step * 3, box.y + 8);
      rounds.push(await longestTask(page));
      await page.mouse.up();
      await page.waitForTimeout(1500);
    }
    const sorted = rounds.map(Math.round).sort((a, b) => a - b);
    console.log(
      `${"dragging in the picture of 120 things".padEnd(58)} ${String(sorted[2] || "none over 50").padStart(6)} ms          aim ≤ 50   (5 rounds: ${sorted.join(", ")})`,
    );
  } finally {
    await browser.close();
    for (const { child } of served) child.kill();
  }
}

/** Longest task, in ms, while `work` goes on in the page. */
async function smoothness(folder: string, snapshot: string): Promise<void> {
  console.log("\nThe sheet in the browser, longest task while");
  await ensureBuild();
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const child = launch(path.join(folder, "served"), port, snapshot);
  const browser = await openBrowser();
  try {
    await answers(url, child);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(url, { waitUntil: "networkidle" });
    await watchTasks(page);
    // The machine is shared: a round in which something else took it says nothing of the page, so the median round is told.
    const inRounds = async (what: string, walk: () => Promise<void>) => {
      const rounds: number[] = [];
      for (let n = 0; n < 5; n++) {
        await longest();
        await walk();
        await page.waitForTimeout(300);
        rounds.push(await longest());
      }
      const sorted = rounds.map(Math.round).sort((a, b) => a - b);
      console.log(
        `${what.padEnd(58)} ${String(sorted[2] || "none over 50").padStart(6)} ms          aim ≤ 50   (5 rounds: ${sorted.join(", ")})`,
      );
    };
    const longest = () => longestTask(page);
    const tell = async (what: string) =>
      console.log(
        `${what.padEnd(58)} ${String(Math.round(await longest()) || "none over 50").padStart(6)} ms          aim ≤ 50`,
      );
    await page.waitForTimeout(1000);
    await longest(); // what was left of loading the page
    await page.mouse.move(500, 500);
    await inRounds("scrolling down and across, back and forth", async () => {
      for (const way of [1, -1]) {
        for (let n = 0; n < 40; n++) await page.mouse.wheel(0, way * 120);
        for (let n = 0; n < 40; n++) await page.mouse.wheel(way * -120, 0);
      }
    });
    await page.mouse.click(560, 560); // a cell in view, as a walker would
    await inRounds("walking by arrow keys", async () => {
      for (const key of ["ArrowDown", "ArrowLeft", "ArrowUp", "ArrowRight"])
        for (let n = 0; n < 40; n++) await page.keyboard.press(key);
    });
    await page.goto(`${url}/trips/new`, { waitUntil: "networkidle" });
    await watchTasks(page);
    const track = `<gpx><trk><trkseg>${Array.from({ length: POINTS }, (_, n) => `<trkpt lat="10" lon="${(20 + n / 40_000).toFixed(6)}"><ele>${n % 50}</ele></trkpt>`).join("")}</trkseg></trk></gpx>`;
    const file = path.join(folder, "long.gpx");
    await writeFile(file, track);
    await page.locator("input[type=file]").setInputFiles(file);
    await page.getByText(/points: /).waitFor();
    await tell(`reading a track of ${POINTS} points`);
  } finally {
    await browser.close();
    child.kill();
  }
}

/** What the server weighs after many pages of a large log, and how soon it answers after it was killed; beside one plain page. */
async function weightOfServer(folder: string, snapshot: string): Promise<void> {
  const data = path.join(folder, "served");
  /** Starts it, and waits for the first answer to `at`. */
  const begin = async (from?: string, at = "/api/shelf.csv") => {
    const port = await freePort();
    const child = launch(data, port, from);
    const url = `http://127.0.0.1:${port}`;
    const start = performance.now();
    while (
      !(await fetch(url + at).then(
        ({ ok }) => ok,
        () => false,
      ))
    )
      await new Promise((resolve) => setTimeout(resolve, 25));
    return { url, child, answered: performance.now() - start };
  };
  const ended = (child: ChildProcess, signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      child.on("exit", () => resolve());
      child.kill(signal);
    });
  let server = await begin(snapshot);
  await ended(server.child, "SIGKILL");
  server = await begin();
  const load = async (at: string) => (await fetch(server.url + at)).text();
  const plain = await median(() => load("/api/alive"));
  const pages = ["/", "/verdicts", "/shelf", "/trips", "/bench", "/next", "/season", "/settings"];
  for (let n = 0; n < PAGE_LOADS; n += 1) await load(pages[n % pages.length]!);
  const status = await readFile(`/proc/${server.child.pid}/status`, "utf8");
  const resident = Number(/VmRSS:\s+(\d+) kB/.exec(status)?.[1]) / 1024;
  console.log(`resident after ${PAGE_LOADS} page loads: ${resident.toFixed(0)} MB (aim 700)`);
  console.log(`verdicts: ${((await load("/verdicts")).length / 1024).toFixed(0)} KB of HTML (aim 600)`);
  for (const [what, at] of [
    ["first answer", "/api/shelf.csv"],
    ["first page, with all of it judged,", "/shelf"],
  ] as const) {
    const answers: number[] = [];
    for (let n = 0; n < 5; n += 1) {
      await ended(server.child, "SIGKILL");
      server = await begin(undefined, at);
      answers.push(server.answered);
    }
    console.log(
      `${what} after kill -9: ${(middle(answers) / 1000).toFixed(1)} s (aim 3), ${(middle(answers) / plain).toFixed(0)} × one plain answer of ${plain.toFixed(1)} ms`,
    );
  }
  await ended(server.child, "SIGTERM");
}
const PAGE_LOADS = 200;

/** Files that are made to be slow, or are as large as they come, each in its own way. */
const worstFiles = (): readonly (readonly [what: string, text: string])[] => [
  ["4 MB of brackets, quotes and blanks", '["'.repeat(1_000_000) + " ".repeat(2_000_000)],
  ["brackets opened and never closed, 4 MB", "[1,".repeat(1_300_000)],
  ["40 MB of one text", `{"format":"${"x".repeat(40_000_000)}"}`],
  ["20 MB of escaped letters", `{"format":"${"\\u0001".repeat(3_300_000)}"}`],
  ["a log of 300 things, 200 trips, to be read whole", writeLogFile(madeUpLog(300, 200))],
];

/** What the first load of each page brings, beside what the framework needs for any. */
async function weightOfPages(): Promise<void> {
  await ensureBuild();
  const loads = firstLoads();
  const least = Math.min(...loads.map(({ bytes }) => bytes));
  const kilobytes = (bytes: number) => `${Math.round(bytes / 1024)} KB`;
  console.log(`first load, gzip; the framework alone is ${kilobytes(least)}`);
  for (const { page, bytes } of loads) console.log(`${kilobytes(bytes).padStart(8)}  ${page}`);
}

/** While a file is read that keeps its reader busy, another page answers as it does otherwise. */
async function pagesBesideFiles(folder: string, snapshot: string): Promise<void> {
  const port = await freePort();
  const child = launch(path.join(folder, "beside"), port, snapshot);
  const url = `http://127.0.0.1:${port}`;
  await answers(url, child);
  const page = async () => (await fetch(`${url}/shelf`)).text();
  for (const [what, text] of worstFiles()) {
    const usual: number[] = [];
    const beside: number[] = [];
    for (let turn = 0; turn < 7; turn += 1) {
      let start = performance.now();
      await page();
      usual.push(performance.now() - start);
      const read = fetch(`${url}/api/log?look`, { method: "POST", body: text });
      await new Promise((resolve) => setTimeout(resolve, 150));
      start = performance.now();
      await page();
      beside.push(performance.now() - start);
      await (await read).text();
    }
    const ratios = beside.map((ms, n) => ms / usual[n]!);
    console.log(
      `another page, while the server reads ${what}: ${middle(ratios).toFixed(2)} × as long (aim 1.5)`,
    );
  }
  child.kill();
}

const folder = await mkdtemp(path.join(tmpdir(), "nettle-bench-"));
// `npm run bench -- growth tracks`: only what is named; the sheet is drawn of what judging was timed on.
const parts = process.argv.slice(2);
const wants = (part: string) => parts.length === 0 || parts.includes(part);
try {
  const large = ["judgement", "sheet", "server", "files"].some(wants) ? await largeLog(folder) : null;
  if (large && wants("judgement")) await speedOfJudgement(large.store);
  await large?.store.close();
  if (wants("growth")) await growthOfJudgement();
  if (wants("replay")) await speedOfReplay();
  if (wants("tracks")) await speedOfTracks();
  if (wants("hear")) await speedOfHearing();
  if (wants("pages")) await weightOfPages();
  if (wants("trip")) await speedOfTripPage(folder);
  if (large && wants("server")) await weightOfServer(folder, large.snapshot);
  if (large && (wants("server") || wants("files"))) await pagesBesideFiles(folder, large.snapshot);
  if (large && wants("sheet")) await smoothness(folder, large.snapshot);
} finally {
  await rm(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
}
