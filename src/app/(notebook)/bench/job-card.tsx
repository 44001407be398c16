"use client";

import { ChevronRight } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { Collapsible } from "radix-ui";
import { useState, useTransition, type ChangeEvent } from "react";
import type { ItemId, Urgency, Verb } from "@/core/model";
import { timedReading } from "@/core/jobs/timed";
import type { Steps as JobSteps } from "@/core/trade/steps";
import { parseNumber } from "@/core/units/quantity";
import { refuse } from "@/ui/form/answer";
import { Field } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/follow/channel";
import { sayWithUndo } from "@/ui/notice/undo";
import { itemPath } from "@/ui/paths";
import { VerbWord } from "@/ui/verb-word";
import { DoneButton } from "@/ui/done-button";
import { NOT_RIGHT } from "@/core/model/lists";
import { done as followed, undone } from "../verdicts/actions";
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
  readonly measures: NonNullable<JobSteps["measures"]> | null;
  /** What is asked before it is done with; null: nothing. */
  readonly outcome: string | null;
  readonly caution: string | null;
}

const BLANK = { cost: "", reading: "", note: "" };
type Typed = typeof BLANK;

/** Does the job, with what was typed of it; what is wrong with that goes beside its field. */
function useJob(job: JobData, onWrong: () => void) {
  const router = useRouter();
  const [busy, start] = useTransition();
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const about = { item: job.item, verb: job.verb, ground: job.ground };
  const run = (work: () => ReturnType<typeof doJob>) =>
    start(async () => {
      const answer = await work().catch(() =>
        refuse({ "": "Not saved: the server can’t be reached. What you typed is still here." }),
      );
      setWrong(answer.ok ? {} : answer.fields);
      if (!answer.ok) return answer.fields[""] ? undefined : onWrong();
      tellOtherTabs();
      router.refresh();
      sayWithUndo(
        answer.value.says,
        () => undone(answer.value.undo),
        () => router.refresh(),
      );
    });
  const done = ({ cost, reading, note }: Typed) => {
    const measured = job.measures && reading.trim() ? job.measures.what : null;
    run(() =>
      doJob(about, {
        cost: parseNumber(cost),
        reading: measured ? { what: measured, value: parseNumber(reading) ?? Number.NaN } : null,
        note,
      }),
    );
  };
  return { busy, wrong, done, notRight: () => run(() => followed(about, NOT_RIGHT)) };
}

/** One job: what and why, its steps on request, and done where it is read. */
export function JobCard({ job }: { job: JobData }) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState(BLANK);
  const { busy, wrong, done, notRight } = useJob(job, () => setOpen(true));
  const which = (
    <span className="sr-only">
      : {job.verb} {job.name}
    </span>
  );
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
          <DoneButton
            asks={job.outcome}
            which={`${job.verb} ${job.name}`}
            look="no-print"
            busy={busy}
            onDone={() => done(typed)}
            onNot={notRight}
          />
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
        <Collapsible.Trigger className={HOW}>
          <ChevronRight aria-hidden="true" className={`size-4 ${open ? "rotate-90" : ""}`} />
          {howOf(job)}
          {which}
        </Collapsible.Trigger>
        <Collapsible.Content>
          <Steps job={job} typed={typed} wrong={wrong} onType={setTyped} />
        </Collapsible.Content>
      </Collapsible.Root>
    </li>
  );
}

const HOW =
  "no-print mt-1 flex min-h-7 items-center gap-1 text-left text-sm text-muted pointer-coarse:min-h-11";

const howOf = ({ minutes, materials }: JobData) =>
  [
    "How",
    minutes > 0 ? `about ${minutes} minutes` : "",
    materials.length > 0 ? `with ${materials.join(", ")}` : "",
  ]
    .filter(Boolean)
    .join(", ");

interface StepsProps {
  readonly job: JobData;
  readonly typed: Typed;
  readonly wrong: Readonly<Record<string, string>>;
  readonly onType: (typed: Typed) => void;
}

/** How it is done, and what came of it. */
function Steps({ job: { item, name, steps, measures }, typed, wrong, onType }: StepsProps) {
  const field = (of: keyof Typed) => ({
    value: typed[of],
    error: wrong[of],
    onChange: ({ target }: ChangeEvent<HTMLInputElement>) => onType({ ...typed, [of]: target.value }),
  });
  const timed = measures?.timed;
  return (
    <>
      <ol className="ml-5 list-decimal text-sm">
        {steps.map((step) => (
          <li key={step} className="py-0.5">
            {step}
          </li>
        ))}
      </ol>
      <div className="mt-2 flex flex-wrap items-start gap-2">
        {measures && (
          <Field label={measures.ask} inputMode="decimal" {...field("reading")} className="w-64" />
        )}
        {timed && (
          <Clock
            name={`${item} ${measures.what}`}
            about={`${measures.what} of ${name}`}
            onStop={(seconds) => onType({ ...typed, reading: timedReading(timed, seconds).toFixed(2) })}
          />
        )}
        <Field label="Cost" inputMode="decimal" {...field("cost")} className="w-24" />
        <Field label="Note" {...field("note")} className="w-48" maxLength={4000} />
      </div>
    </>
  );
}
