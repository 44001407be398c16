import "./messages";
import type { Entry } from "./entry";
import type { Item } from "./item";
import type { Ruling } from "./ruling";
import type { SavedKit } from "./saved-kit";
import type { Settings } from "./settings";
import type { Task } from "./task";
import type { Track } from "./track";
import type { Trip } from "./trip";

/** The records that the trade keeps. One schema each; types follow from it, and so does the open file format. */
export * from "./basics";
export * from "./entry";
export * from "./fact";
export * from "./item";
export * from "./lists";
export * from "./mark";
export * from "./ruling";
export * from "./saved-kit";
export * from "./settings";
export * from "./task";
export * from "./track";
export * from "./trip";
export * from "./words";

/** What an owner has put in, as the advice reads it. */
export interface Log {
  readonly settings: Settings;
  readonly items: readonly Item[];
  readonly trips: readonly Trip[];
  readonly entries: readonly Entry[];
  readonly rulings: readonly Ruling[];
  readonly tasks: readonly Task[];
  readonly kits: readonly SavedKit[];
}

/**
 * The log with its tracks: nothing is judged by them, so they are read only where they are drawn or saved to
 * a file.
 */
export interface WholeLog extends Log {
  readonly tracks: readonly Track[];
}
