"use client";

import { useId, useMemo } from "react";
import { GRAMS_PER_POUND } from "@/core/units/quantity";
import { ChartCanvas, type Draw } from "./chart-canvas";

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
  const draw = useMemo(() => stacked(bars, imperial, limit), [bars, imperial, limit]);
  const sums = bars.map(({ name, grams }) => {
    const sum = grams.reduce((total, [, each]) => total + each, 0);
    return `${name} ${inUnit(sum, imperial).toFixed(1)} ${unitOf(imperial)}`;
  });
  return (
    <section aria-labelledby={id} className="mt-8">
      <h2 id={id} className="mb-2 text-lg">
        {title}
      </h2>
      <div className={`h-72 ${bars.length > 3 ? "" : "max-w-lg"}`}>
        <ChartCanvas draw={draw} words={sums.join(", ")} />
      </div>
    </section>
  );
}

const unitOf = (imperial: boolean) => (imperial ? "lb" : "kg");
const inUnit = (grams: number, imperial: boolean) => grams / (imperial ? GRAMS_PER_POUND : 1000);

const stacked =
  (bars: readonly Bar[], imperial: boolean, limit: WeightBarsProps["limit"]): Draw =>
  (colour) => ({
    type: "bar",
    data: {
      labels: bars.map(({ name }) => name),
      datasets: [
        ...(bars[0]?.grams ?? []).map(([sort], n) => ({
          label: sort,
          data: bars.map(({ grams }) => inUnit(grams[n]?.[1] ?? 0, imperial)),
          backgroundColor: colour(COLOURS[n] ?? "rule"),
          maxBarThickness: 90,
          stack: "weight",
        })),
        ...(limit ? [limitLine(limit, bars.length, imperial, colour("sting"))] : []),
      ],
    },
    options: {
      maintainAspectRatio: false,
      animation: false,
      scales: {
        x: { stacked: true, ticks: { color: colour("muted") }, grid: { display: false } },
        y: {
          stacked: true,
          title: { display: true, text: unitOf(imperial), color: colour("muted") },
          ticks: { color: colour("muted") },
          grid: { color: colour("rule") },
        },
      },
      plugins: { legend: { position: "bottom", labels: { color: colour("ink") } } },
    },
  });

const limitLine = (
  { grams, name }: NonNullable<WeightBarsProps["limit"]>,
  length: number,
  imperial: boolean,
  colour: string,
) => ({
  type: "line" as const,
  label: name,
  data: Array.from({ length }, () => inUnit(grams, imperial)),
  borderColor: colour,
  backgroundColor: colour,
  borderDash: [5, 4],
  borderWidth: 2,
  // One bar leaves no room for a line: a stroke across it.
  pointStyle: "line" as const,
  pointRadius: length > 1 ? 0 : 60,
  order: -1,
  stack: "limit",
});
