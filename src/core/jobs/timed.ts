/** What a clock that ran for so many seconds reads, in the unit that is kept: minutes, or litres a minute. */
export const timedReading = (timed: "minutes" | "litre", seconds: number): number =>
  timed === "minutes" ? seconds / 60 : 60 / seconds;
