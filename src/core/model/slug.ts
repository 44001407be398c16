/** A readable id from a name: "Rain shell, pair 2" → "rain-shell-pair-2"; numbered where it is taken. */
export function slug(name: string, taken: ReadonlySet<string>): string {
  const plain =
    name
      .normalize("NFKD")
      .replace(/\p{M}/gu, "")
      .toLowerCase()
      .replace(/[^\p{L}\d]+/gu, "-")
      .replace(/^-|-$/g, "")
      .slice(0, 60)
      // Not half of a character.
      .replace(/[\ud800-\udbff]$/, "") || "thing";
  if (!taken.has(plain)) return plain;
  for (let n = 2; ; n++) if (!taken.has(`${plain}-${n}`)) return `${plain}-${n}`;
}
