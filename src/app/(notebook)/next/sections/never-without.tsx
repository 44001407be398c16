"use client";

import { useState } from "react";
import { Field } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { useDoing } from "@/ui/use-doing";
import { useTicks } from "@/ui/use-ticks";
import { keepNever } from "../actions";

/** What nobody gets far without; common practice, no source. The owner's own list takes its place. */
const USUAL = ["documents", "keys", "cash and card", "food", "phone, charged", "word left of where you go"];

interface NeverWithoutProps {
  /** Of which trip it is ticked. */
  readonly trip: string;
  readonly never: readonly string[];
}

/** A short list of the owner's own, ticked at the door each time. */
export function NeverWithout({ trip, never }: NeverWithoutProps) {
  const { ticked, tick } = useTicks(`nettle-never-${trip}`);
  const { busy, run } = useDoing();
  const [typed, setTyped] = useState("");
  const keep = (next: readonly string[], says: string) =>
    run(() => keepNever(next), { says: () => says, undo: (was) => keepNever(was) });
  const add = () => {
    const what = typed.trim();
    if (what === "") return;
    keep([...never, what], `Never without: ${what}`);
    setTyped("");
  };
  const left = never.filter((what) => !ticked.has(what)).length;
  return (
    <section aria-labelledby="never-title">
      <h2 id="never-title" className="mb-1 border-b-2 border-ink pb-1 text-lg">
        Never without{" "}
        {never.length > 0 && (
          <span className="font-sans text-sm font-normal text-muted">
            {left === 0 ? "all ticked" : `${left} of ${never.length} to tick`}
          </span>
        )}
      </h2>
      <ul>
        {never.map((what) => (
          <li key={what} className="flex items-center border-b border-rule">
            <label className="flex min-h-9 flex-1 items-center gap-3 pointer-coarse:min-h-11">
              <input
                type="checkbox"
                className="size-5 accent-leaf"
                checked={ticked.has(what)}
                onChange={({ target }) => tick(what, target.checked)}
              />
              {what}
            </label>
            <button
              type="button"
              className="btn btn-plain btn-small no-print"
              disabled={busy}
              onClick={() =>
                keep(
                  never.filter((each) => each !== what),
                  `${what}: off the list`,
                )
              }
            >
              Remove<span className="sr-only"> {what}</span>
            </button>
          </li>
        ))}
      </ul>
      {never.length === 0 && (
        <p className="hint my-1">
          What you look for at the door each time.{" "}
          <button
            type="button"
            className="btn btn-small no-print"
            disabled={busy}
            onClick={() => keep(USUAL, "The usual is on the list")}
          >
            Begin with the usual
          </button>
        </p>
      )}
      <PageForm className="no-print mt-2 flex items-end gap-2" onSend={add}>
        <Field
          label="One more"
          className="flex-1"
          maxLength={60}
          autoComplete="off"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
        <button className="btn btn-tall" disabled={busy}>
          Add
        </button>
      </PageForm>
    </section>
  );
}
