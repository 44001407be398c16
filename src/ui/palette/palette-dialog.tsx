"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { itemPath, tripPath } from "../paths";
import { findScore } from "./find";
import { OF_A_THING, PAGES, type Goal } from "./places";

interface Named {
  readonly id: string;
  readonly name: string;
  /** What it is found by beside its name. */
  readonly words: string;
}

export interface PaletteProps {
  readonly items: readonly Named[];
  readonly trips: readonly Named[];
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
}

/** Any page, thing or trip by a few of its letters. */
export function PaletteDialog({ items, trips, open, onOpen }: PaletteProps) {
  const router = useRouter();
  const go = (href: string) => {
    onOpen(false);
    router.push(href);
  };
  const things = items.map(({ id, name, words }) => ({
    name,
    words: `${words} ${OF_A_THING}`,
    href: itemPath(id),
  }));
  const work = items.map(({ id, name }) => ({
    name: `Log work on ${name}`,
    words: "repair repaired mend mended wash washed service serviced done mark",
    href: `${itemPath(id)}#between-trips`,
  }));
  const walks = trips.map(({ id, name, words }) => ({ name, words, href: tripPath(id) }));
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpen}
      label="Go to a page, a thing or a trip"
      filter={(value, query, keywords) =>
        findScore(query, value.split(BEFORE_ID)[0] ?? "", keywords?.[0] ?? "")
      }
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
        <Goals heading="Do" goals={work} onGo={go} />
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

/** Between a name and where it goes: two of one name are two entries. */
const BEFORE_ID = "\u2063";

interface GoalsProps {
  readonly heading: string;
  readonly goals: readonly Goal[];
  readonly onGo: (href: string) => void;
}

const Goals = ({ heading, goals, onGo }: GoalsProps) => (
  <Command.Group heading={heading} className={GROUP}>
    {goals.map(({ name, words, href }) => (
      <Command.Item
        key={href}
        value={`${name}${BEFORE_ID}${href}`}
        keywords={[words]}
        onSelect={() => onGo(href)}
        className={ENTRY}
      >
        {name}
      </Command.Item>
    ))}
  </Command.Group>
);
