"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { PLACES } from "../navigation";
import { itemPath, tripPath } from "../paths";

interface Named {
  readonly id: string;
  readonly name: string;
}

export interface PaletteProps {
  readonly items: readonly Named[];
  readonly trips: readonly Named[];
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
}

/** Somewhere to go. */
interface Goal {
  /** What it is found by. */
  readonly value: string;
  readonly name: string;
  readonly href: string;
}

const PAGES: readonly Goal[] = [
  ...PLACES.map(({ href, label }) => ({ value: `page ${label}`, name: label, href })),
  { value: "page new trip", name: "New trip", href: "/trips/new" },
  { value: "page import a list csv", name: "Import a list", href: "/shelf/import" },
];

/** Any page, thing or trip by a few of its letters. */
export function PaletteDialog({ items, trips, open, onOpen }: PaletteProps) {
  const router = useRouter();
  const go = (href: string) => {
    onOpen(false);
    router.push(href);
  };
  const things = items.map(({ id, name }) => ({ value: `${name} ${id}`, name, href: itemPath(id) }));
  const walks = trips.map(({ id, name }) => ({ value: `trip ${name} ${id}`, name, href: tripPath(id) }));
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpen}
      label="Go to a page, a thing or a trip"
      overlayClassName="fixed inset-0 z-40 bg-ink/40"
      contentClassName={DIALOG}
    >
      <Command.Input
        placeholder="Go to a page, a thing or a trip"
        className="w-full border-b border-rule bg-transparent px-4 py-3 text-lg outline-none placeholder:text-muted"
      />
      <Command.List className="max-h-[50vh] overflow-y-auto p-2">
        <Command.Empty className="px-3 py-4 text-muted">Nothing of that name.</Command.Empty>
        <Goals heading="Pages" goals={PAGES} onGo={go} />
        <Goals heading="Things" goals={things} onGo={go} />
        <Goals heading="Trips" goals={walks} onGo={go} />
      </Command.List>
    </Command.Dialog>
  );
}

const DIALOG =
  "fixed left-1/2 top-[12vh] z-50 w-[min(34rem,94vw)] -translate-x-1/2 rounded-md border " +
  "border-rule-strong bg-sheet shadow-xl";
const GROUP =
  "[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:pb-1 " +
  "[&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-muted";
const ENTRY =
  "flex min-h-10 cursor-pointer items-center rounded px-3 " +
  "data-[selected=true]:bg-leaf data-[selected=true]:text-on-leaf";

interface GoalsProps {
  readonly heading: string;
  readonly goals: readonly Goal[];
  readonly onGo: (href: string) => void;
}

const Goals = ({ heading, goals, onGo }: GoalsProps) => (
  <Command.Group heading={heading} className={GROUP}>
    {goals.map(({ value, name, href }) => (
      <Command.Item key={href} value={value} onSelect={() => onGo(href)} className={ENTRY}>
        {name}
      </Command.Item>
    ))}
  </Command.Group>
);
