"use client";

import { Popover } from "radix-ui";
import { useRef, useState, useTransition } from "react";
import { toast } from "sonner";
import type { Ruling } from "@/core/model";
import { refuse, type Answer } from "@/ui/form/answer";
import { Field, SelectField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { sayWithUndo, UNREACHED } from "@/ui/undo";
import { useRefresh } from "@/ui/use-refresh";
import { done, rule, undone, unrule } from "./actions";
import type { SlipData } from "./slip-data";
import { focusSlip } from "./slip-keys";

/**
 * Agree, done, overrule with a reason and when to ask again, or later; afterwards the focus goes on to the
 * next slip.
 */
export function RulingButtons({ slip }: { slip: SlipData }) {
  const { about, name, ruling, doing } = slip;
  const refresh = useRefresh();
  const toAdd = "what" in about;
  const box = useRef<HTMLDivElement>(null);
  const [busy, start] = useTransition();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState("");
  const [again, setAgain] = useState("2");
  const [error, setError] = useState<string>();
  const settle = (says: string, undo: () => Promise<Answer<unknown>>) => {
    setOpen(false);
    const here = box.current?.closest("[data-slip]");
    if (here) focusSlip(here);
    tellOtherTabs();
    void refresh();
    sayWithUndo(says, undo, () => void refresh());
  };
  /** Runs an action; where it is refused or the server is gone, says so and changes nothing. */
  const act = <T,>(work: () => Promise<Answer<T>>, then: (value: T) => void) =>
    start(async () => {
      const answer = await work().catch((): Answer<T> => refuse({ "": UNREACHED }));
      if (answer.ok) return then(answer.value);
      const why = Object.values(answer.fields)[0];
      if (open) setError(why);
      else toast.error(why);
    });
  const decide = (decision: Ruling["decision"]) =>
    act(
      () =>
        rule(about, {
          decision,
          reason: decision === "overrule" ? reason : "",
          again: decision === "overrule" && again !== "" ? Number(again) : null,
        }),
      (id) =>
        settle(
          decision === "agree"
            ? `${name}: agreed`
            : decision === "later"
              ? `${name}: asked again after the next trip`
              : `${name}: your ruling stands`,
          () => unrule(id),
        ),
    );
  const follow = (grade: number | null) =>
    "item" in about &&
    act(
      () => done(about, grade),
      ({ undo, says }) => settle(says, () => undone(undo)),
    );
  const takeBack = () =>
    act(
      () => unrule(ruling!.id),
      () => {
        box.current?.closest<HTMLElement>("[data-slip]")?.focus();
        tellOtherTabs();
        void refresh();
      },
    );
  const doings = doing && (
    <>
      {doing === "log" && (
        <button
          type="button"
          data-act="done"
          className="btn btn-small"
          disabled={busy}
          onClick={() => follow(null)}
        >
          Done
        </button>
      )}
      {doing === "grade" && (
        <span role="group" aria-label={`Condition of ${name}`} className="flex items-center gap-1">
          <span className="text-sm text-muted">looks</span>
          {[5, 4, 3, 2, 1, 0].map((grade) => (
            <button
              key={grade}
              type="button"
              disabled={busy}
              aria-label={`${grade} of 5`}
              onClick={() => follow(grade)}
              className="min-h-8 min-w-7 border border-rule bg-sheet text-sm hover:border-ink pointer-coarse:min-h-11 pointer-coarse:min-w-11"
            >
              {grade}
            </button>
          ))}
        </span>
      )}
    </>
  );
  if (ruling)
    return (
      <div ref={box} className="no-print flex flex-wrap gap-1.5" role="group" aria-label={`Ruled on ${name}`}>
        {ruling.decision === "agree" && doings}
        <button type="button" className="btn btn-plain btn-small" disabled={busy} onClick={takeBack}>
          Take my ruling back<span className="sr-only"> on {name}</span>
        </button>
      </div>
    );
  return (
    <div ref={box} className="no-print flex flex-wrap gap-1.5" role="group" aria-label={`Rule on ${name}`}>
      <button
        type="button"
        data-act="agree"
        className="btn btn-small"
        disabled={busy}
        onClick={() => decide("agree")}
      >
        Agree
      </button>
      {doings}
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger asChild>
          <button type="button" data-act="overrule" className="btn btn-small" disabled={busy}>
            Overrule
          </button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            sideOffset={6}
            aria-label={`Overrule: ${name}`}
            // After a ruling the focus is on the next slip already.
            onCloseAutoFocus={(event) =>
              document.activeElement?.matches("[data-slip]") && event.preventDefault()
            }
            className="z-40 w-[min(22rem,92vw)] rounded-md border border-rule-strong bg-sheet p-4 shadow-xl"
          >
            <form
              className="space-y-3"
              onSubmit={(event) => {
                event.preventDefault();
                decide("overrule");
              }}
            >
              <Field
                label={toAdd ? "I do without it, because" : "It stays as it is, because"}
                value={reason}
                onChange={(event) => setReason(event.target.value)}
                maxLength={1000}
                error={error}
                hint="May stay blank; it reads well in two years."
              />
              <SelectField
                label="Ask me again"
                value={again}
                onChange={(event) => setAgain(event.target.value)}
                options={[
                  ["1", "after the next trip"],
                  ["2", `after two more trips${toAdd ? "" : " with it"}`],
                  ["5", `after five more trips${toAdd ? "" : " with it"}`],
                  ["", toAdd ? "only if I miss it again" : "only if something new goes wrong"],
                ]}
              />
              <button className="btn btn-leaf" disabled={busy}>
                Overrule
              </button>
            </form>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      <button
        type="button"
        data-act="later"
        className="btn btn-plain btn-small"
        disabled={busy}
        onClick={() => decide("later")}
      >
        Later
      </button>
    </div>
  );
}
