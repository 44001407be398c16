"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { tell } from "@/ui/notice/notice";
import { tellOtherTabs } from "@/ui/follow/channel";
import { Holds } from "./holds";
import { Problems, Underway } from "./underway";
import { useImport, type Look } from "./use-import";

/** Save everything as one file, and bring it back. */
export function Everything({ owned }: { owned: number }) {
  const router = useRouter();
  const [file, setFile] = useState<File>();
  const [look, setLook] = useState<Look | null>(null);
  const { problems, busy, stopped, far, send, stop } = useImport();
  // A field that still holds a file does not hear that the same one is chosen again.
  const [brought, setBrought] = useState(0);
  const choose = async (chosen: File | undefined) => {
    setFile(chosen);
    setLook(null);
    if (chosen) setLook(await send(chosen, "look"));
  };
  const bring = async (how: "add" | "replace") => {
    if (!file || !(await send(file, how))) return;
    setLook(null);
    setFile(undefined);
    setBrought(brought + 1);
    tellOtherTabs();
    tell(
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
        onChange={({ target }) => void choose(target.files?.[0])}
        aria-describedby="log-told"
        aria-invalid={problems.length > 0 ? true : undefined}
      />
      <div id="log-told" aria-live="polite" className="mt-2 max-w-2xl">
        {busy && <Underway far={far} onStop={() => void stop()} />}
        {stopped && <p>Stopped. Nothing was changed.</p>}
        {problems.length > 0 && <Problems of={file?.name} problems={problems} />}
        {look && (
          <Holds look={look} name={file?.name} owned={owned} busy={busy} onBring={(how) => void bring(how)} />
        )}
      </div>
    </section>
  );
}
