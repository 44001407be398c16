"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { PLACES } from "./navigation";
import { itemPath, tripPath } from "./paths";

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Ctrl or ⌘ K: any page, thing or trip by a few of its letters. */
export function CommandPalette({ items, trips }: { items: readonly Named[]; trips: readonly Named[] }) {
  const [open, setOpen] = useState(false);
  const router = useRouter();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "k" || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      setOpen((was) => !was);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  const go = (href: string) => {
    setOpen(false);
    router.push(href);
  };
  const entry =
    "flex min-h-10 cursor-pointer items-center rounded px-3 data-[selected=true]:bg-leaf data-[selected=true]:text-on-leaf";
  const group =
    "[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-muted";
  return (
    <Command.Dialog
      open={open}
      onOpenChange={setOpen}
      label="Go to a page, a thing or a trip"
      overlayClassName="fixed inset-0 z-40 bg-ink/40"
      contentClassName="fixed left-1/2 top-[12vh] z-50 w-[min(34rem,94vw)] -translate-x-1/2 rounded-md border border-rule-strong bg-sheet shadow-xl"
    >
      <Command.Input
        placeholder="Go to a page, a thing or a trip"
        className="w-full border-b border-rule bg-transparent px-4 py-3 text-lg outline-none placeholder:text-muted"
      />
      <Command.List className="max-h-[50vh] overflow-y-auto p-2">
        <Command.Empty className="px-3 py-4 text-muted">Nothing of that name.</Command.Empty>
        <Command.Group heading="Pages" className={group}>
          {PLACES.map(({ href, label }) => (
            <Command.Item key={href} value={`page ${label}`} onSelect={() => go(href)} className={entry}>
              {label}
            </Command.Item>
          ))}
          <Command.Item value="page new trip" onSelect={() => go("/trips/new")} className={entry}>
            New trip
          </Command.Item>
          <Command.Item value="page import a list csv" onSelect={() => go("/shelf/import")} className={entry}>
            Import a list
          </Command.Item>
        </Command.Group>
        <Command.Group heading="Things" className={group}>
          {items.map(({ id, name }) => (
            <Command.Item
              key={id}
              value={`${name} ${id}`}
              onSelect={() => go(itemPath(id))}
              className={entry}
            >
              {name}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Trips" className={group}>
          {trips.map(({ id, name }) => (
            <Command.Item
              key={id}
              value={`trip ${name} ${id}`}
              onSelect={() => go(tripPath(id))}
              className={entry}
            >
              {name}
            </Command.Item>
          ))}
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  );
}
