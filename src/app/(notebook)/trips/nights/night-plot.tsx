"use client";

import {
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
} from "chart.js";
import { useEffect, useRef } from "react";
import type { Felt } from "@/core/model";
import { chartLook } from "@/ui/chart-look";

Chart.register(Legend, LinearScale, LineController, LineElement, PointElement, ScatterController, Tooltip);

/** A night as it is drawn: its low in the owner's unit. */
export interface DrawnNight {
  readonly low: number;
  readonly felt: Felt;
  readonly words: string;
}

/** Shape tells how it felt; colour only repeats it. */
const LOOK: Readonly<
  Record<
    Felt,
    { readonly shape: "rectRot" | "triangle" | "circle" | "rect" | "star"; readonly colour: string }
  >
> = {
  cold: { shape: "rectRot", colour: "sting" },
  cool: { shape: "triangle", colour: "stem" },
  right: { shape: "circle", colour: "leaf" },
  warm: { shape: "rect", colour: "catkin-strong" },
  hot: { shape: "star", colour: "catkin-strong" },
};

/** Nights in one bed, oldest on the left, with the label's line and the owner's own. */
export function NightPlot({
  nights,
  lines,
  unit,
  words,
}: {
  nights: readonly DrawnNight[];
  lines: readonly {
    readonly name: string;
    readonly at: number;
    readonly colour: "ink" | "leaf";
    readonly thin?: boolean;
  }[];
  unit: string;
  words: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const colour = chartLook();
    const all = nights.map((night, n) => ({ x: n + 1, y: night.low, night }));
    const chart = new Chart<"scatter" | "line", { x: number; y: number }[]>(canvas.current!, {
      type: "scatter",
      data: {
        datasets: [
          ...(Object.keys(LOOK) as Felt[])
            .filter((felt) => all.some(({ night }) => night.felt === felt))
            .map((felt) => ({
              type: "scatter" as const,
              label: `felt ${felt}`,
              data: all.filter(({ night }) => night.felt === felt),
              pointStyle: LOOK[felt].shape,
              radius: 6,
              backgroundColor: colour(LOOK[felt].colour),
              borderColor: colour(LOOK[felt].colour),
              borderWidth: LOOK[felt].shape === "star" ? 2 : 1,
            })),
          ...lines.map(({ name, at, colour: drawn, thin }) => ({
            type: "line" as const,
            label: name,
            data: [
              { x: 0.5, y: at },
              { x: nights.length + 0.5, y: at },
            ],
            borderColor: colour(drawn),
            borderDash: thin ? [2, 4] : drawn === "ink" ? [6, 4] : [],
            borderWidth: thin ? 1 : 2,
            pointRadius: 0,
            pointStyle: "line" as const,
          })),
        ],
      },
      options: {
        maintainAspectRatio: false,
        animation: false,
        scales: {
          x: {
            min: 0.5,
            max: nights.length + 0.5,
            title: { display: true, text: "nights, oldest first", color: colour("muted") },
            ticks: { display: false },
            grid: { display: false },
          },
          y: {
            title: { display: true, text: `coldest, ${unit}`, color: colour("muted") },
            ticks: { color: colour("muted") },
            grid: { color: colour("rule") },
          },
        },
        plugins: {
          legend: {
            position: "bottom",
            labels: { color: colour("ink"), usePointStyle: true, filter: ({ text }) => text !== "" },
          },
          tooltip: {
            callbacks: {
              label: ({ raw }) => (raw as { night?: DrawnNight }).night?.words ?? "",
            },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [nights, lines, unit]);
  return (
    <div className="h-80">
      <canvas ref={canvas} role="img" aria-label={words} />
    </div>
  );
}
