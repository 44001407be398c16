"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState, useTransition } from "react";
import { tell } from "@/ui/notice/notice";
import { count } from "@/core/units/speak";
import { whatIsWrong } from "@/ui/form/answer";
import { TextField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/follow/channel";
import { useLoaded } from "@/ui/use-loaded";
import { importItems } from "../actions";
import type { ReadList, Shelf } from "./list-read";
import { NO_LIST, otherList } from "./list-state";
import { readFile } from "./read-file";

/** What reads a list, which comes with it: the trade's table of kinds, and a reader of tables. */
const READER = () => import("./reader");

/** Choose, map, look, keep: all of the good rows go in together, or none do. */
export function ImportList({ owned, unit }: Shelf) {
  const router = useRouter();
  const [state, setState] = useState(NO_LIST);
  const [failed, setFailed] = useState<string>();
  const [busy, start] = useTransition();
  const reader = useLoaded(READER, state.text !== "");
  const table = useMemo(() => reader?.tableOf(state.text) ?? null, [reader, state.text]);
  const another = (text: string) => {
    setFailed(undefined);
    setState(otherList(state, text));
  };
  const choose = async (file: File | undefined) => {
    if (!file) return another(state.text);
    const read = await readFile(file);
    if ("text" in read) another(read.text);
    else setFailed(read.why);
  };
  const keep = ({ good, listUnit }: ReadList) =>
    start(async () => {
      const answer = await importItems([...good], state.takeUnit ? listUnit : null);
      if (!answer.ok) return setFailed(whatIsWrong(answer));
      tellOtherTabs();
      tell(`${count(answer.value, "thing")} put on the shelf`);
      router.push("/shelf");
    });
  return (
    <div className="max-w-4xl space-y-6">
      <div>
        <label className="label" htmlFor="list-file">
          A CSV file or a spreadsheet (.xlsx)
        </label>
        <input
          id="list-file"
          type="file"
          accept=".csv,.xlsx,text/csv,text/plain,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
          className="field"
          onChange={({ target }) => void choose(target.files?.[0])}
        />
      </div>
      <TextField
        label="Or paste it here"
        value={state.text}
        rows={5}
        onChange={({ target }) => another(target.value)}
        placeholder={"name,weight,where\nRain shell,312 g,outside"}
        error={failed ?? (table && !table.ok ? table.why : undefined)}
        spellCheck={false}
      />
      {reader && table?.ok && (
        <reader.Looked
          state={state}
          table={table}
          shelf={{ owned, unit }}
          busy={busy}
          onChange={setState}
          onKeep={keep}
        />
      )}
    </div>
  );
}
