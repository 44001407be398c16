"use client";

import { DndContext, MouseSensor, TouchSensor, useSensor, useSensors } from "@dnd-kit/core";
import { useId, useOptimistic, useState } from "react";
import type { ItemId, Load, TripId } from "@/core/model";
import { COLUMNS } from "@/core/plan/columns";
import { count, type Units } from "@/core/units/speak";
import { useDoing } from "@/ui/use-doing";
import { move, packList } from "../actions";
import { BoardColumn } from "./board-column";
import type { BoardLine, Side } from "./board-lines";
import { goesAlong, moved, moveTo } from "./board-moves";
import { BoardSums, type OnTop } from "./board-sums";
import { Held } from "./held";
import { PrintButton } from "./print-button";

interface PlanBoardProps {
  /** The planned trip; null: none is, and nothing can be moved. */
  readonly trip: TripId | null;
  readonly lines: readonly BoardLine[];
  readonly last: Readonly<Record<Load, number>> | null;
  /** What the pack carries well, in grams. */
  readonly limit: number | null;
  readonly supplies: OnTop;
  /** What is on the trip's list already. */
  readonly listed: readonly ItemId[];
  readonly units: Units;
}

/** A mouse drags from so many pixels on, a finger after it has rested: else it scrolls the page. */
const MOUSE = { activationConstraint: { distance: 6 } };
const TOUCH = { activationConstraint: { delay: 250, tolerance: 6 } };

/**
 * The list for a trip in four columns; a thing is moved by its button, by drag, or by t and l; the figures
 * follow at once.
 */
export function PlanBoard({ trip, lines, last, limit, supplies, listed, units }: PlanBoardProps) {
  const { run, busy } = useDoing();
  const [shown, showMoved] = useOptimistic(lines, moved);
  const [held, setHeld] = useState<readonly ItemId[]>([]);
  const sensors = useSensors(useSensor(MouseSensor, MOUSE), useSensor(TouchSensor, TOUCH));
  // The same on the server and here: the package's own count goes up with each page that the server draws.
  const id = useId();
  const hold = (thing: ItemId) =>
    setHeld(held.includes(thing) ? held.filter((each) => each !== thing) : [...held.slice(-1), thing]);
  const put = (line: BoardLine | undefined, side: Side) => {
    const to = line && moveTo(line, side);
    if (!trip || !to) return;
    run(
      () => move(trip, to.id, to.to),
      undefined,
      () => showMoved(to),
    );
  };
  const lineOf = (thing: unknown) => shown.find((line) => line.id === thing);
  return (
    <>
      <BoardSums lines={shown} last={last} limit={limit} supplies={supplies} units={units} />
      {trip && (
        <MakeList
          trip={trip}
          along={shown.filter(goesAlong).map((line) => line.id)}
          listed={listed}
          busy={busy}
          onPack={(along) =>
            run(() => packList(trip, along), {
              says: () => `${count(along.length, "thing")} on the list of the trip`,
            })
          }
        />
      )}
      <Held
        lines={held.flatMap((thing) => lineOf(thing) ?? [])}
        units={units}
        onMove={trip ? put : null}
        onLetGo={() => setHeld([])}
      />
      <DndContext
        id={id}
        sensors={sensors}
        onDragEnd={({ active, over }) => {
          if (over?.id === "take" || over?.id === "leave") put(lineOf(active.id), over.id);
        }}
      >
        <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1fr_1.1fr] lg:grid-rows-[auto_auto_1fr]">
          {COLUMNS.map((column) => (
            <BoardColumn
              key={column}
              column={column}
              lines={shown.filter((line) => line.column === column)}
              held={held}
              units={units}
              canMove={trip !== null}
              onHold={hold}
              onMove={put}
            />
          ))}
        </div>
      </DndContext>
    </>
  );
}

interface MakeListProps {
  readonly trip: TripId;
  readonly along: readonly ItemId[];
  readonly listed: readonly ItemId[];
  readonly busy: boolean;
  readonly onPack: (along: ItemId[]) => void;
}

/** The board made the trip's list, and the list to hand on or print. */
function MakeList({ trip, along, listed, busy, onPack }: MakeListProps) {
  const isListed = listed.length === along.length && along.every((id) => listed.includes(id));
  const list = `/api/list/${encodeURIComponent(trip)}`;
  return (
    <div className="no-print mb-4 flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="btn btn-leaf"
        disabled={busy || isListed}
        onClick={() => onPack([...along])}
      >
        {isListed ? "This is the trip’s list" : `Make this the trip’s list (${along.length})`}
      </button>
      {listed.length > 0 && (
        <>
          <a className="link" href={list} download>
            as Markdown
          </a>
          <a className="link" href={`${list}?as=csv`} download>
            as CSV
          </a>
        </>
      )}
      <PrintButton />
      <span className="hint">
        Move a thing by its button, by drag, or with <span className="kbd">t</span> and{" "}
        <span className="kbd">l</span> on it; <span className="kbd">b</span> holds two side by side.
      </span>
    </div>
  );
}
