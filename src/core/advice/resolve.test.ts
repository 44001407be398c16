import { describe, expect, test } from "vitest";
import { judged, startOf, told } from "../../../tests/walked";

const reasonsOf = (walked: Parameters<typeof judged>[0]) =>
  judged(walked).verdicts.map(({ verb, reason, also }) =>
    [verb, reason, ...also.map((each) => each.reason)].join(", "),
  );

const ruled = (verb: string, ground: string, more: object = {}) => ({
  item: "It",
  verb,
  ground,
  decision: "overrule",
  on: startOf(3),
  trips: 3,
  ...more,
});

describe("what is found, and what comes of it", () => {
  test("reasons for one verb stand together, the most urgent and the surest first; none hides another", () => {
    const filter = {
      item: { kind: "filter", expires: startOf(0), past: "unknown" },
      marks: [{ frost: "froze" }],
    };
    expect(reasonsOf(filter)).toEqual(["replace, froze, past its date, unknown past"]);
  });

  test("what is overruled silences nothing: a thing that was to be left is serviced when that is due", () => {
    const stove = {
      item: {
        kind: "chair",
        weight: "500 g",
        services: [{ what: "oil the joints", every: 30, unit: "days" }],
      },
      marks: [{ use: "unused" }, { use: "unused" }, { use: "unused" }, { use: "unused" }],
    };
    expect(reasonsOf(stove)).toEqual(["drop, seldom wanted"]);
    const overruled = { ...stove, rulings: [ruled("drop", "seldom wanted", { trips: 4 })] };
    expect(reasonsOf(overruled)).toEqual(["service, own service", "drop, seldom wanted"]);
  });

  test("a fault that came back, overruled in order to mend it, asks for the mending", () => {
    const tent = {
      item: { kind: "tent" },
      marks: [
        { troubles: ["failed"], cause: "weather", symptoms: ["broken"] },
        { troubles: ["failed"], cause: "weather", symptoms: ["broken"] },
        { troubles: ["failed"], cause: "weather", symptoms: ["broken"] },
      ],
      entries: [0, 1].map((n) => ({
        id: `e${n}`,
        item: "It",
        on: startOf(n).replace(/..$/, "28"),
        what: "repair",
      })),
    };
    expect(told(tent)).toBe("replace: fault came back");
    expect(told({ ...tent, rulings: [ruled("replace", "fault came back", { troubles: 3 })] })).toBe(
      "repair: open trouble",
    );
  });
});

describe("the owner's own call", () => {
  const chair = { kind: "chair", weight: "500 g" };
  test.each([
    ["leave", "drop: your word"],
    ["bring when", "bring only when: your word"],
    ["try something else", "swap: your word"],
    ["replace", "replace: your word"],
    ["fix", "service: your word"],
    ["bring again", "keep: your word"],
  ])("“%s”, said once, leads in its verb", (call, verdict) => {
    const marks = [
      {
        call,
        ...(call === "bring again" && { complaints: [{ what: "too heavy" }, { what: "rubs or hurts" }] }),
      },
    ];
    const { lead } = judged({ item: { ...chair, kind: "pack" }, marks: [...marks] });
    const light = judged({ item: chair, marks });
    expect([`${lead.verb}: ${lead.reason}`, `${light.lead.verb}: ${light.lead.reason}`]).toContain(verdict);
  });

  test("later evidence speaks against it", () => {
    expect(told({ item: chair, marks: [{ call: "leave" }, {}] })).not.toMatch(/your word/);
    expect(told({ item: chair, marks: [{ call: "leave" }, { use: "unused" }] })).toBe("drop: your word");
    expect(
      told({ item: chair, marks: [{ call: "bring again" }, { complaints: [{ what: "rubs or hurts" }] }] }),
    ).toBe("swap: complaint");
    const stay = (n: number) => (n === 1 ? { stay: ["It"] } : {});
    expect(told({ item: chair, marks: [{ call: "bring again" }, { use: "unused" }], trip: stay })).toMatch(
      /^drop/,
    );
  });

  test("law leads it: frost; the last of an essential job stays; leaks and clogs get service first", () => {
    expect(told({ item: { kind: "filter" }, marks: [{ frost: "froze", call: "bring again" }] })).toBe(
      "replace: froze",
    );
    expect(told({ item: { kind: "tent" }, marks: [{ call: "leave" }] })).not.toMatch(/^drop/);
    const shell = { troubles: ["damaged"], symptoms: ["wets out"], cause: "worn", call: "replace" };
    expect(told({ item: { kind: "rain shell" }, marks: [shell] })).toBe("service: comes back by service");
    const lighter = { troubles: ["failed"], cause: "weather", call: "replace" };
    expect(told({ item: { kind: "lighter" }, marks: [lighter] })).toMatch(/^keep/);
  });
});
