"use client";

import type { ChartConfiguration } from "chart.js";
import { useEffect, useRef } from "react";

/** What is drawn, given the page's colours by their names. */
export type Draw = (colour: (name: string) => string) => ChartConfiguration<"bar" | "line" | "scatter">;

/** So near to what is in view a chart is drawn. */
const NEAR = "600px";

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
    const load = async () => {
      watch.disconnect();
      const { drawChart } = await import("./chart-parts");
      if (!isGone && !takeAway) takeAway = drawChart(element, draw);
    };
    const watch = new IntersectionObserver(([seen]) => void (seen?.isIntersecting && load()), {
      rootMargin: NEAR,
    });
    watch.observe(element);
    // On paper all of a page is in view.
    const onPrint = () => void load();
    window.addEventListener("beforeprint", onPrint);
    return () => {
      isGone = true;
      watch.disconnect();
      window.removeEventListener("beforeprint", onPrint);
      takeAway?.();
    };
  }, [draw]);
  return <canvas ref={canvas} role="img" aria-label={words} />;
}
