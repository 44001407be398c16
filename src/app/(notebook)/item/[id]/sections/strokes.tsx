import Link from "next/link";
import type { Advice } from "@/core/advice/advise";
import { tripPath } from "@/ui/paths";
import { Stroke, STROKES } from "@/ui/stroke/stroke";
import { strokeOf } from "@/ui/stroke/stroke-code";

/** A stroke a trip, the oldest first; one of them lit, where one came from it. */
export function Strokes({ advice, lit }: { advice: Advice; lit: string | undefined }) {
  const { item, book } = advice.case;
  const carried = book.carriedOf(item.id);
  if (carried.length === 0) return null;
  return (
    <ol
      className="mb-5 flex flex-wrap items-end gap-x-1 border-b border-rule pb-2"
      aria-label="Its strokes, oldest trip first"
    >
      {carried.map((each) => {
        const { trip } = each.outing;
        const code = strokeOf(each, item);
        const words = `${trip.name}: ${STROKES[code]}`;
        return (
          <li key={trip.id}>
            <Link
              prefetch={false}
              href={tripPath(trip.id)}
              title={words}
              className={`${STROKE} ${trip.id === lit ? "bg-catkin" : "hover:bg-leaf-soft"}`}
            >
              <Stroke code={code} size={24} />
              <span className="sr-only">{words}</span>
            </Link>
          </li>
        );
      })}
    </ol>
  );
}

const STROKE = "flex min-h-9 min-w-7 items-end justify-center pb-1";
