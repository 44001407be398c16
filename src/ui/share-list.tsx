import { Section } from "./page/section";

/** Parts of a whole, the largest first as given, each with a bar as long as its share. */
export function ShareList({
  title,
  parts,
  say,
}: {
  title: string;
  parts: readonly { readonly name: string; readonly value: number }[];
  say: (value: number) => string;
}) {
  const most = Math.max(1, ...parts.map(({ value }) => value));
  return (
    <Section title={title}>
      <ul className="text-[0.95rem]">
        {parts.map(({ name, value }) => (
          <li
            key={name}
            className="grid grid-cols-[8.5rem_1fr_4.5rem] items-center gap-2 border-b border-rule py-0.5"
          >
            <span className="truncate">{name}</span>
            <span
              aria-hidden="true"
              className="h-2.5 bg-leaf"
              style={{ width: `${(100 * value) / most}%` }}
            />
            <span className="num text-right">{say(value)}</span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
