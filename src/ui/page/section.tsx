import { useId, type ReactNode } from "react";

interface SectionProps {
  readonly title: ReactNode;
  /** In small beside the title. */
  readonly note?: ReactNode;
  readonly look?: string;
  /** What a link leads to it by. */
  readonly at?: string;
  readonly children: ReactNode;
}

/** A part of a page under its title. */
export function Section({ title, note, look, at, children }: SectionProps) {
  const id = useId();
  return (
    <section id={at} aria-labelledby={id} className={look}>
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">
        <span id={id}>{title}</span>
        {note !== undefined && (
          <>
            {" "}
            <span className="font-sans text-sm font-normal text-muted">{note}</span>
          </>
        )}
      </h2>
      {children}
    </section>
  );
}
