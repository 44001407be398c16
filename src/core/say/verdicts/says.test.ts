import { describe, expect, test } from "vitest";
import { logOf } from "../../../../tests/histories";
import { one, verdicts } from "../../../../tests/judged";
import { findingOf, type Finding, type Reason, type ReasonFacts } from "../../reasons/finding";
import { says } from "./says";

/** As a test reads it: the blanks that hold a number to its unit are blanks. */
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");

describe("a sentence for each reason, branch by branch", () => {
  /** The case of one thing after two trips, the last told of in a note. */
  const caseOf = (item: object = { kind: "filter" }, note = "") =>
    verdicts(logOf(one(item, 2, (at) => (at === 1 ? { note } : {}))))[0]!.case;
  const said = <R extends Reason>(
    reason: R,
    facts: ReasonFacts[R],
    told: Partial<Finding> = {},
    it = caseOf(),
  ) =>
    plain(
      says(
        it,
        findingOf({
          verb: "keep",
          reason,
          facts,
          urgency: "watch",
          sureness: "sure",
          trips: [],
          ...told,
        } as never),
      ),
    );

  test("a look names what can be measured, where there is more than a grade", () => {
    const facts = { worn: 0, givesOut: 0.4, unit: "nights" } as const;
    const grade = "grade it 0 to 5";
    expect(said("look it over", facts, {}, caseOf({ kind: "quilt" }))).toMatch(
      `${grade}, or measure its loft.`,
    );
    expect(said("look it over", facts, {}, caseOf({ kind: "pot" }))).toMatch(new RegExp(`${grade}\\.$`));
    expect(said("look it over", { ...facts, worn: 38 }, {}, caseOf({ kind: "pot" }))).toMatch(
      /^38 nights on it, /,
    );
  });

  test("frost that nobody noted, and frost of which nobody knows, with what was written", () => {
    const outing = caseOf().marked[1]!.outing;
    const met = { outing, hard: false, on: outing.trip.ends };
    const it = caseOf({ kind: "filter" }, "Cold night.");
    expect(said("frost nobody noted", { ...met, how: "unasked" }, {}, it)).toBe(
      "A light frost on Walk 2, and nobody noted whether it was kept warm. Say so if it was; if not, try its flow, and replace it if in doubt.",
    );
    expect(said("frost nobody noted", { ...met, how: "unknown" }, {}, it)).toMatch(
      /nobody knows whether it was kept warm \(“Cold night”\)\. Say so/,
    );
    expect(said("froze", { ...met, how: "froze", hard: true })).toBe(
      "It froze wet on Walk 2. Replace it now.",
    );
    expect(said("froze", { ...met, how: "froze", hard: true, outing: null })).toMatch(
      /^It froze wet in store\./,
    );
    expect(said("froze", { ...met, how: "unknown", hard: true }, {}, it)).toBe(
      "There was hard frost on Walk 2, and nobody knows whether it froze (“Cold night”). Replace it: it can't be tested.",
    );
    expect(said("froze", { ...met, how: "unasked", hard: true })).toMatch(/^Used in hard frost on Walk 2/);
  });

  test("a date: on the trip, soon, past, and long past", () => {
    const facts = { expires: "2026-11-01", daysLeft: -23, falls: "past" } as const;
    expect(said("past its date", facts)).toBe("Its date was 1 November 2026. Replace it.");
    expect(said("past its date", { ...facts, daysLeft: -400 })).toMatch(
      /^Its date was 1 November 2026, .+ ago\. /,
    );
    expect(said("past its date", { ...facts, daysLeft: 9, falls: "soon" })).toMatch(
      /^Its date is nine days off/,
    );
    expect(said("past its date", { ...facts, daysLeft: 30, falls: "on the trip" })).toMatch(
      /falls before .* ends\. Replace it before you go\.$/,
    );
  });

  test("what is gone: what took its place, whether it was liked, and why nothing is to buy", () => {
    const it = caseOf({ kind: "mug" });
    const departure = { how: "lost", outing: it.marked[1]!.outing, on: null, mark: null } as never;
    expect(said("gone and done", { departure, by: it.item })).toBe(
      "Lost on Walk 2. The it took its place: done.",
    );
    expect(said("gone and done", { departure, by: null })).toMatch(/Nothing more is known of it\.$/);
    expect(said("buy again", { departure } as never, {}, it)).toMatch(/It was liked: buy the same again\.$/);
    expect(
      said("buy again", { departure: { how: "worn out", outing: null, on: null } } as never, {}, it),
    ).toBe("Worn out, and nothing you own fills its place. Buy another, if you still want what it did.");
    expect(
      (["unused", "disliked", "doubled"] as const).map(
        (because) => said("gone unloved", { departure, because }).split(". ")[1],
      ),
    ).toEqual([
      "It was hardly wanted: nothing to buy.",
      "It was not liked: nothing to buy.",
      "Another does its job: nothing to buy.",
    ]);
  });

  test("what earned its place is told by days, by trips, or by the trips that called for it", () => {
    const facts = { used: 3, trips: 5, days: null, out: 3, called: 5, worth: null } as const;
    const earned = (more: object) => said("earns its place", { ...facts, ...more });
    expect(earned({})).toBe("Used on three of five trips. Keep it.");
    expect(earned({ used: 5 })).toBe("Used on all five trips. Keep it.");
    expect(earned({ used: 2, trips: 2, called: 2 })).toBe("Used on both trips. Keep it.");
    expect(earned({ used: 1, trips: 1, called: 1 })).toBe("Used on its one trip. Keep it.");
    expect(earned({ called: 4 })).toBe("Used on three of the four trips that called for it. Keep it.");
    expect(earned({ called: 3 })).toBe("Used on all three trips that called for it. Keep it.");
    expect(earned({ called: 1, used: 1 })).toBe("Used on the one trip that called for it. Keep it.");
    // Used oftener than it was called for: the calls say nothing.
    expect(earned({ called: 2 })).toBe("Used on three of five trips. Keep it.");
    expect(earned({ out: 35, days: 20 })).toBe("Used on 20 of 35 days. Keep it.");
    expect(earned({ out: 35, trips: 1 })).toMatch(/^Used through five weeks\. /);
    expect(earned({ out: 13, days: 9 })).toBe("Used on three of five trips. Keep it.");
    expect([0.9, 1, 2, 5.2, 30].map((worth) => /worth (.*) its weight/.exec(earned({ worth }))?.[1])).toEqual(
      [undefined, "just", "twice", "five times", "many times"],
    );
  });

  test("a leaning says that it is one; what was said once says where, what was said often how often", () => {
    const facts = { times: 1, used: 0, trips: 1, chances: 2, of: 2 } as const;
    const on = { trips: [caseOf().marked[1]!.outing.trip.id] };
    expect(said("could have stayed", facts, { ...on, sureness: "leaning" })).toBe(
      "You named it as one that could have stayed, on Walk 2; though it was used. Leaning: leave it.",
    );
    expect(said("could have stayed", { ...facts, times: 2, used: 1, trips: 4 }, on)).toBe(
      "You named it as one that could have stayed twice; used on one of four trips. Leave it.",
    );
    expect(said("could have stayed", { ...facts, times: 3, used: 0, trips: 4 }, on)).toMatch(
      /; never used in four trips\. /,
    );
  });

  test("nights that a bed was wrong for: the other way round for a warm one", () => {
    const facts = { nights: 2, of: 5, low: -3, comfort: null } as const;
    expect(said("wrong for its nights", { ...facts, felt: "cold" })).toBe(
      "Too cold on two of five nights noted, at −3 °C and below. Something warmer for nights like those, this for milder ones.",
    );
    expect(said("wrong for its nights", { ...facts, felt: "hot", low: null })).toBe(
      "Too hot on two of five nights noted. A lighter one for nights like those.",
    );
  });

  test("what is owned by another is its owner's to hear of, where it is to be mended or replaced", () => {
    const borrowed = caseOf({ kind: "filter", owner: "Ida" });
    expect(said("unknown past", {}, { verb: "replace" }, borrowed)).toMatch(/ It is Ida’s: tell them\.$/);
    expect(said("unknown past", {}, { verb: "keep" }, borrowed)).not.toMatch(/Ida/);
    expect(said("unknown past", {}, { verb: "replace", done: true }, borrowed)).not.toMatch(/Ida/);
    expect(said("unknown past", {}, { verb: "replace" })).not.toMatch(/tell them/);
  });

  /** What is broken in these sentences: a strap that failed on the second walk. */
  const incident = (more: object = {}) => ({
    mark: null,
    entry: null,
    failed: false,
    outing: caseOf().marked[1]!.outing,
    symptoms: ["torn"],
    on: "2025-02-13",
    cause: null,
    ...more,
  });
  const second = { trips: [caseOf().marked[1]!.outing.trip.id] };
  const saidOnce = { times: 1, chances: 1, of: 2 };
  const mug = caseOf({ kind: "mug" }).item;
  const when = (triggers: readonly string[]) => ({ ...second, when: { triggers, caller: null } });

  /** What is found, and what is said of it; each by hand. */
  test.each<readonly [Reason, object, object, string]>([
    ["used up", {}, second, "Used up on Walk 2. Buy the next before you go."],
    ["nearly gone", { left: 0 }, second, "Used up on Walk 2. Buy the next before you go."],
    [
      "nearly gone",
      { left: 0.2 },
      second,
      "About 20 % of it was left after Walk 2. Buy the next before you go.",
    ],
    ["beyond mending", { trouble: incident(), why: "gone" }, {}, "Torn on Walk 2. It is gone. Replace it."],
    [
      "beyond mending",
      { trouble: incident({ failed: true }), why: "worn" },
      {},
      "Failed: torn on Walk 2. It is worn out. Replace it.",
    ],
    [
      "beyond mending",
      { trouble: incident({ symptoms: [], failed: true }), why: "defect" },
      {},
      "Failed on Walk 2. A fault of its making, not of wear. Replace it.",
    ],
    [
      "beyond mending",
      { trouble: incident({ symptoms: [], outing: null }), why: "no mending" },
      {},
      "Damaged between trips, on 13 February 2025. It can't be mended. Replace it.",
    ],
    [
      "fault came back",
      { trouble: incident(), repairs: 2 },
      {},
      "Torn on Walk 2, though it was mended twice before. Replace it.",
    ],
    [
      "too dear to mend",
      { trouble: incident(), spent: 60.4, price: 90 },
      {},
      "Torn on Walk 2. Mending it again would bring the repairs to about €60, of a price of €90. Replace it.",
    ],
    [
      "wear to be seen",
      { condition: 1, trouble: null, on: "2025-02-20" },
      {},
      "Graded 1 of 5 on 20 February 2025. That does not come back: replace it.",
    ],
    [
      "wear to be seen",
      { condition: 1, trouble: incident(), on: "2025-02-20" },
      {},
      "Torn on Walk 2, graded 1 of 5. That does not come back: replace it.",
    ],
    [
      "wear to be seen",
      { condition: null, trouble: incident(), on: "2025-02-20" },
      {},
      "Torn on Walk 2. That does not come back: replace it.",
    ],
    [
      "short of pieces",
      { out: 2, of: 8 },
      second,
      "Two of eight gone on Walk 2. Replace what is missing, not the set.",
    ],
    [
      "unknown past",
      {},
      {},
      "It came to you used, and nobody knows whether it ever froze wet. Replace it before you rely on it.",
    ],
    [
      "spoilt by mould",
      { symptom: "mouldy" },
      second,
      "Mould inside on Walk 2. That does not come out of a thing like this: replace it.",
    ],
    [
      "can't be relied on",
      { condition: 2 },
      {},
      "It lets you down now and then, and was graded 2 of 5. That can't be mended: replace it.",
    ],
    [
      "too old",
      { from: "2024-05-01", days: 700, limit: 365 },
      {},
      "In use since 1 May 2024; one of these is good for about a season. Look at it closely; a new one costs little.",
    ],
    [
      "open trouble",
      { trouble: incident(), patched: true, mishap: false },
      {},
      "Torn on Walk 2. The patch held the trip out; mend it properly.",
    ],
    [
      "open trouble",
      { trouble: incident(), patched: false, mishap: true },
      {},
      "Torn on Walk 2. A mishap: the thing itself is sound. Mend it.",
    ],
    [
      "open trouble",
      { trouble: incident({ cause: "defect" }), patched: false, mishap: false },
      {},
      "Torn on Walk 2. Mend it. If it is new, an exchange is as good.",
    ],
    [
      "comes back by service",
      { trouble: incident({ symptoms: ["clogged or slow"] }), symptom: null, what: "backflush it" },
      {},
      "Clogged or slow on Walk 2. First backflush it; if that does not do it, replace it.",
    ],
    [
      "comes back by service",
      { trouble: null, symptom: null, what: "wash it" },
      second,
      "Not as it was on Walk 2. First wash it; if that does not do it, replace it.",
    ],
    [
      "flat or empty",
      {},
      second,
      "Flat or empty on Walk 2, not broken. Charge or fill it, and measure how long it holds.",
    ],
    [
      "worn but serviceable",
      { what: "grease it", condition: null },
      second,
      "It annoyed by wear on Walk 2. First grease it.",
    ],
    [
      "wet through",
      { what: "wash it" },
      second,
      "Wet or damp on Walk 2, which was the weather and no fault of its own. Dry it through; wash it if the loft stays down.",
    ],
    [
      "due by count",
      { what: "backflush it", since: 31, every: 30, unit: "nights", last: null },
      {},
      "31 nights since new; due at 30 nights: backflush it.",
    ],
    [
      "due by count",
      { what: "backflush it", since: 31, every: 30, unit: "nights", last: "2025-01-20" },
      {},
      "31 nights since 20 January 2025; due at 30 nights: backflush it.",
    ],
    [
      "treatment spent",
      { what: "treat it again", days: 200, washes: null, from: "2025-01-20" },
      {},
      "200 days since 20 January 2025: it has worn off. Before it is wanted, treat it again.",
    ],
    [
      "treatment spent",
      { what: "treat it again", days: null, washes: 6, from: "2025-01-20" },
      {},
      "Six washes since 20 January 2025: it has worn off. Before it is wanted, treat it again.",
    ],
    [
      "after a patch",
      { what: "blow it up overnight", on: "2025-02-20" },
      {},
      "Mended on 20 February 2025 and not tried since: blow it up overnight.",
    ],
    [
      "each season",
      { what: "wash it", nights: 30, last: null },
      {},
      "30 nights out since its first trip: wash it.",
    ],
    [
      "each season",
      { what: "wash it", nights: 30, last: "2025-02-20" },
      {},
      "30 nights out since it was last seen to on 20 February 2025: wash it.",
    ],
    [
      "after store",
      { whats: ["try it", "date it"], days: 365 },
      {},
      "Twelve months in store. Before its first trip out: try it and date it.",
    ],
    [
      "unknown contents",
      {},
      {},
      "It came to you filled by somebody else. Go through it, read the dates, restock it: then it counts as cover.",
    ],
    [
      "on loan",
      { on: "2025-01-20" },
      {},
      "On loan since 20 January 2025, and registered to somebody else. See to registration and a test message before it counts.",
    ],
    ["nearly empty", { left: 0 }, {}, "Empty after the last trip. Restock it."],
    ["nearly empty", { left: 0.1 }, {}, "About 10 % left after the last trip. Restock it."],
    [
      "found wanting",
      { condition: 2, on: "2025-02-20", what: null },
      {},
      "Graded 2 of 5 when you looked on 20 February 2025. See to it before you trust it.",
    ],
    [
      "found wanting",
      { condition: 2, on: "2025-02-20", what: "patch it" },
      {},
      "Graded 2 of 5 when you looked on 20 February 2025. Patch it before you trust it.",
    ],
    [
      "mended, not tried",
      { on: "2025-02-20", needs: ["rain"] },
      {},
      "Mended or serviced on 20 February 2025, and no rain since. Try it near home first.",
    ],
    [
      "mended, not tried",
      { on: "2025-02-20", needs: [] },
      {},
      "Mended or serviced on 20 February 2025, and not used since. Try it near home first.",
    ],
    [
      "new, not tried",
      { needs: ["rain"], used: true },
      {},
      "New, and no rain yet. Kept; wet it near home before you rely on it.",
    ],
    [
      "new, not tried",
      { needs: [], used: false },
      {},
      "New, and not used yet. Try it near home before you rely on it.",
    ],
    [
      "unknown past, not tried",
      { needs: ["rain"], used: true },
      {},
      "Its past is unknown, and it has met no rain with you. Try it near home first.",
    ],
    [
      "unknown past, not tried",
      { needs: [], used: false },
      {},
      "Its past is unknown, and you have not used it yet. Try it near home first.",
    ],
    [
      "too much, and only one",
      saidOnce,
      second,
      "You said that it was too much, once, on Walk 2, and it stayed unused. Leave it.",
    ],
    [
      "another did the job",
      { ...saidOnce, by: mug },
      second,
      "The it did its job, you said, on Walk 2. Leave it.",
    ],
    [
      "another did the job",
      { ...saidOnce, times: 3, by: null },
      second,
      "Another thing did its job, you said three times. Leave it.",
    ],
    [
      "disliked",
      { ...saidOnce, why: "awkward" },
      { ...second, sureness: "leaning" },
      "Left unused because it was awkward, once, on Walk 2. Leaning: leave it.",
    ],
    ["sent home unused", saidOnce, second, "Sent home on the way and hardly wanted, on Walk 2. Leave it."],
    [
      "seldom over weeks",
      { days: 2, out: 35 },
      {},
      "Wanted on 2 of 35 days, and dead weight for the rest. Leave it.",
    ],
    [
      "no call for it",
      { trips: 3 },
      when(["rain"]),
      "Used with rain (two trips), idle on three trips without. Bring it only when you expect rain.",
    ],
    [
      "no call for it",
      { trips: 1 },
      when(["rain"]),
      "Used with rain (two trips), idle on Walk 2 without. Bring it only when you expect rain.",
    ],
    [
      "sent away after use",
      { days: null, out: 9 },
      when([]),
      "Used, and then sent home. Bring it for the part of the way that wants it.",
    ],
    [
      "sent away after use",
      { days: 2, out: 9 },
      when(["rain"]),
      "Used on two of nine days, and then sent home. Bring it for rain.",
    ],
    [
      "not needed there",
      saidOnce,
      second,
      "Not needed once, on Walk 2, and nothing else does its job. Leave it on walks like that; bring it on others.",
    ],
    [
      "part of a long walk",
      { days: 4, out: 35 },
      when(["rain"]),
      "Used on 4 of 35 days, carried on all. Bring it for rain, or send it to where it is wanted.",
    ],
    [
      "too much of it",
      { ...saidOnce, enough: null, pieces: 1 },
      second,
      "It earns its place, but you said that it was too much, once, on Walk 2. Take less of it.",
    ],
    [
      "too much of it",
      { ...saidOnce, enough: 3, pieces: 8 },
      second,
      "It earns its place, but you said that it was too much, once, on Walk 2: three of eight would have done. Take fewer.",
    ],
    [
      "carried home",
      { back: 400, out: 1200, unit: "g", trips: 1 },
      second,
      "400 of 1 200 g came home on Walk 2. Take less.",
    ],
    [
      "carried home",
      { back: 4, out: 12, unit: "", trips: 3 },
      second,
      "4 of 12 pieces came home, over three trips. Take less.",
    ],
    [
      "hardly opened",
      { days: 14 },
      {},
      "Not opened in two weeks. What is for comfort may go; the rest stays as cover.",
    ],
    [
      "complaint",
      { ...saidOnce, complaints: [{ what: "stiff", on: null }], better: null },
      second,
      "You used it, and said that it was stiff, once, on Walk 2. Look for a softer one.",
    ],
    [
      "complaint",
      { ...saidOnce, complaints: [], better: mug },
      second,
      "You used it, and said that it annoyed you, once, on Walk 2. Take the it, which you own and like.",
    ],
    [
      "complaint",
      { ...saidOnce, complaints: [], better: mug },
      { ...second, done: true },
      "You used it, and said that it annoyed you, once, on Walk 2. The it took its place: done.",
    ],
    [
      "lighter one owned",
      { other: mug, grams: 120 },
      {},
      "The it, which you own and have used, does the same for 120 g less. Take that one, if it is enough for the conditions.",
    ],
    ["cover", { used: 0, trips: 0, contents: false }, {}, "Cover: it goes along and, with luck, stays shut."],
    [
      "cover",
      { used: 0, trips: 1, contents: false },
      {},
      "Never needed on its one trip, and that is the point of it. It stays.",
    ],
    ["cover", { used: 1, trips: 1, contents: false }, {}, "Needed on its one trip. It stays."],
    [
      "cover",
      { used: 1, trips: 4, contents: true },
      {},
      "Needed on one of four trips. It stays; put back what was used.",
    ],
    [
      "backup to another",
      { used: 0, trips: 3, leader: mug },
      {},
      "Backup to the it, and not needed on three trips. It stays as that.",
    ],
    ["made the trip", saidOnce, second, "Named as one of those that made the trip, on Walk 2. Keep it."],
    [
      "no call yet",
      { trips: 1 },
      {},
      "Nothing has called for it yet, on its one trip. That says nothing against it.",
    ],
    [
      "no call yet",
      { trips: 2 },
      {},
      "Nothing has called for it yet, on two trips. That says nothing against it.",
    ],
    ["too light to argue", { used: 0, trips: 2 }, {}, "Not used on two trips, and too light to argue about."],
    ["for joy", { used: 2, trips: 2 }, {}, "Used on both trips. Carried for joy, so judged by you alone."],
    ["too early to say", { used: 0, trips: 1 }, {}, "Not used on its one trip yet. Too early to say."],
    ["forgotten, not refused", {}, {}, "Forgotten, not refused. Put it where you will find it."],
    ["cut short", {}, {}, "The trip was cut before its turn came, which says little."],
    [
      "weather, not the thing",
      { symptom: null },
      {},
      "The weather made it so, and it works again. Keep it, and keep it warm and dry.",
    ],
    ["lives with it", { trouble: incident() }, {}, "Torn on Walk 2, and it still does its job. Watch it."],
    [
      "said once among many",
      { complaints: [{ what: "stiff", on: null }], times: 1, of: 6 },
      {},
      "Used on six trips, and stiff once. Keep it; said again, it is one to swap.",
    ],
    [
      "said once among many",
      { complaints: [], times: 2, of: 9 },
      {},
      "Used on nine trips, and complained of twice. Keep it; said again, it is one to swap.",
    ],
    [
      "lived with",
      { complaints: [{ what: "stiff", on: null }], trips: 5 },
      {},
      "Stiff, and taken on five trips since: you live with it.",
    ],
    [
      "last of its job",
      { job: "dig", others: [mug] },
      {},
      "By itself it might go, and so might the it: one of them has to be the thing for “dig”. This one was used last: it stays.",
    ],
    ["no marks yet", {}, {}, "No marks yet. Take it, and see."],
    ["at home", {}, {}, "On your shelf, and never taken along yet. At home."],
    ["your ruling", { reason: "" }, {}, "Your ruling: it stays."],
    ["your ruling", { reason: "It was a gift." }, {}, "Your ruling: it stays, because It was a gift."],
    ["your word", { call: "bring again", complaints: [] }, second, "You said on Walk 2 to bring it again."],
    [
      "your word",
      { call: "bring when", complaints: [] },
      when(["rain"]),
      "You said on Walk 2 to bring it when there is rain.",
    ],
    [
      "your word",
      { call: "bring when", complaints: [] },
      when([]),
      "You said on Walk 2 to bring it when it will be called for.",
    ],
    [
      "your word",
      { call: "leave", complaints: [{ what: "stiff", on: null }] },
      second,
      "You said on Walk 2 to leave it (stiff).",
    ],
    ["your word", { call: "fix", complaints: [] }, second, "You said on Walk 2 to see to it."],
    ["your word", { call: "replace", complaints: [] }, second, "You said on Walk 2 to replace it."],
    [
      "your word",
      { call: "try something else", complaints: [] },
      second,
      "You said on Walk 2 to try something else.",
    ],
  ])("%s", (reason, facts, more, sentence) => {
    expect(said(reason, facts as never, more)).toBe(sentence);
  });

  test("how likely it is to give out, in words", () => {
    const odds = (givesOut: number) =>
      said("life used up", { worn: 700_000, givesOut, unit: "m" }, {}, caseOf({ kind: "trail shoes" }))
        .split(". ")
        .at(-2);
    const until = "to give out on a usual trip";
    expect([0.9, 0.86, 0.5, 0.41, 0.4, 0.34, 0.2, 0.11].map(odds)).toEqual([
      `Almost sure ${until}`,
      `Almost sure ${until}`,
      `As likely as not ${until}`,
      `As likely as not ${until}`,
      `About one chance in three ${until}`,
      `About one chance in three ${until}`,
      `About one chance in five ${until}`,
      `About one chance in nine ${until}`,
    ]);
    expect(said("too old", { from: "2024-05-01", days: 2000, limit: 1825 })).toMatch(
      /; one of these is good for about 60 months\. /,
    );
  });

  test("who pays: the warranty while it lasts, by what it covers; an exchange for what was made badly", () => {
    const beyond = (cause: string, item: object) => {
      const it = verdicts(
        logOf(
          one({ kind: "tent", ...item }, 2, (at) =>
            at === 1 ? { troubles: ["failed"], symptoms: ["torn"], cause } : {},
          ),
        ),
      )[0]!.case;
      return said("beyond mending", { trouble: incident(), why: "gone" } as never, {}, it).split(
        "It is gone. ",
      )[1];
    };
    expect(beyond("defect", { warranty: "life" })).toBe("Claim on the warranty first.");
    expect(beyond("defect", { warranty: "2025-02-13" })).toBe("Claim on the warranty first.");
    expect(beyond("defect", { warranty: "2025-02-09" })).toBe("Exchange it, or choose another design.");
    expect(beyond("poor design", {})).toBe("Exchange it, or choose another design.");
    expect(beyond("misuse", { warranty: "life" })).toBe("Replace it.");
    expect(beyond("worn", { warranty: "life", warrantyCovers: "wear" })).toBe("Claim on the warranty first.");
    const worn = { condition: 1, trouble: null, on: "2025-02-20" };
    const it = (warrantyCovers: string) =>
      verdicts(logOf(one({ kind: "tent", warranty: "life", warrantyCovers }, 1, () => ({}))))[0]!.case;
    expect(said("wear to be seen", worn, {}, it("wear"))).toMatch(
      /: claim on the warranty, which covers wear\.$/,
    );
    expect(said("wear to be seen", worn, {}, it("defects"))).toMatch(/: replace it\.$/);
  });
});
