"use client";

import { nanoid } from "nanoid";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
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

/** How many trips of a file are in, and of how many. */
interface Far {
  readonly done: number;
  readonly of: number;
}

/** How often it is asked how far an import has come, in ms. */
const ASKED_MS = 300;

/** How far an import has come; undefined before the first trip is in, and where it is over. */
const howFar = async (id: string): Promise<Far | undefined> => {
  const told = await fetch(`/api/log/${id}`)
    .then((response) => (response.ok ? (response.json() as Promise<Far>) : undefined))
    .catch(() => undefined);
  return told && told.of > 0 ? told : undefined;
};

/** Save everything as one file, and bring it back. */
export function Everything({ owned }: { owned: number }) {
  const router = useRouter();
  const [file, setFile] = useState<File>();
  const [look, setLook] = useState<Look>();
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const [stopped, setStopped] = useState(false);
  const [far, setFar] = useState<Far>();
  // A field that still holds a file does not hear that the same one is chosen again.
  const [brought, setBrought] = useState(0);
  const under = useRef("");

  const send = async (chosen: File, how: "look" | "add" | "replace"): Promise<Look | null> => {
    setBusy(true);
    setStopped(false);
    setProblems([]);
    const id = nanoid();
    under.current = id;
    const asking = setInterval(() => void howFar(id).then(setFar), ASKED_MS);
    try {
      const response = await fetch(`/api/log?${how}&import=${id}`, { method: "POST", body: chosen });
      const told = (await response.json()) as Look & { problems?: string[]; stopped?: boolean };
      if (told.problems) setProblems(told.problems);
      if (told.stopped) setStopped(true);
      return response.ok ? told : null;
    } catch {
      setProblems(["The server can’t be reached. Nothing was changed."]);
      return null;
    } finally {
      clearInterval(asking);
      setFar(undefined);
      setBusy(false);
    }
  };
  const stop = () => fetch(`/api/log/${under.current}`, { method: "DELETE" }).catch(() => undefined);
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
          <p className="hint mb-2 flex items-center gap-3">
            {far ? `${far.done} of ${count(far.of, "trip")} are in …` : "Reading …"}
            <progress className="h-2" value={far?.done} max={far?.of} />
            <button type="button" className="btn" onClick={() => void stop()}>
              Stop
            </button>
          </p>
        )}
        {stopped && <p>Stopped. Nothing was changed.</p>}
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
