import { useState } from "react";
import type { KindNumbers } from "@/core/model";
import { whenServiced } from "@/core/say/services";
import { wearFromNumber, wearNumber, wearUnitName } from "@/core/say/wear";
import type { Kind } from "@/core/trade/kind";
import { KINDS } from "@/core/trade/kinds";
import { findKind } from "@/core/trade/words/names";
import { capital, type Units } from "@/core/units/speak";
import { KindPicker } from "./kind-picker";
import { KindServices } from "./kind-services";
import { LivesSoFar } from "./lives-so-far";
import { HEAD, type NumbersFormProps } from "./numbers-props";
import { OwnNumber } from "./own-number";

/** The kind that one looks at first: the first that wears out. */
const FIRST = KINDS.find(({ life }) => life !== null)?.id ?? "";

/** One kind's numbers: how long it lasts, where it is done, how often it is served. */
export function KindNumbersForm({ settings, lives, errors, keep }: NumbersFormProps) {
  const [id, setId] = useState(FIRST);
  const kind = findKind(id);
  if (!kind) return null;
  const own = settings.kinds[id] ?? {};
  const others = Object.fromEntries(Object.entries(settings.kinds).filter(([each]) => each !== id));
  const set = (numbers: Partial<KindNumbers>) => {
    const changed = told({ ...own, ...numbers });
    keep({ ...settings, kinds: changed ? { ...others, [id]: changed } : others });
  };
  const unserviced = kind.services.filter(({ every }) => every === undefined);
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
      <Numbers key={id} kind={kind} own={own} units={settings.units} errors={errors} onSet={set} />
      <KindServices
        key={`${id} services`}
        kind={id}
        own={own.own ?? []}
        units={settings.units}
        errors={errors}
        onKeep={(services) => set({ own: [...services] })}
      />
      {unserviced.length > 0 && (
        <p className="hint mt-2">
          Also looked after:{" "}
          {unserviced.map((rule) => `${rule.what} (${whenServiced(rule).join(", ")})`).join("; ")}.
        </p>
      )}
      {lives[id] && (
        <LivesSoFar
          lives={lives[id]}
          kind={kind}
          settings={settings}
          onUse={({ median, shape }) => set({ median, shape })}
        />
      )}
    </section>
  );
}

/** Numbers without what says nothing; null: none of them says anything. */
function told(numbers: KindNumbers): KindNumbers | null {
  const said: KindNumbers = Object.fromEntries(
    Object.entries(numbers).filter(
      ([, value]) => value !== undefined && (typeof value === "number" || Object.keys(value).length > 0),
    ),
  );
  return Object.keys(said).length > 0 ? said : null;
}

interface NumbersProps {
  readonly kind: Kind;
  readonly own: KindNumbers;
  readonly units: Units;
  readonly errors: Readonly<Record<string, string>>;
  readonly onSet: (numbers: Partial<KindNumbers>) => void;
}

/** Its life, its age, and what can be measured on it. */
function Numbers({ kind, own, units, errors, onSet }: NumbersProps) {
  const error = (field: string) => errors[`kinds.${kind.id}.${field}`];
  const unit = wearUnitName(kind.wears, units);
  const store = (value: number | undefined) => value && wearFromNumber(value, kind.wears, units);
  return (
    <div className="mt-4 grid grid-cols-2 gap-4 sm:grid-cols-4">
      {kind.life && (
        <>
          <OwnNumber
            label={`Half last, ${unit}`}
            own={own.median && wearNumber(own.median, kind.wears, units)}
            fallback={wearNumber(kind.life.median, kind.wears, units)}
            source={unit}
            error={error("median")}
            onKeep={(value) => onSet({ median: store(value) })}
          />
          <OwnNumber
            label="Shape of wearing out"
            own={own.shape}
            fallback={kind.life.k}
            source="above 1, the old fail sooner (Weibull’s k)"
            error={error("shape")}
            onKeep={(shape) => onSet({ shape })}
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
          onKeep={(ageDays) => onSet({ ageDays })}
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
          onKeep={(value) => onSet({ limits: put(own.limits, what, value) })}
        />
      ))}
      {kind.services.map(({ what, every }) =>
        every === undefined ? null : (
          <OwnNumber
            key={what}
            label={`${capital(what)} every, ${unit}`}
            own={own.services?.[what] && wearNumber(own.services[what], kind.wears, units)}
            fallback={wearNumber(every, kind.wears, units)}
            source={unit}
            error={error(`services.${what}`)}
            onKeep={(value) => onSet({ services: put(own.services, what, store(value)) })}
          />
        ),
      )}
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
