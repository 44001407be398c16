"use client";

import { ChevronRight } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { Collapsible } from "radix-ui";
import { useState, useTransition } from "react";
import type { ItemId, Verb } from "@/core/model";
import type { Urgency } from "@/core/model";
import { timedReading, type Steps } from "@/core/trade/steps";
import { parseNumber } from "@/core/units/quantity";
import { Field } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { sayWithUndo } from "@/ui/undo";
import { itemPath } from "@/ui/paths";
import { VerbWord } from "@/ui/verb-word";
import { undone } from "../verdicts/actions";
import { Clock } from "./clock";
import { doJob } from "./actions";

/** A job as plain data. */
export interface JobData {
  readonly item: ItemId;
  readonly name: string;
  readonly verb: Verb;
  readonly ground: string;
  readonly urgency: Urgency;
  readonly agreed: boolean;
  readonly says: string;
  readonly claim: boolean;
  readonly steps: readonly string[];
  readonly materials: readonly string[];
  readonly minutes: number;
  readonly measures: NonNullable<Steps["measures"]> | null;
  readonly caution: string | null;
}

/** One job: what and why, its steps on request, and done where it is read. */
export function JobCard({ job }: { job: JobData }) {
  const router = useRouter();
  const [busy, start] = useTransition();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState({ cost: "", reading: "", note: "" });
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const done = () =>
    start(async () => {
      const { cost, reading, note } = typed;
      const answer = await doJob(
        { item: job.item, verb: job.verb, ground: job.ground },
        {
          cost: parseNumber(cost),
          reading:
            job.measures && reading.trim()
              ? { what: job.measures.what, value: parseNumber(reading) ?? Number.NaN }
              : null,
          note,
        },
      ).catch(() => null);
      if (!answer)
        return setWrong({ "": "Not saved: the server can’t be reached. What you typed is still here." });
      if (!answer.ok) {
        setOpen(true);
        return setWrong(answer.fields);
      }
      setWrong({});
      tellOtherTabs();
      router.refresh();
      sayWithUndo(
        answer.value.says,
        () => undone(answer.value.undo),
        () => router.refresh(),
      );
    });
  const type = (field: keyof typeof typed) => (event: React.ChangeEvent<HTMLInputElement>) =>
    setTyped({ ...typed, [field]: event.target.value });
  return (
    <li className="break-inside-avoid border-b border-rule py-2">
      <Collapsible.Root open={open} onOpenChange={setOpen}>
        <div className="flex items-baseline gap-2">
          <VerbWord verb={job.verb} urgency={job.urgency} className="w-16 shrink-0" />
          <Link
            prefetch={false}
            href={itemPath(job.item)}
            className="min-w-0 flex-1 font-semibold hover:underline"
          >
            {job.name}
          </Link>
          {job.agreed && <span className="text-sm text-leaf">agreed</span>}
          <button type="button" className="btn btn-small no-print" disabled={busy} onClick={done}>
            Done
            <span className="sr-only">
              : {job.verb} {job.name}
            </span>
          </button>
        </div>
        <p className="mt-0.5 text-sm">{job.says}</p>
        {job.claim && (
          <p className="text-sm font-semibold text-leaf">A warranty still runs: claim on it first.</p>
        )}
        {job.caution && <p className="text-sm text-sting">{job.caution}</p>}
        {wrong[""] && (
          <p role="alert" className="error">
            {wrong[""]}
          </p>
        )}
        <Collapsible.Trigger className="no-print mt-1 flex min-h-7 items-center gap-1 text-left text-sm text-muted pointer-coarse:min-h-11">
          <ChevronRight aria-hidden="true" className={`size-4 ${open ? "rotate-90" : ""}`} />
          {[
            "How",
            job.minutes > 0 ? `about ${job.minutes} minutes` : "",
            job.materials.length > 0 ? `with ${job.materials.join(", ")}` : "",
          ]
            .filter(Boolean)
            .join(", ")}
          <span className="sr-only">
            : {job.verb} {job.name}
          </span>
        </Collapsible.Trigger>
        <Collapsible.Content>
          <ol className="ml-5 list-decimal text-sm">
            {job.steps.map((step) => (
              <li key={step} className="py-0.5">
                {step}
              </li>
            ))}
          </ol>
          <div className="mt-2 flex flex-wrap items-start gap-2">
            {job.measures && (
              <Field
                label={job.measures.ask}
                inputMode="decimal"
                value={typed.reading}
                onChange={type("reading")}
                error={wrong.reading}
                className="w-64"
              />
            )}
            {job.measures?.timed && (
              <Clock
                name={`${job.item} ${job.measures.what}`}
                about={`${job.measures.what} of ${job.name}`}
                onStop={(seconds) =>
                  setTyped({ ...typed, reading: timedReading(job.measures!.timed!, seconds).toFixed(2) })
                }
              />
            )}
            <Field
              label="Cost"
              inputMode="decimal"
              value={typed.cost}
              onChange={type("cost")}
              error={wrong.cost}
              className="w-24"
            />
            <Field
              label="Note"
              value={typed.note}
              onChange={type("note")}
              error={wrong.note}
              className="w-48"
              maxLength={4000}
            />
          </div>
        </Collapsible.Content>
      </Collapsible.Root>
    </li>
  );
}
