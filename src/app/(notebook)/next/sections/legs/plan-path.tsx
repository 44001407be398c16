import { scaleLinear } from "d3-scale";
import type { Stage } from "@/core/plan/stages";
import { hillsPath } from "@/ui/chart/hills";
import { sayDistance, sayHeight, sayMass, type Units } from "@/core/units/speak";

/** Something that may give out on the way. */
interface Weak {
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

interface PlanPathProps {
  readonly stages: readonly Stage[];
  readonly weak: readonly Weak[];
  readonly units: Units;
}

/**
 * The trip ahead as a path, leg by leg, higher where more is climbed: what is on the back where each begins,
 * and what may give out where.
 */
export function PlanPath({ stages, weak, units }: PlanPathProps) {
  const metres = stages.at(-1)?.to;
  if (metres === undefined) return null;
  const x = scaleLinear([0, metres], [EDGE, WIDE - EDGE]);
  const words = `${sayDistance(metres, units)} in ${stages.length} legs.`;
  return (
    <figure className="mb-6 overflow-x-auto" tabIndex={0} aria-label="The way, leg by leg">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className="w-full min-w-[56rem]"
        role="img"
        aria-label={[words, ...weak.map((each) => each.words)].join(" ")}
      >
        <Hill stages={stages} x={x} />
        <line x1={EDGE} x2={WIDE - EDGE} y1={GROUND} y2={GROUND} className="stroke-ink" />
        {stages.map((stage, n) => (
          <LegMark key={stage.leg} stage={stage} isFirst={n === 0} x={x} units={units} />
        ))}
        {weak.map((each, n) => (
          <WeakMark
            key={each.id}
            weak={each}
            y={HIGH - 22 + (n % 2) * 14}
            x={x}
            isLate={each.metres > metres * 0.7}
            units={units}
          />
        ))}
      </svg>
      <figcaption className="hint">A hill for each leg, as high as it climbs in all: no terrain.</figcaption>
    </figure>
  );
}

/** Metres from the start to where that is in the picture. */
type Across = (metres: number) => number;

function Hill({ stages, x }: { stages: readonly Stage[]; x: Across }) {
  const steepest = Math.max(LEVEL, ...stages.map(steepness));
  const y = scaleLinear([0, steepest], [GROUND, 44]);
  const hills = stages.map((stage) => ({ from: x(stage.from), to: x(stage.to), top: y(steepness(stage)) }));
  return <path d={hillsPath(hills, GROUND)} className="fill-leaf-soft stroke-leaf" strokeWidth={2.5} />;
}

interface LegMarkProps {
  readonly stage: Stage;
  readonly isFirst: boolean;
  readonly x: Across;
  readonly units: Units;
}

/** Where a leg begins: its name, how far and how high, and what is on the back there. */
function LegMark({ stage, isFirst, x, units }: LegMarkProps) {
  const at = x(stage.from);
  const climb = stage.ascent === null ? [] : [`↑ ${sayHeight(stage.ascent, units)}`];
  return (
    <g>
      <line x1={at} x2={at} y1={18} y2={HIGH - 26} className="stroke-rule-strong" strokeDasharray="2 3" />
      <text x={at + 5} y={16} className="fill-ink text-[13px] font-semibold">
        {fitted(stage.name, x(stage.to) - at)}
      </text>
      <text x={at + 5} y={31} className="fill-muted text-[12px]">
        {[sayDistance(stage.to - stage.from, units), ...climb].join(", ")}
      </text>
      <circle cx={at} cy={GROUND} r={4} className="fill-paper stroke-ink" strokeWidth={1.5} />
      <text x={at + 5} y={GROUND + 17} className="fill-ink text-[13px]">
        {sayMass(stage.onBack, units)}
        {isFirst && <tspan className="fill-muted text-[12px]"> on the back, with food</tspan>}
      </text>
    </g>
  );
}

interface WeakMarkProps {
  readonly weak: Weak;
  readonly y: number;
  readonly x: Across;
  /** So near the end that its words stand before it. */
  readonly isLate: boolean;
  readonly units: Units;
}

function WeakMark({ weak: { name, metres }, y, x, isLate, units }: WeakMarkProps) {
  const at = x(metres);
  return (
    <g>
      <path d={`M${at} ${GROUND}V${y}`} className="stroke-sting" strokeDasharray="4 3" />
      <path d={`M${at - 5} ${GROUND - 4}l5 8l5 -8z`} className="fill-sting" />
      <text
        x={at + (isLate ? -6 : 6)}
        y={y}
        textAnchor={isLate ? "end" : "start"}
        className="fill-sting text-[12.5px] font-semibold"
      >
        {name}, about {sayDistance(metres, units)}
      </text>
    </g>
  );
}

/** Metres up for each metre on; where nobody told, as on the flat. */
const steepness = ({ ascent, from, to }: Stage) => (ascent ?? 0) / Math.max(1, to - from);

/** As much of a name as there is room for. */
const fitted = (name: string, wide: number) => {
  const letters = Math.floor((wide - 8) / 7);
  return name.length <= letters ? name : `${name.slice(0, Math.max(1, letters - 1))}…`;
};
