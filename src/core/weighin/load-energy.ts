import type { Terrain } from "../model";

/** Body weight where the owner has given none. Common practice, no source. */
export const TYPICAL_BODY_KG = 75;

interface Walking {
  /** Body and load, kg. */
  readonly body: number;
  readonly load: number;
  /** Speed, m/s; grade, %, uphill or level; how heavy the ground goes, 1 on a made road. */
  readonly speed: number;
  readonly grade: number;
  readonly ground: number;
}

/**
 * Power of walking under a load, in watts: M = 1.5W + 2.0(W+L)(L/W)² + η(W+L)(1.5V² + 0.35VG).
 *
 * Source: Pandolf, Givoni, Goldman, J. Appl. Physiol. 43:577, 1977. It was fitted uphill and on the level,
 * for loads up to body weight.
 *
 * @throws RangeError for a grade below 0 (it says nothing of walking downhill), and where body or speed is
 * not above 0
 * @example pandolfWatts({ body: 70, load: 20, speed: 1.2, grade: 5, ground: 1.2 }) // 579.77
 */
export function pandolfWatts({ body, load, speed, grade, ground }: Walking): number {
  if (!(body > 0 && load >= 0 && speed > 0 && grade >= 0))
    throw new RangeError(
      `pandolfWatts: ` +
        `body (${body}) and speed (${speed}) must be above 0, load (${load}) and grade (${grade}) 0 or more`,
    );
  return (
    1.5 * body +
    2 * (body + load) * (load / body) ** 2 +
    ground * (body + load) * (1.5 * speed ** 2 + 0.35 * speed * grade)
  );
}

/**
 * How heavy ground goes (Soule and Goldman, J. Appl. Physiol. 32:706, 1972: road 1, dirt 1.1, brush 1.2 to
 * 1.5, bog 1.8, sand 2.1; from memory). Rock is taken as heavy brush: ours.
 */
const GROUND: Readonly<Record<Terrain, number>> = {
  road: 1,
  soft: 1.1,
  mixed: 1.2,
  rock: 1.5,
  mud: 1.8,
  sand: 2.1,
};

/** A walker's day: 4.5 km/h while moving, in m/s. Common practice, no source. */
export const WALKING_SPEED = 1.25;
const JOULES_PER_KILOCALORIE = 4184;

interface Stretch {
  readonly metres: number;
  readonly ascent: number;
  readonly terrain: Terrain;
}

/**
 * Energy of walking some stretches under a load, in kilocalories. Each is taken as half of it climbing
 * evenly, and half on the level: the equation says nothing of going down.
 */
export function walkingKilocalories(
  stretches: readonly Stretch[],
  { body, load }: Pick<Walking, "body" | "load">,
): number {
  return stretches.reduce((sum, { metres, ascent, terrain }) => {
    if (metres === 0) return sum;
    const half = metres / 2 / WALKING_SPEED;
    const watts = (grade: number) =>
      pandolfWatts({ body, load, speed: WALKING_SPEED, grade, ground: GROUND[terrain] });
    return sum + (half * (watts((100 * ascent) / (metres / 2)) + watts(0))) / JOULES_PER_KILOCALORIE;
  }, 0);
}
