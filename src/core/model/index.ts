import "./messages";
import type { Entry } from "./entry";
import type { Item } from "./item";
import type { Ruling } from "./ruling";
import type { Settings } from "./settings";
import type { Trip } from "./trip";

/** The records that the trade keeps. One schema each; types follow from it, and so does the open file format. */
export * from "./basics";
export * from "./entry";
export * from "./item";
export * from "./mark";
export * from "./ruling";
export * from "./settings";
export * from "./trip";
export * from "./words";

/** Everything an owner has put in: what the open file holds and what the judgement reads. */
export interface Log {
  readonly settings: Settings;
  readonly items: readonly Item[];
  readonly trips: readonly Trip[];
  readonly entries: readonly Entry[];
  readonly rulings: readonly Ruling[];
}
