import { MoreHorizontal } from "lucide-react";
import type { Mark, Use } from "@/core/model";
import { Stroke, type StrokeCode } from "@/ui/stroke/stroke";
import type { Thing } from "./pockets";
import type { Act } from "./unpacking";

const USES: readonly { readonly use: Use; readonly code: StrokeCode; readonly key: string }[] = [
  { use: "used", code: "u", key: "u" },
  { use: "hardly", code: "h", key: "h" },
  { use: "unused", code: "n", key: "n" },
];

const BUTTON =
  "flex min-h-12 min-w-0 flex-1 items-center justify-center gap-1 border px-0.5 text-sm font-semibold " +
  "tabs:min-h-9 tabs:w-24 tabs:flex-none tabs:gap-1.5";
const PLAIN = "border-rule bg-sheet hover:border-ink";
const CHOSEN = "border-ink bg-catkin";
const FAILED = "border-sting bg-sting-soft";

interface UseButtonsProps {
  readonly thing: Thing;
  readonly mark: Mark | null;
  readonly focused: boolean;
  readonly isOpen: boolean;
  readonly onAct: (act: Act) => void;
}

/** One press each: used, hardly, unused, failed; and what more there is to say. */
export function UseButtons({ thing, mark, focused, isOpen, onAct }: UseButtonsProps) {
  const hasFailed = mark?.troubles.includes("failed") ?? false;
  const tabIndex = focused ? 0 : -1;
  const item = thing.id;
  return (
    <div
      className="flex w-full gap-1 tabs:w-auto tabs:gap-1.5"
      role="group"
      aria-label={`Mark ${thing.name}`}
    >
      {USES.map(({ use, code, key }) => {
        const isChosen = mark?.use === use && !hasFailed;
        return (
          <button
            key={use}
            type="button"
            tabIndex={tabIndex}
            aria-pressed={isChosen}
            aria-keyshortcuts={key}
            onClick={() => onAct({ do: "use", item, use, byKey: false })}
            className={`${BUTTON} ${isChosen ? CHOSEN : PLAIN}`}
          >
            <Stroke code={code} size={16} fresh={mark?.use === use} />
            {use}
          </button>
        );
      })}
      <button
        type="button"
        tabIndex={tabIndex}
        aria-pressed={hasFailed}
        aria-keyshortcuts="f"
        onClick={() => onAct({ do: "fail", item })}
        className={`${BUTTON} ${hasFailed ? FAILED : PLAIN}`}
      >
        <Stroke code="f" size={16} />
        failed
      </button>
      <button
        type="button"
        tabIndex={tabIndex}
        aria-expanded={isOpen}
        aria-label={`More about ${thing.name}`}
        onClick={() => onAct({ do: "panel", item, kind: isOpen ? null : "more" })}
        className={`${BUTTON} !w-11 !flex-none ${PLAIN}`}
      >
        <MoreHorizontal aria-hidden="true" className="size-4" />
      </button>
    </div>
  );
}
