"use client";

import { useRouter } from "next/navigation";
import { startTransition, useDeferredValue, useState, useSyncExternalStore, type CSSProperties } from "react";
import { sayWithUndo } from "@/ui/notice/undo";
import type { ItemId, TripId } from "@/core/model";
import type { Stretch } from "@/core/ledger/stretches";
import type { Units } from "@/core/units/speak";
import { SelectField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/follow/channel";
import { setStretches } from "../../actions";
import { isAllTheWay, sayStretches, wayOf, type LegSpan, type WayRow } from "./stretch-moves";
import { Row } from "./way-row";

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

/**
 * Legs across, things down, a bar for each time carried. Ends are dragged, or moved by arrow keys: a step
 * each, a leg by Page Up and Page Down. Only what did not go all the way is in the picture until it is asked
 * for.
 */
export function WayPicture({ trip, legs, rows, others, units }: WayPictureProps) {
  const live = useLive();
  const [all, setAll] = useState(false);
  const [asked, setAsked] = useState<readonly ItemId[]>([]);
  const { whole } = wayOf(legs);
  const { save, wrong } = useSaving(trip, whole, units);
  if (whole === 0) return null;
  const shown = shownOf(rows, others, asked, whole);
  const hidden = [...rows, ...others].filter(({ item }) => !shown.some((row) => row.item === item));
  return (
    <section aria-labelledby="way-title" className="mb-8">
      <h2 id="way-title" className="mb-1 text-lg">
        What joined and left on the way
      </h2>
      {shown.length > 0 && (
        <p className="hint mb-2">
          Drag an end of a bar, or use the arrow keys on it; Page Up and Page Down go from leg to leg. Two
          ends brought together take the stretch away. A change in mid-leg begins a new leg there; where
          nothing changes any more, that cut is gone.
        </p>
      )}
      {shown.length > 0 && (
        <div
          className="border-t-2 border-ink pointer-coarse:px-1.5"
          style={{ "--legs": legLines(legs, whole) } as CSSProperties}
        >
          <LegNames legs={legs} whole={whole} />
          {shown.slice(0, all ? undefined : AT_FIRST).map((row) => (
            <Row key={row.item} row={row} legs={legs} units={units} live={live} onSave={save} />
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
        onChange={({ target }) =>
          setAsked([...asked, ...hidden.filter(({ item }) => item === target.value).map(({ item }) => item)])
        }
      />
    </section>
  );
}

/** What did not go all the way; what was asked for stands first, where it can't be folded away. */
function shownOf(
  rows: readonly WayRow[],
  others: WayPictureProps["others"],
  asked: readonly ItemId[],
  whole: number,
): WayRow[] {
  return [
    ...rows.filter(({ item }) => asked.includes(item)),
    ...rows.filter(
      ({ item, stretches, place }) => !asked.includes(item) && (!isAllTheWay(stretches, whole) || place),
    ),
    ...others
      .filter(({ item }) => asked.includes(item))
      .map((other): WayRow => ({ ...other, slot: null, stretches: [], place: null })),
  ];
}

/** Saves where a thing was along, with a way back; what is wrong with it is said below the picture. */
function useSaving(trip: TripId, whole: number, units: Units) {
  const router = useRouter();
  const [wrong, setWrong] = useState<string>();
  const save = async (row: WayRow, stretches: readonly Stretch[]) => {
    setWrong(undefined);
    const answer = await setStretches(trip, row.item, stretches).catch(() => null);
    if (!answer?.ok) {
      setWrong(answer ? Object.values(answer.fields)[0] : "It is not saved: the program does not answer.");
      return false;
    }
    tellOtherTabs();
    router.refresh();
    // Back to what was kept until now: this screen may have been behind it.
    const before = answer.value;
    sayWithUndo(
      `${row.name}: ${sayStretches(stretches, whole, units)}`,
      () => setStretches(trip, row.item, before),
      () => router.refresh(),
    );
    return true;
  };
  return { save, wrong };
}

function LegNames({ legs, whole }: { legs: readonly LegSpan[]; whole: number }) {
  return (
    <div className="grid grid-cols-1 sm:grid-cols-[11rem_1fr_6rem]">
      <span className="hidden sm:block" />
      <div className="relative h-7 border-b border-rule-strong" aria-hidden="true">
        {legs.map(({ id, name, from, to }, n) => (
          <span
            key={id}
            className={`${LEG} ${n % 2 ? "bg-leaf-soft/50" : ""}`}
            style={{ left: `${(100 * from) / whole}%`, width: `${(100 * (to - from)) / whole}%` }}
          >
            {to - from < NARROW * whole ? n + 1 : `${n + 1} ${name}`}
          </span>
        ))}
      </div>
    </div>
  );
}

/** Of the way: a leg narrower than this is told by its number alone. */
const NARROW = 0.12;

const LEG =
  "absolute inset-y-0 overflow-hidden border-l border-rule-strong pl-1 " +
  "text-xs leading-7 whitespace-nowrap text-muted";

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
