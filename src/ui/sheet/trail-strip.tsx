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
import type { SheetData, SheetTrip } from "./sheet-data";
import { BLOCK, type Span } from "./sheet-line";

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

interface TrailStripProps {
  readonly data: SheetData;
  readonly span: Span;
  readonly lit: number;
  readonly narrow: boolean;
  readonly onLight: (trip: number) => void;
}

/**
 * The head of the sheet: the trips as hills along one path, as high as they were far. Choosing one lights its
 * column.
 */
export function TrailStrip({ data, span, lit, narrow, onLight }: TrailStripProps) {
  const first = span.fromBlock * BLOCK;
  const drawn = data.trips.slice(first, (span.toBlock + 1) * BLOCK);
  return (
    <div role="rowgroup" data-fixed="top" className="sticky top-0 z-20 bg-paper print:static">
      <div role="row" aria-rowindex={1} className="flex items-end border-b-2 border-ink">
        <CornerHead things={data.rows.length} />
        <div role="presentation" className="relative shrink-0" style={{ width: span.total, height: 162 }}>
          <Skyline trips={data.trips} span={span} />
          {drawn.map((trip, n) => (
            <TripHead
              key={trip.id}
              trip={trip}
              at={first + n}
              cell={span.cell}
              isLit={lit === first + n}
              unit={data.units.distance}
              onLight={() => onLight(first + n)}
            />
          ))}
        </div>
        <SumHeads unit={data.units.distance} narrow={narrow} />
      </div>
    </div>
  );
}

function CornerHead({ things }: { things: number }) {
  return (
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
      <span className="absolute bottom-1 left-0 text-sm text-muted">{things} things</span>
      <span className="absolute bottom-1 right-2 hidden text-sm text-muted sm:inline">weight</span>
    </div>
  );
}

/** The trips as hills, the furthest the highest. */
function Skyline({ trips, span }: { trips: readonly SheetTrip[]; span: Span }) {
  const furthest = Math.max(...trips.map(({ metres }) => metres), 1);
  const heights = trips.map(({ metres }) => Math.sqrt(metres / furthest));
  return (
    <svg className="absolute bottom-[2.7rem] left-0" width={span.total} height="34" aria-hidden="true">
      <path
        d={ridge(heights, span.cell)}
        className="fill-leaf-soft stroke-leaf"
        strokeWidth="1.6"
        strokeLinejoin="round"
      />
    </svg>
  );
}

interface TripHeadProps {
  readonly trip: SheetTrip;
  /** Its number among the trips. */
  readonly at: number;
  /** Width of its column, in pixels. */
  readonly cell: number;
  readonly isLit: boolean;
  readonly unit: string;
  readonly onLight: () => void;
}

/** A trip's name along its column, the signs of its weather, its nights and how far it was. */
function TripHead({ trip, at, cell, isLit, unit, onLight }: TripHeadProps) {
  const dense = cell < 24;
  return (
    <div
      role="columnheader"
      aria-colindex={at + 2}
      className="absolute inset-y-0"
      style={{ left: at * cell, width: cell }}
    >
      <button
        type="button"
        aria-pressed={isLit}
        onClick={onLight}
        className={`${HEAD} ${isLit ? "bg-catkin" : "hover:bg-leaf-soft"}`}
      >
        <span className={NAME} style={{ bottom: 80 }}>
          {trip.name}
        </span>
        <span className="relative flex h-4 items-center gap-px text-stem" aria-hidden="true">
          {trip.signs.slice(0, dense ? 1 : 2).map((sign) => {
            const Sign = SIGNS[sign];
            return Sign && <Sign key={sign} className="size-3" strokeWidth={2} />;
          })}
        </span>
        <span className={NIGHTS} aria-hidden="true">
          {trip.nights > 0 && (
            <>
              {!dense && <Moon className="size-2.5" strokeWidth={2} />}
              {trip.nights}
            </>
          )}
        </span>
        <span className={`num relative font-semibold ${dense ? "text-[0.66rem]" : "text-[0.76rem]"}`}>
          {trip.distance}
          {trip.cut && (
            <span aria-hidden="true" className="text-sting">
              ✂
            </span>
          )}
          <span className="sr-only">
            {" "}
            {unit}, {count(trip.nights, "night")}
            {trip.signs.length > 0 && `, ${trip.signs.join(" and ")}`}
            {trip.cut && ", cut short"}
          </span>
        </span>
      </button>
    </div>
  );
}

const HEAD = "absolute inset-0 flex flex-col items-center justify-end";
const NAME =
  "absolute left-1/2 w-[5.6rem] origin-bottom-left -rotate-[58deg] truncate text-left " +
  "text-[0.78rem] leading-[1.1]";
const NIGHTS = "num relative flex h-[0.66rem] items-center gap-px text-[0.66rem] leading-none text-muted";

/** What stands beside the strokes. */
function SumHeads({ unit, narrow }: { unit: string; narrow: boolean }) {
  return (
    <div
      role="presentation"
      className="flex shrink-0 self-end bg-paper pb-1 pl-2 text-sm text-muted sm:sticky sm:right-0 sm:z-10"
    >
      <span role="columnheader" className="w-14 self-end text-right">
        {unit}
      </span>
      <span role="columnheader" className="w-12 self-end text-right">
        nights
      </span>
      <span role="columnheader" className="w-[7.2rem] self-end pl-4">
        what is left
      </span>
      <span role="columnheader" className="w-[8.4rem] self-end pl-1">
        <span className={narrow ? "sr-only" : ""}>verdict</span>
      </span>
    </div>
  );
}

/** One skyline: a hill for each trip, its height 0 to 1. */
function ridge(heights: readonly number[], cell: number): string {
  const base = 33;
  const hills = heights.map((height, n) => {
    const top = base - 3 - height * 28;
    const left = n * cell;
    const [rise, peak, fall] = [left + cell * 0.3, left + cell / 2, left + cell * 0.7];
    return `C${rise} ${base} ${rise} ${top} ${peak} ${top}S${fall} ${base} ${left + cell} ${base}`;
  });
  return `M0 ${base}${hills.join("")}`;
}
