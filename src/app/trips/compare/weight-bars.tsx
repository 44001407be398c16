"use client";

import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from "chart.js";
import { useEffect, useRef } from "react";
import { GRAMS_PER_POUND } from "@/core/units/quantity";
import { chartLook } from "@/ui/chart-look";

Chart.register(BarController, BarElement, CategoryScale, Legend, LinearScale, Tooltip);

/** A list's weight, by what it is there for. */
interface Bar {
  readonly name: string;
  readonly grams: readonly (readonly [sort: string, grams: number])[];
}

/** What each sort is drawn in, in their order. */
const COLOURS = ["leaf", "catkin-strong", "stem", "rule-strong"];

/** The lists of all trips, oldest first, as stacked bars. */
export function WeightBars({ bars, imperial }: { bars: readonly Bar[]; imperial: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const unit = imperial ? "lb" : "kg";
  useEffect(() => {
    const colour = chartLook();
    const shown = (grams: number) => grams / (imperial ? GRAMS_PER_POUND : 1000);
    const chart = new Chart(canvas.current!, {
      type: "bar",
      data: {
        labels: bars.map(({ name }) => name),
        datasets: (bars[0]?.grams ?? []).map(([sort], n) => ({
          label: sort,
          data: bars.map(({ grams }) => shown(grams[n]![1])),
          backgroundColor: colour(COLOURS[n]!),
        })),
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
  }, [bars, imperial, unit]);
  const words = bars
    .map(
      ({ name, grams }) =>
        `${name} ${(grams.reduce((sum, [, each]) => sum + each, 0) / (imperial ? GRAMS_PER_POUND : 1000)).toFixed(1)} ${unit}`,
    )
    .join(", ");
  return (
    <section aria-labelledby="bars-title" className="mt-8">
      <h2 id="bars-title" className="mb-2 text-lg">
        All lists, oldest first
      </h2>
      <div className="h-72">
        <canvas ref={canvas} role="img" aria-label={words} />
      </div>
    </section>
  );
}
