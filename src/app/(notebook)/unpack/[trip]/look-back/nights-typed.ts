import { BLANK_NIGHT } from "@/core/ledger/nights";
import type { Felt, FeltNight, ItemId, Spoil } from "@/core/model";
import { AIR, WARMEST_LOW } from "@/core/model/lists";
import { parseTemperature, type Parsed } from "@/core/units/quantity";
import { count, sayTemperature, type Units } from "@/core/units/speak";

/** Nights that were alike, as they are typed. */
export interface TypedNights {
  readonly number: string;
  readonly low: string;
  readonly felt: Felt;
  readonly slept: readonly ItemId[];
  readonly roof: boolean;
  readonly spoilt: Spoil | "";
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
  const { felt, slept, roof, spoilt } = typed;
  return {
    ok: true,
    nights: Array.from({ length: number.value }, () => ({
      ...BLANK_NIGHT,
      low: low.value,
      felt,
      roof,
      spoilt: spoilt || null,
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

/** A night's coldest air, °C; null where nothing is typed. */
export function readLow(typed: string, units: Units): Parsed<FeltNight["low"]> {
  if (typed.trim() === "") return { ok: true, value: null };
  const read = parseTemperature(typed, units.temperature);
  if (!read.ok) return read;
  if (read.value < AIR.coldest || read.value > AIR.hottest) return { ok: false, why: AIR.why };
  if (read.value <= WARMEST_LOW) return read;
  return {
    ok: false,
    why: `No night’s coldest is ${sayTemperature(read.value, units)}. Is it in °F? Write “40 F”.`,
  };
}
