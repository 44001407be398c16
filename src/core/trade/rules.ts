import type { Consequence, Item, KindNumbers, SchoolName, Settings, Terrain } from "../model";
import { TERRAIN_WEAR } from "./ground";
import type { Kind, LifeRule } from "./kind";
import { kindOf } from "./words/names";
import { SCHOOLS, type School } from "./schools";

/**
 * Chance of giving out before the next trip ends that is too much, by what its failing costs. Common
 * practice, no source.
 */
export const TOO_LIKELY: Readonly<Record<Consequence, number>> = {
  danger: 0.1,
  "trip-ending": 0.1,
  discomfort: 0.2,
  nuisance: 0.4,
};

/** The numbers of the trade as one owner has them. */
export interface Rules {
  readonly school: School;
  readonly terrain: Readonly<Record<Terrain, number>>;
  readonly tooLikely: Readonly<Record<Consequence, number>>;
  readonly kindOf: (item: Pick<Item, "kind">) => Kind;
}

/** The trade's numbers with the owner's own in their place; by another school where one is named. */
export function rulesOf(settings: Settings, school: SchoolName = settings.school): Rules {
  const kinds = new Map<string, Kind>();
  return {
    school: { ...SCHOOLS[school], ...settings.schools[school] },
    terrain: { ...TERRAIN_WEAR, ...settings.terrain },
    tooLikely: { ...TOO_LIKELY, ...settings.giveOut },
    kindOf: (item) => {
      const known = kinds.get(item.kind);
      if (known) return known;
      const own = settings.kinds[item.kind];
      const kind = own ? withNumbers(kindOf(item), own) : kindOf(item);
      kinds.set(item.kind, kind);
      return kind;
    },
  };
}

function withNumbers(
  kind: Kind,
  { median, shape, ageDays, limits = {}, services = {}, own = [] }: KindNumbers,
): Kind {
  const life: LifeRule | null = kind.life && {
    ...kind.life,
    median: median ?? kind.life.median,
    k: shape ?? kind.life.k,
  };
  return {
    ...kind,
    life,
    ageDays: ageDays ?? kind.ageDays,
    readings: kind.readings.map((rule) => ({ ...rule, limit: limits[rule.what] ?? rule.limit })),
    ownServices: own,
    services: kind.services.map((rule) => ({
      ...rule,
      ...(services[rule.what] === undefined ? {} : { every: services[rule.what]! }),
    })),
  };
}
