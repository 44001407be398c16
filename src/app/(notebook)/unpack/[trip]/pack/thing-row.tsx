"use client";

import { useEffect, useRef } from "react";
import type { Mark } from "@/core/model";
import { StrokeRow, STROKES } from "@/ui/stroke/stroke";
import { Answers } from "../panel/answers";
import { MarkPanel } from "../panel/mark-panel";
import { FROST, type Panel } from "../panel/panel-questions";
import type { Way } from "../panel/where-it-was";
import type { Thing } from "./pockets";
import { saidOf } from "./said-of";
import type { Act } from "./unpacking";
import { UseButtons } from "./use-buttons";

interface ThingRowProps {
  readonly thing: Thing;
  readonly way: Way;
  readonly mark: Mark | null;
  readonly draft: Partial<Mark> | undefined;
  readonly focused: boolean;
  readonly panel: Panel | null;
  readonly onAct: (act: Act) => void;
}

/** One thing on the floor: its last strokes, and a button for each mark. */
export function ThingRow({ thing, way, mark, draft, focused, panel, onAct }: ThingRowProps) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (!focused) return;
    row.current?.scrollIntoView({ block: "nearest" });
    // A panel or a field being typed in keeps the focus.
    if (!row.current?.contains(document.activeElement)) row.current?.focus({ preventScroll: true });
  }, [focused]);
  const item = thing.id;
  const said = { ...draft, ...mark };
  const onSay = (more: Partial<Mark>) => onAct({ do: "say", item, more });
  const state = mark ? (mark.exit?.how ?? mark.troubles.at(-1) ?? mark.use) : "not marked";
  return (
    <li
      ref={row}
      tabIndex={focused ? 0 : -1}
      onFocus={(event) => event.target === row.current && onAct({ do: "focus", item })}
      aria-label={`${thing.name}: ${state}`}
      className={`scroll-my-24 border-b border-rule px-2 py-1.5 outline-none ${focused ? IN_HAND : ""}`}
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5">
        <Name thing={thing} said={saidOf(thing, mark, draft)} />
        <UseButtons thing={thing} mark={mark} focused={focused} isOpen={panel !== null} onAct={onAct} />
      </div>
      {thing.freezes && panel !== "frost" && (
        <Answers question={FROST} inHand={false} mark={said} onSay={onSay} />
      )}
      {panel !== null && (
        <MarkPanel
          thing={thing}
          way={way}
          panel={panel}
          mark={said}
          onSay={onSay}
          onClose={() => {
            onAct({ do: "panel", item, kind: null });
            row.current?.focus();
          }}
        />
      )}
    </li>
  );
}

const IN_HAND = "bg-leaf-soft shadow-[inset_4px_0_0_var(--leaf)]";

/** What it is, what is said of it, and the strokes of its last trips. */
function Name({ thing, said }: { thing: Thing; said: string }) {
  return (
    <div className="flex min-w-0 flex-1 basis-full items-center gap-3 tabs:basis-0">
      <span className="min-w-0 flex-1">
        <span className="font-semibold">{thing.name}</span>
        {thing.pieces > 1 && <span className="text-sm text-muted"> ×{thing.pieces}</span>}
        <span className="ml-2 text-sm text-muted">
          {[thing.weight, thing.cover ? "cover" : "", thing.hint].filter(Boolean).join(", ")}
        </span>
        {said && <span className="block text-sm text-stem">{said}</span>}
      </span>
      {thing.pattern.length > 0 && (
        <StrokeRow
          codes={thing.pattern}
          label={`before: ${thing.pattern.map((code) => STROKES[code]).join(", ")}`}
        />
      )}
    </div>
  );
}
