"use client";

import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from "chart.js";
import { useEffect, useId, useRef } from "react";
import { GRAMS_PER_POUND } from "@/core/units/quantity";
import { chartLook } from "./chart-look";

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
);

/** A weight, by what it is made of. */
interface Bar {
  readonly name: string;
  readonly grams: readonly (readonly [sort: string, grams: number])[];
}

/** What each sort is drawn in, in their order. */
const COLOURS = ["leaf", "catkin-strong", "stem", "rule-strong", "catkin"];

interface WeightBarsProps {
  readonly title: string;
  readonly bars: readonly Bar[];
  readonly imperial: boolean;
  /** A weight not to go over, in grams, and what sets it. */
  readonly limit?: { readonly grams: number; readonly name: string };
}

/** Weights as stacked bars, in the order given. */
export function WeightBars({ title, bars, imperial, limit }: WeightBarsProps) {
  const id = useId();
  const canvas = useRef<HTMLCanvasElement>(null);
  const unit = imperial ? "lb" : "kg";
  useEffect(() => {
    const colour = chartLook();
    const shown = (grams: number) => grams / (imperial ? GRAMS_PER_POUND : 1000);
    const chart = new Chart<"bar" | "line">(canvas.current!, {
      type: "bar",
      data: {
        labels: bars.map(({ name }) => name),
        datasets: [
          ...(bars[0]?.grams ?? []).map(([sort], n) => ({
            type: "bar" as const,
            label: sort,
            data: bars.map(({ grams }) => shown(grams[n]![1])),
            backgroundColor: colour(COLOURS[n]!),
            maxBarThickness: 90,
            stack: "weight",
          })),
          ...(limit
            ? [
                {
                  type: "line" as const,
                  label: limit.name,
                  data: bars.map(() => shown(limit.grams)),
                  borderColor: colour("sting"),
                  backgroundColor: colour("sting"),
                  borderDash: [5, 4],
                  borderWidth: 2,
                  // One bar leaves no room for a line: a stroke across it.
                  pointStyle: "line" as const,
                  pointRadius: bars.length > 1 ? 0 : 60,
                  order: -1,
                  stack: "limit",
                },
              ]
            : []),
        ],
      },
      options: {
        maintainAspectRatio: false,
        animation: false,
        scales: {
          x: { stacked: true, ticks: { color: colour("muted") }, grid: { display: false } },
          y: {
            stacked: true,
            title: { display: true, text: unit, color: colour("muted") },
            ticks: { color: colour("muted") },
            grid: { color: colour("rule") },
          },
        },
        plugins: { legend: { position: "bottom", labels: { color: colour("ink") } } },
      },
    });
    return () => chart.destroy();
  }, [bars, imperial, unit, limit]);
  const words = bars
    .map(
      ({ name, grams }) =>
        `${name} ${(grams.reduce((sum, [, each]) => sum + each, 0) / (imperial ? GRAMS_PER_POUND : 1000)).toFixed(1)} ${unit}`,
    )
    .join(", ");
  return (
    <section aria-labelledby={id} className="mt-8">
      <h2 id={id} className="mb-2 text-lg">
        {title}
      </h2>
      <div className={`h-72 ${bars.length > 3 ? "" : "max-w-lg"}`}>
        <canvas ref={canvas} role="img" aria-label={words} />
      </div>
    </section>
  );
}
