"use client";

import { useMemo } from "react";
import type { Felt } from "@/core/model";
import { FELTS } from "@/core/model/lists";
import { ChartCanvas, type Draw } from "@/ui/chart/chart-canvas";

/** A night as it is drawn: its low in the owner's unit. */
interface DrawnNight {
  readonly low: number;
  readonly felt: Felt;
  readonly words: string;
}

/** Shape tells how it felt; colour only repeats it. */
const LOOK = {
  cold: { shape: "rectRot", colour: "sting" },
  cool: { shape: "triangle", colour: "stem" },
  right: { shape: "circle", colour: "leaf" },
  warm: { shape: "rect", colour: "catkin-strong" },
  hot: { shape: "star", colour: "catkin-strong" },
} as const satisfies Record<Felt, { readonly shape: string; readonly colour: string }>;

/** A line across the plot: what the label says, or the owner's own. */
interface DrawnLine {
  readonly name: string;
  readonly at: number;
  readonly colour: "ink" | "leaf";
  readonly thin?: boolean;
}

interface NightPlotProps {
  readonly nights: readonly DrawnNight[];
  readonly lines: readonly DrawnLine[];
  readonly unit: string;
  readonly words: string;
}

/** Nights in one bed, oldest on the left, with the label's line and the owner's own. */
export function NightPlot({ nights, lines, unit, words }: NightPlotProps) {
  const draw = useMemo(() => plot(nights, lines, unit), [nights, lines, unit]);
  return (
    <div className="h-80">
      <ChartCanvas draw={draw} words={words} />
    </div>
  );
}

const plot =
  (nights: readonly DrawnNight[], lines: readonly DrawnLine[], unit: string): Draw =>
  (colour) => ({
    type: "scatter",
    data: {
      datasets: [
        ...FELTS.map((felt) => pointsOf(nights, felt, colour(LOOK[felt].colour))).filter(
          ({ data }) => data.length > 0,
        ),
        ...lines.map((line) => across(line, nights.length, colour(line.colour))),
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
        tooltip: { callbacks: { label: ({ parsed }) => nights[(parsed.x ?? 0) - 1]?.words ?? "" } },
      },
    },
  });

const pointsOf = (nights: readonly DrawnNight[], felt: Felt, colour: string) => ({
  type: "scatter" as const,
  label: `felt ${felt}`,
  data: nights.flatMap((night, n) => (night.felt === felt ? [{ x: n + 1, y: night.low }] : [])),
  pointStyle: LOOK[felt].shape,
  radius: 6,
  backgroundColor: colour,
  borderColor: colour,
  borderWidth: LOOK[felt].shape === "star" ? 2 : 1,
});

const across = ({ name, at, colour: drawn, thin }: DrawnLine, nights: number, colour: string) => ({
  type: "line" as const,
  label: name,
  data: [
    { x: 0.5, y: at },
    { x: nights + 0.5, y: at },
  ],
  borderColor: colour,
  borderDash: dashOf(drawn, thin),
  borderWidth: thin ? 1 : 2,
  pointRadius: 0,
  pointStyle: "line" as const,
});

const dashOf = (drawn: DrawnLine["colour"], thin = false): number[] => {
  if (thin) return [2, 4];
  return drawn === "ink" ? [6, 4] : [];
};
