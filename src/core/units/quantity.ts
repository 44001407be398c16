import { nth } from "../sums/there";
/** Exact by definition: NIST Special Publication 811, appendix B. */
export const GRAMS_PER_POUND = 453.59237;
export const GRAMS_PER_OUNCE = 28.349523125;
/** US liquid quart and cubic inch (NIST Handbook 44, Appendix C). */
export const LITRES_PER_QUART = 0.946352946;
export const LITRES_PER_CUBIC_INCH = 0.016387064;
export const METRES_PER_MILE = 1609.344;
export const METRES_PER_FOOT = 0.3048;

const MASS_UNITS: Readonly<Record<string, number>> = {
  g: 1,
  gram: 1,
  grams: 1,
  gr: 1,
  kg: 1000,
  kgs: 1000,
  kilo: 1000,
  kilos: 1000,
  oz: GRAMS_PER_OUNCE,
  ounce: GRAMS_PER_OUNCE,
  ounces: GRAMS_PER_OUNCE,
  lb: GRAMS_PER_POUND,
  lbs: GRAMS_PER_POUND,
  pound: GRAMS_PER_POUND,
  pounds: GRAMS_PER_POUND,
};

const LENGTH_UNITS: Readonly<Record<string, number>> = {
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  km: 1000,
  kms: 1000,
  k: 1000,
  mi: METRES_PER_MILE,
  mile: METRES_PER_MILE,
  miles: METRES_PER_MILE,
  ft: METRES_PER_FOOT,
  foot: METRES_PER_FOOT,
  feet: METRES_PER_FOOT,
};

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly why: string };

/** What was typed, kept exactly, beside its value in grams. */
export interface Mass {
  readonly typed: string;
  readonly g: number;
}

/** What was typed, kept exactly, beside its value in metres. */
export interface Length {
  readonly typed: string;
  readonly m: number;
}

/** Where a comma or a point parts thousands: each group after it has three digits. */
const THOUSANDS_BY_COMMA = /^[+-]?\d{1,3}(,\d{3})+(\.\d+)?$/;
const THOUSANDS_BY_POINT = /^[+-]?\d{1,3}(\.\d{3})+,\d+$/;

/**
 * Reads a number as people write it: "2.5", "2,5", "−3", "1 200", "1,200.50", "1.200,50".
 *
 * @returns null where nothing was typed, NaN where it is no number
 */
export function parseNumber(text: string): number | null {
  const plain = text.replace(/[\s\u00a0\u202f]/g, "").replace("−", "-");
  if (plain === "") return null;
  const bare = THOUSANDS_BY_COMMA.test(plain)
    ? plain.replaceAll(",", "")
    : (THOUSANDS_BY_POINT.test(plain) ? plain.replaceAll(".", "") : plain).replace(",", ".");
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(bare) ? Number(bare) : Number.NaN;
}

/** Said before a number that is not exact. */
export const ABOUT = "(?:~|≈|ca?\\.|approx(?:imately)?\\.?|about|circa)";

/** A number within a quantity; its thousands may be parted. */
const NUMBER = "[+-]?(?:\\d{1,3}(?:,\\d{3})+\\.\\d+|\\d{1,3}(?:\\.\\d{3})+,\\d+|\\d+(?:[.,]\\d+)?|[.,]\\d+)";
const PART = new RegExp(`(${NUMBER})\\s*([a-z]*)`, "giy");

/**
 * Units that nobody tells to the thousandth in, so that "1,200 g" is 1200 g and "1,200 kg" 1.2 kg; and up to
 * what: "85,000 g" is a table's 85 g.
 */
const WHOLE_UP_TO: Readonly<Record<string, number>> = {
  ...{ g: 30_000, gr: 30_000, gram: 30_000, grams: 30_000, mah: Infinity, ml: Infinity },
  ...{ m: Infinity, metre: Infinity, metres: Infinity, meter: Infinity, meters: Infinity },
  ...{ ft: Infinity, foot: Infinity, feet: Infinity, "cu in": Infinity },
};
const ONE_COMMA = /^[+-]?[1-9]\d{0,2},\d{3}$/;

/** A number of a unit: its one comma or point parts the decimals, but where that were finer than anybody tells. */
function numberOf(text: string, unit: string): number {
  const whole = Number(text.replace(",", ""));
  if (ONE_COMMA.test(text) && whole <= (WHOLE_UP_TO[unit] ?? 0)) return whole;
  return parseNumber(/[.,].*[.,]/.test(text) ? text : text.replace(",", ".")) ?? Number.NaN;
}

/** What a bare number behind a unit is in, and from where on it can't be: "2 lb 3" is 2 lb 3 oz. */
const SMALLER: Readonly<Record<string, readonly [unit: string, below: number]>> = {
  lb: ["oz", 16],
  lbs: ["oz", 16],
  pound: ["oz", 16],
  pounds: ["oz", 16],
  kg: ["g", 1000],
  kgs: ["g", 1000],
  kilo: ["g", 1000],
  kilos: ["g", 1000],
  km: ["m", 1000],
  kms: ["m", 1000],
};

/** Sum of "number unit" parts ("2 lb 3 oz"); a bare number takes `bare`, or behind a unit the next smaller one. */
function sumOfParts(
  text: string,
  units: Readonly<Record<string, number>>,
  bare: string,
  example: string,
): Parsed<number> {
  const typed = text.trim();
  const refuse = (why: string): Parsed<number> => ({ ok: false, why: `${why} Write it like ${example}.` });
  if (typed === "") return refuse("Nothing was given.");
  PART.lastIndex = 0;
  let total = 0;
  let before: string | null = null;
  while (PART.lastIndex < typed.length) {
    const match = PART.exec(typed);
    if (!match) return refuse(`“${typed}” is not a number with a unit.`);
    const smaller: (typeof SMALLER)[string] | undefined =
      match[2] || before === null ? undefined : SMALLER[before];
    const unit: string = (match[2] || (smaller?.[0] ?? bare)).toLowerCase();
    const factor = Object.hasOwn(units, unit) ? units[unit] : undefined;
    if (factor === undefined) return refuse(`“${match[2]}” is not a unit known here.`);
    const number = numberOf(nth(match, 1), unit);
    if (number < 0 || nth(match, 1).startsWith("-")) return refuse("It can't be below zero.");
    if (!match[2] && before !== null && (!smaller || number >= smaller[1]))
      return refuse(`What “${match[1]}” is in can’t be told.`);
    before = unit;
    total += number * factor;
    while (typed[PART.lastIndex] === " " || typed[PART.lastIndex] === "\u00a0") PART.lastIndex++;
  }
  return Number.isFinite(total)
    ? { ok: true, value: total }
    : refuse("That is not a number that can be used.");
}

/** Units that a bare number of a weight may be in. */
export type MassUnit = "g" | "kg" | "oz" | "lb";

/**
 * Reads a weight as people write it: "312 g", "9.6 oz", "2 lb 3 oz", "1.2kg".
 *
 * @param bare the unit of a number without one
 * @example parseMass("1 lb 2 oz") // { ok: true, value: { typed: "1 lb 2 oz", g: 510.29… } }
 */
export function parseMass(text: string, bare: MassUnit = "g"): Parsed<Mass> {
  const sum = sumOfParts(text, MASS_UNITS, bare, "312 g, 1.2 kg, 9.6 oz or 2 lb 3 oz");
  return sum.ok ? { ok: true, value: { typed: withUnit(text, bare), g: sum.value } } : sum;
}

/**
 * Reads a distance or a height: "18.5 km", "11 mi", "2400 ft", "800 m".
 *
 * @param bare the unit of a number without one
 */
export function parseLength(text: string, bare: "km" | "mi" | "m" | "ft" = "km"): Parsed<Length> {
  const sum = sumOfParts(
    text,
    LENGTH_UNITS,
    bare,
    bare === "m" || bare === "ft" ? "850 m or 2800 ft" : "18.5 km or 11 mi",
  );
  return sum.ok ? { ok: true, value: { typed: withUnit(text, bare), m: sum.value } } : sum;
}

/**
 * Reads a temperature, in °C: "-2", "−2 °C", "28 F".
 *
 * @param bare the unit of a number without one
 */
export function parseTemperature(text: string, bare: "C" | "F" = "C"): Parsed<number> {
  const match = /^([+−-]?\d+(?:[.,]\d+)?)\s*°?\s*([cf]?)$/i.exec(text.trim().replace(/^minus\s*/i, "-"));
  if (!match) return { ok: false, why: `“${text.trim()}” is not a temperature. Write it like −2 or 28 F.` };
  const value = numberOf(nth(match, 1).replace("−", "-"), "");
  const celsius = (nth(match, 2).toUpperCase() || bare) === "F" ? (value - 32) / 1.8 : value;
  return { ok: true, value: Math.round(celsius * 10) / 10 };
}

/**
 * A temperature as it stands in a form, °C: null where nothing is typed; what is none goes on as it is, to be
 * refused.
 */
export function typedTemperature(text: string, bare: "C" | "F"): number | string | null {
  if (text.trim() === "") return null;
  const read = parseTemperature(text, bare);
  return read.ok ? read.value : text;
}

const AMOUNT = new RegExp(`^(?![+-])(${NUMBER})\\s*(\\D{0,20})$`);
const ENERGY = /^(\d+(?:[.,]\d+)?)\s*(m?)Ah(?:\s*(?:at|@|x|×)?\s*(\d+(?:[.,]\d+)?)\s*V)?$/i;

/**
 * Reads so much of something, in whatever it is counted: "460 g", "2.5 L", "3". The unit is kept as typed,
 * but for mAh, which are energy only at a voltage: "6700 mAh at 3.7 V" is 24.8 Wh.
 */
export function parseAmount(text: string): Parsed<{ readonly value: number; readonly unit: string }> {
  const typed = text.trim();
  const charge = ENERGY.exec(typed);
  if (charge && charge[3] === undefined)
    return { ok: false, why: "mAh say nothing without a voltage. Write 24 Wh, or 6700 mAh at 3.7 V." };
  if (charge) {
    const ampereHours = numberOf(nth(charge, 1), charge[2] ? "mah" : "") / (charge[2] ? 1000 : 1);
    return {
      ok: true,
      value: { value: Math.round(ampereHours * numberOf(nth(charge, 3), "") * 10) / 10, unit: "Wh" },
    };
  }
  if (typed === "") return { ok: false, why: "Write how much, like 460 g, 2 L or 3." };
  const match = AMOUNT.exec(typed);
  const unit = match ? nth(match, 2).trim() : "";
  return match
    ? { ok: true, value: { value: numberOf(nth(match, 1), unit.toLowerCase()), unit } }
    : { ok: false, why: `“${typed}” is not an amount. Write it like 460 g, 2 L or 3.` };
}

/** Units that amounts are counted in, to grams and to litres. */
const VOLUME_UNITS: Readonly<Record<string, number>> = {
  l: 1,
  litre: 1,
  litres: 1,
  liter: 1,
  liters: 1,
  ml: 0.001,
  cl: 0.01,
  dl: 0.1,
  "fl oz": LITRES_PER_QUART / 32,
  floz: LITRES_PER_QUART / 32,
  pt: LITRES_PER_QUART / 2,
  qt: LITRES_PER_QUART,
  gal: LITRES_PER_QUART * 4,
  "cu in": LITRES_PER_CUBIC_INCH,
};

/** An amount in the unit that sums are made in: grams, litres, watt-hours, or pieces. */
export interface BaseAmount {
  readonly value: number;
  readonly unit: "g" | "L" | "Wh" | "";
}

/** So much of something in the unit of sums; what is counted in words of its own ("bars") is pieces. */
export function inBaseUnit(value: number, unit: string): BaseAmount {
  const plain = unit.trim().toLowerCase();
  if (plain === "wh" || plain === "kwh") return { value: plain === "wh" ? value : value * 1000, unit: "Wh" };
  for (const [units, base] of [
    [MASS_UNITS, "g"],
    [VOLUME_UNITS, "L"],
  ] as const)
    if (Object.hasOwn(units, plain)) return { value: value * units[plain]!, unit: base };
  return { value, unit: "" };
}

/**
 * Reads a volume, in litres: "2.5 L", "600 ml", "20 fl oz", "2800 cu in".
 *
 * @param bare the unit of a number without one
 */
export function parseVolume(text: string, bare: "L" | "qt" | "cu in"): Parsed<number> {
  const plain = parseNumber(text);
  const isPlain = plain !== null && !Number.isNaN(plain);
  const read: ReturnType<typeof parseAmount> = isPlain
    ? { ok: true, value: { value: plain, unit: bare } }
    : parseAmount(text);
  if (!read.ok) return read;
  const { value, unit } = inBaseUnit(read.value.value, read.value.unit || bare);
  return unit === "L"
    ? { ok: true, value: Math.round(value * 1000) / 1000 }
    : { ok: false, why: `“${read.value.unit}” is no volume. Write it like 2.5 L, 20 fl oz or 2800 cu in.` };
}

/** An amount in another unit of the same sort, to a thousandth: 0.9 kg is 900 g; null where the two don't compare. */
export function inUnitOf(value: number, from: string, to: string): number | null {
  if (from.toLowerCase() === to.toLowerCase()) return value;
  for (const units of [MASS_UNITS, VOLUME_UNITS]) {
    const [a, b] = [from, to].map((unit) =>
      Object.hasOwn(units, unit.toLowerCase()) ? units[unit.toLowerCase()] : undefined,
    );
    if (a !== undefined && b !== undefined) return Math.round((value * a * 1000) / b) / 1000;
  }
  return null;
}

/**
 * What was typed, with a unit where it is a bare number: that is ambiguous once the owner changes units, so it is kept
 * with the unit it was meant in.
 *
 * @param bare the owner's unit of such a quantity
 */
export function withUnit(text: string, bare: string): string {
  const typed = text.trim();
  return /^[+\d.,]+$/.test(typed) ? `${typed} ${bare}` : typed;
}
