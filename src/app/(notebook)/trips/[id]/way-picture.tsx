"use client";

import { useRouter } from "next/navigation";
import { Slider } from "radix-ui";
import {
  memo,
  startTransition,
  type CSSProperties,
  useDeferredValue,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from "react";
import { toast } from "sonner";
import type { ItemId, TripId } from "@/core/model";
import type { Stretch } from "@/core/ledger/stretches";
import { sayDistance, type Units } from "@/core/units/speak";
import { SelectField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { setStretches } from "../actions";

/** A leg as the picture has it, in metres from the start of the trip. */
interface LegSpan {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** A thing and where it was along; `place` where it failed or left, if that is known. */
export interface WayRow {
  readonly item: ItemId;
  readonly name: string;
  readonly slot: string | null;
  readonly stretches: readonly Stretch[];
  readonly place: { readonly metres: number; readonly words: string } | null;
}

interface WayPictureProps {
  readonly trip: TripId;
  readonly legs: readonly LegSpan[];
  readonly rows: readonly WayRow[];
  /** What is on the shelf and was not along at all: it may have joined on the way. */
  readonly others: readonly { readonly item: ItemId; readonly name: string }[];
  readonly units: Units;
}

/** Rows shown until all are asked for. */
const AT_FIRST = 30;
/** Part of the way within which a dragged end falls to a leg's end. */
const CATCH = 0.02;

/**
 * Legs across, things down, a bar for each time carried. Ends are dragged, or moved by arrow keys: a step
 * each, a leg by Page Up and Page Down. Only what did not go all the way is in the picture until it is asked
 * for.
 */
export function WayPicture({ trip, legs, rows, others, units }: WayPictureProps) {
  const router = useRouter();
  const live = useLive();
  const [all, setAll] = useState(false);
  const [asked, setAsked] = useState<readonly ItemId[]>([]);
  const [wrong, setWrong] = useState<string>();
  const whole = legs.at(-1)?.to ?? 0;
  const wentAll = (row: WayRow) =>
    row.stretches.length === 1 && row.stretches[0]!.from === 0 && row.stretches[0]!.to === whole;
  const shown = [
    // What was asked for stands first, where it can't be folded away.
    ...rows.filter(({ item }) => asked.includes(item)),
    ...rows.filter((row) => !asked.includes(row.item) && (!wentAll(row) || row.place)),
    ...others
      .filter(({ item }) => asked.includes(item))
      .map((other): WayRow => ({ ...other, slot: null, stretches: [], place: null })),
  ];
  const hidden = [...rows, ...others].filter(({ item }) => !shown.some((row) => row.item === item));
  const save = async (row: WayRow, stretches: readonly Stretch[]) => {
    setWrong(undefined);
    const answer = await setStretches(trip, row.item, stretches).catch(() => null);
    if (!answer?.ok) {
      setWrong(answer ? Object.values(answer.fields)[0] : "It is not saved: the program does not answer.");
      return false;
    }
    tellOtherTabs();
    router.refresh();
    toast(`${row.name}: ${saysStretches(stretches, whole, units)}`, {
      action: {
        label: "Undo",
        onClick: () => void setStretches(trip, row.item, row.stretches).then(() => router.refresh()),
      },
    });
    return true;
  };
  if (whole === 0) return null;
  return (
    <section aria-labelledby="way-title" className="mb-8">
      <h2 id="way-title" className="mb-1 text-lg">
        What joined and left on the way
      </h2>
      <p className="hint mb-2">
        Drag an end of a bar, or use the arrow keys on it; Page Up and Page Down go from leg to leg. Two ends
        brought together take the stretch away. A change in mid-leg begins a new leg there.
      </p>
      {shown.length > 0 && (
        <div
          className="border-t-2 border-ink pointer-coarse:px-1.5"
          style={{ "--legs": legLines(legs, whole) } as CSSProperties}
        >
          <div className="grid grid-cols-1 sm:grid-cols-[11rem_1fr_2.5rem]">
            <span className="hidden sm:block" />
            <div className="relative h-7 border-b border-rule-strong" aria-hidden="true">
              {legs.map((leg, n) => (
                <span
                  key={leg.id}
                  className={`absolute inset-y-0 overflow-hidden border-l border-rule-strong pl-1 text-xs leading-7 whitespace-nowrap text-muted ${n % 2 ? "bg-leaf-soft/50" : ""}`}
                  style={{
                    left: `${(100 * leg.from) / whole}%`,
                    width: `${(100 * (leg.to - leg.from)) / whole}%`,
                  }}
                >
                  {leg.name}
                </span>
              ))}
            </div>
          </div>
          {shown.slice(0, all ? undefined : AT_FIRST).map((row) => (
            <Row
              key={`${row.item} ${JSON.stringify(row.stretches)}`}
              row={row}
              legs={legs}
              whole={whole}
              units={units}
              live={live}
              onSave={save}
            />
          ))}
        </div>
      )}
      {!all && shown.length > AT_FIRST && (
        <button type="button" className="btn mt-2" onClick={() => startTransition(() => setAll(true))}>
          Show the other {shown.length - AT_FIRST}
        </button>
      )}
      {wrong && (
        <p role="alert" className="error mt-1">
          {wrong}
        </p>
      )}
      <SelectField
        label={shown.length > 0 ? "Another thing" : "All of it went all the way, but for"}
        className="mt-3 max-w-xs"
        value=""
        options={[["", "choose …"], ...hidden.map(({ item, name }) => [item, name] as const)]}
        onChange={(event) => setAsked([...asked, event.target.value as ItemId])}
      />
    </section>
  );
}

const Row = memo(function Row({
  row,
  legs,
  whole,
  units,
  live,
  onSave,
}: {
  row: WayRow;
  legs: readonly LegSpan[];
  whole: number;
  units: Units;
  /** Its ends can be taken hold of. */
  live: boolean;
  onSave: (row: WayRow, stretches: readonly Stretch[]) => Promise<boolean>;
}) {
  const given = useMemo(() => row.stretches.flatMap(({ from, to }) => [from, to]), [row.stretches]);
  const [values, setValues] = useState<readonly number[]>(given);
  const byPointer = useRef(false);
  const ends = [0, ...legs.map(({ to }) => to)];
  const step = whole > 50_000 ? 1000 : 100;
  const caught = (metres: number) => {
    const near = ends.find((end) => Math.abs(end - metres) <= (byPointer.current ? CATCH * whole : 50));
    return near ?? metres;
  };
  const commit = async (next: readonly number[]) => {
    const stretches = pairs(next.map(caught)).filter(({ from, to }) => to > from);
    setValues(stretches.flatMap(({ from, to }) => [from, to]));
    if (!(await onSave(row, stretches))) setValues(given);
  };
  const toLegEnd = (event: React.KeyboardEvent, at: number) => {
    byPointer.current = false;
    const now = values[at]!;
    const end =
      event.key === "PageUp" ? ends.find((each) => each > now) : ends.findLast((each) => each < now);
    if ((event.key !== "PageUp" && event.key !== "PageDown") || end === undefined) return;
    event.preventDefault();
    const next = values.with(at, clampBetween(end, values[at - 1] ?? 0, values[at + 1] ?? whole));
    setValues(next);
    void commit(next);
  };
  const again = () => {
    const from = values.at(-1) ?? 0;
    // All the way already, or to its end: a stretch more begins where the last leg does.
    const start = from < whole ? (ends.find((end) => end > from) ?? from) : 0;
    const next = [...values, start < whole ? start : from, whole];
    setValues(next);
    void commit(next);
  };
  return (
    <div
      className="grid grid-cols-[1fr_auto] items-center border-b border-rule sm:grid-cols-[11rem_1fr_2.5rem]"
      role="group"
      aria-label={`${row.name}: ${saysStretches(pairs(values), whole, units)}`}
    >
      <span className="truncate pr-2 font-semibold">
        {row.name}
        {row.slot && <span className="ml-1 text-sm font-normal text-muted">{row.slot}</span>}
      </span>
      <div className="relative order-last col-span-2 h-9 bg-(image:--legs) pointer-coarse:h-12 sm:order-none sm:col-span-1">
        <Bars stretches={pairs(values)} whole={whole} />
        {live && values.length > 0 && (
          <Slider.Root
            className="absolute -inset-x-3 inset-y-0 flex touch-pan-y items-center pointer-coarse:-inset-x-5.5"
            min={0}
            max={whole}
            step={step}
            value={[...values]}
            onPointerDown={() => {
              byPointer.current = true;
            }}
            onValueChange={(next) => setValues(next)}
            onValueCommit={(next) => void commit(next)}
          >
            <Slider.Track className="h-full grow" />
            {values.map((metres, n) => (
              <Slider.Thumb
                key={n}
                className="grid size-6 cursor-ew-resize place-items-center pointer-coarse:size-11"
                style={aside(values, n, whole)}
                aria-label={`${row.name}, ${n % 2 ? "to" : "from"}`}
                aria-valuetext={sayDistance(metres, units)}
                onKeyDown={(event) => toLegEnd(event, n)}
              >
                <span className="block h-6 w-2.5 border-2 border-paper bg-leaf pointer-coarse:h-9 pointer-coarse:w-4" />
              </Slider.Thumb>
            ))}
          </Slider.Root>
        )}
        {row.place && (
          <span
            className="absolute bottom-0 -translate-x-1/2 text-xs text-sting"
            style={{ left: `${(100 * row.place.metres) / whole}%` }}
            title={row.place.words}
          >
            ▲<span className="sr-only">{row.place.words}</span>
          </span>
        )}
      </div>
      <button type="button" className="btn btn-plain !px-1" title="Carried again from here" onClick={again}>
        +<span className="sr-only"> {row.name}: carried again</span>
      </button>
    </div>
  );
});

/** Of the way; the handles of a stretch shorter than this would lie on one another. */
const SHORT = 0.16;

/**
 * The handles of a short stretch stand aside, each for a finger of its own: to its own side, or both to the
 * side with room.
 */
function aside(values: readonly number[], n: number, whole: number): React.CSSProperties | undefined {
  const isTo = n % 2 === 1;
  const [from, to] = isTo ? [values[n - 1]!, values[n]!] : [values[n]!, values[n + 1]!];
  if (to - from >= SHORT * whole) return undefined;
  const by = to >= whole ? (isTo ? 0 : -100) : from <= 0 ? (isTo ? 100 : 0) : isTo ? 50 : -50;
  return { transform: `translateX(${by}%)`, justifyItems: by < 0 ? "end" : by > 0 ? "start" : "center" };
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

/** A thin line where each leg begins, as one background for all rows: a line of its own in each would be thousands. */
const legLines = (legs: readonly LegSpan[], whole: number) =>
  legs
    .slice(1)
    .map(({ from }) => {
      const at = `${((100 * from) / whole).toFixed(3)}%`;
      return (
        `linear-gradient(to right, transparent ${at}, var(--rule) ${at}, ` +
        `var(--rule) calc(${at} + 1px), transparent calc(${at} + 1px))`
      );
    })
    .join(", ") || "none";

const noChange = () => () => undefined;
/** False on the server and while its page is taken up, then true; rendered in small steps. */
const useLive = () =>
  useDeferredValue(
    useSyncExternalStore(
      noChange,
      () => true,
      () => false,
    ),
    false,
  );

const pairs = (values: readonly number[]): Stretch[] =>
  Array.from({ length: Math.floor(values.length / 2) }, (_, n) => ({
    from: values[2 * n]!,
    to: values[2 * n + 1]!,
  }));

const clampBetween = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** "all the way", "0 to 60 km, 260 to 400 km". */
function saysStretches(stretches: readonly Stretch[], whole: number, units: Units): string {
  if (stretches.length === 0) return "not carried";
  if (stretches.length === 1 && stretches[0]!.from === 0 && stretches[0]!.to === whole) return "all the way";
  return stretches
    .map(({ from, to }) => `${sayDistance(from, units)} to ${sayDistance(to, units)}`)
    .join(", ");
}
