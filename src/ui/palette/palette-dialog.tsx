"use client";

import { Command } from "cmdk";
import { useMemo, useState } from "react";
import { useRouter } from "next/navigation";
import { findGoals } from "./find";
import { goalsOf, type Named } from "./places";

export interface PaletteProps {
  readonly items: readonly Named[];
  readonly trips: readonly Named[];
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
}

/** Entries that are shown. */
const SHOWN = 30;

/** Any page, thing or trip by a few of its letters, and what is done there. */
export function PaletteDialog({ items, trips, open, onOpen }: PaletteProps) {
  const router = useRouter();
  const [query, setQuery] = useState("");
  const goals = useMemo(() => (open ? goalsOf(items, trips) : []), [open, items, trips]);
  const found = useMemo(() => findGoals(query, goals, SHOWN), [query, goals]);
  const show = (isOpen: boolean) => {
    setQuery("");
    onOpen(isOpen);
  };
  const go = (href: string) => {
    show(false);
    const [path, part] = href.split("#");
    // A file is fetched, and not gone to; a part of the page one is on tells that page so.
    const isHere = part !== undefined && path === window.location.pathname;
    if (isHere || href.startsWith("/api/")) window.location.assign(href);
    else router.push(href);
  };
  return (
    <Command.Dialog
      open={open}
      onOpenChange={show}
      label="Go to a page, a thing or a trip"
      shouldFilter={false}
      overlayClassName="fixed inset-0 z-40 bg-ink/40"
      contentClassName={DIALOG}
    >
      <Command.Input
        value={query}
        onValueChange={setQuery}
        placeholder="Go to a page, a thing or a trip"
        className="w-full border-b border-rule bg-transparent px-4 py-3 text-lg outline-none placeholder:text-muted"
      />
      <Command.List className="max-h-[50vh] overflow-y-auto p-2">
        <Command.Empty className="px-3 py-4 text-muted">Nothing of that name.</Command.Empty>
        {found.map(({ name, sort, href }) => (
          <Command.Item key={href} value={href} onSelect={() => go(href)} className={ENTRY}>
            {name}
            <span className="ml-auto pl-4 text-sm text-muted in-data-[selected=true]:text-on-leaf">
              {sort}
            </span>
          </Command.Item>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}

const DIALOG =
  "fixed left-1/2 top-[12vh] z-50 w-[min(34rem,94vw)] -translate-x-1/2 rounded-md border " +
  "border-rule-strong bg-sheet shadow-xl";
const ENTRY =
  "flex min-h-10 cursor-pointer items-center rounded px-3 " +
  "data-[selected=true]:bg-leaf data-[selected=true]:text-on-leaf";
