"use client";

import { useState } from "react";
import { tellWrong } from "@/ui/notice/notice";
import type { Trip, TripId, Use } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { saveLookBack } from "@/app/(notebook)/trips/actions";
import { whatIsWrong } from "@/ui/form/answer";
import { UNREACHED } from "@/ui/notice/undo";
import { tellOtherTabs } from "@/ui/follow/channel";
import { useRefresh } from "@/ui/follow/use-refresh";
import { CameHome } from "./came-home";
import { FeltNights } from "./felt-nights";
import { Floor, type Lying } from "./floor";
import { MissedThings } from "./missed-things";

export type Said = Pick<Trip, "made" | "stay" | "missed" | "felt" | "supplies" | "boiled">;

interface LookBackProps {
  readonly trip: TripId;
  readonly nights: number;
  readonly days: { readonly starts: string; readonly ends: string };
  readonly said: Said;
  readonly things: readonly (Lying & {
    readonly use: Use | null;
    readonly sleep: boolean;
    readonly bed: boolean;
    readonly consumable: boolean;
  })[];
  readonly units: Units;
}

/**
 * Three that made the trip, three that could have stayed, what was missed, how the nights were, what came
 * home. Saved as it is said.
 */
export function LookBack({ trip, nights, days, things, units, ...before }: LookBackProps) {
  const refresh = useRefresh();
  const [said, setSaid] = useState(before.said);
  const say = async (more: Partial<Said>) => {
    const next = { ...said, ...more };
    setSaid(next);
    const answer = await saveLookBack(trip, next).catch(() => null);
    if (answer?.ok) {
      tellOtherTabs();
      void refresh();
      return;
    }
    setSaid(said);
    tellWrong(answer ? whatIsWrong(answer) : UNREACHED);
  };
  return (
    <section
      id="look-back"
      aria-labelledby="look-back-title"
      className="mt-10 border-t-2 border-ink pt-4 tabs:ml-[15rem]"
    >
      <h2 id="look-back-title" className="text-xl">
        Look back
      </h2>
      <div className="mt-3">
        <Floor things={things} picked={said} onPick={(pick, ids) => void say({ [pick]: ids })} />
      </div>
      <MissedThings missed={said.missed} onChange={(missed) => say({ missed })} />
      {nights > 0 && (
        <FeltNights
          felt={said.felt}
          nights={nights}
          days={days}
          things={things}
          units={units}
          onChange={(felt) => say({ felt })}
        />
      )}
      <CameHome
        units={units}
        supplies={said.supplies}
        names={things.filter(({ consumable }) => consumable).map(({ name }) => name)}
        boiled={said.boiled}
        onChange={(supplies) => say({ supplies })}
        onBoiled={(boiled) => say({ boiled })}
      />
    </section>
  );
}
