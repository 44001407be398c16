import Link from "next/link";
import { itemPath } from "@/ui/paths";
import { Stroke, STROKES } from "@/ui/stroke/stroke";
import type { Along } from "../along-of";

/** What was told of the things: notes, troubles, how they left. */
export function CameOfIt({ along }: { along: readonly Along[] }) {
  const told = along.filter(
    ({ carry: { mark } }) => mark && (mark.note || mark.troubles.length > 0 || mark.exit),
  );
  if (told.length === 0) return null;
  return (
    <>
      <h2 className="mb-1 mt-5 text-lg">What happened</h2>
      <ul>
        {told.map(({ item, carry, code }) => (
          <li key={item.id} className="flex gap-2 border-b border-rule py-1">
            <Stroke code={code} />
            <span>
              <Link prefetch={false} href={itemPath(item.id)} className="font-semibold hover:underline">
                {item.name}
              </Link>{" "}
              {STROKES[code]}
              {carry.mark?.note && `: ${carry.mark.note}`}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
