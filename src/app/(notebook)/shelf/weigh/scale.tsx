import { sayMass, type Units } from "@/core/units/speak";
import { CAPACITY } from "@/standins/bench-scale";
import type { ScaleState } from "./use-scale";

interface ScaleProps {
  readonly state: ScaleState;
  /** What lies on it. */
  readonly of: string | undefined;
  readonly units: Units;
  readonly onPlugIn: () => void;
  readonly onTake: () => void;
  readonly onTare: () => void;
  readonly onLoad: (grams: number) => void;
  readonly onUnplug: () => void;
}

/** The scale: its reading as it moves, and what may be done with it. */
export function Scale(props: ScaleProps) {
  const { state, of, units } = props;
  const hasReading = state.is === "moving" || state.is === "settled";
  return (
    <>
      <p className="border-l-4 border-catkin-strong pl-3">
        <b>This scale is simulated.</b> It ships with the app to show how a USB scale would work, and its
        readings are made up. For your own kit, type what your kitchen scale says.
      </p>
      {of && <h2 className="mt-4 text-xl">{of}</h2>}
      <p className="num my-2 text-6xl" aria-hidden="true">
        {hasReading ? sayMass(Math.max(0, Math.round(state.grams)), units) : "– –"}
      </p>
      <p role="status" className={state.is === "settled" ? "font-semibold text-leaf" : "text-muted"}>
        {sayState(state, units)}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <ScaleButtons {...props} />
      </div>
    </>
  );
}

function sayState(state: ScaleState, units: Units): string {
  switch (state.is) {
    case "off":
      return "Not plugged in.";
    case "lost":
      return "The scale was unplugged. Nothing half-taken was kept.";
    case "overload":
      return `Too heavy: it can tell ${sayMass(CAPACITY, units)} at most. Take something off.`;
    case "moving":
      return "Moving …";
    case "settled":
      return `Settled on ${sayMass(state.grams, units)}. Enter takes it.`;
  }
}

function ScaleButtons({ state, onPlugIn, onTake, onTare, onLoad, onUnplug }: ScaleProps) {
  if (state.is === "off" || state.is === "lost")
    return (
      <button type="button" className="btn btn-leaf" onClick={onPlugIn}>
        Plug in the simulated scale
      </button>
    );
  return (
    <>
      <button type="button" className="btn btn-leaf" onClick={onTake}>
        Take it <span className="kbd !bg-transparent">Enter</span>
      </button>
      <button type="button" className="btn" onClick={onTare}>
        Tare <span className="kbd">t</span>
      </button>
      <button type="button" className="btn" onClick={() => onLoad(CAPACITY * 1.2)}>
        Too much on it
      </button>
      <button type="button" className="btn" onClick={onUnplug}>
        Unplug it
      </button>
    </>
  );
}
