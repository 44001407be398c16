import { describe, expect, test } from "vitest";
import { fileOf } from "../../../tests/walked";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { kitOf } from "../advice/kit";
import { sayQuestion } from "../say/verdicts/questions";
import { answered, questionsAfter } from "./questions";

const asked = (walked: Parameters<typeof fileOf>[0]) => {
  const kit = kitOf(openBook(logOf(fileOf(walked)), "2026-01-01"));
  return questionsAfter(kit).map((question) => ({
    ...question,
    words: sayQuestion(question, kit.book.item(question.item)!, kit.book),
  }));
};
const frost = () => ({ conditions: { freezing: "some" } });

test("frost that nobody noted is asked about; answered or waved away, it is not", () => {
  const filter = { item: { kind: "filter" }, marks: [{}], trip: frost };
  const [first] = asked(filter);
  expect(first).toMatchObject({ asked: "frost", words: "Was the it kept from freezing on Walk 1?" });
  expect(first!.answers.map(({ told }) => told.kind === "mark" && told.mark.frost)).toEqual([
    "kept",
    "froze",
    "unknown",
  ]);
  expect(first!.answers.reduce((sum, { likely }) => sum + likely, 0)).toBeCloseTo(1, 9);
  expect(asked({ ...filter, marks: [{ frost: "kept" }] })).toEqual([]);
  expect(asked({ ...filter, trip: () => ({ ...frost(), waved: ["frost it"] }) })).toEqual([]);
  expect(asked({ ...filter, trip: () => ({}) })).toEqual([]);
});

test("a grade is asked of what is well worn, not of what is young or graded; at most three questions, the most worth first", () => {
  const shoes = (n: number, last: object = {}) =>
    asked({
      item: { kind: "trail shoes" },
      marks: Array.from({ length: n }, (_, at) => (at === n - 1 ? last : {})),
      days: 8,
    });
  expect(shoes(4).map((question) => question.asked)).toEqual(["grade"]);
  expect(shoes(4)[0]!.answers.map(({ told }) => told.kind === "mark" && told.mark.condition)).toEqual([
    0, 1, 2, 3, 4, 5,
  ]);
  expect(shoes(1)).toEqual([]);
  expect(shoes(4, { condition: 4 }).map((question) => question.asked)).not.toContain("grade");
  const many = asked({
    item: { kind: "filter" },
    marks: [{}, {}, {}, {}],
    days: 8,
    trip: frost,
    beside: ["trail shoes", "boots", "chair", "umbrella", "camp shoes"].map((kind) => ({
      item: { kind, name: kind, weight: "900 g" },
      marks: [{}, {}, {}, kind === "trail shoes" ? {} : { use: "unused" }],
    })),
  });
  expect(many).toHaveLength(3);
  expect(many.map(({ worth }) => worth)).toEqual(many.map(({ worth }) => worth).sort((a, b) => b - a));
});

test("what a note sounds like is asked, never taken; a mended pad, whether it held; a heavy thing, why it stayed unused", () => {
  const note = { troubles: ["damaged"], note: "Dripped along the ridge seam." };
  const tent = asked({
    item: { kind: "pot" },
    marks: [{}],
    beside: [{ item: { kind: "tent", name: "Tent" }, marks: [note] }],
  });
  expect(tent.find((question) => question.asked === "symptom")).toMatchObject({
    about: "lets water in",
    words: "The tent: let water in? Your note sounds like it.",
  });
  const pad = asked({
    item: { kind: "inflatable pad" },
    marks: [{ troubles: ["damaged"], condition: 3 }, {}],
    entries: [{ on: "2025-01-20", what: "repair" }],
  });
  // Held till morning: a grade, and no more to be said. Soft by morning: the fault, named.
  expect(pad.find((question) => question.asked === "firm")!.answers).toMatchObject([
    { word: "firm", likely: 0.75, told: { mark: { condition: 4, troubles: [] } } },
    { word: "soft", likely: 0.25, told: { mark: { troubles: ["damaged"], symptoms: ["leaks air"] } } },
  ]);
  const chair = asked({ item: { kind: "chair", weight: "900 g" }, marks: [{ use: "unused" }] });
  expect(chair.map((question) => question.asked)).toEqual(["why unused"]);
  expect(
    asked({ item: { kind: "chair", weight: "900 g" }, marks: [{ use: "unused", why: "awkward" }] }),
  ).not.toContainEqual(expect.objectContaining({ asked: "why unused" }));
});

test("before the first trip there is nothing to ask", () => {
  expect(asked({ item: { kind: "filter" }, marks: [] })).toEqual([]);
});

test("a leaning is asked about once: would you take it again? the word is a mark like any other, and the verdict follows it", () => {
  const walked = {
    item: { kind: "chair", weight: "900 g" },
    marks: [{ use: "used" }, { use: "unused", why: "another did the job" }],
  };
  const kit = kitOf(openBook(logOf(fileOf(walked as Parameters<typeof fileOf>[0])), "2026-01-01"));
  const [question] = questionsAfter(kit);
  expect(question).toMatchObject({ id: "again it", asked: "again" });
  expect(question!.answers.map(({ word }) => word)).toEqual([
    "bring again",
    "bring when",
    "leave",
    "try something else",
  ]);
  expect(question!.answers.reduce((sum, { likely }) => sum + likely, 0)).toBeCloseTo(1, 9);
  const verbAfter = (word: string) =>
    kitOf(answered(kit, "again it", word)!).of(question!.item)!.verdicts[0].verb;
  expect(verbAfter("leave")).toBe("drop");
  expect(verbAfter("bring again")).toBe("keep");
  expect(answered(kit, "again it", "burn it")).toBeNull();
  expect(answered(kit, "again that", "leave")).toBeNull();
  // Said, it is not asked again; nor of cover, which is there not to be used.
  const said = {
    ...walked,
    marks: [{ use: "used" }, { use: "unused", why: "another did the job", call: "bring again" }],
  };
  expect(asked(said as Parameters<typeof fileOf>[0]).map((each) => each.asked)).not.toContain("again");
});

test("of a set it is asked how many would have been enough, and fewer slim it", () => {
  const socks = { item: { kind: "socks", pieces: 4, weight: "320 g" }, marks: [{}, {}, {}] };
  const kit = kitOf(openBook(logOf(fileOf(socks as Parameters<typeof fileOf>[0])), "2026-01-01"));
  const book = answered(kit, "enough it", "2")!;
  expect(kitOf(book).of(kit.things[0]!.case.item.id)!.verdicts[0].verb).toBe("slim");
});

describe("what else a debrief leaves open", () => {
  const kitAfter = (walked: object) =>
    kitOf(openBook(logOf(fileOf(walked as Parameters<typeof fileOf>[0])), "2025-02-20"));
  const leads = (walked: object, id: string, word: string) => {
    const kit = kitAfter(walked);
    const book = answered(kit, id, word);
    return book && kitOf(book).things[0]!.verdicts[0].verb;
  };
  const question = (walked: object, sort: string) => {
    const kit = kitAfter(walked);
    const found = questionsAfter(kit).find((each) => each.asked === sort);
    return found && sayQuestion(found, kit.book.item(found.item)!, kit.book);
  };

  test("an opened first-aid kit: is it complete? what is gone is put back first", () => {
    const opened = { item: { kind: "first-aid kit", weight: "180 g" }, marks: [{}] };
    expect(question(opened, "complete")).toBe("Is the it complete?");
    expect(leads(opened, "complete it", "complete")).toBe("keep as cover");
    expect(leads(opened, "complete it", "what is wanted again is gone")).toBe("service");
    for (const mark of [{ use: "unused" }, { left: 0.9 }])
      expect(question({ ...opened, marks: [mark] }, "complete")).toBeUndefined();
    expect(
      question({ ...opened, entries: [{ on: "2025-01-20", what: "restock" }] }, "complete"),
    ).toBeUndefined();
  });

  test("weeks out with a thing for the weather: on how many days? on few, it is seldom", () => {
    const umbrella = {
      item: { kind: "umbrella", weight: "300 g" },
      days: 30,
      marks: [{ use: "hardly" }],
      trip: () => ({ conditions: { rain: "strong" } }),
    };
    const kit = kitAfter(umbrella);
    const days = (word: string) =>
      answered(kit, "days used it", word)!.carriedOf(kit.things[0]!.case.item.id)[0]!.mark!.days;
    expect(days("2")).toBe(2);
    expect(days("15")).toBe(15);
    // Nobody counts the nights in a bed.
    expect(answered(kitAfter({ ...umbrella, item: { kind: "quilt" } }), "days used it", "2")).toBeNull();
  });

  test("on about how many days did it rain? a shell wears by them, and is worn by as many", () => {
    const shell = {
      item: { kind: "rain shell" },
      days: 20,
      marks: [{}],
      trip: () => ({ conditions: { rain: "some" } }),
    };
    const kit = kitAfter(shell);
    const worn = (word: string) => kitOf(answered(kit, "rained it", word)!).things[0]!.case.totals.wear;
    expect([worn("2"), worn("5"), worn("9")]).toEqual([2, 5, 9]);
    const counted = { ...shell, trip: () => ({ conditions: { rain: "some" }, counted: { rain: 4 } }) };
    expect(answered(kitAfter(counted), "rained it", "2")).toBeNull();
  });

  test("shoes that may be worn to work: how far in daily life? it wears them, and is not asked again within the year", () => {
    const shoes = (entries: object[] = []) =>
      kitOf(
        openBook(
          logOf(
            fileOf({
              item: { kind: "boots" },
              marks: Array.from({ length: 6 }, () => ({})),
              days: 9,
              entries,
            }),
          ),
          "2025-09-20",
        ),
      );
    const kit = shoes();
    const worn = (word: string) => kitOf(answered(kit, "everyday it", word)!).things[0]!.case.totals.wear;
    expect(worn("150 km") - worn("0 km")).toBeCloseTo(150_000, 0);
    expect(
      answered(shoes([{ on: "2025-03-01", what: "wear", distance: "60 km" }]), "everyday it", "0 km"),
    ).toBeNull();
  });

  test("a service that leads: was it seen to since? yes is an entry, and settles it", () => {
    const quilt = {
      item: { kind: "quilt", weight: "600 g" },
      marks: Array.from({ length: 10 }, () => ({})),
      days: 10,
    };
    const kit = kitOf(openBook(logOf(fileOf(quilt as Parameters<typeof fileOf>[0])), "2026-02-20"));
    expect(kit.things[0]!.verdicts[0]).toMatchObject({ verb: "service", reason: "due by count" });
    const [yes, no] = ["yes", "no"].map((word) => kitOf(answered(kit, "seen to it", word)!).things[0]!);
    expect(yes!.verdicts[0].verb).toBe("keep");
    expect(no!.verdicts[0].verb).toBe("service");
  });
});
