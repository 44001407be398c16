"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { tell } from "@/ui/notice/notice";
import type { Use } from "@/core/model";
import { markInFile, markOf } from "@/core/model/plain-mark";
import { sendMark, type SentMark } from "../marks/send-mark";
import type { StrokeCode } from "../stroke/stroke";
import { useRefresh } from "../follow/use-refresh";
import { strokeAt, type SheetData, type SheetRow, type SheetTrip } from "./sheet-data";

/** How a mark made here looks until the server has judged it. */
const USE_STROKES: Readonly<Record<Use, StrokeCode>> = { used: "u", hardly: "h", unused: "n" };
/** After the last mark, how long to wait before asking for the new verdicts. */
const REFRESH_MS = 700;

const NONE: ReadonlyMap<string, StrokeCode> = new Map();

interface Cell {
  readonly row: SheetRow;
  readonly trip: SheetTrip;
  readonly column: number;
}

/**
 * Marks made in the sheet. A use alone leaves what else was said of the thing; what was not carried is asked
 * about, and the same key once more is the answer; every change can be taken back, one after another.
 */
export function useMarking(data: SheetData) {
  const refresh = useRefresh();
  // What was made here shows until the server has judged it and the sheet comes anew.
  const [made, setMade] = useState({ on: data, strokes: NONE });
  const fresh = made.on === data ? made.strokes : NONE;
  const later = useRef<ReturnType<typeof setTimeout>>(undefined);
  const done = useRef<(() => void)[]>([]);
  const asked = useRef("");
  useEffect(() => () => clearTimeout(later.current), []);

  const send = useCallback(
    ({ row, column }: Cell, change: SentMark, stroke: StrokeCode) => {
      setMade(({ on, strokes }) => ({
        on: data,
        strokes: new Map(on === data ? strokes : NONE).set(`${row.id}:${column}`, stroke),
      }));
      return sendMark(change).then(
        (before) => {
          clearTimeout(later.current);
          later.current = setTimeout(() => void refresh(), REFRESH_MS);
          return { before };
        },
        () => null,
      );
    },
    [data, refresh],
  );

  const mark = useCallback(
    (cell: Cell, use: Use) => {
      const { row, trip, column } = cell;
      const was = fresh.get(`${row.id}:${column}`) ?? strokeAt(row, column);
      const question = `${row.id} ${trip.id} ${use}`;
      if (was === "-" && asked.current !== question) {
        asked.current = question;
        tell(`${row.name} was not on ${trip.name}. Press the key again to put it there as ${use}.`);
        return;
      }
      asked.current = "";
      const of = { trip: trip.id, item: row.id };
      const sent = send(cell, { ...of, use }, USE_STROKES[use]);
      done.current.push(() => {
        void sent.then((answer) => {
          if (!answer) return tell("That mark was not saved yet: there is nothing to take back.");
          const { before } = answer;
          const from = { ...(before?.mark ?? markInFile(markOf(use))), use };
          void send(cell, before ? { ...of, mark: before.mark ?? null, from } : { ...of, out: true }, was);
          tell(`${row.name}, ${trip.name}: taken back`);
        });
      });
    },
    [fresh, send],
  );

  const undo = useCallback(() => {
    const last = done.current.pop();
    if (last) last();
    else tell("Nothing to take back.");
  }, []);

  return { fresh, mark, undo };
}
