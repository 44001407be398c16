"use client";

import { Home, Sprout } from "lucide-react";
import { ToggleGroup } from "radix-ui";
import { useState } from "react";
import { toast } from "sonner";
import type { ItemId, Stow } from "@/core/model";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { Stroke, STROKES, type StrokeCode } from "@/ui/stroke";

/** One thing as it lies on the floor. */
export interface Lying {
  readonly id: ItemId;
  readonly name: string;
  readonly stow: Stow;
  readonly grams: number;
  readonly code: StrokeCode;
}

const PICKS = {
  made: { title: "Made the trip", icon: Sprout, look: "border-leaf bg-leaf-soft" },
  stay: { title: "Could have stayed home", icon: Home, look: "border-stem bg-catkin" },
} as const;
type Pick = keyof typeof PICKS;

/** How many may be picked of each. */
const MOST = 3;

interface FloorProps {
  readonly things: readonly Lying[];
  readonly picked: Readonly<Record<Pick, readonly ItemId[]>>;
  readonly onPick: (pick: Pick, ids: ItemId[]) => void;
}

/**
 * The pack as it lay on the floor, pocket by pocket, the heavy things large: a tap picks what made the trip,
 * or what could have stayed.
 */
export function Floor({ things, picked, onPick }: FloorProps) {
  const [pick, setPick] = useState<Pick>("made");
  const press = ({ id, name }: Lying) => {
    const list = picked[pick];
    if (list.includes(id))
      return onPick(
        pick,
        list.filter((each) => each !== id),
      );
    if (list.length >= MOST)
      return void toast(`Three at most: tap one of them to take it back, then ${name}.`);
    onPick(pick, [...list, id]);
  };
  const pockets = [...new Set(things.map(({ stow }) => stow))];
  return (
    <div>
      <ToggleGroup.Root
        type="single"
        value={pick}
        onValueChange={(value) => value && setPick(value as Pick)}
        aria-label="What a tap picks"
        className="flex flex-wrap gap-2"
      >
        {(Object.keys(PICKS) as Pick[]).map((each) => {
          const { title, icon: Icon, look } = PICKS[each];
          return (
            <ToggleGroup.Item
              key={each}
              value={each}
              className={`inline-flex min-h-11 items-center gap-2 border-2 px-3 font-semibold ${pick === each ? look : "border-rule"}`}
            >
              <Icon aria-hidden="true" className="size-4" />
              {title}
              <span className="num text-sm text-muted">
                {picked[each].length} of {MOST}
              </span>
            </ToggleGroup.Item>
          );
        })}
      </ToggleGroup.Root>
      <div
        className="mt-3 flex flex-wrap gap-x-5 gap-y-3"
        role="group"
        aria-label="The pack as it lay on the floor"
      >
        {pockets.map((stow) => (
          <div key={stow} className="border-l-2 border-rule pl-2">
            <p className="text-sm text-muted">{STOW_NAMES[stow]}</p>
            <div className="flex flex-wrap items-end gap-1">
              {things
                .filter((thing) => thing.stow === stow)
                .map((thing) => {
                  const is = (Object.keys(PICKS) as Pick[]).filter((each) => picked[each].includes(thing.id));
                  const { icon: Icon, look } = PICKS[is[0] ?? pick];
                  return (
                    <button
                      key={thing.id}
                      type="button"
                      aria-pressed={picked[pick].includes(thing.id)}
                      onClick={() => press(thing)}
                      style={sizeOf(thing.grams)}
                      className={`flex flex-col justify-between overflow-hidden border-2 px-1.5 py-1 text-left text-sm leading-tight ${is.length ? look : "border-rule bg-sheet hover:border-ink"}`}
                    >
                      <span className="line-clamp-2 w-full font-semibold">{thing.name}</span>
                      <span className="sr-only">
                        ,{" "}
                        {[STROKES[thing.code], ...is.map((each) => PICKS[each].title.toLowerCase())].join(
                          ", ",
                        )}
                      </span>
                      <span className="flex w-full items-end justify-between" aria-hidden="true">
                        <Stroke code={thing.code} size={15} />
                        {is.length > 0 && <Icon aria-hidden="true" className="size-4" />}
                      </span>
                    </button>
                  );
                })}
            </div>
          </div>
        ))}
      </div>
    </div>
  );
}

/** As large as it is heavy, from a thumb's width up: the side grows with the root of the weight. */
const sizeOf = (grams: number) => {
  const more = Math.min(1, Math.sqrt(grams) / 40);
  return { width: `${5.5 + 4.5 * more}rem`, height: `${3.9 + 1.6 * more}rem` };
};
