import { z } from "zod";
import { Day } from "@/core/model";
import { conditionsOf } from "@/core/weather/desk";
import { weatherDesk } from "@/standins/weather-desk";
import { today } from "../../reading";

const Asked = z.object({ place: z.enum(weatherDesk.places as [string, ...string[]]), from: Day, to: Day });

/** Days that the desk is asked for at once. */
const MOST_DAYS = 400;

/** What the weather was at a place, or is expected to be (`?place=…&from=…&to=…`), and what that makes of a trip. */
export async function GET(request: Request): Promise<Response> {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success)
    return Response.json(
      { why: "Say the first and the last day first, and choose a place." },
      { status: 400 },
    );
  const { place, from, to } = asked.data;
  const days = await weatherDesk.days(place, from, to, today());
  if (days.length === 0 || days.length > MOST_DAYS)
    return Response.json(
      { why: "Look at the days: the last one comes before the first, or years after." },
      { status: 400 },
    );
  return Response.json({ days, conditions: conditionsOf(days) });
}
