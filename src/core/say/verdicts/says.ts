import type { Book } from "../../ledger/book";
import type { Departure } from "../../ledger/history";
import { tellsOfBed } from "../../ledger/nights";
import type { Case } from "../../decide/case";
import { leaningOn } from "../../decide/law";
import type { Finding, Reason, ReasonFacts } from "../../reasons/finding";
import {
  capital,
  several,
  grouped,
  inWords,
  someOf,
  listWords,
  percent,
  sayDay,
  sayLong,
  sayMass,
  sayTemperature,
  times,
  type Units,
} from "../../units/speak";
import {
  betterThan,
  nameOfJob,
  complaintWords,
  onTrips,
  quoted,
  sayCaller,
  sayCost,
  sayDeparture,
  sayLeft,
  sayReading,
  sayTriggers,
  sayTrouble,
  symptomWords,
  theThing,
  sayIdleWay,
} from "../words";
import { sayRule, sayServiceCount, sayWear } from "../wear";
import type { FullItem } from "../../trade/full-item";
import { VERBS } from "../../trade/verbs";

/** What a sentence is made from beside its own facts. */
interface Speaking {
  readonly one: Case;
  readonly finding: Finding;
  readonly book: Book;
  readonly units: Units;
  readonly currency: string;
}

type Say<R extends Reason> = (facts: ReasonFacts[R], told: Speaking) => string;

/** Reasons to add something have no item to speak of; they are said in `says-to-add.ts`. */
type OfAThing = Exclude<Reason, "missed" | "take it along" | "nothing does it">;

/** One sentence or two of plain evidence, then the advice. */
export function says(one: Case, finding: Finding & { readonly keeps?: FullItem }): string {
  const { settings } = one.book;
  const told = { one, finding, book: one.book, units: settings.units, currency: settings.currency };
  const say = SENTENCES[finding.reason as OfAThing] as Say<Reason>;
  return `${say(finding.facts, told)}${notBoth(finding)}${ofAnother(one, finding)}`;
}

/** Where either may go and not both: which stays. */
const notBoth = ({ keeps }: { readonly keeps?: FullItem }) =>
  keeps ? ` One of the two stays: ${theThing(keeps)}, used last.` : "";

/** What went wrong with a borrowed thing is its owner's to hear. */
const ofAnother = ({ item: { owner } }: Case, { verb, done }: Finding) =>
  owner !== null && !done && VERBS[verb].warns ? ` It is ${owner}’s: tell them.` : "";

/** What follows a leaning, where nothing around it says so already. */
export const SETTLES = "One more trip like it settles it.";

/** Advice, as sure as it is: a leaning says so. */
function advise(advice: string, { finding: { sureness } }: Speaking): string {
  return sureness === "leaning" ? `Leaning: ${advice}.` : `${capital(advice)}.`;
}

const last = ({ one }: Speaking) => one.marked.at(-1);
const lastNote = (told: Speaking) => quoted(last(told)?.mark.note);
const on = ({ finding, book }: Speaking) => onTrips(finding.trips, book);

/** "twice", "three times in five weeks on …". */
const saidSo = (facts: { readonly times: number }, told: Speaking) =>
  facts.times === 1 ? `once, ${on(told)}` : `${times(facts.times)}`;

const covered = ({ one: { item, history } }: Speaking) => {
  const on = history.open?.on ?? "";
  return item.warranty !== null && (item.warranty === "life" || item.warranty >= on);
};

const elsewhere = (told: Speaking) => {
  const cause = told.one.history.open?.cause ?? null;
  if (covered(told) && (cause === "defect" || told.one.item.warrantyCovers === "wear"))
    return "Claim on the warranty first.";
  return cause === "defect" || cause === "poor design"
    ? "Exchange it, or choose another design."
    : "Replace it.";
};

const SENTENCES: { readonly [R in OfAThing]: Say<R> } = {
  froze: ({ how, outing, hard }, told) => {
    const where = outing ? `on ${outing.trip.name}` : "in store";
    if (how === "froze") return `It froze wet ${where}. Replace it now.`;
    if (how === "unknown")
      return (
        `There was ${hard ? "hard frost" : "frost"} ${where}, ` +
        `and nobody knows whether it froze${lastNote(told)}. Replace it: it can't be tested.`
      );
    return `Used in hard frost ${where}, and nobody noted that it was kept warm. Replace it, unless it was.`;
  },
  "past its date": ({ expires, daysLeft, falls }, { book }) => {
    if (falls === "on the trip")
      return `Its date, ${sayDay(expires)}, falls before ${book.next.name} ends. Replace it before you go.`;
    if (falls === "soon")
      return `Its date is ${several(daysLeft, "day")} off, ${sayDay(expires)}. Replace it.`;
    return `Its date was ${sayDay(expires)}${daysLeft < -60 ? `, ${sayLong(-daysLeft)} ago` : ""}. Replace it.`;
  },
  "used up": (_, told) => `Used up ${on(told)}. Buy the next before you go.`,
  "nearly gone": ({ left }, told) =>
    left === 0
      ? `Used up ${on(told)}. Buy the next before you go.`
      : `About ${percent(left)} of it was left after ${on(told).replace(/^on /, "")}. Buy the next before you go.`,
  "beyond mending": ({ trouble, why }, told) => {
    const because = {
      gone: "It is gone.",
      worn: "It is worn out.",
      defect: "A fault of its making, not of wear.",
      "no mending": "It can't be mended.",
    }[why];
    return `${capital(sayTrouble(trouble))}. ${because} ${elsewhere(told)}`;
  },
  "fault came back": ({ trouble, repairs }, told) =>
    `${capital(sayTrouble(trouble))}, though it was mended ${times(repairs)} before. ${elsewhere(told)}`,
  "too dear to mend": ({ trouble, spent, price }, { currency }) =>
    `${capital(sayTrouble(trouble))}. Mending it again would bring the repairs to about ${currency}${Math.round(spent)}, of a price of ${currency}${price}. Replace it.`,
  "wear to be seen": ({ condition, trouble, on: day }, told) => {
    const seen = trouble ? capital(sayTrouble(trouble)) : `Graded ${condition} of 5 on ${sayDay(day)}`;
    const graded = trouble && condition !== null ? `, graded ${condition} of 5` : "";
    const claims = covered(told) && told.one.item.warrantyCovers === "wear";
    const advice = claims ? "claim on the warranty, which covers wear" : "replace it";
    return `${seen}${graded}. That does not come back: ${advice}.`;
  },
  "reading at its limit": ({ rule, value, on: day }) =>
    `Its ${rule.what} was ${sayReading(rule, value)} on ${sayDay(day)}; ` +
    `${sayReading(rule, rule.limit)} is where it is done. Replace it.`,
  "short of pieces": ({ out, of }, told) =>
    `${capital(someOf(out, of))} gone ${on(told)}. Replace what is missing, not the set.`,
  "unknown past": () =>
    "It came to you used, and nobody knows whether it ever froze wet. Replace it before you rely on it.",
  "spoilt by mould": (_, told) =>
    `Mould inside ${on(told)}${lastNote(told)}. That does not come out of a thing like this: replace it.`,
  "can't be relied on": ({ condition }, told) =>
    `It lets you down now and then${lastNote(told)}, and was graded ${condition} of 5. ` +
    `That can't be mended: replace it.`,
  "life used up": ({ worn, givesOut, unit }, { book, units, one }) =>
    `${sayWear(worn, unit, units)} on it, ${sayLeft(one.left, unit, units)}. ` +
    `${chanceWords(givesOut)} to give out on ${book.next.name ?? "a usual trip"}. Replace it before then.`,
  "too old": ({ from, limit }) => {
    const long = limit === 365 ? "a season" : sayLong(limit);
    return (
      `In use since ${sayDay(from)}; one of these is good for about ${long}. ` +
      `Look at it closely; a new one costs little.`
    );
  },

  "gone and done": ({ departure, by }) => {
    const then = by ? `${capital(theThing(by))} took its place: done.` : "Nothing more is known of it.";
    return `${capital(sayDeparture(departure))}. ${then}`;
  },
  "buy again": ({ departure }, told) => {
    const liked = departure.how === "lost" && last(told)?.mark.troubles.length === 0;
    const advice = liked
      ? "It was liked: buy the same again."
      : "Buy another, if you still want what it did.";
    return `${capital(sayDeparture(departure))}, and nothing you own fills its place. ${advice}`;
  },
  "gone unloved": ({ departure, because }) => {
    const why = {
      unused: "It was hardly wanted",
      disliked: "It was not liked",
      doubled: "Another does its job",
    }[because];
    return `${capital(sayDeparture(departure))}. ${why}: nothing to buy.`;
  },
  "gone for another": ({ departure, by }) =>
    `${capital(sayDeparture(departure))}${whyGone(departure)}${quoted(departure.mark?.note)}${by ? `; ${theThing(by)} took its place` : ""}. Done.`,
  "gone when done with": ({ departure }) =>
    `${capital(sayDeparture(departure))}, its work done. Nothing to judge.`,

  "open trouble": ({ trouble, patched, mishap }, told) => {
    const held = patched ? " The patch held the trip out; mend it properly." : " Mend it.";
    const exchange = covered(told)
      ? " The warranty should cover it."
      : " If it is new, an exchange is as good.";
    const claim = trouble.cause === "defect" ? exchange : "";
    return `${capital(sayTrouble(trouble))}.${mishap ? " A mishap: the thing itself is sound." : ""}${held}${claim}`;
  },

  "comes back by service": ({ trouble, symptom, what }, told) => {
    const seen = trouble ? sayTrouble(trouble) : `${symptom ?? "not as it was"} ${on(told)}${lastNote(told)}`;
    return `${capital(seen)}. First ${what}; if that does not do it, replace it.`;
  },
  "flat or empty": (_, told) =>
    `Flat or empty ${on(told)}, not broken${lastNote(told)}. Charge or fill it, and measure how long it holds.`,
  "worn but serviceable": ({ what }, told) =>
    `It annoyed by wear ${on(told)}${lastNote(told)}. First ${what}.`,
  "wet through": (_, told) =>
    `Wet or damp ${on(told)}, which was the weather and no fault of its own${lastNote(told)}. ` +
    `Dry it through; wash it if the loft stays down.`,
  "due by count": ({ what, since, every, unit, last: day }, { units }) =>
    `${sayWear(since, unit, units)} ${day ? `since ${sayDay(day)}` : "since new"}; ` +
    `due at ${sayRule(every, unit, units)}: ${what}.`,
  "own service": ({ what, since, every, unit, last: day }, { units }) =>
    `${capital(what)}: ${sayServiceCount(since, unit, units)} ${day ? `since ${sayDay(day)}` : "so far"}, ` +
    `and you want it done every ${sayServiceCount(every, unit, units)}.`,
  "treatment spent": ({ what, days, washes, from }) => {
    const since = days !== null ? several(days, "day") : several(washes!, "wash", "washes");
    return `${capital(since)} since ${sayDay(from)}: it has worn off. Before it is wanted, ${what}.`;
  },
  "after a patch": ({ what, on: day }) => `Mended on ${sayDay(day)} and not tried since: ${what}.`,
  "each season": ({ what, nights, last: day }) =>
    `${capital(several(nights, "night"))} out since ${day ? `it was last seen to on ${sayDay(day)}` : "its first trip"}: ${what}.`,
  "after store": ({ whats, days }) =>
    `${capital(sayLong(days))} in store. Before its first trip out: ${listWords(whats, "and")}.`,
  "look it over": ({ worn, unit }, { units, one }) => {
    const [reading] = one.kind.readings;
    const measure = reading && reading.what !== "condition" ? `, or measure its ${reading.what}` : "";
    return `${sayWear(worn, unit, units)} on it, and by the trade's rule of thumb ${sayLeft(one.left, unit, units)}. Yours may last longer: grade it 0 to 5${measure}.`;
  },
  "frost nobody noted": ({ outing, how }, told) => {
    const [verb, note] = how === "unknown" ? ["knows", lastNote(told)] : ["noted", ""];
    return (
      `A light frost on ${outing?.trip.name}, and nobody ${verb} whether it was kept warm${note}. ` +
      `Say so if it was; if not, try its flow, and replace it if in doubt.`
    );
  },
  "unknown contents": () =>
    "It came to you filled by somebody else. Go through it, read the dates, restock it: then it counts as cover.",
  "on loan": ({ on: day }) =>
    `On loan since ${sayDay(day)}, and registered to somebody else. ` +
    `See to registration and a test message before it counts.`,
  "nearly empty": ({ left }) =>
    `${left === 0 ? "Empty" : `About ${percent(left)} left`} after the last trip. Restock it.`,
  "found wanting": ({ condition, on: day, what }, { one }) => {
    const entry = one.book.entriesOf(one.item.id).at(-1);
    const seen = entry?.symptoms.length ? capital(symptomWords(entry.symptoms)) : `Graded ${condition} of 5`;
    return (
      `${seen} when you looked on ${sayDay(day)}${quoted(entry?.note)}. ` +
      `${what ? capital(what) : "See to it"} before you trust it.`
    );
  },

  "mended, not tried": ({ on: day, needs }, { one }) => {
    const how = one.item.altered?.on === day ? ` (${one.item.altered.what})` : "";
    const since = needs.length ? `no ${sayTriggers(needs)} since` : "not used since";
    return `Mended or serviced on ${sayDay(day)}${how}, and ${since}. Try it near home first.`;
  },
  "new, not tried": ({ needs, used }) =>
    `New, and ${used ? `no ${sayTriggers(needs)} yet` : "not used yet"}. ` +
    `${used ? "Kept; wet it" : "Try it"} near home before you rely on it.`,
  "unknown past, not tried": ({ needs, used }) =>
    `Its past is unknown, and ${used ? `it has met no ${sayTriggers(needs)} with you` : "you have not used it yet"}. Try it near home first.`,

  "too much, and only one": (facts, told) =>
    `You said that it was too much, ${saidSo(facts, told)}, and it stayed unused. ${advise("leave it", told)}`,
  "another did the job": (facts, told) => {
    const said = facts.times === 1 ? `, ${on(told)}` : ` ${saidSo(facts, told)}`;
    return (
      `${facts.by ? capital(theThing(facts.by)) : "Another thing"} did its job, you said${said}. ` +
      `${advise("leave it", told)}`
    );
  },
  disliked: (facts, told) =>
    `Left unused because it was ${facts.why}, ` +
    `${saidSo(facts, told)}${facts.times === 1 ? lastNote(told) : ""}. ${advise("leave it", told)}`,
  "could have stayed": (facts, told) => {
    const said = facts.times === 1 ? `, ${on(told)}` : ` ${saidSo(facts, told)}`;
    return (
      `You named it as one that could have stayed${said}; ${usedOn(facts.used, facts.trips, told)}. ` +
      `${advise("leave it", told)}`
    );
  },
  "sent home unused": (_, told) =>
    `Sent home on the way and hardly wanted, ${on(told)}. ${advise("leave it", told)}`,
  "seldom wanted": ({ chances, uses }, told) => {
    const { one, units } = told;
    const used = uses === 0 ? "Never used" : `Used on ${several(uses, "trip")}`;
    const { deadGramMetres } = one.totals;
    const dead = deadGramMetres > 0 ? `, ${sayIdleWay(one, units)} carried for nothing` : "";
    const of = Math.max(1, Math.round(chances + one.use.taken));
    return `${used} in ${of === 1 ? "its one chance" : `${inWords(of)} chances`}${dead}. ${advise("leave it", told)}`;
  },
  "seldom over weeks": ({ days, out }, told) =>
    `Wanted on ${someOf(days, out)} days, and dead weight for the rest. ${advise("leave it", told)}`,

  "no call for it": ({ trips }, told) => {
    const words = sayTriggers(told.finding.when!.triggers);
    const used = told.one.use.calledUsed.length;
    const idle = `idle ${trips === 1 ? on(told) : `on ${several(trips, "trip")}`}`;
    return `${used ? `Used with ${words} (${several(used, "trip")}), ${idle} without` : `No ${words} yet: ${idle}`}. Bring it only when you expect ${words}.`;
  },
  "used only with": ({ caller, used, idle }) =>
    `Used on ${several(used, "trip")} with ${sayCaller(caller)}, not wanted on ${inWords(idle)} without. ` +
    `Bring it when you expect ${sayCaller(caller)}.`,
  "sent away after use": ({ days, out }, told) => {
    const words = sayTriggers(told.finding.when!.triggers);
    return (
      `Used${days === null ? "" : ` on ${someOf(days, out)} days`}, and then sent home. ` +
      `Bring it for ${words || "the part of the way that wants it"}.`
    );
  },
  "each for its season": ({ other, caller }, told) =>
    `Yours for ${sayCaller(caller)}${comfortWords(told)}, with ${theThing(other)} for the rest. ` +
    `Bring it when you expect ${sayCaller(caller)}.`,
  "not needed there": (facts, told) =>
    `Not needed ${saidSo(facts, told)}${lastNote(told)}, and nothing else does its job. ` +
    `Leave it on walks like that; bring it on others.`,
  "part of a long walk": ({ days, out }, told) =>
    `Used on ${someOf(days, out)} days, carried on all. ` +
    `Bring it for ${sayTriggers(told.finding.when!.triggers)}, or send it to where it is wanted.`,

  "too much of it": (facts, told) => {
    const enough = facts.enough === null ? "" : `: ${someOf(facts.enough, facts.pieces)} would have done`;
    return (
      `It earns its place, but you said that it was too much, ${saidSo(facts, told)}${enough}. ` +
      `${advise(facts.pieces > 1 ? "take fewer" : "take less of it", told)}`
    );
  },
  "carried home": ({ back, out, unit, trips }, told) =>
    `${grouped(back)} of ${grouped(out)} ${unit || "pieces"} came home${trips > 1 ? `, over ${several(trips, "trip")}` : ` ${on(told)}`}. ${advise("take less", told)}`,
  "hardly opened": ({ days }) =>
    `Not opened in ${sayLong(days)}. What is for comfort may go; the rest stays as cover.`,

  complaint: ({ complaints, better, ...facts }, told) => {
    const what = complaints.length ? `it was ${complaintWords(complaints)}` : "it annoyed you";
    const first = `You used it, and said that ${what}, ${saidSo(facts, told)}${facts.times === 1 ? lastNote(told) : ""}.`;
    if (told.finding.done)
      return `${first} ${better ? `${capital(theThing(better))} took its place: done` : "Done"}.`;
    const instead = better
      ? `take ${theThing(better)}, which you own and like`
      : `look for ${betterThan(complaints) ?? "another"}`;
    return `${first} ${advise(instead, told)}`;
  },
  "wrong for its nights": ({ felt, nights, of, low, comfort }, told) => {
    const [beyond, advice] =
      felt === "cold"
        ? ["below", "something warmer for nights like those, this for milder ones"]
        : ["above", "a lighter one for nights like those"];
    const at = low === null ? "" : `, at ${sayTemperature(low, told.units)} and ${beyond}`;
    const right = comfort
      ? `; by your nights it is right down to about ${sayTemperature(comfort.median, told.units)}`
      : "";
    return `Too ${felt} on ${someOf(nights, of)} nights noted${at}${right}. ${advise(advice, told)}`;
  },
  "lighter one owned": ({ other, grams }, { units }) =>
    `${capital(theThing(other))}, which you own and have used, ` +
    `does the same for ${sayMass(grams, units)} less. Take that one, if it is enough for the conditions.`,

  cover: ({ used, trips, contents }) => {
    if (trips === 0) return "Cover: it goes along and, with luck, stays shut.";
    if (used === 0)
      return (
        `Never needed on ${trips === 1 ? "its one trip" : several(trips, "trip")}, ` +
        `and that is the point of it. It stays.`
      );
    return (
      `Needed on ${trips === 1 ? "its one trip" : `${someOf(used, trips)} trips`}. ` +
      `It stays${contents ? "; put back what was used" : ""}.`
    );
  },
  "backup to another": ({ trips, leader }) =>
    `Backup to ${theThing(leader)}, ` +
    `and not needed on ${trips === 1 ? "its one trip" : several(trips, "trip")}. It stays as that.`,
  "needed when wanted": ({ used, trips }, told) =>
    `${usedPhrase(used, trips, told)}, but ${sayCost[told.one.item.consequence]} to lack when it is wanted. It stays.`,

  "earns its place": (facts, told) => {
    const { worth } = facts;
    const weight = worth !== null && worth >= 1 ? `, worth ${timesOver(worth)} its weight` : "";
    return `${earnedIt(facts, told)}${weight}${lean(told)}. Keep it.${mayGiveOut(told)}`;
  },
  "your word": ({ call, complaints }, told) => {
    const wrong = complaints.length ? ` (${complaintWords(complaints)})` : "";
    const { when } = told.finding;
    const weather =
      when && when.triggers.length > 0 ? ` there is ${sayTriggers(when.triggers)}` : " it will be called for";
    const advice: Readonly<Record<typeof call, string>> = {
      "bring again": "to bring it again",
      "bring when": `to bring it when${weather}`,
      leave: "to leave it",
      fix: "to see to it",
      replace: "to replace it",
      "try something else": "to try something else",
    };
    return `You said ${on(told)} ${advice[call]}${wrong}.`;
  },
  "made the trip": (_, told) => `Named as one of those that made the trip, ${on(told)}. Keep it.`,
  "no call yet": ({ trips }) =>
    `Nothing has called for it yet, ${trips === 1 ? "on its one trip" : `on ${several(trips, "trip")}`}. ` +
    `That says nothing against it.`,
  "too light to argue": ({ used, trips }, told) =>
    `${usedPhrase(used, trips, told)}, and too light to argue about.`,
  "for joy": ({ used, trips }, told) =>
    `${usedPhrase(used, trips, told)}. Carried for joy, so judged by you alone.`,
  "too early to say": ({ trips }) =>
    `Not used on ${trips === 1 ? "its one trip" : several(trips, "trip")} yet. Too early to say.`,
  "forgotten, not refused": () => "Forgotten, not refused. Put it where you will find it.",
  "cut short": () => "The trip was cut before its turn came, which says little.",
  "weather, not the thing": (_, told) =>
    `The weather made it so${lastNote(told)}, and it works again. Keep it, and keep it warm and dry.`,
  "lives with it": ({ trouble }) => `${capital(sayTrouble(trouble))}, and it still does its job. Watch it.`,
  "said once among many": ({ complaints, times: n, of }) => {
    const what = complaints.length ? complaintWords(complaints) : "complained of";
    return `Used on ${several(of, "trip")}, and ${what} ${times(n)}. Keep it; said again, it is one to swap.`;
  },
  "lived with": ({ complaints, trips }) =>
    `${capital(complaintWords(complaints))}, and taken on ${several(trips, "trip")} since: you live with it.`,
  "last of its job": ({ job, others }) =>
    others.length === 0
      ? `By itself it might go, but nothing else you take is a ${nameOfJob(job)}. It stays.`
      : `By itself it might go, and so might ${listWords(others.map(theThing), "and")}: ` +
        `one of them has to be the ${nameOfJob(job)}. This one was used last: it stays.`,
  "no marks yet": () => "No marks yet. Take it, and see.",
  "at home": () => "On your shelf, and never taken along yet. At home.",
  "your ruling": ({ reason }) =>
    `Your ruling: it stays${reason ? `, because ${reason.replace(/\.$/, "")}` : ""}.`,
};

/** From so many days out, how many of them it was used on tells more than how many trips. */
const LONG_WALK_DAYS = 14;

function earnedIt(
  { used, trips, days, out, called }: ReasonFacts["earns its place"],
  told: Speaking,
): string {
  if (out >= LONG_WALK_DAYS && days !== null) return `Used on ${days} of ${out} days`;
  if (out >= LONG_WALK_DAYS && trips === 1) return `Used through ${sayLong(out)}`;
  if (called >= trips || called < used) return usedPhrase(used, trips, told);
  if (called === 1) return "Used on the one trip that called for it";
  return `Used on ${used === called ? `all ${inWords(called)}` : someOf(used, called).replace(" of ", " of the ")} trips that called for it`;
}

/** How often it was used, and on how many of these hardly. */
function usedPhrase(used: number, trips: number, { one }: Speaking): string {
  if (used === 0) return `Not used on ${trips === 1 ? "its one trip" : several(trips, "trip")}`;
  const hardly = one.marked.filter(({ mark }) => mark.use === "hardly").length;
  const verb = hardly === used ? "Hardly used" : "Used";
  const rest = hardly > 0 && hardly < used ? `, hardly on ${inWords(hardly)} of them` : "";
  if (trips === 1) return `${verb} on its one trip`;
  const all = trips === 2 ? "both trips" : `all ${inWords(trips)} trips`;
  return `${verb} on ${used === trips ? all : `${someOf(used, trips)} trips`}${rest}`;
}

function usedOn(used: number, trips: number, told: Speaking): string {
  const use = last(told)?.mark.use;
  if (trips === 1 && use === "hardly") return "it was hardly used";
  if (trips === 1) return use === "used" ? "though it was used" : "it was not used";
  return used === 0 ? `never used in ${several(trips, "trip")}` : `used on ${someOf(used, trips)} trips`;
}

/** Why another took its place, where its last marks say. */
function whyGone({ mark }: Departure): string {
  if (mark?.troubles.some((trouble) => trouble !== "nuisance")) return " when it broke";
  return mark?.complaints.length ? " after a complaint" : "";
}

/** It goes along, and may not last the walk ahead: so much is said. */
const mayGiveOut = ({ one: { left, item, book } }: Speaking) =>
  left && left.givesOut > book.rules.tooLikely[item.consequence]
    ? ` ${chanceWords(left.givesOut)} that it gives out on ${book.next.name ?? "a usual trip"}.`
    : "";

/** What leans on it, where something can't do without it. */
const lean = ({ one }: Speaking) => {
  const [first] = leaningOn(one);
  return first ? `, and ${theThing(first)} can't do without it` : "";
};

const comfortWords = (told: Speaking) => {
  const lows = told.book.outings.flatMap(({ trip }) =>
    trip.felt.flatMap((night) =>
      night.felt === "right" &&
      night.low !== null &&
      night.slept.includes(told.one.item.id) &&
      tellsOfBed(night)
        ? [night.low]
        : [],
    ),
  );
  return lows.length ? ` (right at ${sayTemperature(Math.min(...lows), told.units)})` : "";
};

function timesOver(worth: number): string {
  if (worth < 1.5) return "just";
  if (worth < 2.5) return "twice";
  return worth < 9.5 ? `${inWords(Math.round(worth))} times` : "many times";
}

/** A chance in words: "about one in five". */
function chanceWords(chance: number): string {
  if (chance > 0.85) return "Almost sure";
  if (chance > 0.4) return "As likely as not";
  return `About one chance in ${inWords(Math.max(2, Math.round(1 / chance)))}`;
}
