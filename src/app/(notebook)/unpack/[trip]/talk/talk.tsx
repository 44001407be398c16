"use client";

import { useMemo, useState, type KeyboardEvent } from "react";
import type { Heard } from "@/core/hear/facts";
import { piecesOf, type Named } from "@/core/hear/hear";
import type { ItemId, Stow, TripId } from "@/core/model";
import { STOWS } from "@/core/model/lists";
import { sayHeard } from "@/core/say/walk/heard";
import { count, type Units } from "@/core/units/speak";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { tellOtherTabs } from "@/ui/other-tabs";
import { sayWithUndo, UNREACHED } from "@/ui/notice/undo";
import { useRefresh } from "@/ui/use-refresh";
import { takeTalk, takeTalkBack } from "../../actions";
import { useHearing } from "./use-hearing";

type Thing = Named & { readonly stow: Stow };

/** One fact as it is shown: where it stands in the text, and what it comes to. */
interface Row {
  readonly key: string;
  readonly heard: Heard;
  /** The sentence that it stands on. */
  readonly text: string;
  readonly says: string;
  /** The pocket of its thing; null: it is the trip's. */
  readonly pocket: Stow | null;
}

const PLACEHOLDER =
  "Four days on the ridge. The tent stood up to everything, but the zip broke on day two, I pinned it. " +
  "The fleece I never put on, the jacket was enough. Lost one peg. …";

/** A debrief as it is told, and beside it, pocket by pocket, what it says; nothing is marked before it is taken. */
export function Talk({ trip, things, units }: { trip: TripId; things: readonly Thing[]; units: Units }) {
  const [text, setText] = useState("");
  const [dropped, setDropped] = useState<ReadonlySet<string>>(new Set());
  const [lit, setLit] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const [busy, setBusy] = useState(false);
  const refresh = useRefresh();
  const sentences = useHearing(text, things);
  const rows = useMemo(() => rowsOf(sentences, things, units), [sentences, things, units]);
  const taken = rows.filter(({ key }) => !dropped.has(key));
  const flip = (keys: readonly string[]) =>
    setDropped((before) => {
      const all = keys.every((key) => before.has(key));
      return new Set(all ? [...before].filter((key) => !keys.includes(key)) : [...before, ...keys]);
    });
  const take = async () => {
    if (taken.length === 0) return setWrong("Nothing is ticked yet. Tell what happened to a thing.");
    setBusy(true);
    const answer = await takeTalk(
      trip,
      taken.map(({ heard: { fact }, text: told }) => ({ fact, text: told.trim() })),
    ).catch(() => null);
    setBusy(false);
    if (!answer?.ok) return setWrong(answer ? Object.values(answer.fields)[0] : UNREACHED);
    setWrong(undefined);
    setText("");
    setDropped(new Set());
    tellOtherTabs();
    void refresh();
    const told = text;
    sayWithUndo(
      `${count(taken.length, "fact")} in the debrief`,
      async () => {
        const back = await takeTalkBack(trip, answer.value);
        if (back.ok) setText(told);
        return back;
      },
      () => void refresh(),
    );
  };
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <div>
        <label htmlFor="talk" className="mb-1 block font-semibold">
          What happened, as you would tell a friend
        </label>
        <textarea
          id="talk"
          rows={12}
          value={text}
          maxLength={20_000}
          placeholder={PLACEHOLDER}
          aria-describedby="talk-hint"
          onChange={(event) => setText(event.target.value)}
          className="field w-full"
        />
        <p id="talk-hint" className="hint mt-2">
          Type it, paste it, or speak it by your keyboard’s microphone. Nothing leaves this machine, and
          nothing is marked before you take it.
        </p>
        {rows.length > 0 && (
          <TalkText sentences={sentences} lit={rows.find(({ key }) => key === lit)?.heard} />
        )}
      </div>
      <section aria-label="What it says">
        <Pockets rows={rows} dropped={dropped} flip={flip} light={setLit} />
        {wrong && (
          <p role="alert" className="error mt-2">
            {wrong}
          </p>
        )}
        {rows.length > 0 && (
          <button type="button" className="btn btn-leaf mt-4" disabled={busy} onClick={() => void take()}>
            Take {count(taken.length, "fact")} into the debrief
          </button>
        )}
      </section>
    </div>
  );
}

function rowsOf(sentences: ReturnType<typeof useHearing>, things: readonly Thing[], units: Units): Row[] {
  const byId = new Map(things.map((thing) => [thing.id, thing]));
  const nameOf = (id: ItemId) => byId.get(id)?.name ?? id;
  return sentences.flatMap(({ text, heard }, n) =>
    heard.map((each, k): Row => ({
      key: `${n} ${k} ${text}`,
      heard: each,
      text,
      says: sayHeard([each.fact], units, nameOf),
      pocket: each.fact.about === "thing" ? (byId.get(each.fact.item)?.stow ?? null) : null,
    })),
  );
}

/** The text as it was heard: what a fact stands on underlined, the one that is looked at lit. */
function TalkText({ sentences, lit }: { sentences: ReturnType<typeof useHearing>; lit: Heard | undefined }) {
  return (
    <p
      className="mt-4 border-l-4 border-catkin-strong pl-3 text-[0.95rem] whitespace-pre-wrap"
      aria-hidden="true"
    >
      {piecesOf(sentences).map(({ text, at, isHeard }, n) => {
        const isLit = lit?.from.some((span) => span.at < at + text.length && span.end > at);
        return isHeard ? (
          <mark key={n} className={`border-b-2 border-leaf text-ink ${isLit ? "bg-catkin" : "bg-leaf-soft"}`}>
            {text}
          </mark>
        ) : (
          <span key={n} className="text-muted">
            {text}
          </span>
        );
      })}
    </p>
  );
}

function Pockets({
  rows,
  dropped,
  flip,
  light,
}: {
  rows: readonly Row[];
  dropped: ReadonlySet<string>;
  flip: (keys: readonly string[]) => void;
  light: (key: string | undefined) => void;
}) {
  if (rows.length === 0)
    return (
      <p className="text-muted">What it says of each thing stands here as you tell it, pocket by pocket.</p>
    );
  const pockets = [...STOWS, null].flatMap((pocket) => {
    const its = rows.filter((row) => row.pocket === pocket);
    return its.length > 0 ? [{ pocket, its }] : [];
  });
  const press = (event: KeyboardEvent, row: Row, its: readonly Row[]) => {
    const step = { ArrowDown: 1, ArrowUp: -1, j: 1, k: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      const all = [...document.querySelectorAll<HTMLElement>("[data-fact]")];
      all[all.indexOf(event.currentTarget as HTMLElement) + step]?.focus();
    } else if (event.key === "T" || event.key === "X") flip(its.map(({ key }) => key));
    else if (event.key === "t" || event.key === "x") flip([row.key]);
  };
  return (
    <>
      <p className="hint no-print mb-2 hidden tabs:block">
        <span className="kbd">↑</span> <span className="kbd">↓</span> walk the facts;{" "}
        <span className="kbd">Space</span> takes or drops one, <span className="kbd">Shift</span>{" "}
        <span className="kbd">t</span> a pocket.
      </p>
      {pockets.map(({ pocket, its }) => (
        <div key={pocket ?? "trip"} className="mb-4">
          <h2 className="border-b-2 border-ink pb-1 text-lg">{pocket ? STOW_NAMES[pocket] : "The trip"}</h2>
          <ul>
            {its.map((row) => (
              <li key={row.key} className="border-b border-rule">
                <label
                  className="flex min-h-9 items-baseline gap-3 py-1 pointer-coarse:min-h-11"
                  onMouseEnter={() => light(row.key)}
                  onMouseLeave={() => light(undefined)}
                >
                  <input
                    type="checkbox"
                    data-fact
                    checked={!dropped.has(row.key)}
                    onChange={() => flip([row.key])}
                    onFocus={() => light(row.key)}
                    onBlur={() => light(undefined)}
                    onKeyDown={(event) => press(event, row, its)}
                    className="size-4 accent-leaf"
                  />
                  <span className={dropped.has(row.key) ? "text-muted line-through" : ""}>{row.says}</span>
                </label>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </>
  );
}
