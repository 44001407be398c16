import Papa from "papaparse";
import { expect, test } from "vitest";
import { listAsCsv, listAsMarkdown, type ListLine } from "./packing-list";

const line = (name: string, more: Partial<ListLine> = {}): ListLine => ({
  name,
  stow: "main",
  weight: "312 g",
  grams: 312.4,
  pieces: 1,
  ...more,
});

test("as a table: read by another parser it is the same, and no cell starts a formula", () => {
  const { data } = Papa.parse<string[]>(
    listAsCsv([
      line('Tent, "two-pole"'),
      line("=1+1", { weight: "", grams: null }),
      line("Stakes", { pieces: 8, stow: "side" }),
    ]).trim(),
  );
  expect(data).toEqual([
    ["where", "thing", "pieces", "weight", "grams"],
    ["main", 'Tent, "two-pole"', "1", "312 g", "312"],
    ["main", "'=1+1", "1", "", ""],
    ["side", "Stakes", "8", "312 g", "312"],
  ]);
});

test("as Markdown: a box for each thing by place, and names are only names", () => {
  expect(
    listAsMarkdown("Round *all*", "3 things, 900 g", [
      ["Main bag", [line("Tent"), line("[x](y) <b>"), line("Stakes", { pieces: 8, weight: "" })]],
    ]),
  ).toBe(
    [
      "# Round \\*all\\*",
      "",
      "3 things, 900 g",
      "",
      "## Main bag",
      "",
      "- [ ] Tent, 312 g",
      "- [ ] \\[x\\](y) \\<b\\>, 312 g",
      "- [ ] Stakes ×8",
      "",
    ].join("\n"),
  );
});
