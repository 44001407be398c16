/** What was asked for can't be kept: the transaction that it was part of is undone. The message is for the owner. */
export class Refused extends Error {
  /** There is no room left to write in; with more of it, the same may be asked again. */
  readonly wantsRoom: boolean;
  /** Of what was asked, the field that it lies in; "" for all of it. */
  readonly field: string;

  constructor(message: string, { field = "", wantsRoom = false } = {}) {
    super(message);
    this.name = "Refused";
    this.field = field;
    this.wantsRoom = wantsRoom;
  }
}

/** PostgreSQL's word for what went wrong, or the system's; undefined where it is neither's. */
export const codeOf = (error: unknown): string | undefined =>
  error instanceof Error && "code" in error ? String(error.code) : undefined;

/** PostgreSQL: what is named is not there, or was taken off meanwhile. */
export const NOT_THERE = "23503";

/** Told by its name: the server's start and its pages are bundled apart, each with a class of its own. */
export const isRefused = (error: unknown): error is Refused =>
  error instanceof Error && error.name === "Refused";
