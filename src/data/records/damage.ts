import { codeOf } from "../refused";
/** The files of the log can't be read: a crash of the disk, a copy made half, an emptied file. */
export class FolderDamaged extends Error {
  constructor(files: string, cause?: unknown) {
    super(`The log in ${files} is damaged and can’t be opened.`, { cause });
    this.name = "FolderDamaged";
  }
}

/**
 * PostgreSQL's classes for damaged files (XX) and for what it can't read off the disk (58); its end, where it
 * has no word for it; a catalogue that has gone (42P01).
 */
export const isDamage = (error: unknown): boolean => {
  const code = codeOf(error);
  return code === undefined
    ? error instanceof Error && /Aborted\(\)/.test(error.message)
    : /^(XX|58)/.test(code) || code === "42P01";
};
