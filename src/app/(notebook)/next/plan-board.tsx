"use client";

import { ArrowLeftRight } from "lucide-react";
import { useOptimistic, useState } from "react";
import type { ItemId, Load, Moved, Stow, TripId } from "@/core/model";
import { COLUMNS, type Column } from "@/core/plan/columns";
import { count, percent, sayDeadWeight, sayMass, type Units } from "@/core/units/speak";
import { Figure } from "@/ui/page/figure";
import { itemPath } from "@/ui/paths";
import { useDoing } from "@/ui/use-doing";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { move, packList } from "./actions";

export interface BoardLine {
  readonly id: ItemId;
  readonly name: string;
  readonly stow: Stow;
  readonly grams: number | null;
  readonly counts: Load;
  readonly column: Column;
  /** Where it stands by itself. */
  readonly own: Column;
  readonly why: string;
  /** Chance, 0 to 1, that it is used. */
  readonly chance: number;
  /** Gram-metres of it that are likely carried for nothing. */
  readonly dead: number;
}

interface PlanBoardProps {
  /** The planned trip; null: none is, and nothing can be moved. */
  readonly trip: TripId | null;
  readonly lines: readonly BoardLine[];
  readonly last: Readonly<Record<Load, number>> | null;
  /** What the pack carries well, in grams. */
  readonly limit: number | null;
  /** What is on the trip's list already. */
  readonly listed: readonly ItemId[];
  readonly units: Units;
}

const WORDS: Readonly<
  Record<Column, { readonly title: string; readonly about: string; readonly look: string }>
> = {
  "not ready": {
    title: "Not ready",
    about: "goes along, and wants something done first",
    look: "border-sting",
  },
  take: { title: "Take", about: "", look: "border-leaf" },
  "take if": { title: "Take if", about: "it is expected", look: "border-catkin-strong" },
  leave: { title: "Leave", about: "", look: "border-ink" },
};

const goes = ({ column }: BoardLine) => column === "take" || column === "not ready";

/**
 * The list for a trip in four columns; a thing is moved by its button, by drag, or by t and l; the figures
 * follow at once.
 */
export function PlanBoard({ trip, lines, last, limit, listed, units }: PlanBoardProps) {
  const { busy, run } = useDoing();
  const [shown, showMoved] = useOptimistic(lines, (before, { id, to }: { id: ItemId; to: Moved | null }) =>
    before.map((line) =>
      line.id === id ? { ...line, column: columnOf(line, to), why: to ? "Your word." : line.why } : line,
    ),
  );
  const [held, setHeld] = useState<readonly ItemId[]>([]);
  const hold = (id: ItemId) =>
    setHeld(held.includes(id) ? held.filter((each) => each !== id) : [...held.slice(-1), id]);
  const [over, setOver] = useState<Moved | null>(null);
  const put = (line: BoardLine, to: Moved) => {
    if (!trip || ((to === "leave") === (line.column === "leave") && line.column !== "take if")) return;
    // Back where it stood by itself, it is no longer the owner's word.
    const isOwn = (to === "leave") === (line.own === "leave") && line.own !== "take if";
    run(
      () => move(trip, line.id, isOwn ? null : to),
      undefined,
      () => showMoved({ id: line.id, to: isOwn ? null : to }),
    );
  };
  const along = shown.filter(goes);
  const sum = (some: readonly BoardLine[]) => some.reduce((all, { grams }) => all + (grams ?? 0), 0);
  const load = (counts: Load) => sum(along.filter((line) => line.counts === counts));
  const base = load("base");
  const onBack = base + load("consumable") + load("hobby");
  const pack = () =>
    run(
      () =>
        packList(
          trip!,
          along.map(({ id }) => id),
        ),
      { says: () => `${count(along.length, "thing")} on the list of the trip` },
    );
  const isListed = listed.length === along.length && along.every(({ id }) => listed.includes(id));
  return (
    <>
      <dl
        className="mb-4 grid grid-cols-2 gap-x-8 gap-y-2 border-y border-rule py-3 sm:grid-cols-3 lg:grid-cols-6"
        aria-live="polite"
      >
        <Figure name="base weight">
          {sayMass(base, units)}
          {last && <Against grams={base - last.base} units={units} />}
        </Figure>
        <Figure name="worn">{sayMass(load("worn"), units)}</Figure>
        <Figure name="used up, hobby">
          {sayMass(load("consumable"), units)}, {sayMass(load("hobby"), units)}
        </Figure>
        <Figure name="on the back, without food and water">
          <span className={limit !== null && onBack > limit ? "text-sting" : ""}>
            {sayMass(onBack, units)}
          </span>
          {limit !== null && (
            <span className="block font-sans text-sm text-muted">
              carries well up to {sayMass(limit, units)}
            </span>
          )}
        </Figure>
        <Figure name="stays at home">
          {sayMass(sum(shown.filter(({ column }) => column === "leave")), units)}
        </Figure>
        <Figure name="likely for nothing">
          {sayDeadWeight(
            along.reduce((all, { dead }) => all + dead, 0),
            units,
          )}
        </Figure>
      </dl>
      {trip && (
        <div className="no-print mb-4 flex flex-wrap items-center gap-3">
          <button type="button" className="btn btn-leaf" disabled={busy || isListed} onClick={pack}>
            {isListed ? "This is the trip’s list" : `Make this the trip’s list (${along.length})`}
          </button>
          {listed.length > 0 && (
            <>
              <a className="link" href={`/api/list/${encodeURIComponent(trip)}`} download>
                as Markdown
              </a>
              <a className="link" href={`/api/list/${encodeURIComponent(trip)}?as=csv`} download>
                as CSV
              </a>
            </>
          )}
          <button type="button" className="btn btn-plain" onClick={() => window.print()}>
            Print
          </button>
          <span className="hint">
            Move a thing by its button, by drag, or with <span className="kbd">t</span> and{" "}
            <span className="kbd">l</span> on it; <span className="kbd">b</span> holds two side by side.
          </span>
        </div>
      )}
      <Held
        lines={held.flatMap((id) => shown.find((line) => line.id === id) ?? [])}
        units={units}
        onMove={trip ? put : null}
        onLetGo={() => setHeld([])}
      />
      <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1fr_1.1fr] lg:grid-rows-[auto_auto_1fr]">
        {COLUMNS.map((column) => {
          const these = shown.filter((line) => line.column === column);
          const { title, about, look } = WORDS[column];
          const to: Moved = column === "leave" ? "leave" : "take";
          return (
            <section
              key={column}
              aria-label={title}
              onDragOver={(event) => {
                if (!trip || column === "take if" || column === "not ready") return;
                event.preventDefault();
                setOver(to);
              }}
              onDragLeave={() => setOver(null)}
              onDrop={(event) => {
                setOver(null);
                const dropped = shown.find(({ id }) => id === event.dataTransfer.getData("text/plain"));
                if (dropped) put(dropped, to);
              }}
              className={`${column === "take" ? "lg:col-start-2 lg:row-span-3 lg:row-start-1" : "lg:col-start-1"} ${over === to && (column === "take" || column === "leave") ? "bg-leaf-soft" : ""}`}
            >
              <h2 className={`border-b-4 pb-1 text-lg ${look}`}>
                {title}{" "}
                <span className="font-sans text-sm font-normal text-muted">
                  {about && `${about}; `}
                  {count(these.length, "thing")}, {sayMass(sum(these), units)}
                </span>
              </h2>
              {these.length === 0 && <p className="py-1 text-muted">Nothing.</p>}
              {groupsOf(these, column).map(([name, group]) => (
                <div key={name}>
                  {name && (
                    <h3 className="mt-2 border-b border-rule-strong font-head text-sm font-bold">{name}</h3>
                  )}
                  <ul>
                    {group.map((line) => (
                      <Line
                        key={line.id}
                        line={line}
                        units={units}
                        canMove={trip !== null}
                        isHeld={held.includes(line.id)}
                        onHold={() => hold(line.id)}
                        onMove={(where) => put(line, where)}
                      />
                    ))}
                  </ul>
                </div>
              ))}
            </section>
          );
        })}
      </div>
    </>
  );
}

/** Two on the fence side by side: what each weighs, how likely it is used, and why it stands where it does. */
function Held({
  lines,
  units,
  onMove,
  onLetGo,
}: {
  lines: readonly BoardLine[];
  units: Units;
  onMove: ((line: BoardLine, to: Moved) => void) | null;
  onLetGo: () => void;
}) {
  if (lines.length === 0) return null;
  return (
    <section
      aria-label="Side by side"
      aria-live="polite"
      className="no-print sticky top-0 z-10 mb-5 border-2 border-ink bg-paper p-3"
    >
      <div className="grid grid-cols-2 gap-4">
        {lines.map((line) => (
          <div key={line.id}>
            <h3 className="font-head text-lg font-bold">{line.name}</h3>
            <p>
              {line.grams === null ? "not weighed" : sayMass(line.grams, units)}, used with a chance of{" "}
              {percent(line.chance)}
              {line.dead > 0 && `, ${sayDeadWeight(line.dead, units)} likely for nothing`}
            </p>
            <p className="text-sm text-muted">
              {WORDS[line.column].title}. {line.why}
            </p>
            {onMove && (
              <button
                type="button"
                className="btn btn-small mt-1"
                onClick={() =>
                  onMove(line, line.column === "leave" || line.column === "take if" ? "take" : "leave")
                }
              >
                {line.column === "leave" || line.column === "take if" ? "Take" : "Leave"}
                <span className="sr-only"> {line.name}</span>
              </button>
            )}
          </div>
        ))}
        {lines.length === 1 && <p className="self-center text-muted">Press the arrows of another.</p>}
      </div>
      <p className="mt-2 flex gap-4">
        {lines.length === 2 && (
          <a
            className="link"
            href={`/shelf/beside?${new URLSearchParams(lines.map(({ id }) => ["of", id]))}`}
          >
            Everything of both
          </a>
        )}
        <button type="button" className="btn btn-plain" onClick={onLetGo}>
          Let go
        </button>
      </p>
    </section>
  );
}

/** Where a thing stands once its owner has moved it; what is to be done about it stays to be done. */
const columnOf = (line: BoardLine, to: Moved | null): Column =>
  to === null ? line.own : to === "leave" ? "leave" : line.own === "not ready" ? "not ready" : "take";

/** What goes is listed by pocket, as it is packed. */
function groupsOf(lines: readonly BoardLine[], column: Column): (readonly [string, readonly BoardLine[]])[] {
  if (column !== "take") return [["", lines]];
  return [...new Set(lines.map(({ stow }) => stow))].map((stow) => [
    STOW_NAMES[stow],
    lines.filter((line) => line.stow === stow),
  ]);
}

function Against({ grams, units }: { grams: number; units: Units }) {
  if (Math.round(grams) === 0)
    return <span className="block font-sans text-sm text-muted">as last time</span>;
  return (
    <span className="block font-sans text-sm text-muted">
      {sayMass(Math.abs(grams), units)} {grams < 0 ? "less" : "more"} than last time
    </span>
  );
}

function Line({
  line: { id, name, grams, column, why },
  units,
  canMove,
  isHeld,
  onHold,
  onMove,
}: {
  line: BoardLine;
  units: Units;
  canMove: boolean;
  isHeld: boolean;
  onHold: () => void;
  onMove: (to: Moved) => void;
}) {
  const to: Moved = column === "leave" || column === "take if" ? "take" : "leave";
  /** The line goes elsewhere, and the focus on to the one after it. */
  const moveFrom = (line: HTMLElement, where: Moved) => {
    (line.nextElementSibling ?? line.previousElementSibling)?.querySelector("button")?.focus();
    onMove(where);
  };
  return (
    <li
      draggable={canMove}
      onDragStart={(event) => event.dataTransfer.setData("text/plain", id)}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        if (event.key === "t" && canMove) moveFrom(event.currentTarget, "take");
        else if (event.key === "l" && canMove) moveFrom(event.currentTarget, "leave");
        else if (event.key === "b") onHold();
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
      className="grid grid-cols-[1.1rem_1fr_auto_auto_auto] items-baseline gap-x-2 border-b border-rule py-1"
    >
      <span aria-hidden="true" className="mt-1 inline-block size-3.5 self-start border border-rule-strong" />
      <span className="min-w-0">
        <a href={itemPath(id)} className="font-semibold hover:underline">
          {name}
        </a>{" "}
        {why && <span className={`text-sm text-muted ${column === "take" ? "ml-1" : "block"}`}>{why}</span>}
      </span>
      <span className="num whitespace-nowrap text-right text-sm">
        {grams === null ? "–" : sayMass(grams, units)}
      </span>
      <button
        type="button"
        aria-pressed={isHeld}
        title="Hold it beside another (b)"
        className={`btn btn-plain no-print !min-h-7 !px-1 pointer-coarse:!min-h-11 pointer-coarse:!min-w-11 ${isHeld ? "!bg-catkin" : ""}`}
        onClick={onHold}
      >
        <ArrowLeftRight aria-hidden="true" className="size-4" />
        <span className="sr-only">Hold {name} beside another</span>
      </button>
      {canMove ? (
        <button
          type="button"
          className="btn btn-plain no-print !min-h-7 text-sm pointer-coarse:!min-h-11"
          onClick={(event) => moveFrom(event.currentTarget.closest("li")!, to)}
        >
          {to === "take" ? "Take" : "Leave"}
          <span className="sr-only"> {name}</span>
        </button>
      ) : (
        <span />
      )}
    </li>
  );
}
