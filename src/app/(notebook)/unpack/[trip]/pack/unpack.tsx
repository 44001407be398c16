"use client";

import Link from "next/link";
import { useLayoutEffect, useMemo, useState } from "react";
import type { ItemId, TripId } from "@/core/model";
import { count } from "@/core/units/speak";
import { askForHelp } from "@/ui/help/help";
import { isTyping } from "@/ui/is-typing";
import { useKeptMarks } from "@/ui/marks/kept-marks";
import { useBackCloses } from "@/ui/use-back-closes";
import { useLoaded } from "@/ui/use-loaded";
import { PageHead } from "@/ui/page/page-head";
import { unpackPath } from "@/ui/paths";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import type { Way } from "../panel/where-it-was";
import { AfterPocket } from "./after-pocket";
import { PocketList } from "./pocket-list";
import type { Thing } from "./pockets";
import { ThingRow } from "./thing-row";
import { actOfKey, type Opens } from "./unpack-keys";
import { focusedOf, marksOf, type Act, type Unpacking } from "./unpacking";
import { useUnpacking } from "./use-unpacking";

/** No part of the first load, and here before anybody asks for it: the next key goes into its field. */
const ON_THE_WAY = () => import("./on-the-way");

interface UnpackProps {
  readonly trip: { readonly id: TripId; readonly name: string };
  readonly things: readonly [Thing, ...Thing[]];
  readonly way: Way;
}

/** The debrief: pocket by pocket, one mark each, saved as it is made. */
export function Unpack({ trip, things, way }: UnpackProps) {
  const { state, act, sending } = useUnpacking(trip.id, things);
  const [opened, setOpened] = useState<Opens | null>(null);
  const marks = useMemo(() => marksOf(things, state.made), [things, state.made]);
  const open = focusedOf(things, state.focus).stow;
  const rows = things.filter((thing) => thing.stow === open);
  const left = things.filter((thing) => !marks.get(thing.id));
  useKeys(state, act, setOpened);
  const onTheWay = useLoaded(ON_THE_WAY, true);

  const closeOnTheWay = (item: ItemId | null) => {
    setOpened(null);
    if (item) act({ do: "focus", item });
    else document.querySelector<HTMLElement>("li[tabindex='0']")?.focus();
  };
  useBackCloses(opened !== null || state.panel !== null, () => {
    setOpened(null);
    if (state.panel) act({ do: "panel", item: state.panel.item, kind: null });
  });
  return (
    <section aria-label={`Unpack ${trip.name}`}>
      <UnpackHead
        trip={trip}
        left={left.length}
        all={things.length}
        sending={sending}
        onUndo={() => act({ do: "undo" })}
      />
      <div className="tabs:grid tabs:grid-cols-[13rem_1fr] tabs:gap-8">
        <PocketList
          things={things}
          marks={marks}
          open={open}
          onOpen={({ id }) => act({ do: "focus", item: id })}
        />
        <div>
          <ul aria-label={STOW_NAMES[open]} className="border-t-2 border-ink">
            {rows.map((thing) => (
              <ThingRow
                key={thing.id}
                thing={thing}
                way={way}
                mark={marks.get(thing.id) ?? null}
                draft={state.drafts.get(thing.id)}
                focused={thing.id === state.focus}
                panel={state.panel?.item === thing.id ? state.panel.kind : null}
                onAct={act}
              />
            ))}
          </ul>
          <AfterPocket
            rows={rows}
            left={left}
            onAct={act}
            onAdd={opened === "on the way" ? undefined : () => setOpened("on the way")}
          />
          {opened === "on the way" && onTheWay && (
            <onTheWay.OnTheWay trip={trip.id} way={way} things={things} onClose={closeOnTheWay} />
          )}
        </div>
      </div>
    </section>
  );
}

/** Keys act on the thing in hand, wherever the page is scrolled to. */
function useKeys(state: Unpacking, act: (what: Act) => void, open: (what: Opens) => void) {
  // Before it is seen, not after: a key pressed at once must find what is on the screen.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      // A link or another button keeps its own Enter; the rows' own do not matter here.
      if (event.key === "Enter" && event.target instanceof Element)
        if (event.target.closest("a, button, summary")) return;
      const does = actOfKey(event.key, state);
      if (!does) return;
      event.preventDefault();
      if (does === "questions") document.querySelector<HTMLElement>("#worth-asking button")?.focus();
      else if (typeof does === "string") open(does);
      else act(does);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [state, act, open]);
}

interface UnpackHeadProps {
  readonly trip: UnpackProps["trip"];
  readonly left: number;
  readonly all: number;
  readonly sending: number;
  readonly onUndo: () => void;
}

/** Its name, how far one is, and whether every mark is safe. */
function UnpackHead({ trip, left, all, sending, onUndo }: UnpackHeadProps) {
  const { waiting } = useKeptMarks();
  const unsaved =
    waiting.length > 0 ? `${count(waiting.length, "mark")} not saved yet` : "every mark is saved";
  return (
    <>
      <PageHead
        title={`Unpack ${trip.name}`}
        actions={
          <>
            <Link href={`${unpackPath(trip.id)}/talk`} prefetch={false} className="btn">
              Talk it through
            </Link>
            <button type="button" className="btn" onClick={onUndo}>
              Undo
            </button>
            <button type="button" className="btn hidden tabs:inline-flex" onClick={askForHelp}>
              Keys <span className="kbd">?</span>
            </button>
          </>
        }
      >
        <span role="status">{left === 0 ? "All marked." : `${left} of ${all} left`}</span>
        <span className="ml-3 text-sm">{sending > 0 ? "saving …" : unsaved}</span>
      </PageHead>
      <div className="mb-3 h-1 bg-rule" aria-hidden="true">
        <div className="h-1 bg-leaf transition-[width]" style={{ width: `${(100 * (all - left)) / all}%` }} />
      </div>
    </>
  );
}
