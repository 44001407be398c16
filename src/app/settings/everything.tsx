"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { count } from "@/core/units/speak";
import { tellOtherTabs } from "@/ui/other-tabs";

interface Look {
  readonly items: number;
  readonly trips: number;
  readonly newItems: number;
  readonly newTrips: number;
  readonly same: boolean;
  /** What an earlier version had let in, and is put right. */
  readonly mended: readonly string[];
}

/** Save everything as one file, and bring it back. */
export function Everything({ owned }: { owned: number }) {
  const router = useRouter();
  const [file, setFile] = useState<File>();
  const [look, setLook] = useState<Look>();
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  // A field that still holds a file does not hear that the same one is chosen again.
  const [brought, setBrought] = useState(0);

  const send = async (chosen: File, how: "look" | "add" | "replace"): Promise<Look | null> => {
    setBusy(true);
    setProblems([]);
    try {
      const response = await fetch(`/api/log?${how}`, { method: "POST", body: chosen });
      const told = (await response.json()) as Look & { problems?: string[] };
      if (told.problems) setProblems(told.problems);
      return response.ok ? told : null;
    } catch {
      setProblems(["The server can’t be reached. Nothing was changed."]);
      return null;
    } finally {
      setBusy(false);
    }
  };
  const choose = async (chosen: File | undefined) => {
    setFile(chosen);
    setLook(undefined);
    if (chosen) setLook((await send(chosen, "look")) ?? undefined);
  };
  const bring = async (how: "add" | "replace") => {
    if (!file || !(await send(file, how))) return;
    setLook(undefined);
    setFile(undefined);
    setBrought(brought + 1);
    tellOtherTabs();
    toast(
      how === "replace"
        ? "The file is in place of what was here. A copy of that is kept in the data folder, under copies."
        : "What was new is added.",
    );
    router.refresh();
  };
  return (
    <section aria-labelledby="everything-title">
      <h2 id="everything-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
        Everything, in one file
      </h2>
      <p className="mb-3 max-w-2xl">
        One JSON file in an open format, described in the docs, holds all you have put in. Keep a copy
        somewhere else.
      </p>
      <p className="mb-4">
        <a href="/api/log" download className="btn btn-leaf">
          Save everything
        </a>
      </p>
      <label className="label" htmlFor="log-file">
        Bring it back from a file
      </label>
      <input
        key={brought}
        id="log-file"
        type="file"
        accept=".json,application/json"
        className="field max-w-md"
        disabled={busy}
        onChange={(event) => void choose(event.target.files?.[0])}
        aria-describedby="log-told"
        aria-invalid={problems.length > 0 ? true : undefined}
      />
      <div id="log-told" aria-live="polite" className="mt-2 max-w-2xl">
        {busy && (
          <p className="hint">
            Reading … <progress className="h-2" />
          </p>
        )}
        {problems.length > 0 && (
          <div className="border-l-4 border-sting pl-4">
            <p className="error">Nothing was changed. {file?.name} can&rsquo;t be used as it is:</p>
            <ul>
              {problems.map((problem) => (
                <li key={problem}>{problem}</li>
              ))}
            </ul>
          </div>
        )}
        {look?.same && <p>This is exactly what is here already. Nothing to do.</p>}
        {look && !look.same && (
          <div className="space-y-2 border-l-4 border-catkin-strong pl-4">
            <p>
              {file?.name} holds {count(look.items, "thing")} and {count(look.trips, "trip")}; {look.newItems}{" "}
              and {look.newTrips} of them are not here yet.
            </p>
            {look.mended.length > 0 && (
              <details>
                <summary>
                  {count(look.mended.length, "thing")} that an earlier version had let in{" "}
                  {look.mended.length === 1 ? "is" : "are"} put right.
                </summary>
                <ul>
                  {look.mended.map((mend) => (
                    <li key={mend}>{mend}</li>
                  ))}
                </ul>
              </details>
            )}
            <p className="flex flex-wrap gap-2">
              {owned > 0 && look.newItems + look.newTrips > 0 && (
                <button type="button" className="btn" disabled={busy} onClick={() => void bring("add")}>
                  Add only what is new
                </button>
              )}
              <button type="button" className="btn" disabled={busy} onClick={() => void bring("replace")}>
                {owned > 0 ? "Put it in place of everything here" : "Bring it in"}
              </button>
            </p>
          </div>
        )}
      </div>
    </section>
  );
}
