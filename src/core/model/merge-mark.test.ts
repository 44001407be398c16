import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyMark } from "../../../tests/histories";
import { Mark } from "./mark";
import { mergedMark, overruled } from "./merge-mark";
import { markOf } from "./plain-mark";

const used = markOf("used");

describe("two screens at one mark", () => {
  // The fault: the desk set damaged and a note, the phone, older, pressed hardly.
  test("each field as it was said last, whoever said it", () => {
    const desk = { ...used, troubles: ["damaged" as const], note: "torn" };
    expect(mergedMark(desk, used, markOf("hardly"))).toEqual({ ...desk, use: "hardly" });
    expect(overruled(desk, used, markOf("hardly"))).toEqual([]);
  });

  test("of the same field the later stands, and the earlier is named", () => {
    const [desk, phone] = [
      { ...used, note: "torn", days: 3 },
      { ...used, note: "worn" },
    ];
    expect(mergedMark(desk, used, phone)).toEqual({ ...used, note: "worn", days: 3 });
    expect(overruled(desk, used, phone)).toEqual(["note"]);
    expect(overruled(desk, used, desk)).toEqual([]);
  });

  test("a first mark on both: what each said, and the later use", () => {
    const [desk, phone] = [{ ...used, note: "torn" }, markOf("unused")];
    expect(mergedMark(desk, null, phone)).toEqual({ ...desk, use: "unused" });
    expect(overruled(desk, null, phone)).toEqual(["use"]);
  });

  test("taken back here while another said more of it, that stays; untouched, it is taken back", () => {
    const from = { ...used, note: "torn" };
    expect(mergedMark(from, from, null)).toBeNull();
    expect(mergedMark({ ...from, days: 2 }, from, null)).toEqual({ ...used, days: 2 });
    expect(mergedMark(null, from, { ...from, days: 2 })).toEqual({ ...used, days: 2 });
  });
});

/** One screen: what it last saw, what it shows, and what it made and has not sent. */
interface Screen {
  seen: Mark | null;
  shows: Mark | null;
}

// Two clients change fields of one mark in any order, each out of reach for stretches; whatever they do, all that
// was sent is there, field by field as it was sent last.
test("any interleaving of two screens ends in one state that holds every field someone set last", () => {
  const step = fc.record({
    who: fc.constantFrom(0, 1),
    does: fc.constantFrom("change", "change", "send", "look"),
    more: anyMark.map((mark) => Mark.parse({ ...(mark as object), exit: null, at: null })),
    fields: fc.uniqueArray(fc.constantFrom("use", "note", "troubles", "days", "condition", "cause"), {
      minLength: 1,
    }),
  });
  fc.assert(
    fc.property(fc.array(step, { minLength: 4, maxLength: 40 }), (steps) => {
      let kept: Mark | null = used;
      const screens: Screen[] = [0, 1].map(() => ({ seen: used, shows: used }));
      const last = new Map<string, string>();
      const send = (screen: Screen) => {
        for (const field of Object.keys(used) as (keyof Mark)[])
          if (JSON.stringify(screen.shows![field]) !== JSON.stringify(screen.seen![field]))
            last.set(field, JSON.stringify(screen.shows![field]));
        kept = mergedMark(kept, screen.seen, screen.shows);
        screen.seen = screen.shows = kept;
      };
      for (const { who, does, more, fields } of steps) {
        const screen = screens[who]!;
        if (does === "send") send(screen);
        // Looked at anew with nothing unsent: it shows what is kept.
        else if (does === "look" && screen.seen === screen.shows) screen.seen = screen.shows = kept;
        else if (does === "change")
          screen.shows = Object.assign(
            { ...screen.shows! },
            ...fields.map((field) => ({ [field]: more[field as keyof Mark] })),
          ) as Mark;
      }
      screens.forEach(send);
      for (const [field, said] of last) expect(JSON.stringify(kept![field as keyof Mark])).toBe(said);
      const untouched = (Object.keys(used) as (keyof Mark)[]).filter((field) => !last.has(field));
      for (const field of untouched) expect(kept![field]).toEqual(used[field]);
    }),
    { numRuns: 300 },
  );
});
