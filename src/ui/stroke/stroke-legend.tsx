import { Stroke, STROKES, type StrokeCode } from "./stroke";
import { keysOf } from "@/core/sums/keys";

interface StrokeLegendProps {
  /** Those that are drawn; left out: all. */
  readonly codes?: ReadonlySet<StrokeCode>;
  readonly look?: string;
}

const ALL = keysOf(STROKES);

/** What the strokes mean. */
export function StrokeLegend({ codes, look = "flex flex-wrap gap-x-5 gap-y-1" }: StrokeLegendProps) {
  return (
    <ul className={`text-sm leading-6 ${look}`} aria-label="What the strokes mean">
      {ALL.filter((code) => codes?.has(code) ?? true).map((code) => (
        <li key={code} className="flex items-center gap-2">
          <Stroke code={code} size={16} />
          {STROKES[code]}
        </li>
      ))}
    </ul>
  );
}
