"use client";

import { useRouter } from "next/navigation";
import { Suspense, use, useOptimistic, useState, useTransition } from "react";
import { toast } from "sonner";
import type { SchoolName, Settings } from "@/core/model";
import { SCHOOLS } from "@/core/trade/schools";
import { withUnit } from "@/core/units/quantity";
import { percent, sayMass } from "@/core/units/speak";
import { TYPICAL_BODY_KG } from "@/core/weighin/pack-worth";
import { Field, SelectField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { keepSettings, keepTheme } from "./actions";
import type { OwnLives } from "@/core/compare/own-lives";
import { NumbersForm } from "./numbers-form";

/** Units, school and look; each choice is kept as it is made. */
export function SettingsForm({
  settings,
  theme,
  lives,
  effects,
}: {
  settings: Settings;
  theme: string;
  lives: Readonly<Record<string, OwnLives>>;
  /** What each school would change, in words; the whole log is judged anew for each. */
  effects: Promise<Readonly<Record<SchoolName, string>>>;
}) {
  const router = useRouter();
  const [kept, setKept] = useState(settings);
  const [now, setNow] = useOptimistic(kept);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [body, setBody] = useState(settings.body?.typed ?? "");
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
  const unit = <K extends keyof Settings["units"]>(field: K, value: string) =>
    keep({ ...now, units: { ...now.units, [field]: value as Settings["units"][K] } });
  return (
    <div className="space-y-8">
      <section aria-labelledby="units-title">
        <h2 id="units-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
          Units and look
        </h2>
        <div className="grid gap-4 sm:grid-cols-5">
          <SelectField
            label="Weight"
            value={now.units.weight}
            onChange={(event) => unit("weight", event.target.value)}
            options={[
              ["g", "kg and g"],
              ["oz", "lb and oz"],
            ]}
          />
          <SelectField
            label="Distance"
            value={now.units.distance}
            onChange={(event) => unit("distance", event.target.value)}
            options={[
              ["km", "km and m"],
              ["mi", "miles and feet"],
            ]}
          />
          <SelectField
            label="Temperature"
            value={now.units.temperature}
            onChange={(event) => unit("temperature", event.target.value)}
            options={[
              ["C", "°C"],
              ["F", "°F"],
            ]}
          />
          <Field
            label="Currency"
            value={now.currency}
            maxLength={4}
            error={errors.currency}
            onChange={(event) => keep({ ...now, currency: event.target.value })}
          />
          <SelectField
            label="Light or dark"
            defaultValue={theme}
            onChange={(event) =>
              void keepTheme(event.target.value as "light" | "dark" | "system").then(() => router.refresh())
            }
            options={[["system", "as the system"], "light", "dark"]}
          />
        </div>
        <Field
          label="Your body weight"
          className="mt-4 max-w-xs"
          value={body}
          placeholder={sayMass(TYPICAL_BODY_KG * 1000, now.units)}
          error={errors.body}
          onChange={(event) => setBody(event.target.value)}
          onBlur={() => {
            if (body !== (now.body?.typed ?? ""))
              keep({
                ...now,
                body:
                  body.trim() === ""
                    ? null
                    : { typed: withUnit(body, now.units.weight === "g" ? "kg" : "lb"), g: 0 },
              });
          }}
          hint={
            `Only for what a load costs in kilocalories; ` +
            `blank is taken as ${sayMass(TYPICAL_BODY_KG * 1000, now.units)}.`
          }
        />
        <p className="hint mt-2">
          Change them at any time. What you typed is kept exactly: 9.6 oz stays 9.6 oz.
        </p>
      </section>
      <section aria-labelledby="school-title">
        <h2 id="school-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
          School
        </h2>
        <p className="hint mb-3">
          Walkers disagree about how much to forgive a thing. These are rules of thumb, common practice, with
          no published source.
        </p>
        <div role="radiogroup" aria-labelledby="school-title" className="grid gap-2 sm:grid-cols-2">
          {Object.values(SCHOOLS).map(
            ({ name, motto, dropLine, worthNeeded, backups, backupsLightWater }) => (
              <label
                key={name}
                className={`cursor-pointer border p-3 has-focus-visible:outline-2 has-focus-visible:outline-stem ${now.school === name ? "border-leaf bg-leaf-soft" : "border-rule"}`}
              >
                <input
                  type="radio"
                  name="school"
                  value={name}
                  className="sr-only"
                  checked={now.school === name}
                  onChange={() => {
                    keep({ ...now, school: name });
                    toast(`Judged by the ${name} school from now on`);
                  }}
                />
                <span className="font-head text-lg font-bold">{name}</span>{" "}
                <span className="text-muted">{motto}</span>
                <span className="mt-1 block" data-effect={name}>
                  <Suspense fallback={<span className="text-muted">Asking the log …</span>}>
                    <Effect of={name} effects={effects} />
                  </Suspense>
                </span>
                <span className="mt-1 block text-sm text-muted">
                  Leave it when it is four to one that it is used on fewer than {percent(dropLine)} of the
                  chances that call for it. Backups for a critical job: {backups}
                  {backupsLightWater !== backups && `, ${backupsLightWater} for light and water`}. Worth asked
                  of its weight: {worthNeeded}.
                </span>
              </label>
            ),
          )}
        </div>
      </section>
      <NumbersForm settings={kept} lives={lives} errors={errors} keep={keep} />
    </div>
  );
}

function Effect({ of, effects }: { of: SchoolName; effects: Promise<Readonly<Record<SchoolName, string>>> }) {
  return use(effects)[of];
}
