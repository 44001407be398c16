import type { Supply } from "@/core/model";
import { SUPPLY_SORTS } from "@/core/model/lists";
import { sortOf } from "@/core/trade/supplies";
import { inBaseUnit, inUnitOf, parseAmount, type Parsed } from "@/core/units/quantity";

/** One supply as it is typed: what it was, what went out, what came home. */
export const BLANK_SUPPLY = { what: "", out: "", back: "", reserve: "", sort: "" };
export type TypedSupply = typeof BLANK_SUPPLY;

/** What is wrong with it, by field. */
export type WrongSupply = Partial<Record<keyof TypedSupply, string>>;

type Read =
  { readonly ok: true; readonly supply: Supply } | { readonly ok: false; readonly wrong: WrongSupply };

const MORE = "More than went out.";

/** What was typed as a supply, in the unit that one of its amounts names, or what is wrong with it. */
export function readSupply(typed: TypedSupply): Read {
  const out = parseAmount(typed.out);
  const back = parseAmount(typed.back);
  const unit = (out.ok ? out.value.unit : "") || (back.ok ? back.value.unit : "");
  const most = out.ok ? out.value.value : Infinity;
  const home = amountIn(unit, back, most, `${MORE} What was bought on the way counts as gone out.`);
  const reserve = typed.reserve.trim() === "" ? NONE : amountIn(unit, parseAmount(typed.reserve), most, MORE);
  const what = typed.what.trim();
  if (what && out.ok && home.ok && reserve.ok) {
    const sort = SUPPLY_SORTS.find((each) => each === typed.sort) ?? null;
    return { ok: true, supply: { what, unit, out: most, back: home.value, sort, reserve: reserve.value } };
  }
  return {
    ok: false,
    wrong: {
      what: what ? undefined : "Say what it was: gas, food, water …",
      out: out.ok ? undefined : out.why,
      back: home.ok ? undefined : home.why,
      reserve: reserve.ok ? undefined : reserve.why,
    },
  };
}

const NONE = { ok: true, value: 0 } as const;

/** An amount in the unit of what went out, and no more than that. */
function amountIn(
  unit: string,
  read: ReturnType<typeof parseAmount>,
  most: number,
  tooMuch: string,
): Parsed<number> {
  if (!read.ok) return read;
  const value = inUnitOf(read.value.value, read.value.unit || unit, unit);
  if (value === null) return { ok: false, why: `Say it in ${unit}, like what went out.` };
  return value > most ? { ok: false, why: tooMuch } : { ok: true, value };
}

/** Grams of gas that were burnt, by what went out and came home; null where nobody told of any. */
export function gasBurnt(supplies: readonly Supply[]): number | null {
  const gas = supplies.flatMap((supply) => {
    if (sortOf(supply) !== "fuel") return [];
    const burnt = inBaseUnit(supply.out - supply.back, supply.unit);
    return burnt.unit === "g" ? [burnt.value] : [];
  });
  return gas.length ? gas.reduce((sum, each) => sum + each, 0) : null;
}
