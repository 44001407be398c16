/** A stretch of a way, in the units of its picture: from, to, and how high its hill stands. */
export interface Hill {
  readonly from: number;
  readonly to: number;
  readonly top: number;
}

/** The outline of a hill for each stretch, up to its middle and down to its end: a picture of its climb, no profile. */
export const hillsPath = (hills: readonly Hill[], ground: number): string =>
  hills
    .map(({ from, to, top }) => {
      const [middle, quarter] = [(from + to) / 2, (to - from) / 4];
      return (
        `M${from} ${ground}C${from + quarter} ${ground} ${middle - quarter} ${top} ${middle} ${top}` +
        `S${to - quarter} ${ground} ${to} ${ground}`
      );
    })
    .join("");
