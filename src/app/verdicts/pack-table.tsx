import Link from "next/link";
import { percent, sayDeadWeight, sayMass } from "@/core/units/speak";
import type { PackWorth } from "@/core/weighin/pack-worth";
import type { School } from "@/core/trade/schools";
import type { Units } from "@/core/units/speak";

/** The whole pack of the last trip, the least worth its weight first, with what leaving the losers would save. */
export function PackTable({ pack, school, units }: { pack: PackWorth; school: School; units: Units }) {
  const { outing, ranked, savedGrams, savedGramMetres, savedKilocalories, body, load } = pack;
  return (
    <details className="mb-6">
      <summary className="font-head text-lg font-bold">
        Worth its weight ({ranked.length}){" "}
        <span className="font-sans text-sm font-normal text-muted">
          {savedGrams > 0 ? (
            <>
              on a trip like {outing.trip.name}, leaving the losers saves {sayMass(savedGrams, units)},{" "}
              {sayDeadWeight(savedGramMetres, units)} and about {Math.round(savedKilocalories)} kcal
            </>
          ) : (
            `on a trip like ${outing.trip.name}, nothing loses its place`
          )}
        </span>
      </summary>
      <p className="hint my-2 max-w-3xl">
        Worth is the chance that it is used × what you would carry to avoid going without, ÷ its weight; the{" "}
        {school.name} school asks for {school.worthNeeded}. Cover, what is dangerous to lack and what is
        carried for joy are not ranked. Energy by the Pandolf equation for {Math.round(body)} kg of body and
        the {sayMass(load * 1000, units)} weighed, at 4.5 km/h, half of the way climbing evenly and half taken
        as level.
      </p>
      <div className="max-w-3xl overflow-x-auto" tabIndex={0} role="region" aria-label="The pack by worth">
        <table className="w-full text-[0.95rem]">
          <thead>
            <tr className="border-b-2 border-ink text-left text-sm text-muted">
              <th className="py-1 font-normal">thing</th>
              <th className="text-right font-normal">weight</th>
              <th className="text-right font-normal">used on</th>
              <th className="pl-6 font-normal">to lack it is a</th>
              <th className="text-right font-normal">worth</th>
              <th className="pl-6 font-normal">so</th>
            </tr>
          </thead>
          <tbody>
            {ranked.map(({ one, worth, grams, loses }) => (
              <tr key={one.item.id} className={`border-b border-rule ${loses ? "bg-catkin/40" : ""}`}>
                <td className="py-1">
                  <Link prefetch={false} href={`/item/${one.item.id}`} className="hover:underline">
                    {one.item.name}
                  </Link>
                </td>
                <td className="num text-right">{sayMass(grams, units)}</td>
                <td className="num text-right">{percent(one.tripChance)}</td>
                <td className="pl-6 text-muted">{one.item.consequence}</td>
                <td className={`num text-right ${worth < school.worthNeeded ? "font-bold" : ""}`}>
                  {worth.toFixed(worth < 10 ? 1 : 0)}
                </td>
                <td className="pl-6">
                  {loses ? (
                    <b>leave</b>
                  ) : worth < school.worthNeeded ? (
                    <span className="text-muted">used, so kept</span>
                  ) : (
                    ""
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
