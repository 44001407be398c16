import { Popover } from "radix-ui";
import { useState, type RefObject } from "react";
import { Field, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import type { SlipData } from "./slip-data";

interface OverruleProps {
  readonly slip: SlipData;
  /** The button that it was asked for by, which has the focus again when it is closed. */
  readonly anchor: RefObject<HTMLElement | null>;
  readonly busy: boolean;
  readonly error: string | undefined;
  readonly onClose: () => void;
  /** @param again after how many more trips it is asked again; null: only when something new speaks */
  readonly onOverrule: (reason: string, again: number | null) => void;
}

/** The owner knows better: why, and when to be asked again. */
export default function Overrule({ slip, anchor, busy, error, onClose, onOverrule }: OverruleProps) {
  const toAdd = "what" in slip.about;
  const [reason, setReason] = useState("");
  const [again, setAgain] = useState("2");
  const withIt = toAdd ? "" : " with it";
  return (
    <Popover.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Popover.Anchor virtualRef={anchored(anchor)} />
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          aria-label={`Overrule: ${slip.name}`}
          // After a ruling the focus is on the next slip already.
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (!document.activeElement?.matches("[data-slip]"))
              anchor.current?.querySelector("button")?.focus();
          }}
          // A press on the button that opened it is the button's own.
          onInteractOutside={(event) => {
            if (event.target instanceof Node && anchor.current?.contains(event.target))
              event.preventDefault();
          }}
          className={POPOVER}
        >
          <PageForm
            className="space-y-3"
            onSend={() => onOverrule(reason, again === "" ? null : Number(again))}
          >
            <Field
              label={toAdd ? "I do without it, because" : "It stays as it is, because"}
              value={reason}
              onChange={({ target }) => setReason(target.value)}
              maxLength={1000}
              error={error}
              hint="May stay blank; it reads well in two years."
            />
            <SelectField
              label="Ask me again"
              value={again}
              onChange={({ target }) => setAgain(target.value)}
              options={[
                ["1", "after the next trip"],
                ["2", `after two more trips${withIt}`],
                ["5", `after five more trips${withIt}`],
                ["", toAdd ? "only if I miss it again" : "only if something new goes wrong"],
              ]}
            />
            <button className="btn btn-leaf" disabled={busy}>
              Overrule
            </button>
          </PageForm>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The anchor as the package measures it; it is there while the form is open. */
const anchored = (anchor: RefObject<HTMLElement | null>) => ({
  current: { getBoundingClientRect: () => anchor.current?.getBoundingClientRect() ?? new DOMRect() },
});

const POPOVER = "z-40 w-[min(22rem,92vw)] rounded-md border border-rule-strong bg-sheet p-4 shadow-xl";
