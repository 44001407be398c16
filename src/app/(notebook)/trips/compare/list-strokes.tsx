import { scaleLinear } from "d3-scale";
import type { Listed } from "@/core/compare/lists";
import type { Use } from "@/core/model";
import { count, sayMass, type Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { nth } from "@/core/sums/there";

/** What became of a thing on a list: how it was used, or that it was only cover, or nobody told. */
type Came = Use | "cover" | "not told";

/** A list as it is drawn. */
export interface DrawnList {
  readonly key: string;
  readonly name: string;
  readonly things: readonly (Listed & { readonly came: Came })[];
}

const WIDE = 1000;
const HIGH = 30;
/** What is lighter than this is still a hair's breadth, in units of the picture. */
const HAIR = 1.5;

const ORDER: readonly Came[] = ["used", "hardly", "not told", "cover", "unused"];

/** How each is drawn: full strokes were used, short ones hardly, hollow ones went for nothing. */
const LOOKS: Readonly<Record<Came, { readonly words: string; readonly look: string; readonly top: number }>> =
  {
    used: { words: "used", look: "fill-leaf", top: 4 },
    hardly: { words: "hardly", look: "fill-leaf", top: 17 },
    "not told": { words: "not told, or not out yet", look: "fill-rule-strong", top: 4 },
    cover: { words: "cover, not needed", look: "fill-catkin-strong", top: 4 },
    unused: { words: "not used", look: "fill-paper stroke-sting", top: 4 },
  };

/** Lists as strokes, one a thing and as wide as it weighs: what was used of what was carried. */
export function ListStrokes({ lists, units }: { lists: readonly DrawnList[]; units: Units }) {
  const totals = lists.map(({ things }) => things.reduce((sum, { grams }) => sum + (grams ?? 0), 0));
  const x = scaleLinear([0, Math.max(1, ...totals)], [0, WIDE]);
  const there = new Set(lists.flatMap(({ things }) => things.map(({ came }) => came)));
  return (
    <Section title="All lists, oldest first" note="a stroke a thing, as wide as it weighs" look="mt-8">
      <ul>
        {lists.map(({ key, name, things }, n) => (
          <li
            key={key}
            className="grid items-center gap-x-3 border-b border-rule py-0.5 sm:grid-cols-[11rem_1fr_5rem]"
          >
            <span className="truncate text-sm">{name}</span>
            <svg
              viewBox={`0 0 ${WIDE} ${HIGH}`}
              preserveAspectRatio="none"
              className="h-7 w-full"
              role="img"
              aria-label={`${name}: ${sayParts(things, units)}`}
            >
              <Strokes things={things} x={x} units={units} />
            </svg>
            <span className="num text-right text-sm">{sayMass(nth(totals, n), units)}</span>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm text-muted">
        {ORDER.filter((came) => there.has(came)).map((came) => (
          <span key={came} className="inline-flex items-center gap-1.5">
            <svg width={12} height={HIGH} viewBox={`0 0 12 ${HIGH}`} aria-hidden>
              <rect
                x={1}
                y={LOOKS[came].top}
                width={9}
                height={HIGH - 4 - LOOKS[came].top}
                className={LOOKS[came].look}
              />
            </svg>
            {LOOKS[came].words}
          </span>
        ))}
      </p>
    </Section>
  );
}

function Strokes({
  things,
  x,
  units,
}: {
  things: DrawnList["things"];
  x: (grams: number) => number;
  units: Units;
}) {
  const inOrder = things.toSorted(
    (a, b) => ORDER.indexOf(a.came) - ORDER.indexOf(b.came) || (b.grams ?? 0) - (a.grams ?? 0),
  );
  let at = 0;
  return inOrder.map(({ item, grams, came }) => {
    const from = x(at);
    at += grams ?? 0;
    const { look, top, words } = LOOKS[came];
    return (
      <rect
        key={item.id}
        x={from + 0.5}
        y={top}
        width={Math.max(HAIR, x(at) - from - 1.5)}
        height={HIGH - 4 - top}
        className={look}
        vectorEffect="non-scaling-stroke"
      >
        <title>{`${item.name}, ${grams === null ? "not weighed" : sayMass(grams, units)}: ${words}`}</title>
      </rect>
    );
  });
}

/** "42 things used, 5 400 g; 11 not used, 1 200 g": for those who can't see it. */
const sayParts = (things: DrawnList["things"], units: Units) =>
  ORDER.flatMap((came) => {
    const these = things.filter((each) => each.came === came);
    const grams = these.reduce((sum, each) => sum + (each.grams ?? 0), 0);
    return these.length > 0
      ? [`${count(these.length, "thing")} ${LOOKS[came].words}, ${sayMass(grams, units)}`]
      : [];
  }).join("; ");
