"use client";

import Link from "next/link";
import type { ItemId } from "@/core/model";
import { itemPath } from "@/ui/paths";
import { useDoing } from "@/ui/use-doing";
import { logEntry, takeEntryBack } from "../item/[id]/actions";

/** A service with its count, as plain data. */
export interface ServiceRow {
  readonly item: ItemId;
  readonly name: string;
  readonly what: string;
  /** "310 km of 402 km" */
  readonly counted: string;
  readonly last: string;
  /** Part of its count that is over; above 1 it is due. */
  readonly part: number;
  readonly standing: "overdue" | "due" | "soon";
  /** It is one of the owner's own, done by its name. */
  readonly own: boolean;
}

/** Services that are due, or soon will be, each with its count; done where it is read. */
export function ServiceTable({ rows, today }: { rows: readonly ServiceRow[]; today: string }) {
  const { busy, run } = useDoing();
  return (
    <ul>
      {rows.map(({ item, name, what, counted, last, part, standing, own }) => (
        <li
          key={item + what}
          className="grid grid-cols-[1fr_auto] items-center gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[1fr_16rem_4.5rem_auto]"
        >
          <span>
            <Link prefetch={false} href={itemPath(item)} className="font-semibold hover:underline">
              {name}
            </Link>
            <span className="ml-2">{what}</span>
            <span className="block text-sm text-muted">{last}</span>
          </span>
          <span className="order-last col-span-2 text-sm sm:order-none sm:col-span-1">
            <span className="block h-1.5 bg-rule" aria-hidden="true">
              <span
                className={`block h-full ${standing === "soon" ? "bg-catkin-strong" : "bg-sting"}`}
                style={{ width: `${Math.min(100, 100 * part)}%` }}
              />
            </span>
            <span className="num">{counted}</span>
          </span>
          <span className={`text-sm ${standing === "soon" ? "text-muted" : "font-semibold text-sting"}`}>
            {standing}
          </span>
          <button
            type="button"
            className="btn btn-small no-print"
            disabled={busy}
            onClick={() =>
              run(
                () =>
                  logEntry(
                    own
                      ? { item, on: today, what: "own service", service: what }
                      : { item, on: today, what: "service" },
                  ),
                { says: () => `${name}: ${own ? what : "service"} logged`, undo: takeEntryBack },
              )
            }
          >
            Done
            <span className="sr-only">
              : {what}, {name}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
