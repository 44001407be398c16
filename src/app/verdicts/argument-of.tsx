"use client";

import Link from "next/link";
import { useState } from "react";
import type { Argument } from "@/core/verdict/argument";
import type { RuledOn } from "@/core/verdict/rulings";
import { LifeChart } from "./life-chart";

/** The whole argument, fetched when it is opened: the engine is asked then what would change it. */
export function ArgumentOf({ about }: { about: RuledOn }) {
  const [argument, setArgument] = useState<Argument>();
  const [wrong, setWrong] = useState<string>();
  const load = async () => {
    setWrong(undefined);
    try {
      const answer = await fetch(`/api/argument?${new URLSearchParams(about)}`);
      const told = (await answer.json()) as Argument & { why?: string };
      if (answer.ok) setArgument(told);
      else setWrong(told.why ?? "It could not be put together. Try again.");
    } catch {
      setWrong("The server can’t be reached. Open it again when it is back.");
    }
  };
  return (
    <details
      className="mt-1.5"
      onToggle={(event) => {
        if (event.currentTarget.open && !argument) void load();
      }}
    >
      <summary className="inline-block py-1 text-sm text-leaf underline underline-offset-3 pointer-coarse:py-3">
        The whole argument
      </summary>
      <div
        className="mt-1 border-l-4 border-catkin-strong pl-4"
        aria-live="polite"
        aria-busy={!argument && !wrong}
      >
        {wrong && <p className="error">{wrong}</p>}
        {!argument && !wrong && (
          <p className="hint">
            Asking the engine … <progress className="h-2" />
          </p>
        )}
        {argument && <Told {...argument} />}
      </div>
    </details>
  );
}

function Told({ rule, evidence, wanted, worn, worth, school, flip, life }: Argument) {
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
                        <Link prefetch={false} href={`/trips/${id}`} className="link">
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
        {wanted && (
          <>
            <dt className="text-muted">Wanted</dt>
            <dd>{wanted}</dd>
          </>
        )}
        {worn.length > 0 && (
          <>
            <dt className="text-muted">Worn</dt>
            <dd>
              {worn.map((line) => (
                <p key={line}>{line}</p>
              ))}
            </dd>
          </>
        )}
        {worth && (
          <>
            <dt className="text-muted">Worth</dt>
            <dd>{worth}</dd>
          </>
        )}
        {school && (
          <>
            <dt className="text-muted">School</dt>
            <dd>{school}</dd>
          </>
        )}
        <dt className="text-muted">What would change it</dt>
        <dd className="font-semibold">{flip}</dd>
      </dl>
      {life && <LifeChart life={life} />}
    </>
  );
}
