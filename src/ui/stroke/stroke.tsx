import { memo } from "react";

/** What one cell of the sheet shows. The shape carries the meaning; colour only repeats it. */
export const STROKES = {
  u: "used",
  h: "hardly used",
  n: "unused, though called for",
  o: "unused, no call for it",
  c: "cover, not needed",
  y: "used, a nuisance",
  d: "damaged",
  f: "failed",
  l: "lost",
  g: "given away",
  s: "sent home",
  a: "posted ahead",
  x: "swapped for another",
  w: "worn out",
  t: "thrown out",
  p: "carried, not marked yet",
  "-": "not carried",
} as const;
export type StrokeCode = keyof typeof STROKES;

/** A piece of a stroke: one path, drawn in a box 16 wide and 20 high, on a baseline at 18, that starts at `x`. */
interface Piece {
  readonly look: React.SVGProps<SVGPathElement>;
  readonly at: (x: number) => string;
}

const circle = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 1 ${2 * r} 0a${r} ${r} 0 1 1 ${-2 * r} 0`;

const UPRIGHT: Piece = { look: { className: "stroke-leaf" }, at: (x) => `M${x + 9.2} 2l-2.4 16` };
const HALF: Piece = { look: { className: "stroke-leaf" }, at: (x) => `M${x + 8.6} 10.5l-1.1 7.5` };
const RING: Piece = {
  look: { className: "fill-none stroke-ink", strokeWidth: 1.8 },
  at: (x) => circle(x + 8, 14, 3.6),
};
const DOTTED: Piece = {
  look: { className: "fill-none stroke-muted", strokeWidth: 1.3, strokeDasharray: "0.4 2.4" },
  at: (x) => circle(x + 8, 14, 3.6),
};
const ROOF: Piece = {
  look: { className: "fill-none stroke-stem", strokeWidth: 1.7 },
  at: (x) => `M${x + 3.6} 12.4l4.4-3.8 4.4 3.8${circle(x + 8, 16.4, 0.7)}`,
};
const WAVE: Piece = {
  look: { className: "fill-none stroke-stem", strokeWidth: 1.6 },
  at: (x) => `M${x + 10.6} 5.6q1.4-1.6 2.4 0t2.4 0`,
};
const NOTCH: Piece = {
  look: { className: "stroke-sting", strokeWidth: 2 },
  at: (x) => `M${x + 3.6} 11.6l8.8-3.2`,
};
const SNAPPED: Piece = {
  look: { className: "stroke-sting" },
  at: (x) => `M${x + 11.4} 2l-1 6.6M${x + 6} 11.4l-1 6.6`,
};
const DASH: Piece = {
  look: { className: "stroke-rule-strong", strokeWidth: 1.6 },
  at: (x) => `M${x + 5.5} 14h5`,
};
const POLE: Piece = { look: { className: "stroke-sting" }, at: (x) => `M${x + 4.4} 3l-1.5 15` };
const CLOTH: Piece = {
  look: { className: "fill-sting" },
  at: (x) => `M${x + 4.7} 1.6h11.6l-2.2 4.6 2.2 4.6h-12.7z`,
};

/** Every piece, those that lie on top last. */
const PIECES: readonly Piece[] = [UPRIGHT, HALF, RING, DOTTED, ROOF, WAVE, NOTCH, SNAPPED, DASH, POLE, CLOTH];
const FLAG = [POLE, CLOTH];
const SHAPES: Readonly<Record<StrokeCode, readonly Piece[]>> = {
  u: [UPRIGHT],
  h: [HALF],
  n: [RING],
  o: [DOTTED],
  c: [ROOF],
  y: [UPRIGHT, WAVE],
  d: [UPRIGHT, NOTCH],
  f: [SNAPPED],
  p: [DASH],
  "-": [],
  l: FLAG,
  g: FLAG,
  s: FLAG,
  a: FLAG,
  x: FLAG,
  w: FLAG,
  t: FLAG,
};
/** What stands on a flag: how the thing left. */
const LETTERS: Partial<Record<StrokeCode, string>> = {
  l: "L",
  g: "G",
  s: "H",
  a: "P",
  x: "S",
  w: "W",
  t: "T",
};

interface Placed {
  readonly code: StrokeCode;
  readonly x: number;
}

/**
 * Strokes side by side, a path for each sort of piece: a sheet of hundreds of rows can't afford a picture for
 * each mark.
 */
function Strokes({ placed }: { placed: readonly Placed[] }) {
  return (
    <>
      {PIECES.map((piece, n) => {
        const drawn = placed.filter(({ code }) => SHAPES[code].includes(piece));
        return (
          drawn.length > 0 && <path key={n} {...piece.look} d={drawn.map(({ x }) => piece.at(x)).join("")} />
        );
      })}
      {placed.map(
        ({ code, x }) =>
          LETTERS[code] && (
            <text
              key={x}
              x={x + 5.6}
              y="9"
              className="fill-paper font-bold"
              fontSize="7.8"
              stroke="none"
              fontFamily="var(--font-sans)"
            >
              {LETTERS[code]}
            </text>
          ),
      )}
    </>
  );
}

/**
 * One pen stroke. `fresh` draws it as it is made. Say it in words beside it: the picture itself is skipped by
 * screen readers.
 */
export function Stroke({
  code,
  fresh = false,
  size = 20,
}: {
  code: StrokeCode;
  fresh?: boolean;
  size?: number;
}) {
  return (
    <svg
      viewBox="0 0 16 20"
      width={size * 0.8}
      height={size}
      aria-hidden="true"
      strokeWidth="2.2"
      strokeLinecap="round"
      className={`overflow-visible ${fresh ? "stroke-drawn" : ""}`}
    >
      <Strokes placed={[{ code, x: 0 }]} />
    </svg>
  );
}

/** The strokes of a whole row in one picture, each in its cell: drawn once, however far it is scrolled. */
export const StrokeLine = memo(function StrokeLine({
  codes,
  seams,
  cell,
  height,
}: {
  codes: string;
  /** Columns before which something was done to the thing: a service, a repair. */
  seams: readonly number[];
  cell: number;
  height: number;
}) {
  return (
    <svg
      className="pointer-events-none absolute inset-0"
      width={codes.length * cell}
      height={height}
      aria-hidden="true"
      strokeWidth="2.2"
      strokeLinecap="round"
    >
      <g transform={`translate(0 ${height - 23})`}>
        {seams.length > 0 && (
          <path
            className="fill-stem"
            stroke="none"
            d={seams.map((column) => `M${Math.max(2.5, column * cell)} 10.5l2.5 3-2.5 3-2.5-3z`).join("")}
          />
        )}
        <Strokes
          placed={Array.from(codes, (code, n) => ({ code: code as StrokeCode, x: n * cell + cell / 2 - 8 }))}
        />
      </g>
    </svg>
  );
});

/** A row of strokes with one text for all of them. */
export function StrokeRow({
  codes,
  label,
  size = 18,
}: {
  codes: readonly StrokeCode[];
  label: string;
  size?: number;
}) {
  return (
    <span role="img" aria-label={label} className="inline-flex items-end gap-0.5">
      {codes.map((code, n) => (
        <Stroke key={n} code={code} size={size} />
      ))}
    </span>
  );
}
