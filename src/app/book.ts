import { cache } from "react";
import { readLatest } from "./reading";

/** The log, opened and judged; the same for the whole of a request. */
export const readBook = cache(readLatest);
