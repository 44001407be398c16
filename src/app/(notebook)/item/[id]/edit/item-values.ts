import { parsePrice } from "@/core/units/price";
import type { z } from "zod";
import type { Item } from "@/core/model";
import { wearFromNumber, wearNumber } from "@/core/say/wear";
import { parseAmount, parseNumber, parseTemperature, parseVolume, withUnit } from "@/core/units/quantity";
import { pouredUnit, roomUnit, temperatureText, volumeText, type Units } from "@/core/units/speak";

export type FileItem = z.input<typeof Item>;

/** The item as the form holds it: texts, blank for "as its kind" or "nobody knows". */
export interface Values {
  name: string;
  kind: string;
  weight: string;
  weighed: string;
  stow: string;
  bag: string;
  load: string;
  cover: string;
  consequence: string;
  pieces: string;
  past: string;
  openingDistance: string;
  openingNights: string;
  acquired: string;
  price: string;
  warranty: string;
  expires: string;
  state: string;
  since: string;
  owner: string;
  lentTo: string;
  delivery: string;
  slot: string;
  set: string;
  currency: string;
  instead: string;
  label: string;
  labelMeans: string;
  rValue: string;
  wattHours: string;
  litres: string;
  packed: string;
  volume: string;
  comfortableLoad: string;
  empty: string;
  lumens: string;
  note: string;
  jobs: string[];
  triggers: string[];
  services: { what: string; every: string; unit: string }[];
  parts: { name: string; renewed: string; note: string }[];
}

const blank = (value: unknown) => (value === null || value === undefined ? "" : String(value));

type VolumeUnit = Parameters<typeof parseVolume>[1];

const volume = (litres: number | undefined, unit: VolumeUnit) =>
  litres === undefined ? "" : volumeText(litres, unit);

const yesOrNo = (value: boolean | null | undefined) => {
  if (value === null || value === undefined) return "";
  return value ? "yes" : "no";
};

export function toValues(item: FileItem, units: Units): Values {
  const { jobs, triggers, opening, ratings = {} } = item;
  return {
    currency: blank(item.currency),
    instead: blank(item.instead),
    label: ratings.label ? temperatureText(ratings.label.celsius, units) : "",
    labelMeans: ratings.label?.means ?? "comfort",
    rValue: blank(ratings.rValue),
    wattHours: blank(ratings.wattHours),
    litres: volume(ratings.litres, pouredUnit(units)),
    packed: volume(ratings.packed, roomUnit(units)),
    volume: volume(ratings.volume, roomUnit(units)),
    comfortableLoad: blank(ratings.comfortableLoad),
    empty: blank(ratings.empty),
    lumens: blank(ratings.lumens),
    name: item.name,
    kind: item.kind,
    weight: blank(item.weights?.at(-1)?.weight),
    weighed: item.weights?.at(-1)?.how ?? "measured",
    stow: blank(item.stow),
    bag: blank(item.bag),
    load: blank(item.load),
    cover: yesOrNo(item.cover),
    consequence: blank(item.consequence),
    pieces: blank(item.pieces ?? 1),
    past: item.past ?? "known",
    openingDistance: blank(opening?.distance),
    openingNights: blank(opening?.nights),
    acquired: blank(item.acquired),
    price: blank(item.price),
    warranty: blank(item.warranty),
    expires: blank(item.expires),
    state: item.state ?? "active",
    since: blank(item.since),
    owner: blank(item.owner),
    lentTo: blank(item.lentTo),
    delivery: blank(item.delivery),
    slot: blank(item.slot),
    set: blank(item.set),
    note: item.note ?? "",
    jobs: jobs ?? [],
    triggers: triggers ?? [],
    services: (item.services ?? []).map(({ what, every, unit }) => ({
      what,
      every: String(unit === "m" ? Number(wearNumber(every, "m", units).toFixed(1)) : every),
      unit,
    })),
    parts: (item.parts ?? []).map(({ name, renewed, note }) => ({
      name,
      renewed: blank(renewed),
      note: note ?? "",
    })),
  };
}

const orNull = (text: string) => (text.trim() === "" ? null : text.trim());

/** Another weight is a weighing more; the same one stays as it was. */
function weighed({ weight, weighed: how }: Values, { weights = [] }: FileItem, units: Units): unknown[] {
  const last = weights.at(-1);
  if (weight.trim() === "") return [];
  if (last && blank(last.weight) === weight.trim() && (last.how ?? "measured") === how) return weights;
  return [...weights, { weight: withUnit(weight, units.weight), how }];
}

/** What is not told is left out. */
const told = (ratings: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(ratings).filter(([, value]) => value !== null));

/** A label as typed; what is no temperature goes on as it is, to be refused with a sentence. */
function labelOf({ label, labelMeans }: Values, units: Units): unknown {
  if (label.trim() === "") return null;
  const read = parseTemperature(label, units.temperature);
  return { celsius: read.ok ? read.value : label, means: labelMeans };
}

/** Capacity in Wh; "10000 mAh at 3.7 V" is turned into it, and what is no number goes on, to be refused. */
function wattHoursOf({ wattHours }: Values): unknown {
  if (wattHours.trim() === "") return null;
  const read = parseAmount(wattHours);
  return read.ok && ["", "Wh"].includes(read.value.unit) ? read.value.value : wattHours;
}

/** A volume as typed, in litres; as it was where it stands as it was shown; what is none goes on, to be refused. */
function litresOf(text: string, was: number | undefined, unit: VolumeUnit): unknown {
  if (text.trim() === "") return null;
  if (was !== undefined && text.trim() === volumeText(was, unit)) return was;
  const read = parseVolume(text, unit);
  return read.ok ? read.value : text;
}

/** What it had done before the log began; null where nothing is told of it. */
function openingOf({ past, openingDistance, openingNights }: Values, was: FileItem, units: Units): unknown {
  const opening = {
    distance: orNull(withUnit(openingDistance, units.distance)),
    nights: Number(openingNights || 0),
    days: was.opening?.days ?? 0,
  };
  const isTold = opening.distance !== null || opening.nights !== 0 || opening.days !== 0;
  return past === "known" && isTold ? opening : null;
}

export function toItem(id: string, v: Values, was: FileItem, units: Units): unknown {
  return {
    ...was,
    id,
    currency: orNull(v.currency) ?? parsePrice(v.price)?.currency ?? null,
    instead: v.state === "wished" ? orNull(v.instead) : null,
    ratings: told({
      label: labelOf(v, units),
      rValue: parseNumber(v.rValue),
      wattHours: wattHoursOf(v),
      litres: litresOf(v.litres, was.ratings?.litres, pouredUnit(units)),
      packed: litresOf(v.packed, was.ratings?.packed, roomUnit(units)),
      volume: litresOf(v.volume, was.ratings?.volume, roomUnit(units)),
      comfortableLoad: orNull(withUnit(v.comfortableLoad, units.weight === "g" ? "kg" : "lb")),
      empty: orNull(withUnit(v.empty, units.weight)),
      lumens: parseNumber(v.lumens),
    }),
    name: v.name,
    kind: v.kind,
    weights: weighed(v, was, units),
    stow: orNull(v.stow),
    bag: v.stow === "bag" ? orNull(v.bag) : null,
    load: orNull(v.load),
    cover: v.cover === "" ? null : v.cover === "yes",
    consequence: orNull(v.consequence),
    pieces: Number(v.pieces),
    past: v.past,
    opening: openingOf(v, was, units),
    acquired: orNull(v.acquired),
    price: v.price.trim() === "" ? null : (parsePrice(v.price)?.amount ?? Number.NaN),
    warranty: orNull(v.warranty),
    expires: orNull(v.expires),
    state: v.state,
    since: orNull(v.since),
    owner: orNull(v.owner),
    lentTo: orNull(v.lentTo),
    delivery: v.state === "wished" ? parseNumber(v.delivery) : null,
    slot: orNull(v.slot),
    set: orNull(v.set),
    note: v.note,
    jobs: v.jobs.length ? v.jobs : null,
    triggers: v.triggers.length ? v.triggers : null,
    services: v.services.map(({ what, every, unit }) => {
      const number = parseNumber(every) ?? Number.NaN;
      return { what, unit, every: unit === "m" ? wearFromNumber(number, "m", units) : number };
    }),
    parts: v.parts.map(({ name, renewed, note }) => ({ name, renewed: orNull(renewed), note })),
  };
}

/** What the record keeps in a list or a pair stands in the form as one field. */
const FORM_FIELDS: readonly (readonly [RegExp, keyof Values])[] = [
  [/^weights/, "weight"],
  [/^opening\.distance/, "openingDistance"],
  [/^opening\.nights/, "openingNights"],
  [/^ratings\.label/, "label"],
  ...(
    ["rValue", "wattHours", "litres", "packed", "volume", "comfortableLoad", "empty", "lumens"] as const
  ).map((field): readonly [RegExp, keyof Values] => [new RegExp(`^ratings\\.${field}`), field]),
];

/** What the form calls a path of the record. */
export const formFieldOf = (path: string): string =>
  FORM_FIELDS.find(([pattern]) => pattern.test(path))?.[1] ?? path;
