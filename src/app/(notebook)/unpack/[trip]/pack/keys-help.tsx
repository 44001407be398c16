"use client";

import { Dialog } from "radix-ui";

const KEYS: readonly (readonly [string, string])[] = [
  ["u", "used"],
  ["h", "hardly: once or twice, would not have been missed"],
  ["n", "unused"],
  ["f", "failed: how, what is to be seen, why"],
  ["t", "damaged, or a nuisance"],
  ["x", "what was wrong with it: too heavy, too cold …"],
  ["Shift U", "the rest of this pocket was used"],
  ["0 – 5", "its condition: 5 as new, 0 gone"],
  ["w", "why it stayed unused"],
  ["c", "your call"],
  ["e", "it left the pack: lost, given away, sent home …"],
  ["b", "bought or found on the way"],
  ["q", "how many days it was used, how many would do, what is left"],
  ["k", "was it kept from freezing?"],
  ["Enter", "a note"],
  ["a", "to the questions, once all is marked"],
  ["z", "take the last mark back"],
  ["↑ ↓", "up and down"],
  ["← →", "the pocket before, the next"],
  ["Esc", "close what is open"],
];

/** The keys of the debrief, until they are closed. */
export default function KeysHelp({ onClose }: { onClose: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content aria-describedby={undefined} className={DIALOG}>
          <Dialog.Title className="mb-3 text-xl">Keys for unpacking</Dialog.Title>
          <dl className="grid grid-cols-[6rem_1fr] gap-y-1.5">
            {KEYS.map(([key, what]) => (
              <div key={key} className="contents">
                <dt>
                  <span className="kbd">{key}</span>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="btn mt-5">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

const DIALOG =
  "fixed left-1/2 top-1/2 z-50 max-h-[90vh] w-[min(30rem,94vw)] -translate-x-1/2 -translate-y-1/2 " +
  "overflow-auto rounded-md border border-rule-strong bg-sheet p-6";
