import type { OwnLives } from "@/core/compare/own-lives";
import type { Settings } from "@/core/model";

/** What every part of the form of numbers is given. */
export interface NumbersFormProps {
  readonly settings: Settings;
  readonly lives: Readonly<Record<string, OwnLives>>;
  readonly errors: Readonly<Record<string, string>>;
  readonly keep: (next: Settings) => void;
}

/** The look of a part's title. */
export const HEAD = "mb-2 border-b-2 border-ink pb-1 text-lg";
