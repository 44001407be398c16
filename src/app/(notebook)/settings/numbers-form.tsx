"use client";

import { useState } from "react";
import { KINDS } from "@/core/trade/kinds";
import { findKind } from "@/core/trade/names";
import { GRAMS_PER_OUNCE } from "@/core/units/quantity";
import { capital, listWords } from "@/core/units/speak";
import { whenServiced } from "@/core/say/services";
import type { Kind } from "@/core/trade/kind";
import { Consequence, Terrain, type KindNumbers, type Settings } from "@/core/model";
import { TERRAIN_WEAR } from "@/core/trade/ground";
import { TOO_LIKELY } from "@/core/trade/rules";
import { SCHOOLS } from "@/core/trade/schools";
import type { OwnLives } from "@/core/compare/own-lives";
import { wearFromNumber, wearNumber, wearUnitName } from "@/core/say/words";
import { Field } from "@/ui/form/field";
import { KindServices } from "./kind-services";
import { OwnNumber } from "./own-number";

interface NumbersFormProps {
  readonly settings: Settings;
  readonly lives: Readonly<Record<string, OwnLives>>;
  readonly errors: Readonly<Record<string, string>>;
  readonly keep: (next: Settings) => void;
}

const HEAD = "mb-2 border-b-2 border-ink pb-1 text-lg";

/** The numbers of the trade, each with its default and source, that an owner may put their own in place of. */
export function NumbersForm(props: NumbersFormProps) {
  const changed = changedIn(props.settings);
  return (
    <>
      <p className={changed.length > 0 ? "border-l-4 border-stem pl-4" : "hint"}>
        {changed.length > 0
          ? `Changed by you: ${listWords(changed)}. Everything else is the trade's own.`
          : "Below are the trade's own numbers. You have changed none of them."}
      </p>
      <SchoolNumbers {...props} />
      <Limits {...props} />
      <KindNumbersOf {...props} />
    </>
  );
}

/** Where the owner has put numbers of their own, in words. */
const changedIn = ({ schools, giveOut, terrain, kinds }: Settings): string[] => [
  ...Object.entries(schools)
    .filter(([, lines]) => Object.values(lines ?? {}).some((line) => line !== undefined))
    .map(([school]) => `the ${school} school's lines`),
  ...Object.entries(giveOut).flatMap(([what, limit]) => (limit === undefined ? [] : `the limit for ${what}`)),
  ...Object.entries(terrain).flatMap(([ground, wear]) => (wear === undefined ? [] : `wear on ${ground}`)),
  ...Object.keys(kinds),
];

function SchoolNumbers({ settings, errors, keep }: NumbersFormProps) {
  const { school } = settings;
  const lines = settings.schools[school] ?? {};
  const base = SCHOOLS[school];
  const { weight } = settings.units;
  const inGrams = weight === "g" ? 1 : GRAMS_PER_OUNCE;
  const set = (field: keyof typeof lines, value: number | undefined) =>
    keep({ ...settings, schools: { ...settings.schools, [school]: { ...lines, [field]: value } } });
  const error = (field: string) => errors[`schools.${school}.${field}`];
  return (
    <section aria-labelledby="lines-title">
      <h2 id="lines-title" className={HEAD}>
        The lines of the {school} school
      </h2>
      <p className="hint mb-3">
        Change any of them; blank is the school&rsquo;s own. All are common practice, with no published
        source.
      </p>
      <div className="grid gap-4 sm:grid-cols-5">
        <OwnNumber
          label="Drop below, %"
          own={lines.dropLine === undefined ? undefined : lines.dropLine * 100}
          fallback={base.dropLine * 100}
          source="of chances, at the 80th percentile"
          error={error("dropLine")}
          onKeep={(value) => set("dropLine", value === undefined ? undefined : value / 100)}
        />
        <OwnNumber
          label="Backups"
          own={lines.backups}
          fallback={base.backups}
          source="for a critical job"
          error={error("backups")}
          onKeep={(value) => set("backups", value)}
        />
        <OwnNumber
          label="Backups, light and water"
          own={lines.backupsLightWater}
          fallback={base.backupsLightWater}
          source=""
          error={error("backupsLightWater")}
          onKeep={(value) => set("backupsLightWater", value)}
        />
        <OwnNumber
          label="Worth ÷ weight"
          own={lines.worthNeeded}
          fallback={base.worthNeeded}
          source="asked for"
          error={error("worthNeeded")}
          onKeep={(value) => set("worthNeeded", value)}
        />
        <OwnNumber
          label={`Too light to argue, ${weight}`}
          own={lines.tooLight === undefined ? undefined : lines.tooLight / inGrams}
          fallback={base.tooLight / inGrams}
          source={weight}
          error={error("tooLight")}
          onKeep={(value) => set("tooLight", value === undefined ? undefined : value * inGrams)}
        />
      </div>
    </section>
  );
}

function Limits({ settings, errors, keep }: NumbersFormProps) {
  return (
    <section aria-labelledby="limits-title">
      <h2 id="limits-title" className={HEAD}>
        Limits and ground
      </h2>
      <p className="hint mb-3">
        How likely a thing may be to give out on the next trip before it is replaced, by what its failing
        costs; and how hard ground is on shoes, poles and socks. Common practice, with no published source.
      </p>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        {Consequence.options.map((consequence) => (
          <OwnNumber
            key={consequence}
            label={`${consequence}, %`}
            own={
              settings.giveOut[consequence] === undefined ? undefined : settings.giveOut[consequence] * 100
            }
            fallback={TOO_LIKELY[consequence] * 100}
            source="likely to give out"
            error={errors[`giveOut.${consequence}`]}
            onKeep={(value) =>
              keep({
                ...settings,
                giveOut: {
                  ...settings.giveOut,
                  [consequence]: value === undefined ? undefined : value / 100,
                },
              })
            }
          />
        ))}
      </div>
      <div className="mt-4 grid grid-cols-2 gap-4 sm:grid-cols-6">
        {Terrain.options.map((terrain) => (
          <OwnNumber
            key={terrain}
            label={`Wear on ${terrain}`}
            own={settings.terrain[terrain]}
            fallback={TERRAIN_WEAR[terrain]}
            source="×"
            error={errors[`terrain.${terrain}`]}
            onKeep={(value) => keep({ ...settings, terrain: { ...settings.terrain, [terrain]: value } })}
          />
        ))}
      </div>
    </section>
  );
}

function KindNumbersOf({ settings, lives, errors, keep }: NumbersFormProps) {
  const [id, setId] = useState(KINDS.find(({ life }) => life !== null)!.id);
  const kind = KINDS.find((each) => each.id === id)!;
  const own: KindNumbers = settings.kinds[id] ?? {};
  const { units } = settings;
  const unit = wearUnitName(kind.wears, units);
  const show = (wear: number | undefined) =>
    wear === undefined ? undefined : wearNumber(wear, kind.wears, units);
  const store = (value: number | undefined) =>
    value === undefined ? undefined : wearFromNumber(value, kind.wears, units);
  const others = Object.fromEntries(Object.entries(settings.kinds).filter(([each]) => each !== id));
  const set = (numbers: Partial<KindNumbers>) => {
    const changed = Object.fromEntries(
      Object.entries({ ...own, ...numbers }).filter(
        ([, value]) => value !== undefined && (typeof value === "number" || Object.keys(value).length > 0),
      ),
    ) as KindNumbers;
    keep({ ...settings, kinds: Object.keys(changed).length ? { ...others, [id]: changed } : others });
  };
  const error = (field: string) => errors[`kinds.${id}.${field}`];
  return (
    <section aria-labelledby="kinds-title">
      <h2 id="kinds-title" className={HEAD}>
        Kinds: lives, limits, services
      </h2>
      <p className="hint mb-3">
        Rules of thumb, common practice, with no published source. Your own log bends them as things wear out,
        without being asked; change a number here where you know better from the start.
      </p>
      <KindPicker settings={settings} picked={id} onPick={setId} />
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <h3 className="font-head text-lg font-bold">{capital(id)}</h3>
        {settings.kinds[id] && (
          <button type="button" className="btn" onClick={() => keep({ ...settings, kinds: others })}>
            Reset {id}
          </button>
        )}
      </div>
      <div key={id} className="mt-4 grid grid-cols-2 gap-4 sm:grid-cols-4">
        {kind.life && (
          <>
            <OwnNumber
              label={`Half last, ${unit}`}
              own={show(own.median)}
              fallback={wearNumber(kind.life.median, kind.wears, units)}
              source={unit}
              error={error("median")}
              onKeep={(value) => set({ median: store(value) })}
            />
            <OwnNumber
              label="Shape of wearing out"
              own={own.shape}
              fallback={kind.life.k}
              source="Weibull k; above 1, the old fail sooner"
              error={error("shape")}
              onKeep={(value) => set({ shape: value })}
            />
          </>
        )}
        {kind.ageDays !== null && (
          <OwnNumber
            label="Good for, days"
            own={own.ageDays}
            fallback={kind.ageDays}
            source="days in use"
            error={error("ageDays")}
            onKeep={(value) => set({ ageDays: value })}
          />
        )}
        {kind.readings.map(({ what, unit: measure, limit }) => (
          <OwnNumber
            key={what}
            label={`Done at ${what}`}
            own={own.limits?.[what]}
            fallback={limit}
            source={measure}
            error={error(`limits.${what}`)}
            onKeep={(value) => set({ limits: put(own.limits, what, value) })}
          />
        ))}
        {kind.services
          .filter(({ every }) => every !== undefined)
          .map(({ what, every }) => (
            <OwnNumber
              key={what}
              label={`${what.charAt(0).toUpperCase()}${what.slice(1)} every, ${unit}`}
              own={show(own.services?.[what])}
              fallback={wearNumber(every!, kind.wears, units)}
              source={unit}
              error={error(`services.${what}`)}
              onKeep={(value) => set({ services: put(own.services, what, store(value)) })}
            />
          ))}
      </div>
      <KindServices
        key={`${id} services`}
        kind={id}
        own={own.own ?? []}
        units={units}
        errors={errors}
        onKeep={(services) => set({ own: [...services] })}
      />
      {kind.services.some(({ every }) => every === undefined) && (
        <p className="hint mt-2">
          Also looked after:{" "}
          {kind.services
            .filter(({ every }) => every === undefined)
            .map((rule) => `${rule.what} (${whenServiced(rule).join(", ")})`)
            .join("; ")}
          .
        </p>
      )}
      {lives[id] && (
        <LivesSoFar
          lives={lives[id]}
          kind={kind}
          settings={settings}
          onUse={(fit) => set({ median: fit.median, shape: fit.shape })}
        />
      )}
    </section>
  );
}

/** Kinds that fit what is typed, those with numbers of the owner's own first and marked. */
function KindPicker({
  settings,
  picked,
  onPick,
}: {
  settings: Settings;
  picked: string;
  onPick: (id: string) => void;
}) {
  const [typed, setTyped] = useState("");
  const sought = typed.trim().toLowerCase();
  const meant = sought === "" ? null : findKind(sought)?.id;
  const fits = KINDS.filter(({ id }) => id.includes(sought) || id === meant);
  const [own, others] = [
    fits.filter(({ id }) => settings.kinds[id]),
    fits.filter(({ id }) => !settings.kinds[id]),
  ];
  return (
    <div>
      <Field
        label="Find a kind"
        type="search"
        className="max-w-xs"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          const first = own[0] ?? others[0];
          if (event.key === "Enter" && first) onPick(first.id);
        }}
      />
      <div role="group" aria-label="Kinds" className="mt-2 flex max-h-40 flex-wrap gap-1 overflow-y-auto">
        {[...own, ...others].map(({ id }) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === picked}
            className={`min-h-8 border px-2 text-sm pointer-coarse:min-h-11 ${id === picked ? "border-leaf bg-leaf text-on-leaf" : settings.kinds[id] ? "border-stem bg-sheet font-semibold text-stem" : "border-rule bg-sheet"}`}
            onClick={() => onPick(id)}
          >
            {id}
            {settings.kinds[id] && " · yours"}
          </button>
        ))}
        {fits.length === 0 && <p className="hint">No kind is called that.</p>}
      </div>
    </div>
  );
}

const put = (
  record: Readonly<Record<string, number>> | undefined,
  key: string,
  value: number | undefined,
): Record<string, number> =>
  Object.fromEntries([
    ...Object.entries(record ?? {}).filter(([each]) => each !== key),
    ...(value === undefined ? [] : [[key, value] as const]),
  ]);

function LivesSoFar({
  lives: { wornOut, all, half, fit },
  kind,
  settings: { units },
  onUse,
}: {
  lives: OwnLives;
  kind: Kind;
  settings: Settings;
  onUse: (fit: { median: number; shape: number }) => void;
}) {
  const say = (wear: number) =>
    `${Math.round(wearNumber(wear, kind.wears, units))} ${wearUnitName(kind.wears, units)}`;
  return (
    <div className="mt-3 border-l-4 border-catkin-strong pl-4">
      <p>
        Your own so far: {all} of this kind, {wornOut} worn out.
        {half !== null &&
          ` Half were over by ${say(half)} (Kaplan–Meier, the others counted as still going).`}
        {fit && ` A Weibull fitted to them: half last ${say(fit.median)}, shape ${fit.shape.toFixed(1)}.`}
        {!fit && " Two worn out at different wear are needed before their shape can be told."}
      </p>
      {fit && wornOut >= 3 && (
        <button type="button" className="btn mt-1" onClick={() => onUse(fit)}>
          Use mine
        </button>
      )}
    </div>
  );
}
