/** One pattern of several ways to say a thing, tried in their order. */
export const anyOf = (...ways: readonly RegExp[]): RegExp =>
  new RegExp(ways.map(({ source }) => source).join("|"));

/** What is said where a pattern is met, in the order they are tried. */
export interface Row<Gives> {
  readonly is: RegExp;
  readonly gives: Gives;
}
