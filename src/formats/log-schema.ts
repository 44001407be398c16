import { z } from "zod";
import { KINDS } from "@/core/trade/kinds";
import { LogFile } from "./log-file";

/** The JSON Schema (2020-12) of the open file, from the schemas that read it. */
export function logSchema(): object {
  const schema = z.toJSONSchema(LogFile, { io: "input", target: "draft-2020-12", unrepresentable: "any" });
  return {
    ...(JSON.parse(JSON.stringify(schema)) as object),
    title: "Nettle Tally log",
    description: `Everything an owner has put in. Kinds: ${KINDS.map(({ id }) => id).join(", ")}; common other words for them are read too.`,
  };
}
