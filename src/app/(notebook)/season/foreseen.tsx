import { scaleLinear } from "d3-scale";
import type { ForetoldSort } from "@/core/seasons/foretold";
import { shareBetween, type Truth } from "@/core/seasons/truth";
import { count, percent } from "@/core/units/speak";

const NAMES: Readonly<Record<ForetoldSort, string>> = {
  used: "It is used",
  "gives out": "It gives out on the way",
  shoes: "The shoes give out",
  "cold night": "A night is too cold for the bed",
  gas: "So much gas is enough",
};

/** Of each sort of chance: what was said before the walks, what came, how it went over the years. */
export function Foreseen({ truths }: { truths: readonly Truth[] }) {
  return (
    <>
      <h3 className="mt-4 mb-1 font-semibold">What was foreseen, and what came</h3>
      <ul className="grid gap-x-8 gap-y-6 sm:grid-cols-2 lg:grid-cols-3">
        {truths.map((truth) => (
          <OneSort key={truth.sort} truth={truth} />
        ))}
      </ul>
      <p className="hint mt-2">
        A stroke is what was said together: across, how likely it was said to be; up, how often it came, with
        where four in five of such shares lie. On the slanting line both are one. Below, year by year: the bar
        is how often it came, the line across it how often it was said to. Few of a sort tell little.
      </p>
    </>
  );
}

/** Said and come so near each other are one. */
const NEAR = 0.02;

function OneSort({ truth }: { truth: Truth }) {
  const { sort, times, said, came, years } = truth;
  const [low, high] = shareBetween(came, times);
  const isRight = said >= low - NEAR && said <= high + NEAR;
  return (
    <li>
      <h4 className="border-b border-rule font-semibold">{NAMES[sort]}</h4>
      <p>
        Said {percent(said)} on average; came {came} of {count(times, "time")}, {percent(came / times)}.{" "}
        {isRight ? (
          <span className="text-muted">Right, as far as these can tell.</span>
        ) : (
          <b>Said too {came / times > said ? "seldom" : "often"}.</b>
        )}
      </p>
      <Plot truth={truth} />
      {years.length > 1 && <ByYear years={years} />}
    </li>
  );
}

const YEAR = 34;
const HIGH = 44;

/** Year by year: how often it came as a bar, how often it was said to as a line across it. */
function ByYear({ years }: Pick<Truth, "years">) {
  const words = years
    .map(({ year, said, came, times }) => `${year}: said ${percent(said)}, came ${came} of ${times}`)
    .join("; ");
  return (
    <svg width={years.length * YEAR + EDGE} height={HIGH + 18} role="img" aria-label={words} className="mt-1">
      <title>{words}</title>
      {years.map(({ year, said, came, times }, n) => (
        <g key={year} transform={`translate(${EDGE + n * YEAR} 0)`}>
          <rect x={0} y={0} width={YEAR - 6} height={HIGH} className="fill-rule opacity-40" />
          <rect
            x={6}
            y={HIGH * (1 - came / times)}
            width={16}
            height={(HIGH * came) / times}
            className="fill-leaf"
          />
          <rect
            x={0}
            y={Math.min(HIGH - 2, HIGH * (1 - said))}
            width={YEAR - 6}
            height={2}
            className="fill-ink"
          />
          <text x={(YEAR - 6) / 2} y={HIGH + 14} textAnchor="middle" className="fill-muted text-[12px]">
            {year.slice(2)}
          </text>
        </g>
      ))}
    </svg>
  );
}

const SIZE = 200;
const EDGE = 30;

/** What was said, across, and how often it came, up: a stroke for each band of chances. */
function Plot({ truth: { sort, bins } }: { truth: Truth }) {
  const x = scaleLinear([0, 1], [EDGE, SIZE - 6]);
  const y = scaleLinear([0, 1], [SIZE - EDGE + 8, 6]);
  const words = bins
    .map(({ from, to, came, times }) => `${Math.round(from * 100)} to ${percent(to)}: ${came} of ${times}`)
    .join("; ");
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="w-full max-w-56"
      role="img"
      aria-label={`${NAMES[sort]}. ${words}`}
    >
      {[0, 0.5, 1].map((tick) => (
        <g key={tick}>
          <line x1={x(0)} x2={x(1)} y1={y(tick)} y2={y(tick)} className="stroke-rule" />
          <text x={EDGE - 4} y={y(tick) + 4} textAnchor="end" className="fill-muted text-[12px]">
            {tick * 100}
          </text>
          <text
            x={x(tick)}
            y={SIZE - 4}
            textAnchor={tick === 1 ? "end" : "middle"}
            className="fill-muted text-[12px]"
          >
            {tick === 1 ? "100 % said" : tick * 100}
          </text>
        </g>
      ))}
      <line x1={x(0)} x2={x(1)} y1={y(0)} y2={y(1)} className="stroke-rule-strong [stroke-dasharray:3_3]" />
      {bins.map(({ from, said, came, times }) => {
        const [low, high] = shareBetween(came, times);
        return (
          <g key={from}>
            <line
              x1={x(said)}
              x2={x(said)}
              y1={y(low)}
              y2={y(high)}
              className="stroke-catkin-strong [stroke-width:3]"
            />
            <line
              x1={x(said) - 6}
              x2={x(said) + 6}
              y1={y(came / times)}
              y2={y(came / times)}
              className="stroke-leaf [stroke-width:5]"
            />
          </g>
        );
      })}
    </svg>
  );
}
