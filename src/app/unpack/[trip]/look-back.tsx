"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import type { ItemId, Trip, TripId, Use } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { saveLookBack } from "@/app/trips/actions";
import { tellOtherTabs } from "@/ui/other-tabs";
import { CameHome } from "./came-home";
import { FeltNights } from "./felt-nights";
import { MissedThings } from "./missed-things";

export type Said = Pick<Trip, "made" | "stay" | "missed" | "felt" | "supplies">;

interface LookBackProps {
  readonly trip: TripId;
  readonly nights: number;
  readonly said: Said;
  readonly things: readonly {
    readonly id: ItemId;
    readonly name: string;
    readonly use: Use | null;
    readonly sleep: boolean;
    readonly consumable: boolean;
  }[];
  readonly units: Units;
}

const NOTHING = "";

/** Three that made the trip, three that could have stayed, what was missed, how the nights were, what came home. Saved as it is said. */
export function LookBack({ trip, nights, things, units, ...before }: LookBackProps) {
  const router = useRouter();
  const [said, setSaid] = useState(before.said);
  const say = async (more: Partial<Said>) => {
    const next = { ...said, ...more };
    setSaid(next);
    const answer = await saveLookBack(trip, next).catch(() => null);
    if (answer?.ok) {
      tellOtherTabs();
      router.refresh();
      return;
    }
    setSaid(said);
    toast.error(answer ? Object.values(answer.fields)[0] : "Not saved: the server can’t be reached.");
  };
  const choose = (field: "made" | "stay", n: number, id: string) => {
    const list = said[field].filter((_, index) => index !== n);
    if (id !== NOTHING) list.splice(n, 0, id as ItemId);
    void say({ [field]: [...new Set(list)].slice(0, 3) });
  };
  const idleFirst = [...things].sort((a, b) => Number(a.use === "used") - Number(b.use === "used"));
  return (
    <section
      id="look-back"
      aria-labelledby="look-back-title"
      className="mt-10 max-w-4xl border-t-2 border-ink pt-4 tabs:ml-[15rem]"
    >
      <h2 id="look-back-title" className="text-xl">
        Look back
      </h2>
      <div className="mt-3 grid gap-8 sm:grid-cols-2">
        {(
          [
            ["made", "Made the trip", things.filter((thing) => thing.use !== "unused")],
            ["stay", "Could have stayed home", idleFirst],
          ] as const
        ).map(([field, title, choices]) => (
          <fieldset key={field}>
            <legend className="label">{title}</legend>
            {[0, 1, 2]
              .filter((n) => n <= said[field].length)
              .map((n) => (
                <select
                  key={n}
                  aria-label={`${title}, ${n + 1} of 3`}
                  className="field mb-1.5"
                  value={said[field][n] ?? NOTHING}
                  onChange={(event) => choose(field, n, event.target.value)}
                >
                  <option value={NOTHING}>–</option>
                  {choices.map((thing) => (
                    <option key={thing.id} value={thing.id}>
                      {thing.name}
                    </option>
                  ))}
                </select>
              ))}
          </fieldset>
        ))}
      </div>
      <MissedThings missed={said.missed} onChange={(missed) => say({ missed })} />
      {nights > 0 && (
        <FeltNights
          felt={said.felt}
          nights={nights}
          things={things}
          units={units}
          onChange={(felt) => say({ felt })}
        />
      )}
      <CameHome
        supplies={said.supplies}
        names={things.filter(({ consumable }) => consumable).map(({ name }) => name)}
        onChange={(supplies) => say({ supplies })}
      />
    </section>
  );
}
