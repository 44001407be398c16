/** All that a list is read and looked at with. */
export { tableOf } from "./list-read";
export { Looked } from "./looked";
