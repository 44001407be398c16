"use client";

import { useState } from "react";
import type { Strength, Trigger } from "@/core/model";
import type { WeatherDay } from "@/core/weather/desk";
import { count, sayTemperature, type Units } from "@/core/units/speak";
import { AskDesk } from "@/ui/form/ask-desk";

interface WeatherTold {
  readonly days: readonly WeatherDay[];
  readonly conditions: Partial<Record<Trigger, Strength>>;
}

/** Asks the weather desk for a trip's days, and fills in what they make of it. */
export function AskWeather({
  places,
  starts,
  ends,
  units,
  onTold,
}: {
  places: readonly string[];
  starts: string;
  ends: string;
  units: Units;
  onTold: (conditions: WeatherTold["conditions"]) => void;
}) {
  const [told, setTold] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const ask = async (place: string) => {
    setTold(undefined);
    setWrong(undefined);
    try {
      const asked = new URLSearchParams({ place, from: starts, to: ends || starts });
      const answer = await fetch(`/api/weather?${asked}`);
      const said = (await answer.json()) as WeatherTold & { why?: string };
      if (!answer.ok) return setWrong(said.why);
      setTold(sayWeather(said.days, units));
      onTold(said.conditions);
    } catch {
      setWrong("The weather desk does not answer. You can still say it by hand.");
    }
  };
  return (
    <AskDesk places={places} onAsk={(place) => void ask(place)}>
      <div aria-live="polite">
        {told && <p className="mt-1 text-leaf">{told} Filled in below.</p>}
        {wrong && <p className="error mt-1">{wrong}</p>}
      </div>
    </AskDesk>
  );
}

function sayWeather(days: readonly WeatherDay[], units: Units): string {
  const lows = days.map(({ low }) => low);
  const wet = days.filter(({ rain }) => rain >= 1).length;
  const doubt = Math.max(...days.map((day) => day.doubt));
  const degrees = units.temperature === "C" ? doubt : doubt * 1.8;
  return `${count(days.length, "day")}: lows of ${sayTemperature(Math.min(...lows), units)} to ${sayTemperature(Math.max(...lows), units)}, rain on ${wet}${doubt > 0 ? `; a forecast, ${degrees.toFixed(0)} °${units.temperature} either way four times in five` : ""}.`;
}
