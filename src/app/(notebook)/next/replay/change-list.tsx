import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import type { FullItem } from "@/core/trade/full-item";
import { SelectField } from "@/ui/form/field";
import { Section } from "@/ui/page/section";
import type { Asked } from "./replay-data";
import { replayPath } from "@/ui/paths";

interface ChangeListProps {
  readonly asked: Asked;
  /** The list as it was chosen, and as it is walked. */
  readonly whole: readonly FullItem[];
  readonly list: readonly FullItem[];
  readonly book: Book;
}

const byName = (things: readonly FullItem[]) =>
  things
    .toSorted((a, b) => a.name.localeCompare(b.name))
    .map(({ id, name, state }) => [id, state === "wished" ? `${name} (wished for)` : name] as const);

/** The list with a thing less, or another: owned, or only wished for. */
export function ChangeList({ asked, whole, list, book }: ChangeListProps) {
  const others = [...book.items.filter(({ state }) => state === "active"), ...book.wishes].filter(
    (item) => !list.includes(item),
  );
  const named = (id: string) => [...book.items, ...book.wishes].find((item) => item.id === id)?.name ?? id;
  const changes = [
    ...asked.without.map((id) => ({
      words: `without ${named(id)}`,
      href: replayPath({ ...asked, without: asked.without.filter((each) => each !== id) }),
    })),
    ...asked.and
      .filter((id) => !whole.some((item) => item.id === id))
      .map((id) => ({
        words: `with ${named(id)}`,
        href: replayPath({ ...asked, and: asked.and.filter((each) => each !== id) }),
      })),
  ];
  return (
    <Section title="The same, but …">
      {changes.length > 0 && (
        <ul className="mb-2">
          {changes.map(({ words, href }) => (
            <li key={words}>
              {words}{" "}
              <Link prefetch={false} href={href} className="link text-sm" aria-label={`Take back: ${words}`}>
                Take back
              </Link>
            </li>
          ))}
        </ul>
      )}
      <form action="/next/replay" className="flex flex-wrap items-end gap-2">
        <input type="hidden" name="list" value={asked.list} />
        <input type="hidden" name="over" value={asked.over} />
        {asked.without.map((id) => (
          <input key={id} type="hidden" name="without" value={id} />
        ))}
        {asked.and.map((id) => (
          <input key={id} type="hidden" name="and" value={id} />
        ))}
        <SelectField
          label="Without"
          name="without"
          className="w-48"
          defaultValue=""
          options={[["", "nothing less"], ...byName(list)]}
        />
        <SelectField
          label="And with"
          name="and"
          className="w-48"
          defaultValue=""
          options={[["", "nothing more"], ...byName(others)]}
        />
        <button className="btn btn-tall">Walk it</button>
      </form>
    </Section>
  );
}
