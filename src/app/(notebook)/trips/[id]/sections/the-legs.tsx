import type { Trip } from "@/core/model";
import { sayDistance, sayHeight, type Units } from "@/core/units/speak";

/** The way, leg by leg. */
export function TheLegs({ trip: { legs }, units }: { trip: Trip; units: Units }) {
  return (
    <>
      <h2 className="mb-1 text-lg">The way</h2>
      <table className="w-full text-[0.95rem]">
        <tbody>
          {legs.map((leg, n) => (
            <tr key={leg.id} className="border-b border-rule">
              <td className="py-1">{leg.name || (legs.length > 1 ? `Leg ${n + 1}` : "All of it")}</td>
              <td className="num text-right">{sayDistance(leg.distance.m, units)}</td>
              <td className="num text-right text-muted">
                {leg.ascent ? `↑ ${sayHeight(leg.ascent.m, units)}` : ""}
              </td>
              <td className="pl-4 text-muted">{leg.terrain}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
