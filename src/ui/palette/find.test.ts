import { expect, test } from "vitest";
import { demoLog } from "../../../demo/log";
import { wordsForKind } from "@/core/trade/words/names";
import { findScore } from "./find";
import { OF_A_THING, PAGES } from "./places";

const demo = demoLog();
// As the notebook hands them over: what is there before what is gone.
const items = demo.items.toSorted((a, b) => Number(b.state === "active") - Number(a.state === "active"));
const log = { ...demo, items };
const GOALS = [
  ...PAGES,
  ...log.items.map(({ id, name, kind }) => ({
    name,
    words: `${wordsForKind(kind)} ${OF_A_THING}`,
    href: `/item/${id}`,
  })),
  ...log.trips.map(({ id, name, starts }) => ({
    name,
    words: `trip ${starts.slice(0, 4)}`,
    href: `/trips/${id}`,
  })),
  ...log.items.map(({ id, name }) => ({
    name: `Log work on ${name}`,
    words: "repair repaired mend mended wash washed service serviced done mark",
    href: `/item/${id}#between-trips`,
  })),
];
/** The best found for a question, as the palette shows them: by how well, pages before things where alike. */
const found = (query: string) =>
  GOALS.map((goal, n) => ({ ...goal, n, score: findScore(query, goal.name, goal.words) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.n - b.n)
    .slice(0, 3)
    .map(({ href }) => href);

/** Plain questions, and where their answer stands. */
const QUESTIONS: readonly (readonly [question: string, href: string])[] = [
  ["what's left in my gas", "/trips/supplies"],
  ["which bag for frost", "/trips/nights"],
  ["is my quilt warm enough", "/trips/nights"],
  ["how much food a day", "/trips/supplies"],
  ["will the battery last", "/trips/supplies"],
  ["how much water", "/trips/supplies"],
  ["money", "/shelf/money"],
  ["what did my tent cost a night", "/shelf/money"],
  ["weigh", "/shelf/weigh"],
  ["scale", "/shelf/weigh"],
  ["season", "/season"],
  ["nights", "/trips/nights"],
  ["were the verdicts right", "/season"],
  ["what to drop", "/verdicts"],
  ["what should I leave", "/verdicts"],
  ["what to replace", "/verdicts"],
  ["repair jobs", "/bench"],
  ["what to buy", "/bench"],
  ["packing list", "/next"],
  ["what to take", "/next"],
  ["next", "/next"],
  ["unpack", "/unpack"],
  ["mark the trip", "/unpack"],
  ["debrief", "/unpack"],
  ["write a line", "/trail"],
  ["import spreadsheet", "/shelf/import"],
  ["xlsx", "/shelf/import"],
  ["export", "/settings"],
  ["backup", "/settings"],
  ["pair my phone", "/settings"],
  ["school", "/settings"],
  ["which shoes lasted longest", "/shelf/beside"],
  ["compare lists", "/trips/compare"],
  ["dead weight", "/verdicts#pack"],
  ["what if another school", "/verdicts#what-if"],
  ["wish list", "/shelf/wishes"],
  ["ready to go", "/ready"],
  ["rules of thumb", "/settings/numbers"],
  ["new trip", "/trips/new"],
  ["rain jacket", "/item/rain-shell"],
  ["headlamp", "/item/second-head-torch"],
  ["long quill", "/trips/the-long-quill-2025-06-07"],
  ["tent repaired", "/item/two-pole-tent#between-trips"],
  ["is my bag warm enough at -3", "/trips/nights"],
  ["what has leaving saved", "/season"],
  ["what did the swap save, was it worth it", "/season"],
  ["rain trousers used when it rained", "/item/rain-trousers"],
  ["gas left now", "/trips/supplies"],
  ["how far till the shoes are done", "/item/trail-shoes-pair-3"],
  ["hobby kit in kg km", "/trips/loads"],
  ["when was the winter bag last washed", "/item/winter-bag"],
  ["which trip had most dead weight", "/trips/loads"],
  ["base weight", "/trips/loads"],
  ["big three", "/trips/loads"],
  ["would I have missed the fleece", "/next/replay"],
  ["replay", "/next/replay"],
  ["a lighter list over my days", "/next/replay"],
  ["what have you learned about me", "/settings#learned"],
  ["wash the down jacket", "/item/down-jacket#between-trips"],
];

test.each(QUESTIONS)("%s: among the first three", (question, href) => {
  expect(found(question)).toContain(href);
});

test("what names nothing finds nothing", () => {
  expect(found("zeppelin")).toEqual([]);
  expect(found("")).toEqual([]);
});
