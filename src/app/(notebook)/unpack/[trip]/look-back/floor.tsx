"use client";

import { Home, Sprout } from "lucide-react";
import { ToggleGroup } from "radix-ui";
import { useState } from "react";
import { tell } from "@/ui/notice/notice";
import type { ItemId, Stow } from "@/core/model";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { Stroke, STROKES, type StrokeCode } from "@/ui/stroke/stroke";

/** One thing as it lies on the floor. */
export interface Lying {
  readonly id: ItemId;
  readonly name: string;
  readonly stow: Stow;
  readonly grams: number;
  readonly code: StrokeCode;
}

const PICKS = ["made", "stay"] as const;
type Pick = (typeof PICKS)[number];
const PICK_WORDS = {
  made: { title: "Made the trip", icon: Sprout, look: "border-leaf bg-leaf-soft" },
  stay: { title: "Could have stayed home", icon: Home, look: "border-stem bg-catkin" },
} as const satisfies Record<Pick, object>;

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
    const without = list.filter((each) => each !== id);
    if (without.length < list.length) onPick(pick, without);
    else if (list.length < MOST) onPick(pick, [...list, id]);
    else tell(`Three at most: tap one of them to take it back, then ${name}.`);
  };
  const pockets = [...new Set(things.map(({ stow }) => stow))];
  return (
    <div>
      <WhatATapPicks pick={pick} picked={picked} onPick={setPick} />
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
                .map((thing) => (
                  <LyingThing
                    key={thing.id}
                    thing={thing}
                    pick={pick}
                    is={PICKS.filter((each) => picked[each].includes(thing.id))}
                    onPress={() => press(thing)}
                  />
                ))}
            </div>
          </div>
        ))}
      </div>
    </div>
  );
}

interface WhatATapPicksProps {
  readonly pick: Pick;
  readonly picked: FloorProps["picked"];
  readonly onPick: (pick: Pick) => void;
}

function WhatATapPicks({ pick, picked, onPick }: WhatATapPicksProps) {
  return (
    <ToggleGroup.Root
      type="single"
      value={pick}
      onValueChange={(value) => PICKS.filter((each) => each === value).forEach(onPick)}
      aria-label="What a tap picks"
      className="flex flex-wrap gap-2"
    >
      {PICKS.map((each) => {
        const { title, icon: Icon, look } = PICK_WORDS[each];
        return (
          <ToggleGroup.Item
            key={each}
            value={each}
            className={`${TAP} ${pick === each ? look : "border-rule"}`}
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
  );
}

const TAP = "inline-flex min-h-11 items-center gap-2 border-2 px-3 font-semibold";

interface LyingThingProps {
  readonly thing: Lying;
  readonly pick: Pick;
  /** What it is picked as. */
  readonly is: readonly Pick[];
  readonly onPress: () => void;
}

function LyingThing({ thing, pick, is, onPress }: LyingThingProps) {
  const { icon: Icon, look } = PICK_WORDS[is[0] ?? pick];
  const words = [STROKES[thing.code], ...is.map((each) => PICK_WORDS[each].title.toLowerCase())];
  return (
    <button
      type="button"
      aria-pressed={is.includes(pick)}
      onClick={onPress}
      style={sizeOf(thing.grams)}
      className={`${LIES} ${is.length ? look : "border-rule bg-sheet hover:border-ink"}`}
    >
      <span className="line-clamp-2 w-full font-semibold">{thing.name}</span>
      <span className="sr-only">, {words.join(", ")}</span>
      <span className="flex w-full items-end justify-between" aria-hidden="true">
        <Stroke code={thing.code} size={15} />
        {is.length > 0 && <Icon aria-hidden="true" className="size-4" />}
      </span>
    </button>
  );
}

const LIES =
  "flex flex-col justify-between overflow-hidden border-2 px-1.5 py-1 text-left text-sm leading-tight";

/** As large as it is heavy, from a thumb's width up: the side grows with the root of the weight. */
const sizeOf = (grams: number) => {
  const more = Math.min(1, Math.sqrt(grams) / 40);
  return { width: `${5.5 + 4.5 * more}rem`, height: `${3.9 + 1.6 * more}rem` };
};
