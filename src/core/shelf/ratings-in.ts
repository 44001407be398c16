import type { Ratings } from "../model/item";

/**
 * Nominal voltage of a lithium-ion cell, at which the mAh of a power bank are counted: from memory of IEC 61960,
 * 3.6 to 3.7 V.
 */
const CELL_VOLTS = 3.7;

const BEDS: ReadonlySet<string> = new Set(["sleeping bag", "quilt"]);
const VESSELS: ReadonlySet<string> = new Set(["water bottle", "water bag", "pot", "mug"]);

const numberIn = (pattern: RegExp, name: string): number | null => {
  const match = pattern.exec(name);
  return match?.[1] ? Number(match[1].replace(/[  ]/g, "").replace(",", ".").replace("−", "-")) : null;
};

/**
 * What a name tells of a thing of this kind, as people write it: "Water bottle 1 l" holds 1 L, "65 L pack" has
 * room for 65, "−2 °C bag" bears that label, "Bank 10 000 mAh" holds 37 Wh. What it does not tell is left out.
 */
export function ratingsIn(name: string, kind: string): Ratings {
  const litres = numberIn(/(?<![\d.,])(\d{1,3}(?:[.,]\d+)?) ?(?:l|litres?|liters?)\b/i, name);
  const millilitres = numberIn(/(?<![\d.,])(\d{2,5}) ?ml\b/i, name);
  const holds = litres ?? (millilitres === null ? null : millilitres / 1000);
  if (VESSELS.has(kind)) return holds === null || holds > 20 ? {} : { litres: holds };
  if (kind === "pack") return litres === null || litres > 150 ? {} : { volume: litres };
  if (BEDS.has(kind)) {
    const celsius = numberIn(/(?<![\d.,])([+−-]?\d{1,2}) ?°? ?c?(?![\d\p{L}%.,])/iu, name);
    return celsius === null || celsius > 25 || celsius < -50 ? {} : { label: { celsius, means: "plain" } };
  }
  if (kind === "power bank") {
    const wattHours = numberIn(/(\d{1,3}(?:[.,]\d+)?) ?wh\b/i, name);
    const mAh = numberIn(/(\d{1,3}[  ]?\d{3}|\d{3,6}) ?mah\b/i, name);
    const ampHours = numberIn(/(?<![\d.,])(\d{1,3}(?:[.,]\d+)?) ?ah\b/i, name);
    const charge = mAh === null ? ampHours : mAh / 1000;
    const told = wattHours ?? (charge === null ? null : charge * CELL_VOLTS);
    return told === null || told > 1000 ? {} : { wattHours: Math.round(told * 10) / 10 };
  }
  if (kind === "head torch" || kind === "spare light") {
    const lumens = numberIn(/(\d{1,4}) ?(?:lm|lumens?)\b/i, name);
    return lumens === null ? {} : { lumens };
  }
  if (kind === "inflatable pad" || kind === "foam pad") {
    const rValue = numberIn(/\br[- ]?(?:value)? ?(\d(?:[.,]\d+)?)\b/i, name);
    return rValue === null ? {} : { rValue };
  }
  return {};
}
