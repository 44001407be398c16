import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import type { Addition } from "@/core/reasons/add";
import { saysToAdd } from "@/core/say/says-to-add";
import { SlipFrame } from "./slip-frame";

/** Something missed, or lacking: put on the shelf by one line, taken along, or done without. */
export function AdditionSlip({ addition, book }: { addition: Addition; book: Book }) {
  const { what, job, owned, ruling } = addition;
  return (
    <SlipFrame
      about={{ what }}
      name={what}
      finding={addition}
      ruling={ruling}
      says={saysToAdd(addition, book)}
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
        ruling === null && (
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
