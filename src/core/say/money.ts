import { grouped } from "../units/speak";

/** Money in its currency: "€12.50", "4 200 kr". A word stands after the number, a sign before it. */
export function sayMoney(value: number, currency: string): string {
  const number = Number.isInteger(value) || value >= 100 ? grouped(value) : value.toFixed(2);
  return /^\p{L}/u.test(currency) ? `${number}\u00a0${currency}` : `${currency}${number}`;
}
