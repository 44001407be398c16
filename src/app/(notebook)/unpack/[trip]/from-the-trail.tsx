"use client";

import { useState } from "react";
import type { HeardFact, ItemId, TripId } from "@/core/model";
import { sayHeard } from "@/core/say/walk/heard";
import { count, type Units } from "@/core/units/speak";
import { whatIsWrong, type Answer } from "@/ui/form/answer";
import { Field } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/follow/channel";
import { sayWithUndo, UNREACHED } from "@/ui/notice/undo";
import { useRefresh } from "@/ui/follow/use-refresh";
import { PageForm } from "@/ui/form/page-form";
import { putLineBack, putLineThere, removeLine, rewriteLine, takeLine } from "./told/actions";
import { FactRows, flipped, NO_CHOICES, putRight } from "./told/fact-rows";

/** A line written on the way, and what it is understood to be. */
export interface TrailLine {
  readonly id: string;
  readonly text: string;
  readonly facts: readonly HeardFact[];
}

/** A line that was taken or put aside, and what it was taken as. */
export interface TakenLine {
  readonly id: string;
  readonly text: string;
  readonly says: string;
}

interface FromTheTrailProps {
  readonly trip: TripId;
  readonly lines: readonly TrailLine[];
  readonly taken: readonly TakenLine[];
  readonly things: readonly { readonly id: ItemId; readonly name: string }[];
  readonly units: Units;
}

/** More lines than this are folded, or the pack would lie below them all. */
const FEW = 5;

/** What was written on the way: each line as it is understood, put right where it is not, and taken by one press. */
export function FromTheTrail({ lines, taken, ...rest }: FromTheTrailProps) {
  if (lines.length === 0 && taken.length === 0) return null;
  return (
    <section aria-labelledby="trail-title" className="mb-6 border-l-4 border-catkin-strong pl-4">
      <details open={lines.length <= FEW}>
        <summary className="py-1">
          <h2 id="trail-title" className="inline text-lg">
            Written on the way
          </h2>
          {lines.length > 0 && <span className="text-muted">, {count(lines.length, "line")} to take</span>}
        </summary>
        <ul>
          {lines.map((line) => (
            <WaitingLine key={line.id + line.text} line={line} {...rest} />
          ))}
        </ul>
      </details>
      {taken.length > 0 && <TakenLines trip={rest.trip} lines={taken} />}
    </section>
  );
}

/** Does something about a line, and says what came of it, with the press that takes it back. */
function useOnLine() {
  const refresh = useRefresh();
  const [wrong, setWrong] = useState<string>();
  const [busy, setBusy] = useState(false);
  const act = async <Value,>(
    does: () => Promise<Answer<Value>>,
    says: string,
    undo: (value: Value) => Promise<Answer<unknown>>,
  ) => {
    setBusy(true);
    const answer = await does().catch(() => null);
    setBusy(false);
    if (!answer?.ok) return setWrong(answer ? whatIsWrong(answer) : UNREACHED);
    setWrong(undefined);
    tellOtherTabs();
    void refresh();
    sayWithUndo(
      says,
      () => undo(answer.value),
      () => void refresh(),
    );
  };
  return { act, busy, wrong };
}

function WaitingLine({
  trip,
  line: { id, text, facts },
  things,
  units,
}: { line: TrailLine } & Omit<FromTheTrailProps, "lines" | "taken">) {
  const { act, busy, wrong } = useOnLine();
  const [choices, setChoices] = useState(NO_CHOICES);
  const [typed, setTyped] = useState<string>();
  const nameOf = (item: ItemId) => things.find((thing) => thing.id === item)?.name ?? item;
  const rows = facts.map((heard, n) => {
    const key = `${id} ${n}`;
    const fact = choices.corrections.get(key) ?? heard;
    return { key, fact, says: sayHeard([fact], units, nameOf), isTaken: !choices.dropped.has(key) };
  });
  const kept = rows.flatMap(({ fact, isTaken }) => (isTaken ? [fact] : []));
  const says = kept.length === 0 ? "Put aside" : "Take it";
  return (
    <li className="border-b border-rule py-1">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <b className="min-w-0 flex-1 basis-60 break-words">{text}</b>
        <LineButtons
          text={text}
          says={says}
          busy={busy}
          isOpen={typed !== undefined}
          onTake={() =>
            void act(
              () => takeLine(trip, id, kept),
              kept.length === 0 ? "Put aside" : sayHeard(kept, units, nameOf),
              (back) => putLineBack(trip, id, back),
            )
          }
          onRewrite={() => setTyped(typed === undefined ? text : undefined)}
          onDelete={() =>
            void act(
              () => removeLine(trip, id),
              "Line deleted",
              (line) => putLineThere(trip, line),
            )
          }
        />
      </div>
      {typed !== undefined && (
        <RewriteForm
          typed={typed}
          busy={busy}
          onType={setTyped}
          onSave={() =>
            void act(
              () => rewriteLine(trip, id, typed),
              "Line rewritten",
              (was) => rewriteLine(trip, id, was),
            )
          }
        />
      )}
      {rows.length === 0 ? (
        <p className="text-sm text-muted">A note, kept as it is</p>
      ) : (
        <FactRows
          rows={rows}
          things={things}
          units={units}
          flip={(keys) => setChoices((before) => flipped(before, keys))}
          correct={(key, fact) => setChoices((before) => putRight(before, key, fact))}
        />
      )}
      {wrong && (
        <p role="alert" className="error">
          {wrong}
        </p>
      )}
    </li>
  );
}

interface LineButtonsProps {
  readonly text: string;
  readonly says: string;
  readonly busy: boolean;
  /** It is being rewritten. */
  readonly isOpen: boolean;
  readonly onTake: () => void;
  readonly onRewrite: () => void;
  readonly onDelete: () => void;
}

/** What can be done about a line: taken or put aside, written again, deleted. */
function LineButtons({ text, says, busy, isOpen, onTake, onRewrite, onDelete }: LineButtonsProps) {
  const quiet = "link min-h-9 text-sm pointer-coarse:min-h-11";
  return (
    <>
      <button type="button" className="btn" disabled={busy} aria-label={`${says}: ${text}`} onClick={onTake}>
        {says}
      </button>
      <button
        type="button"
        className={quiet}
        aria-expanded={isOpen}
        aria-label={`Rewrite: ${text}`}
        onClick={onRewrite}
      >
        Rewrite
      </button>
      <button
        type="button"
        className={quiet}
        disabled={busy}
        aria-label={`Delete: ${text}`}
        onClick={onDelete}
      >
        Delete
      </button>
    </>
  );
}

interface RewriteFormProps {
  readonly typed: string;
  readonly busy: boolean;
  readonly onType: (typed: string) => void;
  readonly onSave: () => void;
}

/** A line as it should have been written. */
function RewriteForm({ typed, busy, onType, onSave }: RewriteFormProps) {
  return (
    <PageForm className="my-2 flex items-end gap-2" onSend={onSave}>
      <Field
        label="The line"
        className="flex-1"
        autoFocus
        maxLength={300}
        value={typed}
        onChange={(event) => onType(event.target.value)}
      />
      <button type="submit" className="btn btn-leaf" disabled={busy}>
        Save
      </button>
    </PageForm>
  );
}

/** Lines that are in the debrief or were put aside: still there to read, and to take up again. */
function TakenLines({ trip, lines }: { trip: TripId; lines: readonly TakenLine[] }) {
  return (
    <details className="mt-2">
      <summary className="link cursor-pointer">{count(lines.length, "line")} taken or put aside</summary>
      <ul>
        {lines.map((line) => (
          <TakenRow key={line.id} trip={trip} line={line} />
        ))}
      </ul>
    </details>
  );
}

function TakenRow({ trip, line: { id, text, says } }: { trip: TripId; line: TakenLine }) {
  const { act, busy, wrong } = useOnLine();
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
      <span className="min-w-0 flex-1 basis-60">
        <span className="break-words">{text}</span>
        <span className="block text-sm text-muted">{says}</span>
        {wrong && <span className="error block">{wrong}</span>}
      </span>
      <button
        type="button"
        className="btn"
        disabled={busy}
        aria-label={`Read again: ${text}`}
        onClick={() =>
          void act(
            () => putLineBack(trip, id, null),
            "The line waits again; its marks stay",
            (was) => putLineThere(trip, was),
          )
        }
      >
        Read again
      </button>
    </li>
  );
}
