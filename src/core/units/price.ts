import { parseNumber } from "./quantity";

/** A price and what it is in; null: it was not said. */
export interface Price {
  readonly amount: number;
  readonly currency: string | null;
}

const SIGN = String.raw`[$€£¥]|(?<!\p{L})(?:eur|usd|gbp|chf|kr|sek|nok|dkk|zł)(?!\p{L})`;
const NUMBER = String.raw`\d{1,3}(?:[ \u00a0\u202f]\d{3})+(?:[.,]\d+)?|\d[\d.,]*`;
/** A price within a text: a number beside a sign or name of a currency, before or behind it. */
export const PRICE = new RegExp(`(?:(${SIGN})\\s?(${NUMBER}))|(?:(${NUMBER})\\s?(${SIGN}))`, "iu");

/** Reads a price as people write it: "$180", "42,50 €", "180"; null where it is none. */
export function parsePrice(text: string): Price | null {
  const found = PRICE.exec(text.trim());
  const sign = found?.[1] ?? found?.[4];
  const amount = parseNumber(found && found[0] === text.trim() ? (found[2] ?? found[3] ?? "") : text);
  if (amount === null || Number.isNaN(amount)) return null;
  return { amount, currency: sign ? inFew(sign) : null };
}

/** Currencies with a sign of their own are kept by it. */
const SIGNS: Readonly<Record<string, string>> = { eur: "€", usd: "$", gbp: "£" };
const inFew = (sign: string) => SIGNS[sign.toLowerCase()] ?? (sign.length > 2 ? sign.toUpperCase() : sign);
