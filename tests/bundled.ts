/** What unit tests run that is no module of theirs: the reader of files, in its worker. */
export { bundle as default } from "../scripts/setup.mjs";
