"use client";

import { useEffect, useEffectEvent, useState } from "react";
import { withUnit } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { simulatedScale } from "@/standins/bench-scale";
import { isTyping } from "@/ui/is-typing";
import { Scale } from "./scale";
import { ThingsToWeigh } from "./things-to-weigh";
import { TypeWeight } from "./type-weight";
import { useScale } from "./use-scale";
import { useWeighing } from "./use-weighing";
import { lyingOn, type Thing } from "./weighing";

/** A load lifted off is off the reading after so long. */
const EMPTY_AFTER_MS = 1200;

/** Things one after another on the scale; the reading is shown live, and taken once it has settled. */
export function Weigh({ things, units }: { things: readonly Thing[]; units: Units }) {
  const [port] = useState(() => simulatedScale());
  const { state, plugIn, tare, forget } = useScale(port);
  const { weighing, current, wrong, setWrong, go, save } = useWeighing(things, forget);
  const isOn = state.is !== "off" && state.is !== "lost";
  useEffect(() => {
    if (current && isOn) port.put(lyingOn(current));
  }, [port, current, isOn]);
  /** The hands of the simulation: lift it off, tare, put it back. */
  const liftAndTare = () => {
    port.put(0);
    setTimeout(() => {
      tare();
      if (current) port.put(lyingOn(current));
    }, EMPTY_AFTER_MS);
  };
  const take = () => {
    if (state.is === "settled" && state.grams === 0) setWrong("Nothing lies on it.");
    else if (state.is === "settled") void save(`${state.grams} g`, state.grams);
    else setWrong("It has not settled yet: wait until the number stands.");
  };
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    // On a button beside the number Enter presses that; on a line of the list it takes the reading.
    const isPress = event.target instanceof HTMLButtonElement && event.target.closest("section") !== null;
    if (event.key === "Enter" && isOn && !isPress) take();
    else if (event.key === "ArrowDown" || event.key === "j") go(weighing.at + 1);
    else if (event.key === "ArrowUp" || event.key === "k") go(weighing.at - 1);
    else if (event.key === "t" && isOn) liftAndTare();
    else return;
    event.preventDefault();
  });
  useEffect(() => {
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_1.1fr]">
      <ThingsToWeigh weighing={weighing} units={units} onGo={go} />
      <section aria-label="The scale" className="min-w-0">
        <Scale
          state={state}
          of={current?.name}
          units={units}
          onPlugIn={plugIn}
          onTake={take}
          onTare={liftAndTare}
          onLoad={(grams) => port.put(grams)}
          onUnplug={() => port.unplug()}
        />
        <TypeWeight
          wrong={wrong}
          units={units}
          onSave={(typed) => save(withUnit(typed, units.weight), null)}
        />
      </section>
    </div>
  );
}
