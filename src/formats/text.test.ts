import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";
import type { z } from "zod";
import { LogFile } from "./log-file";
import { withoutStrays } from "@/core/units/strays";
import { Text } from "@/core/units/text";
import * as model from "@/core/model";

// Source: XML 1.0 (fifth edition), section 2.2, production Char.
test.each(["\0", "\u0001", "\u000b", "\u001f", "\ud800", "a\udc00b", "\ufffe", "\uffff"])(
  "%j is no text",
  (text) => {
    expect(Text.safeParse(text)).toMatchObject({ success: false });
    expect(Text.safeParse(withoutStrays(text)).success).toBe(true);
  },
);
test.each(["", "a\tb\nc\r", "𝕏 é 日本 \u202eאב", "\u00a0\u2028"])(
  "%j is text, and stays as it is",
  (text) => {
    expect(Text.parse(text)).toBe(text);
    expect(withoutStrays(text)).toBe(text);
  },
);

const TEXT_CHECKS = Text._zod.def.checks ?? [];

/** Every plain string within a schema that is not the model's Text; those of a fixed form (a date) are none. */
function bareStrings(schema: z.core.$ZodType, at: string, seen = new Set<z.core.$ZodType>()): string[] {
  if (seen.has(schema)) return [];
  seen.add(schema);
  const def = schema._zod.def as z.core.$ZodTypeDef & Record<string, unknown>;
  if (def.type === "string") {
    const isFormed = "format" in def && def.format !== undefined;
    const checks = (def.checks ?? []) as readonly unknown[];
    return isFormed || TEXT_CHECKS.every((check) => checks.includes(check)) ? [] : [at];
  }
  const parts = ["innerType", "element", "valueType", "keyType", "in", "out", "left", "right"].flatMap(
    (part) => (def[part] ? [[part, def[part] as z.core.$ZodType] as const] : []),
  );
  const many = ["shape", "options", "items"].flatMap((part) =>
    Object.entries((def[part] ?? {}) as Record<string, z.core.$ZodType>),
  );
  return [...parts, ...many].flatMap(([name, part]) => bareStrings(part, `${at}.${name}`, seen));
}

test("every string that a person may type, or a file bring in, is the one Text", () => {
  const schemas = Object.entries({ ...model, LogFile }).filter(
    ([, each]) => typeof each === "object" && each !== null && "_zod" in each,
  ) as [string, z.core.$ZodType][];
  expect(schemas.length).toBeGreaterThan(40);
  expect(schemas.flatMap(([name, schema]) => bareStrings(schema, name))).toEqual([]);
});

/** Where a plain string is meant: Text itself; what the app itself wrote; a calendar's text before it is read. */
const MEANT = ["core/units/text.ts", "data/records/pairings.ts", "app/(notebook)/bench/actions.ts"];

test("no schema elsewhere takes a plain string", () => {
  const files = readdirSync("src", { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file) && !MEANT.includes(file))
    .filter((file) => /z\s*\.string\(/.test(readFileSync(path.join("src", file), "utf8")));
  expect(files).toEqual([]);
});
