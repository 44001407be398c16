/** One pattern of several ways to say a thing, tried in their order. */
export const anyOf = (...ways: readonly RegExp[]): RegExp =>
  new RegExp(ways.map(({ source }) => source).join("|"));

/** A pattern of whole words, a few ways to say them on each line. */
export const word = (...ways: readonly string[]): RegExp => new RegExp(`\\b(${ways.join("|")})\\b`);

/** A long pattern in pieces, read in a row. */
export const pieced = (...pieces: readonly string[]): RegExp => new RegExp(pieces.join(""));

/** What is said where a pattern is met, in the order they are tried. */
export interface Row<Gives> {
  readonly is: RegExp;
  readonly gives: Gives;
}
