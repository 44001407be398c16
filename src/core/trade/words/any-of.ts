/** One pattern of several ways to say a thing, tried in their order. */
export const anyOf = (...ways: readonly RegExp[]): RegExp =>
  new RegExp(ways.map(({ source }) => source).join("|"));
