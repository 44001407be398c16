"use client";

import { Dialog } from "radix-ui";
import { StrokeLegend } from "../stroke/stroke-legend";
import { PLACES, placeOf } from "../edge/places";
import { PAGE_HELP } from "./pages";

interface HelpDialogProps {
  readonly path: string;
  readonly onClose: () => void;
}

/** Help on one screen: what the page is for, its keys, the keys that hold everywhere, and what the strokes mean. */
export function HelpDialog({ path, onClose }: HelpDialogProps) {
  const place = placeOf(path);
  const help = place && PAGE_HELP[place.href];
  return (
    <Dialog.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className={DIALOG}>
          <Dialog.Title className="text-xl">{place?.label ?? "Help"}</Dialog.Title>
          <Dialog.Description className="mb-4 text-muted">
            {help?.about ?? "Nettle Tally: what was used, what was not, and what to do about it."}
          </Dialog.Description>
          <div className="gap-x-10 sm:columns-2">
            {help && help.keys.length > 0 && <Keys name="Keys here" keys={help.keys} />}
            <Keys name="Keys everywhere" keys={EVERYWHERE} />
            <section className="mb-5 break-inside-avoid">
              <h3 className={HEADING}>g, and a letter, goes to</h3>
              <ul className="columns-2 text-sm leading-7">
                {PLACES.map(({ href, key, label }) => (
                  <li key={href}>
                    <span className="kbd">{key}</span> {label}
                  </li>
                ))}
              </ul>
            </section>
            <section className="mb-5 break-inside-avoid">
              <h3 className={HEADING}>The strokes</h3>
              <StrokeLegend look="columns-2" />
            </section>
          </div>
          <Dialog.Close className="btn">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

const EVERYWHERE = [
  ["?", "this"],
  ["Ctrl K", "find any page, thing or trip, and what can be done with it"],
  ["Esc", "close what is open"],
] as const;

function Keys({ name, keys }: { name: string; keys: readonly (readonly [string, string])[] }) {
  return (
    <section className="mb-5 break-inside-avoid">
      <h3 className={HEADING}>{name}</h3>
      <dl className="grid grid-cols-[4.5rem_1fr] gap-y-0.5 text-sm leading-6">
        {keys.map(([key, what]) => (
          <div key={key} className="contents">
            <dt>
              <span className="kbd">{key}</span>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

const HEADING = "mb-1 border-b border-rule text-base";
const DIALOG =
  "fixed left-1/2 top-1/2 z-50 max-h-[94vh] w-[min(54rem,94vw)] -translate-x-1/2 -translate-y-1/2 " +
  "overflow-auto rounded-md border border-rule-strong bg-sheet p-6";
