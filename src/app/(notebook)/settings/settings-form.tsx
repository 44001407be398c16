"use client";

import { useRouter } from "next/navigation";
import { lazy, Suspense, useOptimistic, useState, useTransition } from "react";
import type { OwnLives } from "@/core/compare/own-lives";
import type { SchoolName, Settings } from "@/core/model";
import { tellOtherTabs } from "@/ui/follow/channel";
import { keepSettings } from "./actions";
import { Schools } from "./schools";
import { UnitsAndLook } from "./units-and-look";

// The trade's own numbers are looked at seldom: they come after the page.
const NumbersForm = lazy(() => import("./numbers/numbers-form"));

interface SettingsFormProps {
  readonly settings: Settings;
  readonly theme: string;
  readonly lives: Readonly<Record<string, OwnLives>>;
  /** What each school would change, in words; the whole log is judged anew for each. */
  readonly effects: Promise<Readonly<Record<SchoolName, string>>>;
}

/** Units, school and look; each choice is kept as it is made. */
export function SettingsForm({ settings, theme, lives, effects }: SettingsFormProps) {
  const { kept, now, errors, keep } = useKeeping(settings);
  return (
    <div className="space-y-8">
      <UnitsAndLook now={now} theme={theme} errors={errors} onKeep={keep} />
      <Schools chosen={now.school} effects={effects} onChoose={(school) => keep({ ...now, school })} />
      <Suspense>
        <NumbersForm settings={kept} lives={lives} errors={errors} keep={keep} />
      </Suspense>
    </div>
  );
}

/** Settings as they are kept, as they show meanwhile, and what is wrong with what was not kept. */
function useKeeping(settings: Settings) {
  const router = useRouter();
  const [kept, setKept] = useState(settings);
  const [now, setNow] = useOptimistic(kept);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [, start] = useTransition();
  const keep = (next: Settings) =>
    start(async () => {
      setNow(next);
      const answer = await keepSettings({ ...next, body: next.body?.typed ?? null });
      setErrors(answer.ok ? {} : answer.fields);
      // What was refused is not kept here either, or it would be sent again with the next change.
      if (!answer.ok) return;
      setKept(next);
      tellOtherTabs();
      router.refresh();
    });
  return { kept, now, errors, keep };
}
