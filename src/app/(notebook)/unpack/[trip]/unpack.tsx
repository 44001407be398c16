"use client";

import Link from "next/link";
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { Mark, type ItemId, type Stow, type TripId, type Use } from "@/core/model";
import { count } from "@/core/units/speak";
import { isTyping } from "@/ui/is-typing";
import { PageHead } from "@/ui/page-head";
import { unpackPath } from "@/ui/paths";
import { useKeptMarks } from "@/ui/kept-marks";
import { sendMark } from "@/ui/send-mark";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { useRefresh } from "@/ui/use-refresh";
import { KeysHelp } from "./keys-help";
import type { Panel } from "./panel-questions";
import { nextUnmarked, pocketsOf, type Marks, type Thing } from "./pockets";
import { OnTheWay } from "./on-the-way";
import { ThingRow } from "./thing-row";
import type { Way } from "./where-it-was";

const USE_KEYS: Readonly<Record<string, Use>> = { u: "used", h: "hardly", n: "unused" };
const PANEL_KEYS: Readonly<Record<string, Panel>> = {
  t: "trouble",
  x: "complaint",
  w: "why",
  c: "call",
  e: "exit",
  q: "amount",
  k: "frost",
  Enter: "note",
};

/** A mark with more said of it: what was said before stays, whatever key comes after. */
const markWith = (known: Mark | null | undefined, more: Partial<Mark> & Pick<Mark, "use">): Mark => ({
  ...(known ?? Mark.parse({ use: more.use })),
  ...more,
});

/** After the last mark is saved, how long to wait before asking the server what follows. */
const QUIET_MS = 700;

/** The debrief: pocket by pocket, one mark each, saved as it is made. */
export function Unpack({
  trip,
  things,
  way,
}: {
  trip: { id: TripId; name: string };
  things: readonly Thing[];
  way: Way;
}) {
  const refresh = useRefresh();
  const { waiting } = useKeptMarks();
  // Made here, over what the server knows: that may have been marked in another tab meanwhile.
  const [made, setMade] = useState<Marks>(new Map());
  const marks: Marks = useMemo(
    () => new Map([...things.map((thing) => [thing.id, thing.mark] as const), ...made]),
    [things, made],
  );
  // Said of a thing before its use is marked: a condition, a call, a note. It goes out with the mark.
  const [drafts, setDrafts] = useState<ReadonlyMap<ItemId, Partial<Mark>>>(new Map());
  const [focus, setFocus] = useState<ItemId>(
    () => (things.find((thing) => thing.mark === null) ?? things[0]!).id,
  );
  const [panel, setPanel] = useState<{ readonly item: ItemId; readonly kind: Panel } | null>(null);
  const [unsaved, setUnsaved] = useState(0);
  const [help, setHelp] = useState(false);
  const [adding, setAdding] = useState(false);
  const done = useRef<{ readonly item: ItemId; readonly mark: Mark | null }[][]>([]);
  const byKeys = useRef(false);
  const touched = useRef(false);
  const pockets = useMemo(() => pocketsOf(things), [things]);
  // What has just joined on the way may not be here yet.
  const focused = things.find((thing) => thing.id === focus) ?? things[0]!;
  const open: Stow = focused.stow;
  const rows = things.filter((thing) => thing.stow === open);
  const left = things.filter((thing) => !marks.get(thing.id)).length;

  const save = useCallback(
    (changes: readonly { item: ItemId; mark: Mark | null }[]) => {
      setMade((before) => new Map([...before, ...changes.map(({ item, mark }) => [item, mark] as const)]));
      setUnsaved((n) => n + changes.length);
      for (const { item, mark } of changes) {
        // What is not saved is told by the page's own line of what waits.
        void sendMark({ trip: trip.id, item, mark: mark && Mark.encode(mark) })
          .catch(() => null)
          .finally(() => setUnsaved((n) => n - 1));
      }
    },
    [trip.id],
  );

  const change = useCallback(
    (changes: readonly { item: ItemId; mark: Mark | null }[]) => {
      done.current.push(changes.map(({ item }) => ({ item, mark: marks.get(item) ?? null })));
      save(changes);
    },
    [marks, save],
  );

  const markUse = useCallback(
    (thing: Thing, use: Use) => {
      const mark = markWith(marks.get(thing.id), { ...drafts.get(thing.id), use });
      change([{ item: thing.id, mark }]);
      setPanel(null);
      const next = nextUnmarked(things, new Map([...marks, [thing.id, mark]]), thing.id);
      // By thumb the rows stay where they are, until the pocket is empty and the next one opens.
      const isEmptied = next?.stow !== thing.stow;
      if (next && (byKeys.current || isEmptied)) setFocus(next.id);
    },
    [marks, drafts, change, things],
  );

  /** Says more of a thing: into its mark, or beside it until there is one. */
  const say = useCallback(
    (thing: Thing, more: Partial<Mark>) => {
      const known = marks.get(thing.id);
      const implied: Use | undefined =
        known?.use ??
        (more.troubles?.length || more.complaints?.length ? "used" : more.why ? "unused" : undefined);
      if (!implied)
        return setDrafts((before) => new Map(before).set(thing.id, { ...before.get(thing.id), ...more }));
      change([{ item: thing.id, mark: markWith(known, { ...drafts.get(thing.id), use: implied, ...more }) }]);
    },
    [marks, drafts, change],
  );

  const fail = useCallback(
    (thing: Thing) => {
      const known = marks.get(thing.id)?.troubles ?? [];
      say(thing, { use: "used", troubles: [...known.filter((trouble) => trouble !== "failed"), "failed"] });
      setPanel({ item: thing.id, kind: "trouble" });
    },
    [marks, say],
  );

  const restUsed = useCallback(() => {
    const rest = rows.filter((thing) => !marks.get(thing.id));
    if (rest.length === 0) return;
    change(
      rest.map((thing) => ({
        item: thing.id,
        mark: markWith(null, { ...drafts.get(thing.id), use: "used" }),
      })),
    );
    const after = new Map([
      ...marks,
      ...rest.map((thing) => [thing.id, markWith(null, { use: "used" })] as const),
    ]);
    const next = nextUnmarked(things, after, rest.at(-1)!.id);
    if (next) setFocus(next.id);
  }, [rows, marks, drafts, things, change]);

  const undo = useCallback(() => {
    const last = done.current.pop();
    if (!last) return toast("Nothing to take back.");
    save(last);
    setFocus(last[0]!.item);
    setPanel(null);
    toast(
      `${last.length === 1 ? things.find((thing) => thing.id === last[0]!.item)!.name : count(last.length, "mark")}: taken back`,
    );
  }, [save, things]);

  // Once it is quiet, what follows from the marks is shown around the page: how many verdicts there are to rule on.
  useEffect(() => {
    if (unsaved > 0) touched.current = true;
    if (unsaved > 0 || !touched.current) return;
    const quiet = setTimeout(() => {
      touched.current = false;
      void refresh();
    }, QUIET_MS);
    return () => clearTimeout(quiet);
  }, [unsaved, refresh]);

  // Before it is seen, not after: a key pressed at once must find what is on the screen.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      byKeys.current = true;
      // A link or another button keeps its own Enter; the rows' own do not matter here.
      if (event.key === "Enter" && (event.target as HTMLElement).closest("a, button, summary")) return;
      const at = rows.findIndex((thing) => thing.id === focus);
      const act = (): boolean => {
        if (event.key === "U") restUsed();
        else if (USE_KEYS[event.key]) markUse(focused, USE_KEYS[event.key]!);
        else if (event.key === "f") fail(focused);
        else if (event.key === "z") undo();
        else if (event.key === "?") setHelp(true);
        else if (event.key === "b") setAdding(true);
        else if (event.key === "a") document.querySelector<HTMLElement>("#worth-asking button")?.focus();
        else if (event.key === "Escape" && panel) setPanel(null);
        else if (PANEL_KEYS[event.key]) setPanel({ item: focus, kind: PANEL_KEYS[event.key]! });
        else if (/^[0-5]$/.test(event.key) && panel === null) say(focused, { condition: Number(event.key) });
        else if (event.key === "ArrowDown" || event.key === "ArrowUp") {
          const all = things.findIndex((thing) => thing.id === focus) + (event.key === "ArrowDown" ? 1 : -1);
          if (things[all]) setFocus(things[all].id);
          setPanel(null);
        } else if (event.key === "ArrowRight" || event.key === "ArrowLeft") {
          const pocket = pockets[pockets.indexOf(open) + (event.key === "ArrowRight" ? 1 : -1)];
          if (pocket) setFocus(things.find((thing) => thing.stow === pocket)!.id);
          setPanel(null);
        } else return false;
        return true;
      };
      if (at >= 0 && act()) event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [rows, focus, focused, panel, things, pockets, open, markUse, fail, restUsed, undo, say]);

  return (
    <section aria-label={`Unpack ${trip.name}`}>
      <PageHead
        title={`Unpack ${trip.name}`}
        actions={
          <>
            <Link href={`${unpackPath(trip.id)}/talk`} prefetch={false} className="btn">
              Talk it through
            </Link>
            <button type="button" className="btn" onClick={undo}>
              Undo
            </button>
            <button type="button" className="btn hidden tabs:inline-flex" onClick={() => setHelp(true)}>
              Keys <span className="kbd">?</span>
            </button>
          </>
        }
      >
        <span role="status">{left === 0 ? "All marked." : `${left} of ${things.length} left`}</span>
        <span className="ml-3 text-sm">
          {unsaved > 0
            ? "saving …"
            : waiting.length > 0
              ? `${count(waiting.length, "mark")} not saved yet`
              : "every mark is saved"}
        </span>
      </PageHead>
      <div className="mb-3 h-1 bg-rule" aria-hidden="true">
        <div
          className="h-1 bg-leaf transition-[width]"
          style={{ width: `${(100 * (things.length - left)) / things.length}%` }}
        />
      </div>
      <div className="tabs:grid tabs:grid-cols-[13rem_1fr] tabs:gap-8">
        <ol
          className="mb-3 flex gap-1 overflow-x-auto tabs:mb-0 tabs:block"
          aria-label="Pockets, in the order they are emptied"
        >
          {pockets.map((pocket) => {
            const inside = things.filter((thing) => thing.stow === pocket);
            const togo = inside.filter((thing) => !marks.get(thing.id)).length;
            return (
              <li key={pocket} className="shrink-0">
                <button
                  type="button"
                  aria-current={pocket === open ? "step" : undefined}
                  onClick={() => setFocus((inside.find((thing) => !marks.get(thing.id)) ?? inside[0]!).id)}
                  className={`flex min-h-10 w-full items-center justify-between gap-3 border-b-2 px-3 text-left pointer-coarse:min-h-11 ${pocket === open ? "border-leaf bg-leaf-soft font-bold" : "border-rule hover:bg-leaf-soft"}`}
                >
                  {STOW_NAMES[pocket]}{" "}
                  <span className="num text-sm text-muted">
                    {togo === 0 ? <span aria-label="done">✓</span> : togo}
                  </span>
                </button>
              </li>
            );
          })}
        </ol>
        <div>
          <ul aria-label={STOW_NAMES[open]} className="border-t-2 border-ink">
            {rows.map((thing) => (
              <ThingRow
                key={thing.id}
                thing={thing}
                way={way}
                mark={marks.get(thing.id) ?? null}
                draft={drafts.get(thing.id)}
                focused={thing.id === focus}
                panel={panel?.item === thing.id ? panel.kind : null}
                onFocus={() => setFocus(thing.id)}
                onUse={(use) => {
                  byKeys.current = false;
                  setFocus(thing.id);
                  markUse(thing, use);
                }}
                onFail={() => {
                  setFocus(thing.id);
                  fail(thing);
                }}
                onSay={(more) => say(thing, more)}
                onPanel={(kind) => {
                  setFocus(thing.id);
                  setPanel(kind ? { item: thing.id, kind } : null);
                }}
              />
            ))}
          </ul>
          <div className="mt-3 flex flex-wrap items-center gap-3">
            {rows.some((thing) => !marks.get(thing.id)) && (
              <button type="button" className="btn" onClick={restUsed}>
                The rest of this pocket was used <span className="kbd hidden tabs:inline-block">Shift U</span>
              </button>
            )}
            {!adding && (
              <button type="button" className="btn" onClick={() => setAdding(true)}>
                Bought or found on the way <span className="kbd hidden tabs:inline-block">b</span>
              </button>
            )}
            {rows.every((thing) => marks.get(thing.id)) && left > 0 && (
              <button
                type="button"
                className="btn btn-leaf"
                onClick={() => setFocus(things.find((thing) => !marks.get(thing.id))!.id)}
              >
                Next pocket
              </button>
            )}
            {left === 0 && (
              <p className="flex flex-wrap items-center gap-3 font-semibold">
                <a href="#look-back" className="btn btn-leaf">
                  Look back
                </a>
                <Link href="/verdicts" className="btn">
                  What follows from it
                </Link>
              </p>
            )}
          </div>
          {adding && (
            <OnTheWay
              trip={trip.id}
              way={way}
              things={things}
              onClose={(item) => {
                setAdding(false);
                if (item) setFocus(item);
                else document.querySelector<HTMLElement>("li[tabindex='0']")?.focus();
              }}
            />
          )}
        </div>
      </div>
      <KeysHelp open={help} onOpenChange={setHelp} />
    </section>
  );
}
