import Link from "next/link";
import type { Addition } from "@/core/verdict/add";
import { SlipFrame } from "./slip-frame";

/** Something missed, or lacking: put on the shelf by one line, taken along, or done without. */
export function AdditionSlip({ addition }: { addition: Addition }) {
  const { what, job, owned } = addition;
  return (
    <SlipFrame
      about={{ what }}
      name={what}
      finding={addition}
      heading={
        owned ? (
          <Link prefetch={false} href={`/item/${owned.id}`} className="hover:underline">
            {what}
          </Link>
        ) : (
          what
        )
      }
      facts={
        !owned &&
        !job &&
        addition.ruling === null && (
          <Link
            prefetch={false}
            href={`/shelf?${new URLSearchParams({ line: what })}`}
            className="link no-print"
          >
            Put one on the shelf
          </Link>
        )
      }
    />
  );
}
