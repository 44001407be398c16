import type { Finding, Reason } from "./finding";

/**
 * Reasons that no wish, word or older ruling overrules, and nothing silences: frost, dates, what is dangerous
 * unseen.
 */
const LAW: readonly Reason[] = [
  "froze",
  "past its date",
  "unknown past",
  "spoilt by mould",
  "frost nobody noted",
];

export const isLaw = ({ reason }: Pick<Finding, "reason">): boolean => LAW.includes(reason);
