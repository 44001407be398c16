"use client";

import {
  CategoryScale,
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  Filler,
} from "chart.js";
import { useEffect, useRef } from "react";
import { grouped } from "@/core/units/speak";
import { chartLook } from "@/ui/chart-look";

Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement, Tooltip, Filler);

export interface WearPoint {
  readonly label: string;
  readonly wear: number;
  readonly trouble: string;
}

interface WearChartProps {
  readonly points: readonly WearPoint[];
  readonly low: number;
  readonly median: number;
  readonly high: number;
  /** Where the next trip would end. */
  readonly next: number;
  readonly unit: string;
  readonly words: string;
}

/** Wear over the trips, and the band in which its life most likely ends (80 %). */
export function WearChart({ points, low, median, high, next, unit, words }: WearChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const colour = chartLook();
    const labels = [...points.map((point) => point.label), "next trip"];
    const level = (value: number) => labels.map(() => value);
    const chart = new Chart(canvas.current!, {
      type: "line",
      data: {
        labels,
        datasets: [
          {
            label: "worn",
            data: [...points.map((point) => point.wear), null],
            borderColor: colour("leaf"),
            backgroundColor: colour("leaf"),
            borderWidth: 2.5,
            tension: 0,
            pointRadius: points.map((point) => (point.trouble ? 6 : 3)),
            pointStyle: points.map((point) => (point.trouble ? "rectRot" : "circle")),
            pointBackgroundColor: points.map((point) => (point.trouble ? colour("sting") : colour("leaf"))),
          },
          {
            label: "next trip",
            data: [...points.map((_, n) => (n === points.length - 1 ? points[n]!.wear : null)), next],
            borderColor: colour("stem"),
            borderDash: [4, 3],
            borderWidth: 2,
            pointRadius: [...points.map(() => 0), 4],
            pointBackgroundColor: colour("stem"),
          },
          {
            label: "earliest likely end",
            data: level(low),
            borderColor: colour("sting"),
            borderWidth: 1,
            pointRadius: 0,
            borderDash: [2, 3],
          },
          {
            label: "latest likely end",
            data: level(high),
            borderColor: colour("sting"),
            borderWidth: 1,
            pointRadius: 0,
            borderDash: [2, 3],
            fill: { target: "-1", above: `${colour("sting")}1c`, below: `${colour("sting")}1c` },
          },
          {
            label: "even odds",
            data: level(median),
            borderColor: colour("sting"),
            borderWidth: 1.6,
            pointRadius: 0,
          },
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
    return () => chart.destroy();
  }, [points, low, median, high, next, unit]);
  return (
    <figure>
      <div className="relative h-64 min-w-0 overflow-hidden">
        <canvas ref={canvas} role="img" aria-label={words} />
      </div>
      <figcaption className="hint">
        The band is where it will most likely give out (four times in five); its middle line is even odds.
        Diamonds: damage or failure. The dashed end is the next trip.
      </figcaption>
    </figure>
  );
}
