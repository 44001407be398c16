import { beforeEach, expect, test, vi } from "vitest";
import type { ItemId, TripId } from "@/core/model";
import type { SentMark } from "./send-mark";

vi.mock(import("../follow/channel"), () => ({ tellOtherTabs: () => undefined }));

/** What the server is asked, in order, and what it answers; each answer is waited for. */
interface Asked {
  readonly marks: readonly SentMark[];
  readonly answer: (status: number, body?: unknown) => void;
  readonly breakOff: () => void;
}
let asked: Asked[] = [];
let stored: Map<string, string>;

/** The module anew, as a page that is loaded has it; what the browser has stored stays. */
async function load() {
  vi.resetModules();
  return import("./send-mark");
}

beforeEach(() => {
  asked = [];
  stored = new Map();
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => stored.set(key, value),
    removeItem: (key: string) => stored.delete(key),
  });
  vi.stubGlobal("window", new EventTarget());
  vi.stubGlobal(
    "fetch",
    (_: string, { body }: { body: string }) =>
      new Promise<Response>((resolve, reject) => {
        asked.push({
          marks: JSON.parse(body) as SentMark[],
          answer: (status, said) => resolve(Response.json(said ?? null, { status })),
          breakOff: () => reject(new Error("network")),
        });
      }),
  );
});

const mark = (item: string, note = ""): SentMark => ({
  trip: "walk" as TripId,
  item: item as ItemId,
  mark: { use: "used", note },
});
const known = (item: string) => ({ item, legs: null, shared: null, mark: { use: "unused" } });
const named = ({ marks }: Asked) => marks.map(({ item }) => item).join("");
/** Waits until the server has been asked so often. */
const askedTimes = (times: number) => vi.waitFor(() => expect(asked).toHaveLength(times));

test("a mark goes out at once; those made while it is on its way go out together, in the order they were made", async () => {
  const { sendMark } = await load();
  const all = ["a", "b", "c"].map((item) => sendMark(mark(item)));
  await askedTimes(1);
  expect(named(asked[0]!)).toBe("a");
  asked[0]!.answer(200, [known("a")]);
  await askedTimes(2);
  expect(named(asked[1]!)).toBe("bc");
  asked[1]!.answer(200, [null, known("c")]);
  // Each is told what was known of its own thing before.
  expect((await Promise.all(all)).map((before) => before?.item ?? null)).toEqual(["a", null, "c"]);
  expect(stored.size).toBe(0);
});

test("of one thing marked again the last word waits, and is the last to be sent", async () => {
  const { sendMark } = await load();
  const all = [sendMark(mark("a")), sendMark(mark("b", "first")), sendMark(mark("b", "second"))];
  await askedTimes(1);
  expect(JSON.parse([...stored.values()][0]!)).toMatchObject([
    { item: "a" },
    { item: "b", mark: { note: "second" } },
  ]);
  asked[0]!.answer(200, [null]);
  await askedTimes(2);
  expect(asked[1]!.marks).toMatchObject([{ mark: { note: "first" } }, { mark: { note: "second" } }]);
  asked[1]!.answer(200, [null, null]);
  await Promise.all(all);
  expect(stored.size).toBe(0);
});

test("out of reach it waits in the browser, outlives the page, and is sent again from the next", async () => {
  const first = await load();
  const lost = first.sendMark(mark("a", "torn"));
  // On its way for the first time it is not told of as waiting.
  expect(first.keptMarks().waiting).toEqual([]);
  await askedTimes(1);
  asked[0]!.breakOff();
  await expect(lost).rejects.toThrow("The server can’t be reached.");
  expect(first.keptMarks().waiting).toEqual([mark("a", "torn")]);

  const next = await load();
  expect(next.keptMarks().waiting).toEqual([mark("a", "torn")]);
  const sent = next.sendWaiting();
  await askedTimes(2);
  expect(asked[1]!.marks).toEqual([mark("a", "torn")]);
  // What is sent again is still told of, until it is there; and it is not sent twice.
  expect(next.keptMarks().waiting).toHaveLength(1);
  expect(await next.sendWaiting()).toBe(0);
  asked[1]!.answer(200, [null]);
  expect(await sent).toBe(1);
  expect(next.keptMarks()).toEqual({ waiting: [], refused: [] });
});

test("a server that fails may do better later; one that refuses will not, and its words are kept for the owner", async () => {
  const { sendMark, keptMarks, forgetRefused } = await load();
  const failed = sendMark(mark("a"));
  await askedTimes(1);
  asked[0]!.answer(500);
  await expect(failed).rejects.toThrow("The server answered 500.");
  expect(keptMarks()).toMatchObject({ waiting: [{ item: "a" }], refused: [] });

  const refused = sendMark(mark("b"));
  await askedTimes(2);
  asked[1]!.answer(409, { why: "That leg is no longer there." });
  await expect(refused).rejects.toThrow("That leg is no longer there.");
  expect(keptMarks()).toMatchObject({
    waiting: [{ item: "a" }],
    refused: [{ item: "b", why: "That leg is no longer there." }],
  });
  forgetRefused();
  expect(keptMarks().refused).toEqual([]);
});

test("one bad mark takes no other along: refused together, each is sent alone", async () => {
  const { sendMark, keptMarks } = await load();
  const all = ["a", "b", "c"].map((item) => sendMark(mark(item)));
  const outcomes = Promise.allSettled(all);
  await askedTimes(1);
  asked[0]!.answer(200, [null]);
  await askedTimes(2);
  asked[1]!.answer(400, { why: "b: it can’t be read." });
  await askedTimes(3);
  expect(named(asked[2]!)).toBe("b");
  asked[2]!.answer(400, { why: "b: it can’t be read." });
  await askedTimes(4);
  expect(named(asked[3]!)).toBe("c");
  asked[3]!.answer(200, [null]);
  expect((await outcomes).map(({ status }) => status)).toEqual(["fulfilled", "rejected", "fulfilled"]);
  expect(keptMarks()).toMatchObject({ waiting: [], refused: [{ item: "b" }] });
});

test("long notes go out in several batches, as a closing page may send 64 KiB at most", async () => {
  const { sendMark } = await load();
  const items = Array.from({ length: 12 }, (_, n) => `thing-${n}`);
  const all = [sendMark(mark("first")), ...items.map((item) => sendMark(mark(item, "x".repeat(3900))))];
  const sizes: number[] = [];
  for (let n = 0; sizes.reduce((sum, size) => sum + size, 0) < items.length + 1; n += 1) {
    await askedTimes(n + 1);
    sizes.push(asked[n]!.marks.length);
    asked[n]!.answer(
      200,
      asked[n]!.marks.map(() => null),
    );
  }
  await Promise.all(all);
  expect(sizes).toEqual([1, 5, 5, 2]);
  for (const { marks } of asked) expect(JSON.stringify(marks).length).toBeLessThan(65_536);
});

test("what is stored by something else is no mark; whoever watches is told of each change, until it stops", async () => {
  stored.set("nettle-waiting-marks", "{ torn");
  const { sendMark, keptMarks, watchKept } = await load();
  expect(keptMarks().waiting).toEqual([]);
  let times = 0;
  const stop = watchKept(() => (times += 1));
  const sent = sendMark(mark("a"));
  await askedTimes(1);
  asked[0]!.answer(200, [null]);
  await sent;
  const soFar = times;
  expect(soFar).toBeGreaterThanOrEqual(2);
  // Another tab's change comes as an event, of these keys alone.
  window.dispatchEvent(Object.assign(new Event("storage"), { key: "nettle-refused-marks" }));
  window.dispatchEvent(Object.assign(new Event("storage"), { key: "another" }));
  expect(times).toBe(soFar + 1);
  stop();
  window.dispatchEvent(Object.assign(new Event("storage"), { key: "nettle-refused-marks" }));
  expect(times).toBe(soFar + 1);
});
