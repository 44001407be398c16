import Link from "next/link";
import { scaleLinear, scaleLog } from "d3-scale";
import { line } from "d3-shape";
import type { CostPoint } from "@/core/compare/as-it-went";
import type { Kept } from "@/core/compare/money";
import { sayMoney } from "@/core/say/money";
import { count, sayDay } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";
import { lastOf, nth } from "@/core/sums/there";

const WIDE = 240;
const HIGH = 78;
const EDGE = 6;
const ROOM = 56;

/** A slot's life in money: what a night in it came to, falling as the nights add up, rising where it was paid for. */
export function LifeCard({ kept, points }: { kept: Kept; points: readonly CostPoint[] }) {
  const { name, currency, holders, cost, nights } = kept;
  const last = holders.at(-1);
  return (
    <li className="border-t-2 border-ink pt-1">
      <div className="flex items-baseline justify-between gap-3">
        <Link
          prefetch={false}
          href={last ? itemPath(last.id) : "/shelf"}
          className="truncate font-semibold hover:underline"
        >
          {name}
        </Link>
        <span className="num">{sayMoney(cost, currency)}</span>
      </div>
      {nights >= 1 ? (
        <>
          <Curve points={points} currency={currency} name={name} />
          <p className="text-sm">
            <b>{sayMoney(cost / nights, currency)} a night</b>, after {count(Math.round(nights), "night")}
            {holders.length > 1 && ` in ${holders.length}`}
          </p>
        </>
      ) : (
        <p className="text-sm text-muted">Not a night in use yet.</p>
      )}
    </li>
  );
}

/** What a night had come to, by how many there had been; a ring where something was paid. */
function Curve({ points, currency, name }: { points: readonly CostPoint[]; currency: string; name: string }) {
  const told = points
    .filter(({ nights }) => nights >= 1)
    .map((point) => ({ ...point, a: point.paid / point.nights }));
  const first = nth(told, 0);
  const end = lastOf(told);
  const x = scaleLinear([0, end.nights], [EDGE, WIDE - EDGE]);
  const all = told.map(({ a }) => a);
  const y = scaleLog([Math.min(...all) * 0.9, Math.max(...all) * 1.1], [HIGH - EDGE, EDGE]);
  const path = line<(typeof told)[number]>(
    ({ nights }) => x(nights),
    ({ a }) => y(a),
  )(told);
  // Before its line where there is room, else behind its beginning.
  const isLate = x(first.nights) > ROOM;
  const words = `${name}: ${sayMoney(first.a, currency)} a night by ${sayDay(first.on)}, ${sayMoney(end.a, currency)} by ${sayDay(end.on)}`;
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full" role="img" aria-label={words}>
      <line x1={EDGE} x2={WIDE - EDGE} y1={HIGH - 2} y2={HIGH - 2} className="stroke-rule" />
      <path d={path ?? ""} className="fill-none stroke-leaf [stroke-width:2.5]" />
      {told.map((point, n) =>
        point.isPaid && n > 0 ? (
          <circle
            key={n}
            cx={x(point.nights)}
            cy={y(point.a)}
            r={4}
            className="fill-paper stroke-sting [stroke-width:2]"
          >
            <title>{`${sayDay(point.on)}: paid for again`}</title>
          </circle>
        ) : null,
      )}
      <text
        x={x(first.nights) + (isLate ? -6 : 10)}
        y={y(first.a) + 5}
        textAnchor={isLate ? "end" : "start"}
        className="fill-muted text-[12px]"
      >
        {sayMoney(first.a, currency)}
      </text>
    </svg>
  );
}
