"use client";

import { useRouter } from "next/navigation";
import { useEffect, useEffectEvent, useRef, useState } from "react";
import type { ItemId } from "@/core/model";
import { withUnit } from "@/core/units/quantity";
import { sayMass, type Units } from "@/core/units/speak";
import { CAPACITY, simulatedScale } from "@/standins/bench-scale";
import { Field } from "@/ui/form/field";
import { isTyping } from "@/ui/is-typing";
import { tellOtherTabs } from "@/ui/other-tabs";
import { sayWithUndo } from "@/ui/undo";
import { restoreItems, saveWeighing } from "../actions";
import type { Known } from "./places";
import { useScale } from "./use-scale";

interface Thing {
  readonly id: ItemId;
  readonly name: string;
  readonly grams: number | null;
  readonly known: Known;
}

/** Labels say less than scales by about this share: so the simulated scale finds it too. */
const HEAVIER_THAN_CLAIMED = 1.04;
/**
 * What the simulated scale makes of a thing that nobody has weighed, in grams: by its name, so that it stays
 * the same.
 */
const madeUp = (name: string) =>
  30 + ([...name].reduce((sum, letter) => sum + letter.codePointAt(0)!, 0) % 400);

/** A load lifted off is off the reading after so long. */
const EMPTY_AFTER_MS = 1200;

const lying = ({ name, grams, known }: Thing) =>
  grams === null ? madeUp(name) : grams * (known === "claimed" ? HEAVIER_THAN_CLAIMED : 1);

/** Things one after another on the scale; the reading is shown live, and taken once it has settled. */
export function Weigh({ things, units }: { things: readonly Thing[]; units: Units }) {
  const router = useRouter();
  const [port] = useState(() => simulatedScale());
  const { state, plugIn, tare, forget } = useScale(port);
  const [at, setAt] = useState(0);
  const [taken, setTaken] = useState<ReadonlyMap<ItemId, number>>(new Map());
  const [typed, setTyped] = useState("");
  const [wrong, setWrong] = useState<string>();
  // The order stays as it was when the page came, whatever is weighed meanwhile.
  const [order] = useState(things);
  const current = order[at];
  const list = useRef<HTMLUListElement>(null);
  const isOn = state.is !== "off" && state.is !== "lost";
  useEffect(() => {
    if (current && isOn) port.put(lying(current));
  }, [port, current, isOn]);
  const go = (to: number) => {
    const next = Math.max(0, Math.min(order.length - 1, to));
    forget();
    setAt(next);
    setWrong(undefined);
    list.current?.children[next]?.scrollIntoView({ block: "nearest" });
  };
  const save = async (text: string, grams: number | null) => {
    if (!current) return;
    const answer = await saveWeighing(current.id, text).catch(() => null);
    if (!answer) return setWrong("Not saved: the server can’t be reached. The reading is still here.");
    if (!answer.ok) return setWrong(answer.fields.weight);
    setTyped("");
    setTaken(new Map([...taken, [current.id, grams ?? Number.NaN]]));
    tellOtherTabs();
    router.refresh();
    sayWithUndo(
      `${current.name}: ${text}`,
      () => restoreItems(answer.value),
      () => {
        setTaken((before) => new Map([...before].filter(([id]) => id !== current.id)));
        router.refresh();
      },
    );
    go(at + 1);
  };
  /** The hands of the simulation: lift it off, tare, put it back. */
  const liftAndTare = () => {
    port.put(0);
    setTimeout(() => {
      tare();
      if (current) port.put(lying(current));
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
    else if (event.key === "ArrowDown" || event.key === "j") go(at + 1);
    else if (event.key === "ArrowUp" || event.key === "k") go(at - 1);
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
      <ul
        ref={list}
        className="max-h-[28rem] overflow-y-auto border-y-2 border-ink lg:max-h-[38rem]"
        aria-label="Things to weigh"
      >
        {order.map((thing, n) => {
          const grams = taken.get(thing.id);
          return (
            <li key={thing.id}>
              <button
                type="button"
                aria-current={n === at ? "true" : undefined}
                onClick={() => go(n)}
                className={`flex min-h-9 w-full items-center gap-3 border-b border-rule px-2 text-left pointer-coarse:min-h-11 ${n === at ? "bg-catkin font-semibold" : "hover:bg-leaf-soft"}`}
              >
                <span className="flex-1 truncate">{thing.name}</span>
                <span className="text-sm text-muted">
                  {grams === undefined ? thing.known : "weighed now"}
                </span>
                <span className="num w-20 text-right">
                  {grams !== undefined && !Number.isNaN(grams)
                    ? sayMass(grams, units)
                    : thing.grams === null
                      ? "–"
                      : sayMass(thing.grams, units)}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      <section aria-label="The scale" className="min-w-0">
        <p className="border-l-4 border-catkin-strong pl-3">
          <b>This scale is simulated.</b> It ships with the app to show how a USB scale would work, and its
          readings are made up. For your own kit, type what your kitchen scale says.
        </p>
        {current && <h2 className="mt-4 text-xl">{current.name}</h2>}
        <p className="num my-2 text-6xl" aria-hidden="true">
          {state.is === "moving" || state.is === "settled"
            ? sayMass(Math.max(0, Math.round(state.grams)), units)
            : "– –"}
        </p>
        <p role="status" className={state.is === "settled" ? "font-semibold text-leaf" : "text-muted"}>
          {state.is === "off" && "Not plugged in."}
          {state.is === "lost" && "The scale was unplugged. Nothing half-taken was kept."}
          {state.is === "overload" &&
            `Too heavy: it can tell ${sayMass(CAPACITY, units)} at most. Take something off.`}
          {state.is === "moving" && "Moving …"}
          {state.is === "settled" && `Settled on ${sayMass(state.grams, units)}. Enter takes it.`}
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          {isOn ? (
            <>
              <button type="button" className="btn btn-leaf" onClick={take}>
                Take it <span className="kbd !bg-transparent">Enter</span>
              </button>
              <button type="button" className="btn" onClick={liftAndTare}>
                Tare <span className="kbd">t</span>
              </button>
              <button type="button" className="btn" onClick={() => port.put(CAPACITY * 1.2)}>
                Too much on it
              </button>
              <button type="button" className="btn" onClick={() => port.unplug()}>
                Unplug it
              </button>
            </>
          ) : (
            <button type="button" className="btn btn-leaf" onClick={plugIn}>
              Plug in the simulated scale
            </button>
          )}
        </div>
        <form
          className="mt-6 flex items-start gap-2"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void save(withUnit(typed, units.weight), null);
          }}
        >
          <Field
            label="Or type what your scale says"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            error={wrong}
            className="w-56"
            placeholder={units.weight === "g" ? "312 g" : "11 oz"}
          />
          <button className="btn mt-6 !min-h-10">Save</button>
        </form>
      </section>
    </div>
  );
}
