import { SCHOOLS } from "@/core/trade/schools";
import { GRAMS_PER_OUNCE } from "@/core/units/quantity";
import { HEAD, type NumbersFormProps } from "./numbers-props";
import { OwnNumber } from "./own-number";

/** The lines of the school that is judged by. */
export function SchoolNumbers({ settings, errors, keep }: NumbersFormProps) {
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
