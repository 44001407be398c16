"use client";

import Link from "next/link";
import type { ItemId } from "@/core/model";
import { Folded } from "../folded";
import { itemPath } from "@/ui/paths";

/** A thing of the last trip's pack, in words. */
interface PackLine {
  readonly item: ItemId;
  readonly name: string;
  readonly weight: string;
  readonly usedOn: string;
  readonly consequence: string;
  readonly worth: string;
  /** Under what the school asks for; and so it is left, or kept as it is used. */
  readonly short: boolean;
  readonly loses: boolean;
  /** What follows from it, in a word. */
  readonly told: string;
}

interface PackTableProps {
  /** What leaving the losers would save. */
  readonly saves: string;
  /** How it was reckoned. */
  readonly how: string;
  readonly lines: readonly PackLine[];
}

/** The whole pack of the last trip, the least worth its weight first. */
export function PackTable({ saves, how, lines }: PackTableProps) {
  return (
    <Folded
      id="pack"
      title={
        <>
          Worth its weight ({lines.length}){" "}
          <span className="font-sans text-sm font-normal text-muted">{saves}</span>
        </>
      }
    >
      {() => <PackByWorth how={how} lines={lines} />}
    </Folded>
  );
}

function PackByWorth({ how, lines }: Omit<PackTableProps, "saves">) {
  return (
    <>
      <p className="hint my-2 max-w-3xl">{how}</p>
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
            {lines.map(({ item, name, weight, usedOn, consequence, worth, short, loses, told }) => (
              <tr key={item} className={`border-b border-rule ${loses ? "bg-catkin/40" : ""}`}>
                <td className="py-1">
                  <Link prefetch={false} href={itemPath(item)} className="hover:underline">
                    {name}
                  </Link>
                </td>
                <td className="num text-right">{weight}</td>
                <td className="num text-right">{usedOn}</td>
                <td className="pl-6 text-muted">{consequence}</td>
                <td className={`num text-right ${short ? "font-bold" : ""}`}>{worth}</td>
                <td className="pl-6">{loses ? <b>{told}</b> : <span className="text-muted">{told}</span>}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
