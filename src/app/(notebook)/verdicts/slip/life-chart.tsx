"use client";

import { useMemo } from "react";
import { grouped, percent } from "@/core/units/speak";
import type { LifeCurves } from "@/core/say/verdicts/argument";
import { ChartCanvas, type Draw } from "@/ui/chart/chart-canvas";

/** How long its kind lasts, how long this one may, and where today and the end of the next trip stand. */
export function LifeChart({ life }: { life: LifeCurves }) {
  const draw = useMemo(() => curves(life), [life]);
  return (
    <figure className="mt-3 max-w-2xl">
      <div className="relative h-52 min-w-0 overflow-hidden">
        <ChartCanvas draw={draw} words={`Chance to last by wear. ${life.words}.`} />
      </div>
      <figcaption className="hint flex flex-wrap gap-x-4">
        <span>
          <i className={`${LINE} border-leaf !border-t-4`} /> this one, from today
        </span>
        <span>
          <i className={`${LINE} border-muted`} /> its kind, from new
        </span>
        {life.own.length > 0 && (
          <span>
            <i className={`${LINE} border-dotted border-stem`} /> your own worn out so far
          </span>
        )}
        <span>
          <i className="inline-block h-3.5 border-l-2 border-ink align-middle" /> today
        </span>
        <span>
          <i className="inline-block h-3.5 border-l-2 border-dashed border-sting align-middle" /> end of the
          next trip
        </span>
      </figcaption>
    </figure>
  );
}

const LINE = "inline-block w-6 border-t-2 align-middle";

const curves =
  (life: LifeCurves): Draw =>
  (colour) => {
    const line = { pointRadius: 0, tension: 0, borderWidth: 1.5 };
    const upright = (x: number) => [
      { x, y: 0 },
      { x, y: 1 },
    ];
    return {
      type: "line",
      data: {
        datasets: [
          {
            ...line,
            label: "this one, from today",
            data: [...life.this],
            borderColor: colour("leaf"),
            borderWidth: 3,
          },
          { ...line, label: "its kind, from new", data: [...life.kind], borderColor: colour("muted") },
          {
            ...line,
            label: "your own, so far",
            data: [...life.own],
            borderColor: colour("stem"),
            borderDash: [2, 3],
          },
          { ...line, label: "today", data: upright(life.now), borderColor: colour("ink") },
          {
            ...line,
            label: "end of the next trip",
            data: upright(life.next),
            borderColor: colour("sting"),
            borderDash: [5, 3],
          },
        ],
      },
      options: {
        responsive: true,
        maintainAspectRatio: false,
        animation: false,
        interaction: { mode: "nearest", axis: "x", intersect: false },
        scales: {
          x: {
            type: "linear",
            min: 0,
            grid: { display: false },
            ticks: { color: colour("muted"), callback: (value) => grouped(Number(value)) },
            title: { display: true, text: life.unit, color: colour("muted") },
          },
          y: {
            min: 0,
            max: 1,
            grid: { color: colour("rule") },
            ticks: { color: colour("muted"), stepSize: 0.25, callback: (value) => percent(Number(value)) },
          },
        },
        plugins: {
          tooltip: {
            callbacks: {
              title: ([first]) => `${Math.round(first?.parsed.x ?? 0)} ${life.unit}`,
              label: (item) => `${item.dataset.label ?? ""}: ${percent(item.parsed.y ?? 0)}`,
            },
          },
        },
      },
    };
  };
