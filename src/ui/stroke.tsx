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
  w: "worn out",
  t: "thrown out",
  p: "carried, not marked yet",
  "-": "not carried",
} as const;
export type StrokeCode = keyof typeof STROKES;

const LEAF = "stroke-leaf";
const STING = "stroke-sting";

/** Drawn in a box 16 wide and 20 high, on a baseline at 18. */
const SHAPES: Record<StrokeCode, React.ReactNode> = {
  u: <path className={LEAF} d="M9.2 2 6.8 18" />,
  h: <path className={LEAF} d="M8.6 10.5 7.5 18" />,
  n: <circle className="fill-none stroke-ink" cx="8" cy="14" r="3.6" strokeWidth="1.8" />,
  o: <circle className="fill-none stroke-muted" cx="8" cy="14" r="3.6" strokeWidth="1.3" strokeDasharray="0.4 2.4" />,
  c: <g className="stroke-stem" strokeWidth="1.7"><path fill="none" d="m3.6 12.4 4.4-3.8 4.4 3.8" /><circle cx="8" cy="16.4" r="0.7" className="fill-stem" /></g>,
  y: <g><path className={LEAF} d="M9.2 2 6.8 18" /><path className="stroke-stem" fill="none" strokeWidth="1.6" d="M10.6 5.6q1.4-1.6 2.4 0t2.4 0" /></g>,
  d: <g><path className={LEAF} d="M9.2 2 6.8 18" /><path className={STING} strokeWidth="2" d="m3.6 11.6 8.8-3.2" /></g>,
  f: <path className={STING} d="M11.4 2l-1 6.6M6 11.4 5 18" />,
  l: <Flag>L</Flag>, g: <Flag>G</Flag>, s: <Flag>H</Flag>, w: <Flag>W</Flag>, t: <Flag>T</Flag>,
  p: <path className="stroke-rule-strong" strokeWidth="1.6" d="M5.5 14h5" />,
  "-": null,
};

function Flag({ children }: { children: string }) {
  return (
    <g>
      <path className={STING} d="M4.4 3 2.9 18" />
      <path className="fill-sting" d="M4.7 1.6h11.6l-2.2 4.6 2.2 4.6H3.6z" />
      <text x="5.6" y="9" className="fill-paper font-bold" fontSize="7.8" stroke="none" fontFamily="var(--font-sans)">{children}</text>
    </g>
  );
}

/** One pen stroke. `fresh` draws it as it is made. Say it in words beside it: the picture itself is skipped by screen readers. */
export function Stroke({ code, fresh = false, size = 20 }: { code: StrokeCode; fresh?: boolean; size?: number }) {
  return (
    <svg viewBox="0 0 16 20" width={size * 0.8} height={size} aria-hidden="true" strokeWidth="2.2" strokeLinecap="round" className={`overflow-visible ${fresh ? "stroke-drawn" : ""}`}>
      {SHAPES[code]}
    </svg>
  );
}

/**
 * The strokes `from`–`to` of a whole row in one picture, each in its cell: a sheet of hundreds of rows can't afford a picture
 * for each. Strokes of one look share a path, so the shapes are moved, not redrawn.
 */
export function StrokeLine({ codes, from, to, cell, height }: { codes: string; from: number; to: number; cell: number; height: number }) {
  const shown = Array.from({ length: Math.max(0, to - from + 1) }, (_, n) => ({ code: codes[from + n] as StrokeCode, x: n * cell + cell / 2 - 8 })).filter(({ code }) => code !== "-");
  const uprights = shown.filter(({ code }) => code === "u");
  return (
    <svg className="pointer-events-none absolute inset-y-0 overflow-visible" style={{ left: from * cell }} width={(to - from + 1) * cell} height={height} aria-hidden="true" strokeWidth="2.2" strokeLinecap="round">
      <g transform={`translate(0 ${height - 23})`}>
        {uprights.length > 0 && <path className={LEAF} d={uprights.map(({ x }) => `M${x + 9.2} 2l-2.4 16`).join("")} />}
        {shown.filter(({ code }) => code !== "u").map(({ code, x }) => <g key={x} transform={`translate(${x} 0)`}>{SHAPES[code]}</g>)}
      </g>
    </svg>
  );
}

/** A row of strokes with one text for all of them. */
export function StrokeRow({ codes, label, size = 18 }: { codes: readonly StrokeCode[]; label: string; size?: number }) {
  return (
    <span role="img" aria-label={label} className="inline-flex items-end gap-0.5">
      {codes.map((code, n) => <Stroke key={n} code={code} size={size} />)}
    </span>
  );
}
