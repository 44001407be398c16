import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import { Stroke, StrokeLine, STROKES, type StrokeCode } from "./stroke";

const CODES = Object.keys(STROKES) as StrokeCode[];
const line = (codes: string) =>
  renderToStaticMarkup(<StrokeLine seams={[]} codes={codes} cell={20} height={25} />);
const paths = (markup: string) => [...markup.matchAll(/ d="([^"]+)"/g)].map(([, d]) => d!);

test("every mark has a shape of its own: none is told from another by colour alone", () => {
  const shapes = CODES.map((code) => {
    const markup = renderToStaticMarkup(<Stroke code={code} />);
    // What remains without colour: the paths, their dashes, and the letters on flags.
    return JSON.stringify([
      paths(markup),
      /stroke-dasharray/.test(markup),
      /<text[^>]*>(.)/.exec(markup)?.[1],
    ]);
  });
  expect(new Set(shapes).size).toBe(CODES.length);
  expect(paths(renderToStaticMarkup(<Stroke code="-" />))).toEqual([]);
});

test("a row draws each stroke in its own cell, and strokes of a sort share one path", () => {
  // Cells are 20 wide and a stroke's box 16: the first upright starts 2 + 9.2 from the left, the next a cell
  // further on.
  expect(paths(line("u-u"))).toEqual(["M11.2 2l-2.4 16M51.2 2l-2.4 16"]);
  expect(paths(line("uuuunnnn"))).toHaveLength(2);
  expect(paths(line("---"))).toEqual([]);
});

test("damage lies on top of its upright, and each flag carries its letter", () => {
  const [upright, notch] = paths(line("d"));
  expect([upright, notch]).toEqual(["M11.2 2l-2.4 16", "M5.6 11.6l8.8-3.2"]);
  expect([...line("lgswt").matchAll(/<text[^>]*>(.)/g)].map(([, letter]) => letter).join("")).toBe("LGHWT");
});

test("pictures are skipped by screen readers: the cell says it in words", () => {
  expect(line("u")).toContain('aria-hidden="true"');
});
