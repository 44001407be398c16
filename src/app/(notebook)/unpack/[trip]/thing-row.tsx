"use client";

import { MoreHorizontal } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Mark, Use } from "@/core/model";
import { listWords, percent } from "@/core/units/speak";
import { Stroke, StrokeRow, STROKES, type StrokeCode } from "@/ui/stroke";
import { Answers } from "./answers";
import { MarkPanel } from "./mark-panel";
import type { Thing } from "./pockets";
import { FROST, FROST_WORDS, type Panel } from "./panel-questions";
import type { Way } from "./where-it-was";

const USES: readonly { readonly use: Use; readonly code: StrokeCode; readonly key: string }[] = [
  { use: "used", code: "u", key: "u" },
  { use: "hardly", code: "h", key: "h" },
  { use: "unused", code: "n", key: "n" },
];

interface ThingRowProps {
  readonly thing: Thing;
  readonly way: Way;
  readonly mark: Mark | null;
  readonly draft: Partial<Mark> | undefined;
  readonly focused: boolean;
  readonly panel: Panel | null;
  readonly onFocus: () => void;
  readonly onUse: (use: Use) => void;
  readonly onFail: () => void;
  readonly onSay: (more: Partial<Mark>) => void;
  readonly onPanel: (panel: Panel | null) => void;
}

/** One thing on the floor: its last strokes, and a button for each mark. */
export function ThingRow({
  thing,
  way,
  mark,
  draft,
  focused,
  panel,
  onFocus,
  onUse,
  onFail,
  onSay,
  onPanel,
}: ThingRowProps) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (!focused) return;
    row.current?.scrollIntoView({ block: "nearest" });
    // A panel or a field being typed in keeps the focus.
    if (!row.current?.contains(document.activeElement)) row.current?.focus({ preventScroll: true });
  }, [focused]);
  const said = [
    mark && listWords(mark.troubles),
    mark && listWords(mark.symptoms),
    mark && listWords(mark.complaints.map(({ what }) => what)),
    mark?.exit?.how,
    mark?.cause,
    mark?.use === "used" && mark.why !== "too much of it" ? null : mark?.why,
    mark?.fix,
    mark?.condition != null
      ? `condition ${mark.condition}`
      : draft?.condition != null
        ? `condition ${draft.condition}`
        : null,
    mark?.call ?? draft?.call,
    mark?.frost && !thing.freezes ? FROST_WORDS[mark.frost] : null,
    mark?.days != null ? `used on ${mark.days} of ${thing.days ?? "its"} days` : null,
    mark?.enough != null ? `${mark.enough} would do` : null,
    mark?.left != null ? `${percent(mark.left)} left` : null,
    mark?.pieces ? `${mark.pieces} gone` : null,
    mark?.note || draft?.note,
  ]
    .filter(Boolean)
    .join(" · ");
  const button =
    "flex min-h-12 min-w-0 flex-1 items-center justify-center gap-1 border px-0.5 text-sm font-semibold tabs:min-h-9 tabs:w-24 tabs:flex-none tabs:gap-1.5";
  const chosen = "border-ink bg-catkin";
  const plain = "border-rule bg-sheet hover:border-ink";
  return (
    <li
      ref={row}
      tabIndex={focused ? 0 : -1}
      onFocus={(event) => event.target === row.current && onFocus()}
      aria-label={`${thing.name}: ${mark ? (mark.exit?.how ?? mark.troubles.at(-1) ?? mark.use) : "not marked"}`}
      className={`scroll-my-24 border-b border-rule px-2 py-1.5 outline-none ${focused ? "bg-leaf-soft shadow-[inset_4px_0_0_var(--leaf)]" : ""}`}
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5">
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
        <div
          className="flex w-full gap-1 tabs:w-auto tabs:gap-1.5"
          role="group"
          aria-label={`Mark ${thing.name}`}
        >
          {USES.map(({ use, code, key }) => (
            <button
              key={use}
              type="button"
              tabIndex={focused ? 0 : -1}
              aria-pressed={mark?.use === use && !mark.troubles.includes("failed")}
              aria-keyshortcuts={key}
              onClick={() => onUse(use)}
              className={`${button} ${mark?.use === use && !mark.troubles.includes("failed") ? chosen : plain}`}
            >
              <Stroke code={code} size={16} fresh={mark?.use === use} />
              {use}
            </button>
          ))}
          <button
            type="button"
            tabIndex={focused ? 0 : -1}
            aria-pressed={mark?.troubles.includes("failed")}
            aria-keyshortcuts="f"
            onClick={onFail}
            className={`${button} ${mark?.troubles.includes("failed") ? "border-sting bg-sting-soft" : plain}`}
          >
            <Stroke code="f" size={16} />
            failed
          </button>
          <button
            type="button"
            tabIndex={focused ? 0 : -1}
            aria-expanded={panel !== null}
            aria-label={`More about ${thing.name}`}
            onClick={() => onPanel(panel === null ? "more" : null)}
            className={`${button} !w-11 !flex-none ${plain}`}
          >
            <MoreHorizontal aria-hidden="true" className="size-4" />
          </button>
        </div>
      </div>
      {thing.freezes && panel !== "frost" && (
        <Answers question={FROST} inHand={false} mark={{ ...draft, ...mark }} onSay={(more) => onSay(more)} />
      )}
      {panel !== null && (
        <MarkPanel
          thing={thing}
          way={way}
          panel={panel}
          mark={{ ...draft, ...mark }}
          onSay={onSay}
          onClose={() => {
            onPanel(null);
            row.current?.focus();
          }}
        />
      )}
    </li>
  );
}
