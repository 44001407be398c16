import { useMemo } from "react";
import { hear, type Named } from "@/core/hear/hear";
import { piecesOf } from "@/core/hear/taken/pieces";
import type { ItemId } from "@/core/model";
import { sayHeard } from "@/core/say/walk/heard";
import type { Units } from "@/core/units/speak";

const nameIn = (things: readonly Named[]) => (id: ItemId) =>
  things.find((thing) => thing.id === id)?.name ?? id;

interface UnderstoodProps {
  readonly text: string;
  readonly things: readonly Named[];
  readonly units: Units;
}

/** What a line comes to, in words. */
export function Understood({ text, things, units }: UnderstoodProps) {
  return useMemo(
    () =>
      sayHeard(
        hear(text, things).flatMap(({ heard }) => heard.map(({ fact }) => fact)),
        units,
        nameIn(things),
      ),
    [text, things, units],
  );
}

/** What is understood, as it is typed: the words that were, underlined, and what they come to. */
export function Preview({ text, things, units }: UnderstoodProps) {
  const pieces = useMemo(() => piecesOf(hear(text, things)), [text, things]);
  if (text.trim() === "") return <p className="hint mt-1 min-h-12">It is shown here as it is understood.</p>;
  return (
    <div className="mt-1 min-h-12 border-l-4 border-catkin-strong pl-3" aria-live="polite">
      <p aria-hidden="true" className="whitespace-pre-wrap">
        {pieces.map((piece, n) => (
          <Word key={n} {...piece} />
        ))}
      </p>
      <p className="text-sm text-leaf">
        <Understood text={text} things={things} units={units} />
      </p>
    </div>
  );
}

const Word = ({ text, isHeard }: { text: string; isHeard: boolean }) =>
  isHeard ? (
    <mark className="border-b-2 border-leaf bg-leaf-soft text-ink">{text}</mark>
  ) : (
    <span className="text-muted">{text}</span>
  );
