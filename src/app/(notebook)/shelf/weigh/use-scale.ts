"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { readingOf, settledOn, type Grams } from "@/core/weighin/settled";
import type { ScalePort } from "@/standins/bench-scale";

/** How a scale stands. */
export type ScaleState =
  { readonly is: "off" | "lost" | "overload" } | { readonly is: "moving" | "settled"; readonly grams: Grams };

/** Readings kept for telling whether it has settled. */
const KEPT = 16;

/** Reads a scale's port line by line. Nothing is kept from before it was lost, overloaded or tared. */
export function useScale(port: ScalePort): {
  readonly state: ScaleState;
  readonly plugIn: () => void;
  readonly tare: () => void;
  readonly forget: () => void;
} {
  const [state, setState] = useState<ScaleState>({ is: "off" });
  const readings = useRef<Grams[]>([]);
  const take = useCallback((line: string) => {
    const reading = readingOf(line);
    if (reading === null) return;
    if (reading === "overload") {
      readings.current = [];
      return setState({ is: "overload" });
    }
    readings.current = [...readings.current, reading].slice(-KEPT);
    const settled = settledOn(readings.current);
    setState(settled === null ? { is: "moving", grams: reading } : { is: "settled", grams: settled });
  }, []);
  const plugIn = useCallback(() => {
    const listen = async () => {
      await port.open({ baudRate: 9600 });
      const decoder = new TextDecoder();
      let rest = "";
      const reader = port.readable!.getReader();
      for (let { done, value } = await reader.read(); !done; { done, value } = await reader.read()) {
        const lines = (rest + decoder.decode(value, { stream: true })).split(/\r?\n/);
        rest = lines.pop()!;
        lines.forEach(take);
      }
    };
    readings.current = [];
    listen().then(
      () => setState({ is: "off" }),
      () => {
        readings.current = [];
        setState({ is: "lost" });
      },
    );
  }, [port, take]);
  useEffect(() => () => void port.close(), [port]);
  /** What lay there before is no reading of what lies there now. */
  const forget = () => {
    readings.current = [];
    setState((was) => (was.is === "settled" ? { is: "moving", grams: was.grams } : was));
  };
  return {
    state,
    plugIn,
    forget,
    tare: () => {
      forget();
      const writer = port.writable?.getWriter();
      void writer?.write(new TextEncoder().encode("T\r\n")).finally(() => writer.releaseLock());
    },
  };
}
