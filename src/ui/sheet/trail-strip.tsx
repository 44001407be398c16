import Link from "next/link";
import {
  Bug,
  CloudRain,
  Moon,
  Snowflake,
  Sun,
  Thermometer,
  ThermometerSnowflake,
  Wind,
  type LucideIcon,
} from "lucide-react";
import { count } from "@/core/units/speak";
import type { SheetData } from "./sheet-data";
import { BLOCK, numbersIn, type Span } from "./sheet-line";

const SIGNS: Readonly<Record<string, LucideIcon>> = {
  rain: CloudRain,
  sun: Sun,
  bugs: Bug,
  "snow or ice": Snowflake,
  freezing: Snowflake,
  cold: ThermometerSnowflake,
  heat: Thermometer,
  wind: Wind,
};

/**
 * The head of the sheet: the trips as hills along one path, as high as they were far. Choosing one lights its
 * column.
 */
export function TrailStrip({
  data,
  span,
  lit,
  narrow,
  onLight,
}: {
  data: SheetData;
  span: Span;
  lit: number;
  narrow: boolean;
  onLight: (trip: number) => void;
}) {
  const furthest = Math.max(...data.trips.map((trip) => trip.metres), 1);
  const dense = span.cell < 24;
  return (
    <div role="rowgroup" data-fixed="top" className="sticky top-0 z-20 bg-paper print:static">
      <div role="row" aria-rowindex={1} className="flex items-end border-b-2 border-ink">
        <div
          role="columnheader"
          className="sticky left-0 z-10 w-[9.4rem] shrink-0 self-stretch bg-paper pb-1 sm:w-[15.5rem]"
        >
          <p className="no-print absolute top-1 left-0 hidden w-52 text-[0.8rem] leading-6 text-muted tabs:block">
            <span className="kbd">↑</span> <span className="kbd">↓</span> <span className="kbd">←</span>{" "}
            <span className="kbd">→</span> walk the cells; mark with <span className="kbd">u</span> used,{" "}
            <span className="kbd">h</span> hardly, <span className="kbd">n</span> unused.{" "}
            <span className="kbd">Enter</span> opens.{" "}
            <Link className="link" href="/settings#strokes">
              The strokes
            </Link>
          </p>
          <span className="absolute bottom-1 left-0 text-sm text-muted">{data.rows.length} things</span>
          <span className="absolute bottom-1 right-2 hidden text-sm text-muted sm:inline">weight</span>
        </div>
        <div role="presentation" className="relative shrink-0" style={{ width: span.total, height: 162 }}>
          <svg className="absolute bottom-[2.7rem] left-0" width={span.total} height="34" aria-hidden="true">
            <path
              d={ridge(
                data.trips.map((trip) => Math.sqrt(trip.metres / furthest)),
                span.cell,
              )}
              className="fill-leaf-soft stroke-leaf"
              strokeWidth="1.6"
              strokeLinejoin="round"
            />
          </svg>
          {numbersIn(span.fromBlock * BLOCK, Math.min(data.trips.length, (span.toBlock + 1) * BLOCK) - 1).map(
            (n) => {
              const trip = data.trips[n]!;
              return (
                <div
                  key={trip.id}
                  role="columnheader"
                  aria-colindex={n + 2}
                  className="absolute inset-y-0"
                  style={{ left: n * span.cell, width: span.cell }}
                >
                  <button
                    type="button"
                    aria-pressed={lit === n}
                    onClick={() => onLight(n)}
                    className={`absolute inset-0 flex flex-col items-center justify-end ${lit === n ? "bg-catkin" : "hover:bg-leaf-soft"}`}
                  >
                    <span
                      className="absolute left-1/2 w-[5.6rem] origin-bottom-left -rotate-[58deg] truncate text-left text-[0.78rem] leading-[1.1]"
                      style={{ bottom: 80 }}
                    >
                      {trip.name}
                    </span>
                    <span className="relative flex h-4 items-center gap-px text-stem" aria-hidden="true">
                      {trip.signs.slice(0, dense ? 1 : 2).map((sign) => {
                        const Sign = SIGNS[sign];
                        return Sign && <Sign key={sign} className="size-3" strokeWidth={2} />;
                      })}
                    </span>
                    <span
                      className="num relative flex h-[0.66rem] items-center gap-px text-[0.66rem] leading-none text-muted"
                      aria-hidden="true"
                    >
                      {trip.nights > 0 && (
                        <>
                          {!dense && <Moon className="size-2.5" strokeWidth={2} />}
                          {trip.nights}
                        </>
                      )}
                    </span>
                    <span
                      className={`num relative font-semibold ${dense ? "text-[0.66rem]" : "text-[0.76rem]"}`}
                    >
                      {trip.distance}
                      {trip.cut && (
                        <span aria-hidden="true" className="text-sting">
                          ✂
                        </span>
                      )}
                      <span className="sr-only">
                        {" "}
                        {data.units.distance}, {count(trip.nights, "night")}
                        {trip.signs.length > 0 && `, ${trip.signs.join(" and ")}`}
                        {trip.cut && ", cut short"}
                      </span>
                    </span>
                  </button>
                </div>
              );
            },
          )}
        </div>
        <div
          role="presentation"
          className="flex shrink-0 self-end bg-paper pb-1 pl-2 text-sm text-muted sm:sticky sm:right-0 sm:z-10"
        >
          <span role="columnheader" className="w-14 self-end text-right">
            {data.units.distance}
          </span>
          <span role="columnheader" className="w-12 self-end text-right">
            nights
          </span>
          <span role="columnheader" className="w-[7.2rem] self-end pl-4">
            what is left
          </span>
          <span role="columnheader" className="w-[8.4rem] self-end pl-1">
            {narrow ? "" : "verdict"}
            <span className="sr-only">{narrow ? "verdict" : ""}</span>
          </span>
        </div>
      </div>
    </div>
  );
}

/** One skyline: a hill for each trip, its height 0 to 1. */
function ridge(heights: readonly number[], cell: number): string {
  const base = 33;
  const hills = heights.map((height, n) => {
    const top = base - 3 - height * 28;
    const left = n * cell;
    return `C${left + cell * 0.3} ${base} ${left + cell * 0.3} ${top} ${left + cell / 2} ${top}S${left + cell * 0.7} ${base} ${left + cell} ${base}`;
  });
  return `M0 ${base}${hills.join("")}`;
}
