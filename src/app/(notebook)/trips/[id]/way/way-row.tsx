"use client";

import { Slider } from "radix-ui";
import { memo, useMemo, useRef, useState, type CSSProperties, type KeyboardEvent } from "react";
import type { Stretch } from "@/core/ledger/stretches";
import { sayDistance, type Units } from "@/core/units/speak";
import { Field } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import {
  asideOf,
  carriedAgain,
  handlesOf,
  readStretches,
  sayStretches,
  settled,
  stepOf,
  stretchesAt,
  stretchesText,
  toLegEnd,
  underFinger,
  wayOf,
  type LegSpan,
  type Way,
  type WayRow,
} from "./stretch-moves";

interface RowProps {
  readonly row: WayRow;
  readonly legs: readonly LegSpan[];
  readonly units: Units;
  /** Its ends can be taken hold of. */
  readonly live: boolean;
  readonly onSave: (row: WayRow, stretches: readonly Stretch[]) => Promise<boolean>;
}

/** One thing: a bar for each time carried, with a handle at each end. */
export const Row = memo(function Row({ row, legs, units, live, onSave }: RowProps) {
  const given = useMemo(() => handlesOf(row.stretches), [row.stretches]);
  const way = useMemo(() => wayOf(legs), [legs]);
  const [handles, setHandles] = useState<readonly number[]>(given);
  // What another change made of it is shown; a form that is open, and what is typed in it, stays.
  const kept = JSON.stringify(row.stretches);
  const [shown, setShown] = useState(kept);
  if (shown !== kept) {
    setShown(kept);
    setHandles(given);
  }
  const [typing, setTyping] = useState(false);
  const commit = async (moved: readonly number[], byPointer = false) => {
    const stretches = settled(moved, way, byPointer);
    setHandles(handlesOf(stretches));
    if (!(await onSave(row, stretches))) setHandles(given);
  };
  const stretches = stretchesAt(handles);
  return (
    <div
      className={ROW}
      role="group"
      aria-label={`${row.name}: ${sayStretches(stretches, way.whole, units)}`}
    >
      <span className="truncate pr-2 font-semibold">
        {row.name}
        {row.slot && <span className="ml-1 text-sm font-normal text-muted">{row.slot}</span>}
      </span>
      <div className={LINE}>
        <Bars stretches={stretches} whole={way.whole} />
        {live && handles.length > 0 && (
          <Handles
            name={row.name}
            handles={handles}
            way={way}
            units={units}
            onMove={setHandles}
            onCommit={(moved, byPointer) => void commit(moved, byPointer)}
          />
        )}
        {row.place && <Happened place={row.place} whole={way.whole} />}
      </div>
      <span className="flex gap-1 sm:pl-4">
        <button
          type="button"
          className="btn btn-plain !px-1 pointer-coarse:min-w-11"
          aria-expanded={typing}
          title={`Type it in ${units.distance}`}
          onClick={() => setTyping(!typing)}
        >
          {units.distance}
          <span className="sr-only"> {row.name}: type where it was along</span>
        </button>
        <button
          type="button"
          className="btn btn-plain !px-1 pointer-coarse:min-w-11"
          title="Carried again from here"
          onClick={() => void commit(carriedAgain(handles, way))}
        >
          +<span className="sr-only"> {row.name}: carried again</span>
        </button>
      </span>
      {typing && (
        <TypeStretches
          name={row.name}
          stretches={stretches}
          way={way}
          units={units}
          onTyped={(read) => {
            setTyping(false);
            void commit(handlesOf(read));
          }}
        />
      )}
    </div>
  );
});

interface HandlesProps {
  readonly name: string;
  readonly handles: readonly number[];
  readonly way: Way;
  readonly units: Units;
  readonly onMove: (handles: readonly number[]) => void;
  readonly onCommit: (handles: readonly number[], byPointer: boolean) => void;
}

/** A handle at each end of a bar, moved by finger, mouse or keys; what it is set to stands over it meanwhile. */
function Handles({ name, handles, way, units, onMove, onCommit }: HandlesProps) {
  const byPointer = useRef(false);
  const margin = useRef(0);
  // What the last move came to: the end of it may come before it is drawn.
  const latest = useRef(handles);
  const onKeyDown = (event: KeyboardEvent, at: number) => {
    byPointer.current = false;
    if (event.key !== "PageUp" && event.key !== "PageDown") return;
    const moved = toLegEnd(handles, at, event.key === "PageUp", way);
    if (!moved) return;
    event.preventDefault();
    onMove(moved);
    onCommit(moved, false);
  };
  return (
    <Slider.Root
      className={SLIDER}
      min={0}
      max={way.whole}
      step={stepOf(way)}
      value={[...handles]}
      onPointerDown={(event) => {
        byPointer.current = true;
        margin.current = marginOf(event.currentTarget);
        latest.current = handles;
      }}
      onValueChange={(moved) => {
        latest.current = byPointer.current ? underFinger(handles, moved, way, margin.current) : moved;
        onMove(latest.current);
      }}
      onValueCommit={(moved) => onCommit(byPointer.current ? latest.current : moved, byPointer.current)}
    >
      <Slider.Track className="h-full grow" />
      {handles.map((metres, n) => (
        <Slider.Thumb
          key={n}
          className="group relative grid size-6 cursor-ew-resize place-items-center pointer-coarse:size-11"
          style={asideStyle(asideOf(handles, n, way.whole))}
          aria-label={`${name}, ${n % 2 ? "to" : "from"}`}
          aria-valuetext={sayDistance(metres, units)}
          onKeyDown={(event) => onKeyDown(event, n)}
        >
          <span className={HANDLE} />
          <span className={NUMBER} aria-hidden="true">
            {sayDistance(metres, units)}
          </span>
        </Slider.Thumb>
      ))}
    </Slider.Root>
  );
}

interface TypeStretchesProps {
  readonly name: string;
  readonly stretches: readonly Stretch[];
  readonly way: Way;
  readonly units: Units;
  readonly onTyped: (stretches: readonly Stretch[]) => void;
}

/** Where a thing was along, typed: "0–60, 260–400". */
function TypeStretches({ name, stretches, way, units, onTyped }: TypeStretchesProps) {
  const [typed, setTyped] = useState(stretchesText(stretches, units));
  const [wrong, setWrong] = useState<string>();
  const send = () => {
    const read = readStretches(typed, way, units);
    setWrong(read.ok ? undefined : read.why);
    if (read.ok) onTyped(read.value);
  };
  return (
    <PageForm className="order-last col-span-full flex flex-wrap items-start gap-2 pb-2" onSend={send}>
      <Field
        label={`${name}: along from – to, ${units.distance}`}
        className="w-64"
        inputMode="text"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        error={wrong}
        placeholder="0–60, 260–400"
      />
      <button className="btn mt-6 btn-tall">Set it</button>
    </PageForm>
  );
}

const ROW = "grid grid-cols-[1fr_auto] items-center border-b border-rule sm:grid-cols-[11rem_1fr_6rem]";
const LINE =
  "relative order-last col-span-2 h-9 bg-(image:--legs) pointer-coarse:h-12 sm:order-none sm:col-span-1";
// As much wider than the bars as half a handle, which the slider keeps inside of itself.
const SLIDER = "absolute -inset-x-3 inset-y-0 flex touch-pan-y items-center pointer-coarse:-inset-x-5.5";
const HANDLE =
  "pointer-events-none block h-6 w-2.5 border-2 border-paper bg-leaf pointer-coarse:h-9 pointer-coarse:w-4";
const NUMBER =
  "pointer-events-none absolute -top-6 left-1/2 z-10 hidden -translate-x-1/2 bg-ink px-1.5 text-sm " +
  "whitespace-nowrap text-paper group-focus:block group-active:block";

/** Part of the slider's width, 0 to 1, that lies beyond the bars on each side. */
function marginOf(slider: HTMLElement): number {
  const bars = slider.parentElement?.clientWidth ?? 0;
  const all = slider.clientWidth;
  return all > 0 ? (all - bars) / 2 / all : 0;
}

function asideStyle(by: number | null): CSSProperties | undefined {
  if (by === null) return undefined;
  const justifyItems = { "-1": "end", "0": "center", "1": "start" }[String(Math.sign(by))];
  return { transform: `translateX(${by}%)`, justifyItems };
}

/** Where a thing was along; drawn by itself until the page is alive, as a hundred sliders are slow to send. */
function Bars({ stretches, whole }: { stretches: readonly Stretch[]; whole: number }) {
  return stretches.map(({ from, to }, n) => (
    <span
      key={n}
      className="absolute inset-y-0 my-auto h-2.5 bg-leaf"
      style={{ left: `${(100 * from) / whole}%`, width: `${(100 * (to - from)) / whole}%` }}
    />
  ));
}

/** Where it failed, or left. */
function Happened({ place, whole }: { place: NonNullable<WayRow["place"]>; whole: number }) {
  return (
    <span
      className="absolute bottom-0 -translate-x-1/2 text-xs text-sting"
      style={{ left: `${(100 * place.metres) / whole}%` }}
      title={place.words}
    >
      ▲<span className="sr-only">{place.words}</span>
    </span>
  );
}
