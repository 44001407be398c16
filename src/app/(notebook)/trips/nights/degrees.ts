import type { Units } from "@/core/units/speak";

/** A difference of temperatures in the owner's unit: "2.5°", with its sign where it may be below nothing. */
export function degrees(celsius: number, { temperature }: Units, signed = false): string {
  const value = Math.round((temperature === "C" ? celsius : celsius * 1.8) * 10) / 10;
  const plus = signed && value > 0 ? "+" : "";
  return `${value < 0 ? "−" : plus}${Math.abs(value)}°`;
}
