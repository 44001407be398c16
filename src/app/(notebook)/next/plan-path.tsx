import { scaleLinear } from "d3-scale";
import { area, curveMonotoneX, line } from "d3-shape";
import type { Stage } from "@/core/plan/stages";
import { sayDistance, sayHeight, sayMass, type Units } from "@/core/units/speak";

/** Something that may give out on the way. */
export interface Weak {
  readonly id: string;
  readonly name: string;
  readonly metres: number;
  readonly words: string;
}

const WIDE = 1000;
const HIGH = 190;
const EDGE = 12;
const GROUND = 118;
/** Metres up for each on that stand for a level way. */
const LEVEL = 0.005;

/**
 * The trip ahead as a path, leg by leg, higher where more is climbed: what is on the back where each begins,
 * and what may give out where.
 */
export function PlanPath({
  stages,
  weak,
  units,
}: {
  stages: readonly Stage[];
  weak: readonly Weak[];
  units: Units;
}) {
  const metres = stages.at(-1)!.to;
  const x = scaleLinear([0, metres], [EDGE, WIDE - EDGE]);
  const steepest = Math.max(LEVEL, ...stages.map(steepness));
  const y = scaleLinear([0, steepest], [GROUND, 44]);
  // Up to the middle of each leg and down to its end: a picture of its climb, no profile.
  const way = stages.flatMap((stage): [number, number][] => [
    [x(stage.from), GROUND],
    [x((stage.from + stage.to) / 2), y(steepness(stage))],
    [x(stage.to), GROUND],
  ]);
  return (
    <figure className="mb-6 overflow-x-auto" tabIndex={0} aria-label="The way, leg by leg">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className="w-full min-w-[56rem]"
        role="img"
        aria-label={`${sayDistance(metres, units)} in ${stages.length} legs. ${weak.map(({ words }) => words).join(" ")}`}
      >
        <path
          d={area<[number, number]>()
            .x(([at]) => at)
            .y0(GROUND)
            .y1(([, high]) => high)
            .curve(curveMonotoneX)(way)!}
          className="fill-leaf-soft"
        />
        <path
          d={line<[number, number]>().curve(curveMonotoneX)(way)!}
          className="fill-none stroke-leaf"
          strokeWidth={2.5}
        />
        <line x1={EDGE} x2={WIDE - EDGE} y1={GROUND} y2={GROUND} className="stroke-ink" />
        {stages.map((stage, n) => (
          <g key={stage.leg}>
            <line
              x1={x(stage.from)}
              x2={x(stage.from)}
              y1={18}
              y2={HIGH - 26}
              className="stroke-rule-strong"
              strokeDasharray="2 3"
            />
            <text x={x(stage.from) + 5} y={16} className="fill-ink text-[13px] font-semibold">
              {fitted(stage.name, x(stage.to) - x(stage.from))}
            </text>
            <text x={x(stage.from) + 5} y={31} className="fill-muted text-[12px]">
              {[
                sayDistance(stage.to - stage.from, units),
                stage.ascent === null ? "" : `↑ ${sayHeight(stage.ascent, units)}`,
              ]
                .filter(Boolean)
                .join(", ")}
            </text>
            <circle
              cx={x(stage.from)}
              cy={GROUND}
              r={4}
              className="fill-paper stroke-ink"
              strokeWidth={1.5}
            />
            <text x={x(stage.from) + 5} y={GROUND + 17} className="fill-ink text-[13px]">
              {sayMass(stage.onBack, units)}
              {n === 0 && <tspan className="fill-muted text-[12px]"> on the back, with food</tspan>}
            </text>
          </g>
        ))}
        {weak.map(({ id, name, metres: at }, n) => (
          <g key={id}>
            <path
              d={`M${x(at)} ${GROUND}V${HIGH - 22 + (n % 2) * 14}`}
              className="stroke-sting"
              strokeDasharray="4 3"
            />
            <path d={`M${x(at) - 5} ${GROUND - 4}l5 8l5 -8z`} className="fill-sting" />
            <text
              x={x(at) + (at > metres * 0.7 ? -6 : 6)}
              y={HIGH - 22 + (n % 2) * 14}
              textAnchor={at > metres * 0.7 ? "end" : "start"}
              className="fill-sting text-[12.5px] font-semibold"
            >
              {name}, about {sayDistance(at, units)}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}

/** Metres up for each metre on; where nobody told, as on the flat. */
const steepness = ({ ascent, from, to }: Stage) => (ascent ?? 0) / Math.max(1, to - from);

/** As much of a name as there is room for. */
const fitted = (name: string, wide: number) => {
  const letters = Math.floor((wide - 8) / 7);
  return name.length <= letters ? name : `${name.slice(0, Math.max(1, letters - 1))}…`;
};
