import { scaleSqrt } from "d3-scale";
import { isPressing, type Advice } from "@/core/advice/advise";
import { usedInAll } from "@/core/ledger/totals";
import { daysBetween } from "@/core/sums/days";
import { count, sayMass, type Units } from "@/core/units/speak";

const WIDE = 1000;
const HIGH = 460;
const EDGE = { left: 46, right: 120, top: 14, below: 40 } as const;
const DAYS_A_YEAR = 365.25;
/** Of the largest mark, in units of the picture, and of the lightest thing's. */
const [LARGEST, LEAST] = [15, 2.5];

interface Placed {
  readonly id: string;
  readonly name: string;
  readonly years: number;
  readonly days: number;
  readonly grams: number;
  /** Something is to be done about it. */
  readonly wants: boolean;
}

interface ByAgeProps {
  readonly things: readonly Advice[];
  readonly today: string;
  readonly units: Units;
}

/** The shelf by how old things are and on how many days they were used, each as large as it is heavy. */
export function ByAge({ things, today, units }: ByAgeProps) {
  const placed = things.flatMap((advice) => placeOf(advice, today));
  const dateless = things.length - placed.length;
  if (placed.length === 0)
    return (
      <p className="text-muted">
        No day is told of any of these yet: say when they were got, or take them along.
      </p>
    );
  const most = (of: (one: Placed) => number, least: number) => Math.max(least, ...placed.map(of));
  const x = scaleSqrt([0, most(({ years }) => years, 1)], [EDGE.left, WIDE - EDGE.right]);
  const y = scaleSqrt([0, most(({ days }) => days, 10)], [HIGH - EDGE.below, EDGE.top]);
  const r = scaleSqrt([0, most(({ grams }) => grams, 1)], [LEAST, LARGEST]);
  const at = (one: Placed): Spot => ({ x: x(one.years), y: y(one.days), r: r(one.grams) });
  return (
    <figure>
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full" role="img" aria-label={sayAll(placed, units)}>
        {y.ticks(5).map((tick) => (
          <g key={tick}>
            <line x1={EDGE.left} x2={WIDE} y1={y(tick)} y2={y(tick)} className="stroke-rule" />
            <text x={EDGE.left - 6} y={y(tick) + 4} textAnchor="end" className="fill-muted text-[13px]">
              {tick}
            </text>
          </g>
        ))}
        {x.ticks(6).map((tick) => (
          <text key={tick} x={x(tick)} y={HIGH - 20} textAnchor="middle" className="fill-muted text-[13px]">
            {tick}
          </text>
        ))}
        <text x={WIDE - EDGE.right} y={HIGH - 4} textAnchor="end" className="fill-muted text-[13px]">
          years old
        </text>
        <text x={4} y={HIGH - 4} className="fill-muted text-[13px]">
          days used, up
        </text>
        {placed.map((one) => (
          <circle
            key={one.id}
            cx={at(one).x}
            cy={at(one).y}
            r={at(one).r}
            className={one.wants ? "fill-paper stroke-sting [stroke-width:3]" : "fill-leaf opacity-70"}
          >
            <title>{sayOne(one, units)}</title>
          </circle>
        ))}
        {named(placed, at).map((one) => (
          <text key={one.id} x={at(one).x + at(one).r + 3} y={at(one).y + 4} className="fill-ink text-[13px]">
            {one.name}
          </text>
        ))}
      </svg>
      <figcaption className="hint">
        To the right the old, up what is used much; as large as it is heavy; ringed where something is to be
        done first. Low and right lies what was hardly wanted.
        {dateless > 0 &&
          ` ${count(dateless, "thing")} of no known age ${dateless === 1 ? "is" : "are"} left out.`}
      </figcaption>
    </figure>
  );
}

function placeOf({ case: one, grams, asks }: Advice, today: string): Placed[] {
  const since = one.item.acquired ?? one.marked[0]?.outing.trip.starts;
  if (!since || since > today) return [];
  const { id, name } = one.item;
  const years = daysBetween(since, today) / DAYS_A_YEAR;
  return [
    { id, name, years, days: usedInAll(one.totals).days, grams: grams ?? 0, wants: asks.some(isPressing) },
  ];
}

const LETTER = 7.4;
const LINE = 14;

interface Spot {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

/** What there is room to name: the heaviest first, no name upon another, nor upon another's mark. */
function named(placed: readonly Placed[], spotOf: (one: Placed) => Spot): Placed[] {
  const taken: { readonly from: number; readonly to: number; readonly y: number; readonly high: number }[] =
    [];
  return placed
    .toSorted((a, b) => Number(b.wants) - Number(a.wants) || b.grams - a.grams)
    .filter((one) => {
      const { x, y, r } = spotOf(one);
      const label = { from: x + r, to: x + r + 4 + one.name.length * LETTER, y, high: LINE / 2 };
      const marks = placed
        .filter((other) => other !== one)
        .map((other) => spotOf(other))
        .map((spot) => ({ from: spot.x - spot.r, to: spot.x + spot.r, y: spot.y, high: spot.r }));
      const isFree = [...taken, ...marks].every(
        (other) =>
          Math.abs(other.y - y) >= other.high + label.high || other.from > label.to || other.to < label.from,
      );
      if (isFree) taken.push(label);
      return isFree;
    });
}

const sayOne = ({ name, years, days, grams }: Placed, units: Units) =>
  `${name}: ${years.toFixed(1)} years, ${count(Math.round(days), "day")} used, ${sayMass(grams, units)}`;

const sayAll = (placed: readonly Placed[], units: Units) =>
  placed.map((one) => sayOne(one, units)).join("; ");
