import type { Felt, FeltNight, ItemId } from "@/core/model";
import { AIR } from "@/core/model/lists";
import { parseTemperature, type Parsed } from "@/core/units/quantity";
import { count, type Units } from "@/core/units/speak";

/** Nights that were alike, as they are typed. */
export interface TypedNights {
  readonly number: string;
  readonly low: string;
  readonly felt: Felt;
  readonly slept: readonly ItemId[];
}

/** What is wrong with them, by field. */
export interface WrongNights {
  readonly number?: string;
  readonly low?: string;
}

type Read =
  { readonly ok: true; readonly nights: FeltNight[] } | { readonly ok: false; readonly wrong: WrongNights };

/** @param left nights of the trip that nobody told of yet */
export function readNights(typed: TypedNights, left: number, units: Units): Read {
  const number = readNumber(typed.number, left);
  const low = readLow(typed.low, units);
  if (!number.ok || !low.ok)
    return {
      ok: false,
      wrong: { number: number.ok ? undefined : number.why, low: low.ok ? undefined : low.why },
    };
  const { felt, slept } = typed;
  return {
    ok: true,
    nights: Array.from({ length: number.value }, () => ({
      on: null,
      low: low.value,
      felt,
      slept: [...slept],
    })),
  };
}

function readNumber(typed: string, left: number): Parsed<number> {
  const value = Number(typed);
  if (!Number.isInteger(value) || value < 1) return { ok: false, why: "Write how many nights." };
  if (value <= left) return { ok: true, value };
  return {
    ok: false,
    why: `${count(left, "night")} of this trip ${left === 1 ? "is" : "are"} left to tell.`,
  };
}

function readLow(typed: string, units: Units): Parsed<FeltNight["low"]> {
  if (typed.trim() === "") return { ok: true, value: null };
  const read = parseTemperature(typed, units.temperature);
  if (!read.ok) return read;
  return read.value < AIR.coldest || read.value > AIR.hottest ? { ok: false, why: AIR.why } : read;
}
