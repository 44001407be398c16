import type { Reason } from "../../reasons/finding";

/**
 * The practitioner's rule behind each reason, in a sentence; docs/verdicts.md lists them. Common practice, no
 * source, unless it says so.
 */
export const RULE_WORDS: Readonly<Record<Reason, string>> = {
  froze:
    "A filter that froze wet, or may have in hard frost, is replaced: frost damage can't be seen or tested at home.",
  "past its date":
    "What is past the date on its label, or will be before the planned trip ends, is replaced.",
  "used up": "What is used up is bought again before the next trip.",
  "beyond mending":
    "What failed, and can't be mended, is worn out, or failed by its making, is replaced; " +
    "a defect is exchanged or another design chosen.",
  "fault came back": "A fault that came back after two repairs is not mended a third time.",
  "too dear to mend": "Where the repairs and this one top half the price of a new one, it is replaced.",
  "wear to be seen":
    "Wear that can be seen, graded 2 of 5 or less, on what does not come back by mending (cloth, " +
    "soles, foam), is replaced; condition overrules miles.",
  "reading at its limit": "A reading at or below its kind's limit ends it; flow and loft are serviced first.",
  "short of pieces":
    "A set short of pieces is made whole, not thrown out, unless it went on as well without them.",
  "unknown past": "A filter of unknown past is not trusted.",
  "spoilt by mould": "Mould inside what is drunk from or blown into ends it.",
  "can't be relied on":
    "What can't be mended, lets its owner down now and then and is graded 2 of 5 or less, is not to be relied on.",
  "life used up":
    "Where going on is expected to cost more than a new one, a thing that wears out and is trip-ending or dangerous is replaced once its life is nearly used up; others only on readings or the owner's own earlier lives.",
  "too old": "Plastic that ages is looked at after a season.",
  "gone and done": "A thing that wore out or was lost, and has been replaced, is told as done.",
  "buy again":
    "Lost, worn out or spoilt, used on most of its chances, not disliked, and nothing fills its slot: buy again.",
  "gone unloved": "Gone while unused or disliked, or while another did its job: nothing to buy.",
  "gone for another": "Left for another of its slot after a complaint: a swap, done.",
  "gone when done with": "Gone with its work done: nothing to judge.",
  "open trouble":
    "Open damage or failure that can be mended and is worth the trouble is mended; " +
    "damage that leaves it sound (4 or 5) is only watched.",
  "comes back by service":
    "Leaks, clogs, lost loft and loose locks get service first, then proof; " +
    "come back after that, the thing is mended or replaced.",
  "flat or empty": "Flat or empty is not broken: charged, filled, measured.",
  "worn but serviceable": "What annoys by wear is seen to first: cleaned, tightened, washed, reproofed.",
  "wet through": "What the weather wetted is dried, and washed if the loft stays down.",
  "due by count":
    "A service is due by its count of wear since the last; one whose need shows in use is only reminded of.",
  "own service":
    "A service that its owner wants done is due by the owner's own count, and nothing else is settled by it.",
  "treatment spent": "A treatment holds for its days or washes, whichever are over first.",
  "after a patch": "After a patch it is tried at home before it is relied on.",
  "each season": "Once a year of use a look is due.",
  "after store":
    "After about a hundred days without a trip, what store can spoil is looked at before the first trip out.",
  "look it over":
    "Where only the rule of thumb worries, and a look costs less than being wrong, " +
    "the thing is looked over; graded 3 or better it is quiet until a quarter more wear.",
  "frost nobody noted":
    "A light frost that nobody noted is asked about and looked into, not acted on by a guess.",
  "unknown contents": "A kit that somebody else filled counts as cover once it has been gone through.",
  "on loan": "A call for help must go out in its owner's name.",
  "nearly empty": "Contents opened or nearly used up are restocked at once, whatever the date.",
  "found wanting": "What was looked at between trips and found middling is seen to before it is trusted.",
  "mended, not tried":
    "Mended, serviced or altered, and not yet used in what matters to it, " +
    "a thing whose failure ends a trip is tried near home; a dry trip proves no seam.",
  "new, not tried":
    "New, and never out in what matters: tried near home first; one shower or easy night is enough to keep it.",
  "unknown past, not tried": "Of unknown past, and not yet used in what matters: tried near home first.",
  "too much, and only one":
    "Said to be too much, one thing, unused, and no more than a nuisance to lack (or another did its job): leave it.",
  "another did the job":
    "Another thing did its job, its owner said: leave it, never the last of a critical job.",
  disliked: "Refused as awkward or uncomfortable though called for, at least as often as used: leave it.",
  "could have stayed": "Named at the look back as one that could have stayed: a refusal.",
  "sent home unused": "Sent home on the way while hardly wanted: leave it.",
  "seldom wanted":
    "Unused on the chances that the school asks for, and the 80th percentile of P(use | called) below its line: leave it. Never cover, nor what is dangerous to lack.",
  "seldom over weeks":
    "Once or twice in weeks, though what calls for it was there all along, is dead weight for the rest.",
  "no call for it":
    "A thing for a season, a place, bugs or long carries, idle without them: brought when they are expected; what any day's weather may ask for, only when the idle chances are many.",
  "used only with":
    "Used with one weather and refused without it, or complained of in one weather alone: brought by that weather.",
  "sent away after use": "Used and then sent home: for the part of the way that wants it.",
  "each for its season": "Of two owned for one job that never went together, each is for its season.",
  "not needed there":
    "The only bag, filter or stove on a walk that did not need it: brought on walks that do.",
  "part of a long walk":
    "A season's or long carry's thing used on a third of a long walk's days or fewer: for that part.",
  "too much of it": "It earns its place, but there is too much of it: fewer pieces, or less of a kit.",
  "carried home": "A third or more of food or fuel carried home, and the trip not cut short: less of it.",
  "hardly opened": "A full kit unopened for weeks is slimmed to what counts; cover stays.",
  complaint:
    "Used and needed, and complained of on its only chances or on a good share of them: " +
    "swapped, the complaint repeated; once among many it is kept.",
  "wrong for its nights":
    "Too cold or too hot on two nights and a third of those noted: another, or for other nights.",
  "lighter one owned": "Another owned thing for the same job, used and liked, weighs far less.",
  missed: "Missed once: a leaning. Missed twice, or once where that was dangerous or ended the trip: added.",
  "take it along": "Missed, owned and left at home: taken along.",
  "nothing does it": "One of the ten essential systems that nothing on a list said to be whole does.",
  cover: "Cover that stayed shut did its job.",
  "backup to another": "A critical job may have one backup.",
  "needed when wanted": "What is dangerous or trip-ending to lack is not judged by use.",
  "earns its place": "No other rule speaks.",
  "nearly gone":
    "Of what is used up and bought again, a fifth or less is left: the next is bought before the trip.",
  "your word":
    "What its owner says outright to do with it leads, unless frost, " +
    "a date or danger speaks, until something new speaks against it.",
  "made the trip": "Named as one that made the trip: a swap is then only a watch.",
  "no call yet": "An unused mark is no verdict where nothing called.",
  "too light to argue": "What weighs next to nothing is not worth an argument.",
  "for joy": "Hobby weight is dropped only by its owner's own word.",
  "too early to say": "Fewer unused chances than the school asks for.",
  "forgotten, not refused": "Forgotten is not refused.",
  "cut short": "A trip cut short says little of what was kept for its last days.",
  "weather, not the thing": "Weather on a thing that works again is no fault of its own.",
  "lives with it": "Damage that leaves the job done is watched.",
  "said once among many": "One complaint among several good chances is repeated, not acted on.",
  "lived with": "What its owner has borne for so long, and so often, is not asked about again.",
  "last of its job":
    "What each thing by itself is told is followed together: of what does a job of the kit, one stays.",
  "no marks yet": "Nothing is known yet.",
  "at home": "A thing never taken along, and not on the plan, is at home.",
  "your ruling": "An owner's ruling stands until something new speaks.",
};
