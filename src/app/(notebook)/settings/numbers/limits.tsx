import { CONSEQUENCES, TERRAINS } from "@/core/model/lists";
import { TERRAIN_WEAR } from "@/core/trade/ground";
import { TOO_LIKELY } from "@/core/trade/rules";
import { HEAD, type NumbersFormProps } from "./numbers-props";
import { OwnNumber } from "./own-number";

/** How likely a thing may be to give out, and how hard ground is. */
export function Limits({ settings, errors, keep }: NumbersFormProps) {
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
        {CONSEQUENCES.map((consequence) => (
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
        {TERRAINS.map((terrain) => (
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
