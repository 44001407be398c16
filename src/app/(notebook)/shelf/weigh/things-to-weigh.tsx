import { useEffect, useRef } from "react";
import { sayMass, type Units } from "@/core/units/speak";
import type { Weighing } from "./weighing";

interface ThingsToWeighProps {
  readonly weighing: Weighing;
  readonly units: Units;
  readonly onGo: (to: number) => void;
}

/** The things in a row, the one on the scale lit. */
export function ThingsToWeigh({ weighing: { order, at, taken }, units, onGo }: ThingsToWeighProps) {
  const list = useRef<HTMLUListElement>(null);
  const isFirst = useRef(true);
  useEffect(() => {
    // As it comes the page stays where it is.
    if (!isFirst.current) list.current?.children[at]?.scrollIntoView({ block: "nearest" });
    isFirst.current = false;
  }, [at]);
  return (
    <ul
      ref={list}
      className="max-h-[28rem] overflow-y-auto border-y-2 border-ink lg:max-h-[38rem]"
      aria-label="Things to weigh"
    >
      {order.map(({ id, name, grams, known }, n) => {
        const now = taken.get(id) ?? grams;
        return (
          <li key={id}>
            <button
              type="button"
              // The arrows walk the list: for Tab it is one stop.
              tabIndex={n === at ? 0 : -1}
              aria-current={n === at ? "true" : undefined}
              onClick={() => onGo(n)}
              className={`${THING} ${n === at ? "bg-catkin font-semibold" : "hover:bg-leaf-soft"}`}
            >
              <span className="flex-1 truncate">{name}</span>
              <span className="text-sm text-muted">{taken.has(id) ? "weighed now" : known}</span>
              <span className="num w-20 text-right">{now === null ? "–" : sayMass(now, units)}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

const THING =
  "flex min-h-9 w-full items-center gap-3 border-b border-rule px-2 text-left pointer-coarse:min-h-11";
