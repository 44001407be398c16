"use client";

import { Popover } from "radix-ui";
import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { toast } from "sonner";
import type { Ruling } from "@/core/model";
import type { RuledOn } from "@/core/reasons/rulings";
import { Field, SelectField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { rule, unrule } from "./actions";

/** Agree, overrule with a reason and when to ask again, or later. */
export function RulingButtons({
  about,
  name,
  ruling,
}: {
  about: RuledOn;
  name: string;
  ruling: { readonly id: string } | null;
}) {
  const router = useRouter();
  const toAdd = "what" in about;
  const [busy, start] = useTransition();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState("");
  const [again, setAgain] = useState("2");
  const [error, setError] = useState<string>();
  const takeBack = (id: string) =>
    start(async () => {
      await unrule(id);
      tellOtherTabs();
      router.refresh();
    });
  const decide = (decision: Ruling["decision"]) =>
    start(async () => {
      const answer = await rule(about, {
        decision,
        reason: decision === "overrule" ? reason : "",
        again: decision === "overrule" && again !== "" ? Number(again) : null,
      });
      if (!answer.ok) return setError(Object.values(answer.fields)[0]);
      setOpen(false);
      tellOtherTabs();
      router.refresh();
      toast(
        decision === "agree"
          ? `${name}: agreed`
          : decision === "later"
            ? `${name}: asked again after the next trip`
            : `${name}: your ruling stands`,
        { action: { label: "Undo", onClick: () => takeBack(answer.value) } },
      );
    });
  if (ruling)
    return (
      <button
        type="button"
        className="btn btn-plain no-print"
        disabled={busy}
        onClick={() => takeBack(ruling.id)}
      >
        Take my ruling back<span className="sr-only"> on {name}</span>
      </button>
    );
  return (
    <div className="no-print flex flex-wrap gap-1.5" role="group" aria-label={`Rule on ${name}`}>
      <button type="button" className="btn" disabled={busy} onClick={() => decide("agree")}>
        Agree
      </button>
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger asChild>
          <button type="button" className="btn" disabled={busy}>
            Overrule
          </button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            sideOffset={6}
            aria-label={`Overrule: ${name}`}
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
      <button type="button" className="btn btn-plain" disabled={busy} onClick={() => decide("later")}>
        Later
      </button>
    </div>
  );
}
