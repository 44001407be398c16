/** A life as a share of the length at which it would most likely be over. */
export interface RulerFigures {
  /** All in one unit of wear. */
  readonly worn: number;
  readonly low: number;
  readonly median: number;
  readonly high: number;
  readonly nextTrip: number;
  /** A verdict says that it must be replaced. */
  readonly pressing: boolean;
}

/** What is left: filled as life is used, a whisker where it may end, a tick where the next trip would. */
export function Ruler({
  worn,
  low,
  median,
  high,
  nextTrip,
  pressing,
  words,
}: RulerFigures & { words: string }) {
  const end = worn + high;
  const x = (wear: number) => 2 + (Math.min(wear, end) / end) * 84;
  return (
    <span role="img" aria-label={words} title={words} className="block">
      <svg viewBox="0 0 90 16" width="90" height="16" aria-hidden="true">
        <path
          d="M2 12.5h84M2 12.5v3M23 12.5v2M44 12.5v3M65 12.5v2M86 12.5v3"
          className="stroke-rule-strong"
          strokeWidth="1"
        />
        <rect
          x="2"
          y="8"
          width={Math.max(0.5, x(worn) - 2)}
          height="4"
          className={pressing ? "fill-sting" : "fill-leaf"}
        />
        <path
          d={`M${x(worn + low)} 4.5H${x(worn + high)}M${x(worn + low)} 3v3M${x(worn + high)} 3v3`}
          className="stroke-ink"
          strokeWidth="1.2"
        />
        <circle cx={x(worn + median)} cy="4.5" r="1.7" className="fill-ink" />
        <path
          d={`M${x(worn + nextTrip)} 1v12`}
          className="stroke-stem"
          strokeWidth="1.4"
          strokeDasharray="2 1.4"
        />
      </svg>
    </span>
  );
}
