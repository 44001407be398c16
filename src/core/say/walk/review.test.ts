import { expect, test } from "vitest";
import { demoLog } from "../../../../demo/log";
import { kitOf } from "../../advice/kit";
import { unusedOf, gramsOf, wentAlong } from "../../ledger/along";
import { openBook } from "../../ledger/book";
import { capital, sayMass } from "../../units/speak";
import { reviewOf } from "./review";

const book = openBook(demoLog(), "2026-10-01");
const kit = kitOf(book);
const walked = demoLog().trips.filter(({ planned }) => !planned);

test("a review names nothing that was not along, and says of each thing what its mark says", () => {
  for (const trip of walked) {
    const { rows, parts } = reviewOf(trip, book, kit);
    expect(rows.map(({ name }) => name)).toEqual(wentAlong(trip, book).map(({ item }) => item.name));
    for (const [n, { item, carry }] of wentAlong(trip, book).entries()) {
      expect(rows[n]!.use).toBe(carry.mark?.use ?? "");
      for (const symptom of carry.mark?.symptoms ?? []) expect(rows[n]!.said).toContain(symptom);
      const wrong = parts.find(({ head }) => head === "What went wrong")?.sentences ?? [];
      const isTold = wrong.some((sentence) => sentence.startsWith(`${item.name}: `));
      const { troubles = [], symptoms = [], complaints = [], exit = null } = carry.mark ?? {};
      expect(isTold).toBe(troubles.length + symptoms.length + complaints.length > 0 || exit !== null);
    }
    const { dead } = unusedOf(wentAlong(trip, book));
    const stayed = parts.find(({ head }) => head === "What stayed in the pack")?.sentences ?? [];
    if (dead.length > 0) expect(stayed[0]).toContain(sayMass(gramsOf(dead), book.settings.units));
    expect(parts.flatMap(({ sentences }) => sentences).join(" ")).not.toMatch(/undefined|null|NaN|\.\./);
  }
});

test("what changes next time is what the verdicts ask of what was along", () => {
  const trip = walked.at(-1)!;
  const { parts, rows } = reviewOf(trip, book, kit);
  const asked = wentAlong(trip, book).filter(({ item }) => kit.of(item.id)?.asks[0]);
  const changes = parts.find(({ head }) => head === "What changes next time")?.sentences ?? [];
  expect(changes.map((sentence) => sentence.split(". ")[0])).toEqual(
    asked.map(({ item }) => `${capital(kit.of(item.id)!.asks[0]!.verb)}: ${item.name}`),
  );
  expect(rows.map(({ next }) => next)).toEqual(
    wentAlong(trip, book).map(({ item }) => kit.of(item.id)?.asks[0]?.verb ?? ""),
  );
  expect(rows.filter(({ next }) => next !== "")).toHaveLength(asked.length);
  expect(asked.length).toBeGreaterThan(0);
});
