import path from "node:path";

/** Where the owner's data is kept. */
export const dataFolder = () => path.resolve(/* turbopackIgnore: true */ process.env.NETTLE_DATA || "data");
