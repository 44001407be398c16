/** What reads a line of the shelf as it is typed: the thing, and what it may take over from. */
export { mayTakeOver } from "./new-thing";
export { parseLine } from "./parse-line";
