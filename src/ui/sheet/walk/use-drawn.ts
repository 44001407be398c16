import { startTransition, useEffect, useState } from "react";
import { towards, type Range } from "../arrange";

export const NOTHING: Range = { from: 0, to: -1 };

/** Lines, and blocks of columns, drawn in one step: more would hold up the page. */
const LINES_AT_ONCE = 2;
const BLOCKS_AT_ONCE = 1;

const isSame = (one: Range, other: Range) => one.from === other.from && one.to === other.to;

/** What is drawn follows what is in view in small steps, one a frame, which keys and scrolling come between. */
export function useDrawn(lines: Range, blocks: Range): { readonly lines: Range; readonly blocks: Range } {
  const [drawn, setDrawn] = useState({ lines: NOTHING, blocks: NOTHING });
  const [firstLine, lastLine, firstBlock, lastBlock] = [lines.from, lines.to, blocks.from, blocks.to];
  useEffect(() => {
    const nextLines = towards(drawn.lines, { from: firstLine, to: lastLine }, LINES_AT_ONCE);
    const nextBlocks = towards(drawn.blocks, { from: firstBlock, to: lastBlock }, BLOCKS_AT_ONCE);
    // Lines first, and then the blocks.
    const next = isSame(nextLines, drawn.lines)
      ? { ...drawn, blocks: nextBlocks }
      : { ...drawn, lines: nextLines };
    if (isSame(next.lines, drawn.lines) && isSame(next.blocks, drawn.blocks)) return;
    const frame = requestAnimationFrame(() => startTransition(() => setDrawn(next)));
    return () => cancelAnimationFrame(frame);
  }, [drawn, firstLine, lastLine, firstBlock, lastBlock]);
  return drawn;
}
