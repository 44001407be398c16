"use client";

import { count, sayDay } from "@/core/units/speak";
import { useDoing } from "@/ui/use-doing";
import { endPairing } from "./actions";

/** Browsers that are let in while the app is shared on the home network; each can be turned away again. */
export function Paired({
  sharing,
  browsers,
}: {
  sharing: boolean;
  browsers: readonly { readonly id: string; readonly name: string; readonly since: string }[];
}) {
  const { busy, run } = useDoing();
  return (
    <section aria-labelledby="paired-title">
      <h2 id="paired-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
        On the home network
      </h2>
      <p className="mb-2 max-w-2xl">
        {sharing
          ? "It is shared: a phone that is paired reads and writes here, nobody else does. " +
            "What goes over the network is encrypted once the phone has the padlock; until then, share it on a network that you trust."
          : "It answers to this machine alone. " +
            "Started with --share it prints a link and a code for the phone on the floor."}
      </p>
      {browsers.length > 0 && (
        <>
          <p className="hint">{count(browsers.length, "browser")} paired:</p>
          <ul className="max-w-2xl">
            {browsers.map(({ id, name, since }) => (
              <li key={id} className="flex items-center gap-3 border-b border-rule py-1">
                <span className="flex-1">
                  {name} <span className="text-sm text-muted">since {sayDay(since.slice(0, 10))}</span>
                </span>
                <button
                  type="button"
                  className="btn btn-small"
                  disabled={busy}
                  onClick={() => run(() => endPairing(id), { says: () => `${name} is let in no more` })}
                >
                  End<span className="sr-only"> the pairing of {name}</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
