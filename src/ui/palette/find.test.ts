import { expect, test } from "vitest";
import { demoLog } from "../../../demo/log";
import { wordsForKind } from "@/core/trade/words/names";
import { findGoals } from "./find";
import { goalsOf } from "./places";

const demo = demoLog();
// As the notebook hands them over: what is there before what is gone.
const items = demo.items.toSorted((a, b) => Number(b.state === "active") - Number(a.state === "active"));
const GOALS = goalsOf(
  items.map(({ id, name, kind }) => ({ id, name, words: wordsForKind(kind) })),
  demo.trips.map(({ id, name, starts }) => ({ id, name, words: `trip ${starts.slice(0, 4)}` })),
);
/** The first three that the palette shows for a question. */
const found = (query: string) => findGoals(query, GOALS, 3).map(({ href }) => href);

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
  ["would I have missed the fleece", "/next/replay?list=next&over=all&without=fleece"],
  ["replay", "/next/replay"],
  ["a lighter list over my days", "/next/replay"],
  ["what have you learned about me", "/settings#learned"],
  ["print the list", "/next#print"],
  ["export the log", "/api/log"],
  ["shelf as spreadsheet", "/api/shelf.csv"],
  ["dates into my calendar", "/api/bench.ics"],
  ["add a thing", "/shelf#add"],
  ["edit the trail shoes", "/item/trail-shoes-pair-3/edit"],
  ["my days without the fleece", "/next/replay?list=next&over=all&without=fleece"],
  ["unpack long quill", "/unpack/the-long-quill-2025-06-07"],
  ["wash the down jacket", "/item/down-jacket#between-trips"],
];

test.each(QUESTIONS)("%s: among the first three", (question, href) => {
  expect(found(question)).toContain(href);
});

test("what names nothing finds nothing", () => {
  expect(found("zeppelin")).toEqual([]);
  expect(findGoals("", GOALS, 3).every(({ sort }) => sort === "page")).toBe(true);
});
