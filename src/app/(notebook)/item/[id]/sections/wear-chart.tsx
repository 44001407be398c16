"use client";

import { useMemo } from "react";
import { grouped } from "@/core/units/speak";
import { ChartCanvas, type Draw } from "@/ui/chart/chart-canvas";

export interface WearPoint {
  readonly label: string;
  readonly wear: number;
  readonly trouble: string;
}

/** Where a life most likely ends (80 %), and where the next trip would. */
interface WearEnds {
  readonly low: number;
  readonly median: number;
  readonly high: number;
  readonly next: number;
}

interface WearChartProps extends WearEnds {
  readonly points: readonly WearPoint[];
  readonly unit: string;
  readonly words: string;
}

/** Wear over the trips, and the band in which its life most likely ends (80 %). */
export function WearChart({ points, low, median, high, next, unit, words }: WearChartProps) {
  const draw = useMemo(
    () => wearChart(points, { low, median, high, next }, unit),
    [points, low, median, high, next, unit],
  );
  return (
    <figure>
      <div className="relative h-64 min-w-0 overflow-hidden">
        <ChartCanvas draw={draw} words={words} />
      </div>
      <figcaption className="hint">
        The band is where it will most likely give out (four times in five); its middle line is even odds.
        Diamonds: damage or failure. The dashed end is the next trip.
      </figcaption>
    </figure>
  );
}

const wearChart =
  (points: readonly WearPoint[], ends: WearEnds, unit: string): Draw =>
  (colour) => ({
    type: "line",
    data: {
      labels: [...points.map(({ label }) => label), "next trip"],
      datasets: [
        worn(points, colour("leaf"), colour("sting")),
        nextTrip(points, ends.next, colour("stem")),
        ...band(ends, points.length + 1, colour("sting")),
      ],
    },
    options: {
      responsive: true,
      maintainAspectRatio: false,
      animation: window.matchMedia("(prefers-reduced-motion: reduce)").matches ? false : { duration: 300 },
      interaction: { mode: "index", intersect: false },
      scales: {
        x: { grid: { display: false }, ticks: { color: colour("muted"), maxRotation: 40, autoSkip: true } },
        y: {
          beginAtZero: true,
          grid: { color: colour("rule") },
          ticks: { color: colour("muted"), callback: (value) => grouped(Number(value)) },
          title: { display: true, text: unit, color: colour("muted") },
        },
      },
      plugins: {
        tooltip: {
          callbacks: {
            label: (item) => `${item.dataset.label ?? ""}: ${Math.round(item.parsed.y ?? 0)} ${unit}`,
            afterBody: ([first]) => points[first?.dataIndex ?? -1]?.trouble ?? "",
          },
        },
      },
    },
  });

const worn = (points: readonly WearPoint[], sound: string, harmed: string) => ({
  label: "worn",
  data: [...points.map(({ wear }) => wear), null],
  borderColor: sound,
  backgroundColor: sound,
  borderWidth: 2.5,
  tension: 0,
  pointRadius: points.map(({ trouble }) => (trouble ? 6 : 3)),
  pointStyle: points.map(({ trouble }) => (trouble ? ("rectRot" as const) : ("circle" as const))),
  pointBackgroundColor: points.map(({ trouble }) => (trouble ? harmed : sound)),
});

const nextTrip = (points: readonly WearPoint[], next: number, colour: string) => ({
  label: "next trip",
  data: [...points.map(({ wear }, n) => (n === points.length - 1 ? wear : null)), next],
  borderColor: colour,
  borderDash: [4, 3],
  borderWidth: 2,
  pointRadius: [...points.map(() => 0), 4],
  pointBackgroundColor: colour,
});

const band = ({ low, median, high }: WearEnds, length: number, colour: string) => {
  const level = (value: number) => Array.from({ length }, () => value);
  const edge = { borderColor: colour, borderWidth: 1, pointRadius: 0, borderDash: [2, 3] };
  const tint = `${colour}1c`;
  return [
    { ...edge, label: "earliest likely end", data: level(low) },
    {
      ...edge,
      label: "latest likely end",
      data: level(high),
      fill: { target: "-1", above: tint, below: tint },
    },
    { label: "even odds", data: level(median), borderColor: colour, borderWidth: 1.6, pointRadius: 0 },
  ];
};
