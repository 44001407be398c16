import { scaleLinear } from "d3-scale";
import { sayMonth, sayMonths } from "@/core/plan/kits/kit-words";
import { warmTo, type HeldKit } from "@/core/plan/kits/which-kit";
import { MONTHS } from "@/core/sums/days";
import { sayTemperature, type Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import type { KitsAhead } from "./kits-data";

const WIDE = 560;
const HIGH = 240;
const LEFT = 44;
const BELOW = 24;

interface LowsAndBedsProps {
  readonly kits: readonly HeldKit[];
  readonly nights: KitsAhead["nights"];
  readonly units: Units;
}

/** Every night out by its month and how cold it got, and down to what the bed of each kit does, over its months. */
export function LowsAndBeds({ kits, nights, units }: LowsAndBedsProps) {
  const beds = kits.flatMap(({ kit, way }) => (way ? [{ kit, does: warmTo(way) }] : []));
  if (nights.length === 0) return null;
  const all = [...nights.map(({ low }) => low), ...beds.map(({ does }) => does)];
  const [coldest, warmest] = [Math.min(...all) - 2, Math.max(...all) + 2];
  const y = scaleLinear([coldest, warmest], [HIGH - BELOW, 8]);
  const x = scaleLinear([1, 13], [LEFT, WIDE]);
  const width = x(2) - x(1);
  return (
    <Section title="Your nights, and what the kits do" note="each night out by its month">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className="w-full max-w-2xl"
        role="img"
        aria-label={beds
          .map(
            ({ kit, does }) =>
              `${kit.name}, ${sayMonths(kit.months)}: down to ${sayTemperature(does, units)}`,
          )
          .join("; ")}
      >
        {y.ticks(5).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={WIDE} y1={y(tick)} y2={y(tick)} className="stroke-rule" />
            <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className="fill-muted text-[12px]">
              {sayTemperature(tick, units)}
            </text>
          </g>
        ))}
        {MONTHS.map((month) => (
          <text
            key={month}
            x={x(month) + width / 2}
            y={HIGH - 6}
            textAnchor="middle"
            className="fill-muted text-[12px]"
          >
            {sayMonth(month).slice(0, 3)}
          </text>
        ))}
        {nights.map(({ month, low, isGuess }, n) => (
          // A night stands beside the others of its month, not upon them.
          <line
            key={n}
            x1={x(month) + 6 + ((n * 7) % Math.max(1, Math.round(width - 14)))}
            x2={x(month) + 6 + ((n * 7) % Math.max(1, Math.round(width - 14)))}
            y1={y(low) - 5}
            y2={y(low) + 5}
            className={isGuess ? "stroke-rule [stroke-width:3]" : "stroke-ink [stroke-width:2]"}
          />
        ))}
        {beds.map(({ kit, does }, n) => (
          <g key={kit.id}>
            {(kit.months.length > 0 ? kit.months : MONTHS).map((month) => (
              <line
                key={month}
                x1={x(month)}
                x2={x(month) + width}
                y1={y(does)}
                y2={y(does)}
                className={`[stroke-width:3] ${LOOKS[n % LOOKS.length]}`}
              />
            ))}
            <text
              x={x(kit.months.length > 0 ? Math.min(...kit.months) : 1) + 3}
              y={y(does) - 5}
              className="fill-ink text-[12px] font-semibold"
            >
              {kit.name}
            </text>
          </g>
        ))}
      </svg>
      <p className="hint">
        A stroke is a night: dark as it was measured, pale as it is guessed. Down to a kit’s line a cold night
        in it is unlikely; below, it is not.
      </p>
    </Section>
  );
}

/** Lines of the kits, told apart by more than their colour. */
const LOOKS = [
  "stroke-leaf",
  "stroke-sting [stroke-dasharray:8_4]",
  "stroke-stem [stroke-dasharray:3_3]",
] as const;
