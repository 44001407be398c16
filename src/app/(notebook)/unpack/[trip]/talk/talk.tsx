"use client";

import { useMemo, useState } from "react";
import type { Heard } from "@/core/hear/facts";
import type { Named } from "@/core/hear/hear";
import { piecesOf } from "@/core/hear/taken/pieces";
import type { ItemId, Stow, TripId } from "@/core/model";
import { STOWS } from "@/core/model/lists";
import { sayHeard } from "@/core/say/walk/heard";
import { count, type Units } from "@/core/units/speak";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { tellOtherTabs } from "@/ui/follow/channel";
import { sayWithUndo, UNREACHED } from "@/ui/notice/undo";
import { useRefresh } from "@/ui/follow/use-refresh";
import { takeTalk, takeTalkBack } from "../told/actions";
import { FactRows, flipped, NO_CHOICES, putRight, type Choices, type FactRow } from "../told/fact-rows";
import { useHearing } from "./use-hearing";

type Thing = Named & { readonly stow: Stow };

/** One fact as it is shown, and where it stands in the text. */
interface Row extends FactRow {
  readonly heard: Heard;
  /** The sentence that it stands on. */
  readonly text: string;
  /** The pocket of its thing; null: it is the trip's. */
  readonly pocket: Stow | null;
}

const PLACEHOLDER =
  "Four days on the ridge. The tent stood up to everything, but the zip broke on day two, I pinned it. " +
  "The fleece I never put on, the jacket was enough. Lost one peg. …";

/** A debrief as it is told, and beside it, pocket by pocket, what it says; nothing is marked before it is taken. */
export function Talk({ trip, things, units }: { trip: TripId; things: readonly Thing[]; units: Units }) {
  const [text, setText] = useState("");
  const [choices, setChoices] = useState(NO_CHOICES);
  const [lit, setLit] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const [busy, setBusy] = useState(false);
  const refresh = useRefresh();
  const sentences = useHearing(text, things);
  const rows = useMemo(() => rowsOf(sentences, things, units, choices), [sentences, things, units, choices]);
  const taken = rows.filter(({ isTaken }) => isTaken);
  const take = async () => {
    if (taken.length === 0) return setWrong("Nothing is ticked yet. Tell what happened to a thing.");
    setBusy(true);
    const answer = await takeTalk(
      trip,
      taken.map(({ fact, text: told }) => ({ fact, text: told.trim() })),
    ).catch(() => null);
    setBusy(false);
    if (!answer?.ok) return setWrong(answer ? Object.values(answer.fields)[0] : UNREACHED);
    setWrong(undefined);
    setText("");
    setChoices(NO_CHOICES);
    tellOtherTabs();
    void refresh();
    const [told, chosen] = [text, choices];
    sayWithUndo(
      `${count(taken.length, "fact")} in the debrief`,
      async () => {
        const back = await takeTalkBack(trip, answer.value);
        if (back.ok) {
          setText(told);
          setChoices(chosen);
        }
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
        <Pockets rows={rows} things={things} units={units} choose={setChoices} light={setLit} />
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

function rowsOf(
  sentences: ReturnType<typeof useHearing>,
  things: readonly Thing[],
  units: Units,
  { dropped, corrections }: Choices,
): Row[] {
  const byId = new Map(things.map((thing) => [thing.id, thing]));
  const nameOf = (id: ItemId) => byId.get(id)?.name ?? id;
  return sentences.flatMap(({ text, heard }, n) =>
    heard.map((each, k): Row => {
      const key = `${n} ${k} ${text}`;
      const fact = corrections.get(key) ?? each.fact;
      return {
        key,
        fact,
        heard: each,
        text,
        says: sayHeard([fact], units, nameOf),
        isTaken: !dropped.has(key),
        pocket: fact.about === "thing" ? (byId.get(fact.item)?.stow ?? null) : null,
      };
    }),
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
  things,
  units,
  choose,
  light,
}: {
  rows: readonly Row[];
  things: readonly Thing[];
  units: Units;
  choose: (by: (before: Choices) => Choices) => void;
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
  return (
    <>
      <p className="hint no-print mb-2 hidden tabs:block">
        <span className="kbd">↑</span> <span className="kbd">↓</span> walk the facts;{" "}
        <span className="kbd">Space</span> takes or drops one, <span className="kbd">Shift</span>{" "}
        <span className="kbd">t</span> a pocket; <span className="kbd">c</span> puts one right.
      </p>
      {pockets.map(({ pocket, its }) => (
        <div key={pocket ?? "trip"} className="mb-4">
          <h2 className="border-b-2 border-ink pb-1 text-lg">{pocket ? STOW_NAMES[pocket] : "The trip"}</h2>
          <FactRows
            rows={its}
            things={things}
            units={units}
            flip={(keys) => choose((before) => flipped(before, keys))}
            correct={(key, fact) => choose((before) => putRight(before, key, fact))}
            light={light}
          />
        </div>
      ))}
    </>
  );
}
