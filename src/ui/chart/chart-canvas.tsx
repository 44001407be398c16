"use client";

import type { ChartConfiguration } from "chart.js";
import { useEffect, useRef } from "react";

/** What is drawn, given the page's colours by their names. */
export type Draw = (colour: (name: string) => string) => ChartConfiguration;

interface ChartCanvasProps {
  readonly draw: Draw;
  /** What the chart tells, for those who can't see it. */
  readonly words: string;
}

/** A chart, drawn anew when `draw` is another; the package is loaded when the first comes into view. */
export function ChartCanvas({ draw, words }: ChartCanvasProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    let takeAway: (() => void) | null = null;
    let isGone = false;
    const watch = new IntersectionObserver(async ([seen]) => {
      if (!seen?.isIntersecting) return;
      watch.disconnect();
      const { drawChart } = await import("./chart-parts");
      if (!isGone) takeAway = drawChart(element, draw);
    });
    watch.observe(element);
    return () => {
      isGone = true;
      watch.disconnect();
      takeAway?.();
    };
  }, [draw]);
  return <canvas ref={canvas} role="img" aria-label={words} />;
}
