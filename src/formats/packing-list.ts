import Papa from "papaparse";
import type { Stow } from "@/core/model";
import { FORMULA } from "./items-csv";
import { inMarkdown } from "./markdown";

/** A thing as a list to hand on has it. */
export interface ListLine {
  readonly name: string;
  readonly stow: Stow;
  /** In the owner's units; blank where it was never weighed. */
  readonly weight: string;
  readonly grams: number | null;
  readonly pieces: number;
}

/** A list as a table: place, thing, pieces, weight as it is said, grams. */
export const listAsCsv = (lines: readonly ListLine[]): string =>
  `${Papa.unparse(
    {
      fields: ["where", "thing", "pieces", "weight", "grams"],
      data: lines.map(({ stow, name, pieces, weight, grams }) => [
        stow,
        name,
        pieces,
        weight,
        grams === null ? "" : Math.round(grams),
      ]),
    },
    { newline: "\r\n", escapeFormulae: FORMULA },
  )}\r\n`;

/** A list as Markdown, with a box to tick before each thing, by where it rides. */
export function listAsMarkdown(
  title: string,
  about: string,
  pockets: readonly (readonly [place: string, lines: readonly ListLine[]])[],
): string {
  return [
    `# ${inMarkdown(title)}`,
    "",
    inMarkdown(about),
    ...pockets.flatMap(([place, lines]) => [
      "",
      `## ${place}`,
      "",
      ...lines.map(
        ({ name, weight, pieces }) =>
          `- [ ] ${inMarkdown(name)}${pieces > 1 ? ` ×${pieces}` : ""}${weight ? `, ${weight}` : ""}`,
      ),
    ]),
    "",
  ].join("\n");
}
