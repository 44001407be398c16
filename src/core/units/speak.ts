import type { Units } from "./units";

export type { Units } from "./units";
import {
  GRAMS_PER_OUNCE,
  LITRES_PER_CUBIC_INCH,
  LITRES_PER_QUART,
  METRES_PER_FOOT,
  METRES_PER_MILE,
} from "./quantity";

const THIN = "\u00a0";
// Made once: making one costs more than all it writes for a page.
const WHOLE = new Intl.NumberFormat("en-GB", { maximumFractionDigits: 0 });
const TENTHS = new Intl.NumberFormat("en-GB", { minimumFractionDigits: 1, maximumFractionDigits: 1 });
/** A number with its thousands apart: "1 050". */
export const grouped = (value: number, digits: 0 | 1 = 0) =>
  (digits ? TENTHS : WHOLE).format(value).replaceAll(",", "\u202f");

/** A weight in the owner's unit: "312 g", "12.4 kg" from 10 kg, "9.6 oz", "2 lb 3.3 oz". */
export function sayMass(g: number, units: Units): string {
  if (units.weight === "g") return g >= 10_000 ? `${grouped(g / 1000, 1)}${THIN}kg` : `${grouped(g)}${THIN}g`;
  const ounces = Math.round((g / GRAMS_PER_OUNCE) * 10) / 10;
  if (ounces < 16) return `${ounces.toFixed(1)}${THIN}oz`;
  const pounds = Math.floor(ounces / 16);
  return `${pounds}${THIN}lb ${(ounces - pounds * 16).toFixed(1)}${THIN}oz`;
}

/** The unit that what is poured is asked in: owners who weigh in ounces pour quarts. */
export const pouredUnit = ({ weight }: Units) => (weight === "g" ? "L" : "qt");
/** The unit that room is asked in. */
export const roomUnit = ({ weight }: Units) => (weight === "g" ? "L" : "cu in");
/** Litres in a unit of what is poured. */
export const litresIn = ({ weight }: Units) => (weight === "g" ? 1 : LITRES_PER_QUART);

/** What is poured, in the owner's measure: "0.6 L", "20 fl oz" below a quart, "2.1 qt", "1.5 gal" from two gallons. */
export function sayPoured(litres: number, units: Units): string {
  if (units.weight === "g") return `${inTenths(litres)}${THIN}L`;
  const quarts = litres / LITRES_PER_QUART;
  if (quarts < 0.995) return `${grouped(quarts * 32)}${THIN}fl oz`;
  return quarts < 8 ? `${inTenths(quarts)}${THIN}qt` : `${inTenths(quarts / 4)}${THIN}gal`;
}

/** A volume as a form holds it, in the unit that it is asked in: "2.84" quarts, "2807" cubic inches. */
export const volumeText = (litres: number, unit: "L" | "qt" | "cu in"): string =>
  unit === "cu in"
    ? String(Math.round(litres / LITRES_PER_CUBIC_INCH))
    : String(Math.round((100 * litres) / (unit === "L" ? 1 : LITRES_PER_QUART)) / 100);

/** Room in a pack, or taken up in it: "46 L", "2 807 cu in". */
export const sayRoom = (litres: number, units: Units): string =>
  units.weight === "g"
    ? `${grouped(litres, 1).replace(/\.0$/, "")}${THIN}L`
    : `${grouped(litres / LITRES_PER_CUBIC_INCH)}${THIN}cu${THIN}in`;

/** Tenths below ten, where there are any. */
const inTenths = (value: number) => grouped(value, value > 0 && value < 9.95 ? 1 : 0).replace(/\.0$/, "");

/** A distance in the owner's unit, to a tenth below 10: "8.4 km", "1 214 km". */
export function sayDistance(m: number, units: Units): string {
  return `${distanceNumber(m, units)}${THIN}${units.distance}`;
}

/** Metres in one of the owner's units of distance. */
export const metresIn = ({ distance }: Units) => (distance === "km" ? 1000 : METRES_PER_MILE);

/** As {@link sayDistance}, without the unit, for columns that name it once. */
export function distanceNumber(m: number, units: Units): string {
  const value = units.distance === "km" ? m / 1000 : m / METRES_PER_MILE;
  return value > 0 && value < 9.95 ? grouped(value, 1) : grouped(value);
}

/** A walking speed, from m/s: "4.5 km/h", "2.8 mph". */
export const saySpeed = (metresPerSecond: number, units: Units): string =>
  units.distance === "km"
    ? `${(metresPerSecond * 3.6).toFixed(1)}${THIN}km/h`
    : `${((metresPerSecond * 3600) / METRES_PER_MILE).toFixed(1)}${THIN}mph`;

/** Ascent: metres, or feet for owners who walk in miles. */
export function sayHeight(m: number, units: Units): string {
  return units.distance === "km" ? `${grouped(m)}${THIN}m` : `${grouped(m / METRES_PER_FOOT)}${THIN}ft`;
}

/** Weight carried for nothing, in kg·km or lb·mi. */
export function sayDeadWeight(gramMetres: number, units: Units): string {
  const value =
    units.distance === "km" ? gramMetres / 1e6 : gramMetres / (GRAMS_PER_OUNCE * 16 * METRES_PER_MILE);
  return `${grouped(value, value < 10 ? 1 : 0)}${THIN}${units.distance === "km" ? "kg·km" : "lb·mi"}`;
}

/** The same in a sentence, where nothing says what kg·km are: "a kilogram over 75 km". */
export const sayLugged = (gramMetres: number, units: Units): string =>
  units.distance === "km"
    ? `a kilogram over ${sayDistance(gramMetres / 1000, units)}`
    : `a pound over ${sayDistance(gramMetres / (GRAMS_PER_OUNCE * 16), units)}`;

/** A temperature in °C as a bare number in the owner's unit, for charts. */
export const temperatureNumber = (c: number, { temperature }: Units) =>
  temperature === "C" ? c : c * 1.8 + 32;

export function sayTemperature(c: number, units: Units): string {
  const value = Math.round(temperatureNumber(c, units));
  return `${value < 0 ? "−" : ""}${Math.abs(value)}${THIN}°${units.temperature}`;
}

/** A temperature as a field holds it: to the tenth, so that what is read from it again is what it was. */
export const temperatureText = (c: number, units: Units): string =>
  `${Number(temperatureNumber(c, units).toFixed(1))}${THIN}°${units.temperature}`.replace("-", "−");

/** A difference of temperatures in the owner's unit: "2.5°", with its sign where it may be below nothing. */
export function sayDegrees(celsius: number, { temperature }: Units, signed = false): string {
  const value = Math.round((temperature === "C" ? celsius : celsius * 1.8) * 10) / 10;
  const plus = signed && value > 0 ? "+" : "";
  return `${value < 0 ? "−" : plus}${Math.abs(value)}°`;
}

export const percent = (chance: number) => `${Math.round(chance * 100)}${THIN}%`;

/** "1 trip", "3 trips"; `many` where adding an s is wrong. */
export const count = (n: number, one: string, many = `${one}s`) =>
  `${grouped(n)}${THIN}${n === 1 ? one : many}`;

/** "rain", "rain or bugs", "rain, bugs or cold". */
export function listWords(words: readonly string[], last: "or" | "and" = "and"): string {
  return words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} ${last} ${words.at(-1)}`;
}

const DAY = new Intl.DateTimeFormat("en-GB", {
  day: "numeric",
  month: "long",
  year: "numeric",
  timeZone: "UTC",
});

/** A day as people write it: "14 May 2026". */
export const sayDay = (iso: string) => DAY.format(new Date(`${iso}T00:00:00Z`));

const NIGHT = new Intl.DateTimeFormat("en-GB", {
  weekday: "short",
  day: "numeric",
  month: "short",
  timeZone: "UTC",
});

/** A day in a column whose year is known: "Sat 12 Sept". */
export const sayShortDay = (iso: string) => NIGHT.format(new Date(`${iso}T00:00:00Z`)).replace(",", "");

/** From a day to another: "7–28 June 2025". */
export const sayDays = (from: string, to: string) =>
  DAY.formatRange(new Date(`${from}T00:00:00Z`), new Date(`${to}T00:00:00Z`))
    // A browser's table of names may set the dash in other spaces than the server's: a page must say one thing.
    .replace(/\s–\s/, " – ")
    // Within a month the two days stand close; the newer tables set them apart.
    .replace(/^(\d+) – (?=\d+\s\D)/, "$1–");

const WORDS = [
  "no",
  "one",
  "two",
  "three",
  "four",
  "five",
  "six",
  "seven",
  "eight",
  "nine",
  "ten",
  "eleven",
  "twelve",
];
/** Small numbers in words, for sentences: "three", "27". */
export const inWords = (n: number) => WORDS[n] ?? grouped(n);

/** So many of a thing, in a sentence: "one trip", "three trips", "27 trips". */
export const several = (n: number, one: string, many = `${one}s`) =>
  `${inWords(n)}${THIN}${n === 1 ? one : many}`;

/** Some of all, both in words or both in figures: "six of eight", "8 of 16". */
export const someOf = (n: number, all: number) =>
  WORDS[n] !== undefined && WORDS[all] !== undefined
    ? `${WORDS[n]} of ${WORDS[all]}`
    : `${grouped(n)} of ${grouped(all)}`;

/** How often: "once", "twice", "three times". */
export const times = (n: number) => ["", "once", "twice"][n] || `${inWords(n)} times`;

/** Something said so often: "too heavy", "too cold twice". */
export const timesEach = ({ what, times: n }: { readonly what: string; readonly times: number }) =>
  n > 1 ? `${what} ${times(n)}` : what;

/** So many days as a walker tells them: "three days", "five weeks". */
export function sayLong(days: number): string {
  if (days < 14) return `${inWords(days)} ${days === 1 ? "day" : "days"}`;
  if (days < 70) return `${inWords(Math.round(days / 7))} weeks`;
  return `${inWords(Math.round(days / 30.4))} months`;
}

/** A sentence begins with a capital. */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** As it stands within a sentence: its capital goes, unless it is all capitals. */
export const uncapital = (text: string) =>
  /^\p{Lu}\p{Ll}/u.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;
