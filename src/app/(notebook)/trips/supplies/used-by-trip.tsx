import { scaleLinear } from "d3-scale";
import { sayRate } from "@/core/say/supplies";
import type { Units } from "@/core/units/speak";
import type { SupplyUse } from "@/core/weighin/supplies";

const HIGH = 84;
const BAR = 26;
const STEP = 38;
const EDGE = 6;
const BELOW = 16;
/** Trips that are drawn, the latest: as many as fit a phone. */
const LATEST = 8;

interface UsedByTripProps {
  readonly use: SupplyUse;
  readonly margin: number;
  readonly units: Units;
}

/**
 * Trip by trip what went out, what of it was used, and what came home; the owner's line across, and what is
 * reckoned with.
 */
export function UsedByTrip({ use: { rule, rate, taken }, margin, units }: UsedByTripProps) {
  const told = taken
    .slice(-LATEST)
    .flatMap(({ outing, out, used, over }) =>
      over ? [{ trip: outing.trip, out: out / over, used: used / over }] : [],
    );
  if (told.length < 2) return null;
  const enough = rate.enoughFor(margin);
  const y = scaleLinear([0, Math.max(enough, ...told.map(({ out }) => out))], [HIGH - BELOW, EDGE]);
  const wide = told.length * STEP + EDGE;
  const say = (value: number) => sayRate(value, rule, units);
  const words = told.map(({ trip, used }) => `${trip.name} ${say(used)}`).join(", ");
  return (
    <div className="mt-1">
      <svg width={wide} height={HIGH} role="img" aria-label={words}>
        {told.map(({ trip, out, used }, n) => (
          <g key={trip.id} transform={`translate(${EDGE + n * STEP} 0)`}>
            <title>{`${trip.name}: ${say(used)}, of ${say(out)} that went out`}</title>
            <rect y={y(out)} width={BAR} height={y(0) - y(out)} className="fill-paper stroke-rule-strong" />
            <rect y={y(used)} width={BAR} height={y(0) - y(used)} className="fill-leaf" />
            <text x={BAR / 2} y={HIGH - 3} textAnchor="middle" className="fill-muted text-[12px]">
              {trip.starts.slice(2, 4)}
            </text>
          </g>
        ))}
        <line
          x1={0}
          x2={wide}
          y1={y(rate.median)}
          y2={y(rate.median)}
          className="stroke-ink [stroke-width:1.5]"
        />
        <line
          x1={0}
          x2={wide}
          y1={y(enough)}
          y2={y(enough)}
          className="stroke-sting [stroke-dasharray:5_4] [stroke-width:1.5]"
        />
      </svg>
    </div>
  );
}
