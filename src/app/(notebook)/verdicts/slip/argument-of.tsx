"use client";

import Link from "next/link";
import { Collapsible } from "radix-ui";
import { Fragment, useState, type ReactNode } from "react";
import type { Argument } from "@/core/say/verdicts/argument";
import type { RuledOn } from "@/core/model";
import { LifeChart } from "./life-chart";
import { tripPath } from "@/ui/paths";

/** An argument as it is fetched: of what is to be left, with what leaving it would have come to. */
type ToldArgument = Argument & { readonly overDays: string | null };

/**
 * The facts of a slip, and the whole argument, which is fetched when it is opened: the engine is asked then
 * what would change it.
 */
export function ArgumentOf({ about, facts }: { about: RuledOn; facts: ReactNode }) {
  const [argument, setArgument] = useState<ToldArgument>();
  const [wrong, setWrong] = useState<string>();
  const load = async () => {
    setWrong(undefined);
    try {
      const answer = await fetch(`/api/argument?${new URLSearchParams(about)}`);
      const told = (await answer.json()) as ToldArgument & { why?: string };
      if (answer.ok) setArgument(told);
      else setWrong(told.why ?? "It could not be put together. Try again.");
    } catch {
      setWrong("The server can’t be reached. Open it again when it is back.");
    }
  };
  return (
    <Collapsible.Root
      onOpenChange={(open) => {
        if (open && !argument) void load();
      }}
    >
      <div className="flex flex-wrap items-center gap-x-4 text-sm text-muted">
        {facts}
        <Collapsible.Trigger
          data-act="argument"
          className="no-print text-leaf underline underline-offset-3 pointer-coarse:py-3"
        >
          The whole argument
        </Collapsible.Trigger>
      </div>
      <Collapsible.Content
        className="my-2 border-l-4 border-catkin-strong pl-4 text-ink"
        aria-live="polite"
        aria-busy={!argument && !wrong}
      >
        {wrong && <p className="error">{wrong}</p>}
        {!argument && !wrong && (
          <p className="hint">
            Asking the engine … <progress className="h-2" />
          </p>
        )}
        {argument && <ArgumentText {...argument} />}
      </Collapsible.Content>
    </Collapsible.Root>
  );
}

function ArgumentText({
  rule,
  evidence,
  wanted,
  worn,
  worth,
  school,
  taste,
  flip,
  life,
  overDays,
}: ToldArgument) {
  const rows: readonly (readonly [string, ReactNode])[] = [
    ["Wanted", wanted],
    ["Worn", worn.length > 0 && worn.map((line) => <p key={line}>{line}</p>)],
    ["Worth", worth],
    ["School", school],
    ["You", taste],
    ["Over your days", overDays],
  ];
  const told = rows.filter(([, words]) => Boolean(words));
  return (
    <>
      <dl className="grid gap-x-5 gap-y-1.5 text-[0.95rem] sm:grid-cols-[9rem_1fr]">
        <dt className="text-muted">The rule</dt>
        <dd>{rule}</dd>
        <dt className="text-muted">It rests on</dt>
        <dd>
          <ul>
            {evidence.map(({ text, trips }) => (
              <li key={text}>
                {text}
                {trips.length > 0 && (
                  <span className="text-muted">
                    {" "}
                    (
                    {trips.slice(-6).map(({ id, name }, n) => (
                      <span key={id}>
                        {n > 0 && ", "}
                        <Link prefetch={false} href={tripPath(id)} className="link">
                          {name}
                        </Link>
                      </span>
                    ))}
                    {trips.length > 6 && " and before"})
                  </span>
                )}
              </li>
            ))}
          </ul>
        </dd>
        {told.map(([name, words]) => (
          <Fragment key={name}>
            <dt className="text-muted">{name}</dt>
            <dd>{words}</dd>
          </Fragment>
        ))}
        <dt className="text-muted">What would change it</dt>
        <dd className="font-semibold">{flip}</dd>
      </dl>
      {life && <LifeChart life={life} />}
    </>
  );
}
