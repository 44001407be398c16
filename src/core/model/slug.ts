/** The first letters of a text, so many at most, and never half of a character. */
export const cutTo = (length: number, text: string) => text.slice(0, length).replace(/[\ud800-\udbff]$/, "");

/** A readable id from a name: "Rain shell, pair 2" → "rain-shell-pair-2"; numbered where it is taken. */
export function slug(name: string, taken: ReadonlySet<string>): string {
  const plain =
    cutTo(
      60,
      name
        .normalize("NFKD")
        .replace(/\p{M}/gu, "")
        .toLowerCase()
        .replace(/[^\p{L}\d]+/gu, "-")
        .replace(/^-|-$/g, ""),
    ) || "thing";
  if (!taken.has(plain)) return plain;
  for (let n = 2; ; n++) if (!taken.has(`${plain}-${n}`)) return `${plain}-${n}`;
}
