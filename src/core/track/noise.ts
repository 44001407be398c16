/** A rise counts once it is this much, in metres: below it lies the noise of barometers and satellites. */
export const ASCENT_NOISE_M = 5;
