import { z } from "zod";
import { jsonIn } from "../answering";
import { Text } from "@/core/units/text";
import { isPairingSecret, pair, PAIRED_COOKIE } from "@/data/records/pairings";

const Asked = z.object({ secret: Text.max(200) });

/** Wrong tries in so many milliseconds after which nobody is let in for a while. */
const MOST_WRONG = 5;
const WITHIN_MS = 60_000;
const YEAR_S = 365 * 24 * 3600;
let wrong: readonly number[] = [];

/** Lets a browser in that tells the secret which was printed where the app was started. */
export async function POST(request: Request): Promise<Response> {
  const now = Date.now();
  wrong = wrong.filter((at) => now - at < WITHIN_MS);
  if (wrong.length >= MOST_WRONG)
    return Response.json({ why: "Too many wrong tries. Wait a minute." }, { status: 429 });
  const asked = Asked.safeParse(jsonIn(await request.text()));
  if (!asked.success || !isPairingSecret(asked.data.secret)) {
    wrong = [...wrong, now];
    return Response.json({ why: "That is not the pairing word of today." }, { status: 403 });
  }
  const cookie = pair(browserIn(request.headers.get("user-agent") ?? ""));
  return Response.json(
    {},
    {
      headers: {
        "set-cookie": `${PAIRED_COOKIE}=${cookie}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Strict`,
      },
    },
  );
}

/** What its owner may know a browser by: "Firefox on Android". */
function browserIn(agent: string): string {
  const find = (names: readonly (readonly [RegExp, string])[]) =>
    names.find(([pattern]) => pattern.test(agent))?.[1];
  const browser = find([
    [/Edg\//, "Edge"],
    [/Firefox\//, "Firefox"],
    [/Chrom(e|ium)\//, "Chromium"],
    [/Safari\//, "Safari"],
  ]);
  const system = find([
    [/Android/, "Android"],
    [/iPhone|iPad/, "a phone"],
    [/Windows/, "Windows"],
    [/Mac OS/, "a Mac"],
    [/Linux/, "Linux"],
  ]);
  return `${browser ?? "A browser"}${system ? ` on ${system}` : ""}`;
}
