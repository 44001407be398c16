import { anyOf } from "./any-of";
import type { Complaint, ExitHow, Felt, OwnerCall, Symptom, WhyUnused } from "../../model";

/*
 * How people put it, as rows: another language is another table. A row is read over a clause in plain lower-case words, in which
 * each thing that is named stands as `T`. Common practice, no source.
 */

/** Short and foreign forms, and letters swapped so often that they are words by now. */
export const PLAIN_FORMS: Readonly<Record<string, string>> = {
  nxt: "next",
  teh: "the",
  otu: "out",
  deg: "degrees",
  degs: "degrees",
  grad: "degrees",
  grader: "degrees",
  fin: "fine",
  leer: "empty",
  kaput: "kaputt",
  degree: "degrees",
  degre: "degrees",
  tues: "tue",
  gemütlich: "cosy",
  cozy: "cosy",
  k: "km",
  kms: "km",
  kilometre: "km",
  kilometer: "km",
  kilometres: "km",
  kilometers: "km",
  mi: "mile",
  miles: "mile",
  litre: "l",
  litres: "l",
  liter: "l",
  liters: "l",
  grams: "g",
  gram: "g",
  grammes: "g",
  kilo: "kg",
  kilos: "kg",
  batteries: "batteries",
};

/** Said of no thing at all, though a thing's word is in it: cut out before anything is heard. */
export const IDIOMS: readonly RegExp[] = [
  /\bbroke camp\b/,
  /\b(lost|missed|left|found|off) the (trail|path|way|track|bus|ferry|train|road)\b/,
  /\bstopped for\b.*/,
  /\bshots? of (?!T)/,
  /\bcracked on\b.*/,
  /\bpegged it\b.*/,
  /\bcap on (the|a) (day|week|trip|evening|costs?|spending|whole)\b.*/,
  /\bboot of (the|a) (bus|car|van)\b.*/,
  /\b(gas|petrol|fuel) (station|pump|shop)\b.*/,
  /\b(novel|warm|cool) (idea|welcome|reception)\b.*/,
  /\bswapped (stories|news|names|places|addresses)\b.*/,
  /\bbinned the (plan|idea|route|day)\b.*/,
  /\bthrew up\b.*/,
  /\bleft (early|late|at|before|after)\b/,
  /\bflat (all day|going|walking|ground|stage|road|bit)\b.*/,
  /\bdead (tired|end|ahead|slow|calm|beat|straight|reckoning)\b/,
  /\bbreak(ing)? (camp|in the|for)\b/,
  /\b(ran|run) out of (time|day|light|patience|steam)\b/,
  /\b(bent|bending) (down|over)\b/,
  /\bfroze (my|our) (fingers|hands|feet|toes|nose|backside|bum)( off)?\b/,
  /\btorn between\b/,
  /\b(lost|losing) (my|our|his|her) (way|bearings|temper|balance|appetite|footing|nerve|mind|voice)\b/,
];

interface Row<Gives> {
  readonly is: RegExp;
  readonly gives: Gives;
}

export interface TroubleRow {
  readonly is: RegExp;
  readonly trouble?: "damaged";
  readonly symptom?: Symptom;
  /** Said of these kinds or jobs only. */
  readonly only?: (thing: { readonly kind: string; readonly jobs: readonly string[] }) => boolean;
}

const isAir = ({ kind, jobs }: { readonly kind: string; readonly jobs: readonly string[] }) =>
  kind === "inflatable pad" || kind === "pillow" || (jobs.includes("pad") && kind !== "foam pad");
const isShoe = ({ jobs }: { readonly jobs: readonly string[] }) =>
  jobs.includes("walk") || jobs.includes("camp shoes");
const isPower = ({ kind, jobs }: { readonly kind: string; readonly jobs: readonly string[] }) =>
  jobs.includes("light") ||
  jobs.includes("power") ||
  kind === "phone" ||
  kind === "camera" ||
  kind === "beacon";
const isFilter = ({ jobs }: { readonly jobs: readonly string[] }) => jobs.includes("treat water");
const isStove = ({ kind }: { readonly kind: string }) => kind === "stove";
const isRain = ({ jobs }: { readonly jobs: readonly string[] }) =>
  jobs.includes("stay dry") || jobs.includes("legs dry") || jobs.includes("keep kit dry");

const isHard = (kind: string) =>
  ["bottle", "mug", "pot", "poles", "sunglasses", "phone", "head torch"].includes(kind);

/** What is seen to be wrong with a thing. */
export const TROUBLES: readonly TroubleRow[] = [
  {
    is: anyOf(
      /\b(went|goes|go|was|is|gone|lay)? ?(dead )?flat (by|on the|at|in the|all|every|again|within|after|overnight|before)\b.*/,
      /\bon the ground by\b/,
    ),
    symptom: "leaks air",
    trouble: "damaged",
    only: isAir,
  },
  {
    is: anyOf(
      /\b(los(es|t|ing)|leak(s|ed|ing)?) (its |some |the )?air\b/,
      /\b(went|goes|going|gone) (soft|down)\b/,
      /\bsoft by\b/,
      /\btopped (it )?up\b/,
      /\bdeflat\w*/,
      /\b(slow )?puncture\w*/,
      /\b(dead )?flat\b/,
      /\bleak(s|ed|ing)?\b/,
    ),
    symptom: "leaks air",
    trouble: "damaged",
    only: isAir,
  },
  {
    is: /\bhiss(es|ed|ing)?\b|\bsmell(s|ed)? of gas\b|\bleak(s|ed|ing)? gas\b/,
    symptom: "leaks gas",
    trouble: "damaged",
    only: isStove,
  },
  {
    is: anyOf(
      /\blets? (the |in )?(rain|water|wet|damp|it)? ?(in|through)\b/,
      /\b(mists?|sprays?|sweats?) through\b/,
      /\b(water|rain|wet) (got|gets|came|comes|went|ran|finds its way) (in|inside|through)\b/,
      /\bsoaked (to|from) the\b/,
      /(?<!\bthe )\bdrip(s|ped|ping)?\b/,
      /\bpuddles?\b/,
      /\bcame through\b/,
      /\bcomes through\b/,
      /\bsoaked (right |straight |clean )?(through|me)\b/,
      /\bseep(s|ed)\b/,
    ),
    symptom: "lets water in",
    trouble: "damaged",
  },
  {
    is: /\bleak(s|ed|ing|y)?\b/,
    symptom: "lets water in",
    trouble: "damaged",
    only: (thing) => isRain(thing) || thing.jobs.includes("shelter") || isShoe(thing),
  },
  {
    is: /\bwet(s|ted)? (out|through)\b|\bdoesnt bead\b|\bno longer beads?\b|\b(never|not) beads?\b|\bdamp again\b/,
    symptom: "wets out",
  },
  { is: /\bclog(s|ged|ging)?\b|\bdribbl\w+|\b(barely|hardly|no longer|wont|doesnt) flow(s|ing)?\b|\bsilted\b|\bblocked\b/, symptom: "clogged or slow" },
  {
    is: /\bslow(er|ly)?\b|\b(takes?|took) (\d+|ten|five|an?|for) (min|minutes?|ages|ever|hour|age)\b|\btrickl\w+/,
    symptom: "clogged or slow",
    only: isFilter,
  },
  {
    is: anyOf(
      /\blost (its |the |some |most of its |a bit of |all its )?loft\b/,
      /\blost (some|much|most) of its loft\b/,
      /\bloft (is |has )?gone\b/,
      /\bclump(s|ed|y|ing)?\b/,
      /\bflatter\b/,
      /\bno loft\b/,
      /\b(isnt|not|no longer|less) (as |so )?(lofty|puffy|fluffy)\b/,
      /\b(flat|thin) as a\b/,
    ),
    symptom: "lost loft",
    only: ({ jobs }) => jobs.includes("sleep warm") || jobs.includes("stay warm"),
  },
  {
    is: anyOf(
      /\b(dead )?flat\b/,
      /\bno charge\b/,
      /\bwont (hold|take) (a |its )?charge\b/,
      /\bempty by\b/,
      /\b(ran|run) (flat|empty|down)\b/,
    ),
    symptom: "no charge",
    only: isPower,
  },
  {
    is: /\b(was |is |went |gone |getting |got )?(very |so |too )?dim(mer|med)?\b|\bflicker\w*/,
    symptom: "dim or weak",
    only: isPower,
  },
  {
    is: anyOf(
      /\b(broke|snapped|tore|cracked|bust|busted|broken|went|gone|jammed|stuck|split|splits|off its tape|come off its tape|wont close|burst|popped)\b.*\b(zip|zipper|buckle|clip)\b/,
      /\b(zip|zipper|buckle|clip|slider)\b.*\b(missing|teeth|skips?|runs off|undone|parts|opens|open|broke|broken|snapped|snaps|cracked|bust|busted|went|gone|jammed|jams|stuck|sticks|catches|split|splits|come off|came off|tape|wont|burst|popped|bites|off)\b/,
    ),
    symptom: "zip or buckle",
    trouble: "damaged",
  },
  {
    is: anyOf(
      /\b(mid ?)?soles?\b.*\b(fold(ed|s)?|collaps\w+|crack(ed|s)?|peel\w*|off|hanging|through|gone|loose|flap\w*|split|coming|came|come|smooth|bald|worn)\b/,
      /\b(peel\w*|flapping|loose) soles?\b/,
      /\bsoles? (are |is )?through\b/,
      /\btread (is |has |are )?(gone|worn|bald|smooth)\b/,
      /\b(lugs?|cleats?|studs?|treads?) (is |are |have |has )?(nearly |almost |all |half )?(flat|gone|worn|smooth|rounded)\b/,
      /\bbald\b/,
    ),
    symptom: "sole or tread",
    trouble: "damaged",
    only: isShoe,
  },
  {
    is: anyOf(
      /\btips? (is |are |was |were )?(worn|gone|through|off)\b/,
      /\bworn (tips|feet)\b/,
      /\b(worn|wore) (out|through) again\b/,
    ),
    symptom: "sole or tread",
    trouble: "damaged",
    only: ({ jobs }) => jobs.includes("balance"),
  },
  {
    is: anyOf(
      /\bworn (thin|through|so thin)\b/,
      /\bworn out (at|on|along|under) (the )?(cuffs?|elbows?|knees?|shoulders?|seat|hem|heels?|edges?)\b/,
      /\b(are|is|gone|wearing|as) thin as\b/,
      /\bsee - through\b/,
      /\bthreadbare\b/,
      /\bsee through\b/,
      /\bgone thin\b/,
      /\b(elbows?|knees?|seat|cuffs?|heels?) (is |are |has )?(gone|thin|through|worn)\b/,
    ),
    symptom: "worn thin",
    trouble: "damaged",
  },
  {
    is: /\b(split|burst|crack(s|ed)?)\b/,
    symptom: "broken",
    trouble: "damaged",
    only: ({ kind, jobs }) => isHard(kind) || jobs.includes("cook"),
  },
  {
    is: anyOf(
      /\btor(e|n)\b/,
      /\btearing\b/,
      /\bpulled (out|off|away)\b/,
      /\bcame (open|unstitched|undone)\b/,
      /\bripp?(ed|s)?\b/,
      /\btears?\b(?! (up|drop))/,
      /\ba rip\b/,
      /\bsplit\b/,
      /\bseam\b.*\b(open|came|went|split|gone|burst|let go)\b/,
      /\bguy ?(point|line|loop)?\b.*\b(tore|pulled|out|off)\b/,
    ),
    symptom: "torn",
    trouble: "damaged",
  },
  {
    is: anyOf(
      /(?<!\b(?:last|belt|button) )\bholes?\b/,
      /\b(gone|through|out) at the (toes?|heels?|knees?|elbows?|seat|crotch)\b/,
      /\bthrough at (the |both |one )/,
      /\bholed\b/,
      /\bpinholes?\b/,
      /\bburnt? (a |through|hole)\b/,
      /\bmice\b/,
      /\bmouse\b/,
      /\bpunctured\b/,
      /\bthorn\b/,
    ),
    symptom: "holed",
    trouble: "damaged",
  },
  {
    is: /\bmend(y|ed)? bent\b|\bbent\b|\bbends?\b(?! down)|\bkinked\b|\bcrooked\b/,
    symptom: "bent",
    trouble: "damaged",
  },
  {
    is: anyOf(
      /\bsnapped\b/,
      /\b(blew|blown|turned|flipped) inside out\b/,
      /\b(ribs?|spokes?) (is |are |has |have )?(gone|bent|out)\b/,
      /\bbroke(n)?\b(?! (camp|off at|in\b))/,
      /\bcracked\b/,
      /\bin two\b/,
      /\bcame apart\b/,
      /\bfell apart\b/,
      /\bin half\b/,
      /\bshattered\b/,
      /\bbust(ed)?\b/,
      /\bsheared\b/,
      /\bcame off\b/,
      /\bhas come off\b/,
    ),
    symptom: "broken",
    trouble: "damaged",
  },
  { is: /\bmould(y|ed)?\b|\bmold(y)?\b|\bmildew\w*|\bspotty\b|\bblack spots\b/, symptom: "mould" },
  {
    is: /\bloose(ned|ns)?\b|\bwont (lock|tighten|stay (up|put|shut))\b|\bkeeps? (collapsing|sliding down)\b|\bcollaps(es|ed) (under|on)\b|\bkeeps? slipping\b|\bwobbl\w+\b(?! (on|over|in) (the|shingle|stones|rock))|\brattles\b/,
    symptom: "loose",
  },
  { is: /\bsoot(y)?\b|\bfilthy\b|\bdirty\b|\bgrimy\b|\bcaked\b|\bblack with\b/, symptom: "dirty" },
];

/** It stopped doing its job. */
export const FAILED =
  /\b(died|dead|packed up|(?<!\b(?:i|we) )gave up( the ghost)?|gave out|given up|failed|conked out|bust|wont (light|start|work|turn on|spark)|stopped working|no spark|went out on me|stayed out|useless|kaputt|done for(?! (the |my )?T)|useless now|broken for good|quit|no (earthly )?use|no good( any more)?|no longer works?|that was that|that was the end|end of (it|that|them)|did(nt| not) keep the (rain|water|wet|wind) out|is finished|are finished|not one more|beyond (repair|mending)|(couldnt|could not|cant|cannot) get (it|them|the T|my T|T) (going|to (light|work|start)|lit|started|on)|drowned|gave up on me|packed in|came to nothing|stayed dead|no good after)\b/;

/** Parts of things. */
export const PARTS =
  /\b(igniter|piezo|zip|zipper|seam|pole|handle|stitching|valve|hose|lid|button|lock|cap|strap|buckle|handle|screen|cable|port|clip|cord|loop|toggle|tip|rib|ribs|arm|lens|tine|plug|switch|hinge|wire|nozzle|mouthpiece)\b/;

/** What annoys about a thing that was used. */
export const COMPLAINTS: readonly Row<Complaint["what"]>[] = [
  {
    is: anyOf(
      /\btoo heavy\b/,
      /\b(is|are|was|were|so|very|really) (so |very |really |just )?heavy\b/,
      /\bweighs? (a ton|too much|like)\b/,
      /\bheavy (thing|lump|beast|brute)\b/,
      /\ba brick\b/,
      /\b(twice|double|half again) the weight\b/,
    ),
    gives: "too heavy",
  },
  { is: /\btoo bulky\b|\b(is|are|was|so|very|really) bulky\b|\bbulky (thing|lump)\b|\btakes? up (half|all|too much)\b/, gives: "too bulky" },
  { is: /\btoo (big|large|long|wide|loose on me)\b/, gives: "too big" },
  { is: /\btoo (small|short|tight|narrow|shallow)\b|\bpinch(es|ed)?\b/, gives: "too small" },
  { is: /\btoo (cold|thin)\b|\bnot warm enough\b|\bfroze in it\b/, gives: "too cold" },
  { is: /\btoo (hot|warm)\b|\bboiled in it\b/, gives: "too hot" },
  { is: /\bclammy\b|\bsweat(y|s|ed)\b|\bwet inside\b|\bsteams? up\b|\bcondensation\b/, gives: "clammy" },
  {
    is: anyOf(
      /\brub(s|bed|bing)?\b/,
      /\b(gave me|got|raised|had) (a |some )?blisters?\b/,
      /\bblisters? .*\b(from|in|with|off) (the |my )?T\b/,
      /\bblister(ed|s) (me|my)\b/,
      /\bhurt(s)?\b/,
      /\bsore\b/,
      /\bchaf(es|ed|ing)\b/,
      /\bdigs? in\b/,
      /\bdug in\b/,
      /\bpress(es|ed)\b/,
      /\bhips? (hurt|ached)\b/,
      /\baching\b/,
      /\bscratch(y|es)\b/,
      /\bitch(y|es)\b/,
    ),
    gives: "rubs or hurts",
  },
  {
    is: /\bslid(es|ing)?\b|\bslips?\b|\bslipped\b|\bslippery\b|\bslithers?\b|\bno grip\b|\brides up\b|\bslides off\b/,
    gives: "slides",
  },
  {
    is: anyOf(
      /\bnois(y|e)\b/,
      /\bsqueak(s|y|ed)?\b/,
      /\bcrackl(es|y)\b/,
      /\brustl(es|y)\b/,
      /\bcrinkl(es|y)\b/,
      /\bloud\b/,
      /\bflaps? all night\b/,
      /\bcreak(s|y)?\b/,
    ),
    gives: "noisy",
  },
  { is: /\bsmell(s|y|ed)?\b|\bstinks?\b|\bstank\b|\breeks?\b|\bpongs?\b/, gives: "smells" },
  {
    is: anyOf(
      /\bfiddly\b/,
      /\bsticks\b/,
      /\btoo (fiddly|awkward|complicated)\b/,
      /\ba faff\b/,
      /\bawkward\b/,
      /\bclumsy\b/,
      /\ba pain to\b/,
      /\ba nuisance to\b/,
    ),
    gives: "fiddly or awkward",
  },
  { is: /\bstiff\b|\btoo hard\b|\bhard as\b/, gives: "stiff" },
  { is: /\btoo (flimsy|fragile|delicate)\b|\bflimsy\b|\bfragile\b/, gives: "fragile" },
  { is: /\bslow\b(?! (leak|puncture))|\btakes? (ages|forever|for ever)\b/, gives: "slow" },
  { is: /\bweak\b|\bfeeble\b|\bnot bright enough\b|\btoo dim\b/, gives: "weak" },
  { is: /\bleak(s|ed|ing|y)?\b|\bdrips\b/, gives: "leaks" },
];

/** Ground and weather that a complaint is about. */
export const COMPLAINT_PLACES: readonly Row<NonNullable<Complaint["on"]>>[] = [
  { is: /\b(in|with|for) (the |any |heavy |all the )?(rain|wet|downpour)\b/, gives: "rain" },
  { is: /\bon (the |wet |hard )?(tarmac|road|roads|asphalt)\b/, gives: "road" },
  { is: /\bon (the |wet |bare )*(rock|rocks|slabs?|stone)\b/, gives: "rock" },
  { is: /\b(in|on) (the |wet |deep )?(mud|bog)\b/, gives: "mud" },
  { is: /\b(in|on) (the )?sand\b/, gives: "sand" },
  { is: /\bin (the |any |strong )?(wind|gusts?|gale)\b/, gives: "wind" },
  { is: /\bin (the |hard )?(frost|freezing)\b/, gives: "freezing" },
  { is: /\bin the cold\b/, gives: "cold" },
  { is: /\bin the (heat|sun)\b/, gives: "heat" },
  { is: /\b(in|on) (the )?(snow|ice)\b/, gives: "snow or ice" },
];

/** Said of what did another thing's work. */
export const DID_INSTEAD =
  /\bT (alone |on (its|their) own )?(was|were) (just as good|plenty|ample|enough|more than enough|quite enough)\b|\bT (did|does|do) (the job|it all|it|all|everything|for|both|the work)\b/;

/** Why it stayed unused. */
export const WHYS: readonly Row<WhyUnused>[] = [
  {
    is: anyOf(
      /\b(no|not a|hardly any|hardly a|never any|never a|wasnt any|was no|werent any|not much|little) (rain|ice|snow|sun|bugs|midges|frost|wind|cold|need|call|drop)\b/,
      /\bdry (all|the whole|week)\b/,
      /\bcloud(y)?\b/,
      /\bnever rained\b/,
      /\bdidnt rain\b/,
      /\bnever got (that |so |very )?(wet|cold|hot|dark|windy|bad)\b/,
      /\bno call for\b/,
      /\bnot needed\b/,
      /\bno need\b/,
      /\bnever (got |was )?cold enough\b/,
      /\b(taps?|streams?|water|sockets?|fountains?) (everywhere|every|at every|all the way)\b/,
      /\bnever below\b/,
      /\bnot at -?\d+ degrees\b/,
      /\bnot (one|a|a single|an) (bear|midge|fly|flies|mosquito|tick|bug|drop|cloud|snowflake|patch of snow|gust|flake)\b/,
      /\b(no|wasnt any|werent any|there was no|hardly any|not enough) (bears?|fl(y|ies)|mosquito(es)?|ticks?|heat|storms?|frosts?|river|bog|mud|water to|downpours?|showers?|clouds?)\b/,
      /\b(a |the )?(stream|tap|spring|fountain|socket|hut|shop)s? (every|at every|all along|round every|by every)\b/,
      /\b(dry|warm|mild|calm) (the whole|all|every|both|as a bone|throughout)\b/,
    ),
    gives: "no call for it",
  },
  {
    is: anyOf(
      /\b(did|does) (its|the|that|her|his) (job|work)\b/,
      /\bdid it( all)?\b/,
      /\bwas enough\b/,
      /\bwere enough\b/,
      /\bT (was|were) all (i|we) needed\b/,
      /\b(was|were) (just as good|plenty|ample|more than enough|quite enough|warm enough)\b/,
      /\bused (it |that )?for everything\b/,
      /\bwhich is why\b/,
      /\bwhen i had the T\b/,
      /\b(did|does) (for|all|everything|it all|all of it|the lot|as well|just as well|the job of both)\b/,
      /\b(my|the) \w+ (dried|kept|lit|held|carried) me\b/,
      /\b(the |my )?T (instead|did)\b/,
      /\bused the T instead\b/,
      /\beverything went in\b/,
      /\bdrank from the\b/,
      /\bso the T did\b/,
    ),
    gives: "another did the job",
  },
  {
    is: /\b(too )?awkward\b|\btoo (fiddly|much (bother|trouble|faff))\b|\bhave to take my (shoes|boots) off\b|\bfaff\b/,
    gives: "awkward",
  },
  {
    is: anyOf(
      /\b(too |so |horribly )?uncomfortable\b/,
      /\bhorrid\b/,
      /\bsweaty\b/,
      /\bscratchy\b/,
      /\bitchy\b/,
      /\btoo (tight|hot|warm|clammy)\b/,
    ),
    gives: "uncomfortable",
  },
  {
    is: /\btoo (much|many)\b|\bone too many\b|\bfar too (much|many)\b|\bmore (\w+ )?than (i|we|one|anybody|anyone|you) (need|needs|needed|used|could)\b/,
    gives: "too much of it",
  },
  {
    is: anyOf(
      /\b(is|was|as|its) (my |the )?cover\b/,
      /\bjust in case\b/,
      /\bin case\b/,
      /\bfor safety\b/,
      /\bthats what its for\b/,
      /\bas it should be\b/,
      /\bfor emergencies\b/,
      /\binsurance\b/,
      /\bhow i like it\b/,
      /\bfor the day\b/,
      /\bfor (an )?emergency\b/,
      /\b(glad|happy) (of that|to say i|about that|i did ?not|not to|it stayed)\b/,
      /\b(thank|thanks) (heaven|god|goodness|the lord)\b/,
      /\bnot go(ing)? without\b/,
      /\bglad i didnt\b/,
      /\bthank(fully| goodness)\b/,
    ),
    gives: "cover",
  },
  {
    is: /\b(went|turned|came) (home|back) (early|before)\b|\bcut short\b|\bcut the trip\b|\bturned round\b|\bnever got (to|there|that far|as far)\b|\b(we|i) gave up\b|\bwent home before\b/,
    gives: "trip cut short",
  },
  { is: /\bforgot (it|i had|about|them|that i)\b|\bforgotten\b/, gives: "forgot it" },
];

/** The owner's own calls. */
export const CALLS: readonly Row<OwnerCall>[] = [
  {
    is: /\b(never again|not (taking|bringing|carrying) (it|that|this|them|those) again|wont (take|bring|carry) (it|that|them|those)|(stays|staying|stay) (at )?home (next time|for good|from now)|(it|that|T|they|those|these|this)( one)? (stays?|can stay|is staying|goes back) (at )?home|leav(e|ing) (it|that|them|those|T|the T) (at home|behind|in the \w+)|to leave (behind|at home|out)|(should|shouldve|could|couldve)( easily| well| just| really| happily| all)? (have )?(stayed|been left|stayed)|wish(ed)? (id|i had) left|could go\b|shouldve stayed|has had its last|leav(e|ing) (it|that|them) (at )?home|could have (done without|left|stayed)|couldve (done without|left|stayed)|not worth (it|its weight|carrying|the weight)|done with (it|T)|not (coming|going) again|last time (it|they) (came|come))\b/,
    gives: "leave",
  },
  {
    is: anyOf(
      /\bonly (for|when|if|in|with)\b/,
      /\bjust (for|when) (winter|summer|cold|the cold|rain|frost|snow)\b/,
      /\bstay(s|ing) home in (june|july|august|summer|winter|spring)\b/,
    ),
    gives: "bring when",
  },
  {
    is: /\b(again next time|a keeper|comes again|comes? (with me )?(every|next) time|(its|it is|theyre) coming again|taking (it|them|that|those|these|T|the T) again|take (it|them|that|those) again|comes? (along )?(again|every time)|coming again|always (comes|come) along|(id|i would|ill|will) (take|bring|pack|carry) (it|them|that|the T|my T|T) again|bring(ing)? (it|them|that) again|would(nt)? (take|bring) (the )?(it|them|T)( only| again)?|wouldnt go without|goes again|again next|saved the)\b/,
    gives: "bring again",
  },
  {
    is: anyOf(
      /\b(needs?|must|has to|have to|want(s)?|to be) (be )?(mend(ed|ing)?|sew(n|ing)?|fix(ed|ing)?|repair(ed|ing)?|seal(ed|ing)?|see(n)? to|a (stitch|mend|service|clean))\b/,
      /\b(fix|mend|repair|sew) (it|them|that) (at home|when|before|properly)\b/,
      /\bto the (mender|cobbler|tailor|shop for repair)\b/,
      /\bneeds? (fixing|mending|sewing|sealing|stitching|seeing to|repairing|looking at|a patch)\b/,
      /\b(must|have to|ill|i should|needs to|has to|got to) (sew|mend|fix|repair|patch|glue|seal|stitch|restitch|be (sewn|mended|fixed|repaired|sealed|glued|looked at))\b/,
      /\b(have|need|want) to look at (it|that|them)\b/,
      /\btake (it|that|them) apart and\b/,
      /\bput (it )?right\b/,
    ),
    gives: "fix",
  },
  {
    is: anyOf(
      /\b(time for|must get|must buy|need|needs|get|want|wants|(?<!had to )buy|buying|due) (a |an |some |for )?(new|another) (pair of )?(T|ones?|pair)\b/,
      /\b(needs?|wants?) (replacing|to be replaced)\b/,
      /\breplac(e|ing) (it|them|that|those|these|T|the T)\b/,
      /\b(i|ill|must|time to|have to|need to|going to) (get|buy) (a |some )?new\b/,
      /\bon (its|their) last legs\b/,
      /\bneed (a |an |some )?(proper|decent|better|working|real) (one|ones|T)\b/,
      /\bnew (ones?|pair) (next|before|for)\b/,
    ),
    gives: "replace",
  },
  {
    is: anyOf(
      /\b(try|find|get|want|look for|need|id like|like) (something|anything|some|another|a different|a lighter|a warmer|a better|something else)( else| one| sort)?\b/,
      /\bnext time (something|another|a different|a (thicker|lighter|warmer|better))\b/,
      /\bsomething (thicker|lighter|warmer|better|else|smaller|bigger|simpler|quieter|drier|softer|sturdier)\b/,
      /\b(ill|i want to|want to|going to) try (another|something|a)\b/,
      /\bwant another( one| sort)?\b/,
    ),
    gives: "try something else",
  },
];

/** How warm a night was. */
export const FELTS: readonly Row<Felt>[] = [
  { is: /\b(froze|freezing|shiver(ed|ing)?|cold|bitter|perished)\b/, gives: "cold" },
  { is: /\b(cool|chilly|nippy|coolish|on the cool side|not quite warm enough)\b/, gives: "cool" },
  { is: /\b(hot|sweat(ed|ing|y)?|boil(ed|ing)|roast(ed|ing)|too warm)\b/, gives: "hot" },
  {
    is: /\b(just right|right|fine|ok|okay|good|comfortable|comfy|cosy|warm enough|perfect|spot on|all right|alright|happy)\b/,
    gives: "right",
  },
  { is: /\b(warm|toasty|snug)\b/, gives: "warm" },
];

/** What was done about a thing. */
export const DONE: readonly Row<"repair" | "wash" | "service" | "restock">[] = [
  { is: /\b(washed|rinsed|laundered)\b/, gives: "wash" },
  {
    is: /\b(backflush(ed)?|flush(ed)?|greas(ed|ing)|wax(ed|ing)?|reproof(ed)?|oil(ed)?|cleaned|clean (it|them|that|the)|descal(ed)?|lub(ed|ricated)|proof(ed)?|soaked it|serviced)\b/,
    gives: "service",
  },
  {
    is: /\b(refill(ed)?|restock(ed)?|topped up the|(batteries|battery) (changed|replaced|renewed)|changed the (batteries|battery)|(?<!needs? |wants? )fresh (batteries|battery|plasters)|(?<!needs? |wants? )new (batteries|plasters)|filled (it )?up|filled the)\b/,
    gives: "restock",
  },
  {
    is: /\b(sew(ed|n)?|stitch(ed)?|glu(ed)?|patched|patch (it|them|that)|mend(ed)?|tap(ed)|seal(ed)?|repair(ed)?|fixed|darn(ed)?|sewed)\b/,
    gives: "repair",
  },
];

/** Patched up on the way, where the harm is told with it. */
export const PATCHED =
  /\b(patch(ed)?|tap(ed)( up)?|sew(ed|n)|stitch(ed)?|glu(ed)|pinn(ed)|pins|tied (it|a|up|off)|wired|mended|darned|cord (does|did|holds)|with (tape|pins|cord|string|a pin|floss)|kept it shut|shut it|safety pins?|held with|does it now|splint(ed)?|bodged|fixed (it )?with|a stone)\b/;
export const WENT_WITHOUT =
  /\bate cold\b|\bcold (suppers?|meals?|dinners?|food)\b|\b(did|do|went|go|managed|doing|going) without\b|\bnothing instead\b/;

export const NEGATION =
  /\b(not|no|never|nothing|none|without|didnt|doesnt|dont|wasnt|werent|isnt|arent|hasnt|havent|hadnt|wont|couldnt|cant|neither|nor|nobody|hardly|barely)\b/;
/** What is wished, feared, planned, or nearly happened tells nothing. */
export const NOT_SO =
  /\b(if|unless|would(?! not(?! have))|wouldve|id have|almost|nearly|might|maybe|perhaps|hope|hoping|hoped|afraid|worried|thinking of|thinking about|thought about|planning|plan to|going to|gonna|about to|should|ought|could|in danger of|scared|imagine|suppose|wonder|before it)\b/;
/** What is only compared with. */
export const COMPARED =
  /\b(better|worse|warmer|colder|lighter|heavier|brighter|faster|slower|more|less|beats?|nicer|quieter|drier|rather) (than )?\b/;

export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  both: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  half: 0.5,
  third: 1 / 3,
  quarter: 0.25,
};

/** After "never", what says nothing of use. */
const NO_USE =
  "(?!(?:let|went|go|had|have|lost|lose|miss|missed|fail|failed|leak|leaked|rub|rubbed|hurt|want|wanted|like|liked|love|loved|" +
  "mind|minded|feel|felt|notice|noticed|trust|trusted|wash|washed|mend|mended|clean|cleaned|dry|dried|stop|stopped|charge|" +
  "charged|know|knew|think|thought|get|got|see|saw|find|found|regret|regretted|cost|weigh|weighed|freeze|froze|tear|tore|" +
  "break|broke|work|worked|fit|fitted|close|closed|keep|kept|hold|held|look|looked|did|do|be|was|come|came|happen|happened)\\b)";

/** It stayed in the pack. */
export const UNUSED = anyOf(
  // "Never wetted it", "the hammock I never hung": whatever one does with it.
  new RegExp(
    `\\b(never|didnt|did not) (?:once |really |even )?${NO_USE}\\w+ (it|them|that|those)(?: (?:once|at all|up|out|on|open|either|any more))*$`,
  ),
  new RegExp(
    `^(?:and |but |so )*(?:the |my )?T (?:which |that )?(i|we) (never|didnt)(?: once| even)? ${NO_USE}\\w+`,
  ),
  new RegExp(`^(?:which|that|it|them|those) (i|we) (never|didnt)(?: once| even)? ${NO_USE}\\w+`),
  /\bT (never|not once|not at all|neither|stayed)$/,
  /^(neither|none)( of (them|it|those|these))?( never| of it)* (came|come|left|got|used|opened|worn|saw|was|were)\b(?! (bad|wet|broken|damaged))/,
  /\bneither( of them)?$/,
  /\bsat (in|at) (the |my )?(T|pack|bag|bottom|car|side|boot|lid|pocket)\b/,
  /\bcame (home|back) (as (dry|clean|new|full)|unused|clean|folded|full|dry|untouched|sealed|unopened|as it (went|left))\b/,
  /\bnot (one|a) (thing|use|outing)\b/,
  /\b(carried|lugged|hauled|took) (it|them|that|those|the T|T) (the whole way |all the way |all week |round |along )?for nothing\b/,
  /\bdead weight\b/,
  /\b(silent|idle|untouched|shut|closed|folded|rolled up) (all|the whole|every|throughout)\b/,
  /^nothing needed (it|them|that)$/,

  /^\W*(?:and |but )?(?:not|nor|neither) (?:the |my )?T(?: either)?$/,
  /\b(never|not|didnt|wasnt|werent|havent|hasnt|nor|neither)\b.*?\b(once|used?|using|wore|wear|worn|on|open(ed)?|touch(ed)?|out|needed|need|needing|unpacked|hung|hang|put (it |them |T )?up|pitched|pitch|come out|unrolled|inflated|blew|switched|turned on|struck|read|lit|left the|came out|got (it|that|them) out|put (it|them|T)? ?on|get (it|that|them) out|taken out|unrolled)\b/,
  /\bun(used|opened|worn|read|lit|packed|needed)\b/,
  /^never$/,
  /\buntouched\b/,
  /\bnever (left|came|got|saw|opened|out)\b/,
  /\bstay(ed|s) (in|at the bottom|where (it|they)|rolled|shut|packed|stowed|folded)\b/,
  /\bno need (for|of)\b/,
  /\bno call for\b/,
  /\bnot (a|one) (page|once|time)\b/,
  /\bnot read\b/,
  /\bnot (used|worn|opened|needed|touched|lit)\b/,
  /\bnever (used|wore|worn|needed|opened)\b/,
);

/** Used, and next to nothing. */
export const HARDLY = anyOf(
  /\b(hardly|barely|scarcely) (used|wore|opened|touched|needed)\b/,
  /\b(used|wore|opened|came out|needed|out)( the| my)?( it| them| T)? (just |only )?(once|twice)\b/,
  /\b(only|just) (once|twice)\b/,
  /^(once|twice)$/,
  /\b(used|wore|worn|lit|read|hung|pitched|opened|played|on|cooked (on|in) it) (just |only |exactly )?(once|twice)\b/,
  /^(T |it |them |the |a |some )*(hardly|barely|scarcely)( (a|two|one|three|at all|used|touched|opened|worn)\b.*)?$/,
  /\bT (hardly|barely)( two| a| one)?\b/,
  /\bgot (it|them) out (once|twice)\b/,
);

/** It was used. */
export const USED = anyOf(
  /\b(used|using|wore|(do|did|could) (really )?use (it|them|that|those|both)|worn|wear (it|them) every|lived in|on the go|came out|got (it|them|the T) out|on all (night|day)|on to|saved|got me|did it all|did it|mine)\b/,
  // Of what is named there or spoken of, not "ate off my knees".
  /\b(slept|sleep|lay|cooked|ate|walked|sat|stood|drank|climbed|swam|boiled) (\w+ )?(in|on|under|off|from|with|through|by|out of)( (that|it|them|those|both|the T|my T|T|all|every)\b|$)/,
  /\bdrank (everything|all|it|tea|coffee|water)? ?(through|from|out of) (it|them|the T|T|my T)\b/,
  /^(?:and |but )*(?:the |my )?T (i|we) (do|did|also|really|only)? ?(used|wore|wear|use|read|lit|slept|cooked|played|carried|had on|put on|hung|pitched|drank|ate|sat|lived)\b/,
  /\b(read|played|lit|hung|pitched|unrolled) (it|that|them)\b/,
  /\bcarried (everything|it all|the lot|all of it|the load)\b/,
  /\b(kept|keeps) (me|us|everything|it all|the rain|the wind|my \w+|the \w+|me and \w+) (dry|warm|out|off|going|cool|alive)\b/,
  /\b(was|were|stayed|slept) (dry|warm) in (it|that|them)\b/,
  /\b(made|saved) (the|my|our) (trip|weekend|week|walk|day|night|holiday)\b/,
  /\b(was|were|been) (all )?(fine|good|great|perfect|wonderful|lovely|brilliant|excellent|superb|marvellous|faultless|flawless|a joy|a treat|spot on|no trouble)\b/,
  /\b(worked|did) (fine|well|perfectly|great|a treat|beautifully|their job|its job|their bit|its bit|what it should|as it should)\b/,
  /\b(came in (very )?handy|came into (its|their) own|earned (its|their) (place|keep|weight|passage)|a (godsend|lifesaver|luxury|treat|blessing|joy)|opened for the first|worth (its|their|every|the weight)|couldnt have done without|couldnt do without)\b/,
  /\bwas all (i|we) needed\b/,
  /\b\w+ed (perfectly|beautifully|like a dream|without fail)\b/,
  /\b(kept|keeps) (\w+ ){1,3}(bone )?(dry|warm)\b/,
  /\b(no|not a single) (complaints?|trouble|blisters?|bother)\b/,
  /\bnothing (bad )?to (say|report)( against)?\b|\bnothing against\b/,
  /\bstood( it)? (up to|all|through|firm)\b|^it stood\b/,
  /\bmade (good|lovely|fine|great|proper|decent) \w+/,
  /\b(whole|entire) (way|time|trip|week|weekend)\b|\ball the (way|time)\b|\b(both|each|all (two|three|four|five|six|seven|\d+)|every) (days?|nights?|evenings?|mornings?)\b/,
  /\bin my (hands?|hand)\b/,
  /\bT for (sun|shade|rain|warmth)\b/,
  /\bglad (of|to have|i had)\b/,
  /\ball day\b/,
  /\bT on (from|every|all|both|the whole|most|for) /,
  /\bevery (single )?(day|night|evening|morning|meal|stream|camp|time)\b/,
  /\bslept (very |so )?well\b/,
);

/** How a thing left before the end, the surer words first. */
export const EXITS: readonly (readonly [ExitHow, RegExp])[] = [
  [
    "posted ahead",
    /\b(sent|posted|mailed)\b.*\b(on )?ahead\b|\bon ahead\b|\b(sent|posted|mailed) (the |my )?T on\b/,
  ],
  [
    "sent home",
    anyOf(
      /\b(sent|posted|mailed|went|took) (it |them |the |my )*(T )?(back )?home\b/,
      /\bparcel (back )?home\b/,
      /\bbox (back )?home\b/,
      /\b(sent|posted|mailed)( the| my)? T (back|home)\b/,
      /\bin the post\b/,
      /\b(in )?(the |that )same (parcel|box)\b/,
    ),
  ],
  [
    "given away",
    anyOf(
      /\b(gave|given|donated)( \w+)?( the| my)? ?T? ?(for good|away|to (?!my|our|me|us|wear|use|try)\w+\b)/,
      /\b(left|went)( \w+)?( the| my)? ?T? ?(for good|away|to (a|the|some|an|somebody|someone|another)\b)/,
      /\bwent to (a|some|the|an) (\w+ )?(kid|boy|girl|child|couple|man|woman|walker|hiker|shepherd|warden|friend|stranger)\b/,
      /\bgave (?!\w+ (?:the |my )?T to carry)(?!the\b|my\b|it\b|up\b|me\b|us\b)\w+ (the |my )?T\b(?!.*\bback\b)/,
      /\bleft (it |them |that )?for (the next|somebody|someone|others|whoever|anyone|another|a)\b/,
    ),
  ],
  [
    "thrown out",
    /\b(binned|threw (it|them|the T|T|away|out)|thrown (out|away)|chucked|dumped|in the bin|went in the bin|ditched)\b/,
  ],
  ["worn out", /\b(worn out|retired|walked (to death|to bits|into the ground)|is shot|are shot|shot|done for|had it|had had it)\b|^\W*T (is |are )?done\b/],
  [
    "lost",
    /\b(lost|gone missing|went missing|blew (off|away)|left (behind|(my |the )?T (in|at|on|behind|under)(?! \d))|dropped (it )?(in|off|over)|washed away|vanished|disappeared|stolen|stayed behind|got left|was left behind|mislaid)\b|\bleft (it|them) (at|on|in) (?!the (pack|tent|bag|car|pocket|lid|box))|\bT left (behind|on the|at the)\b|\bT (is |are |has gone )?(gone|missing)$/,
  ],
];

/** What was lacking, as its first group. */
export const MISSED: readonly RegExp[] = [
  /\bwhat (?:did )?(?:i|we) (?:really |most )?miss(?:ed)?(?: most)?(?: was| were| is)? ?(?:,|:)? ?(.+)$/,
  /\b(?:thing|things) (?:i|we) (?:really |most )?missed(?: was| were| is)? ?(?:,|:)? ?(.+)$/,
  /\b(?:should(?:ve| have)? (?:brought|taken|packed)|wish i(?:d| had)?(?: had| brought| taken| packed)?|wished? for|missed|needed|would have (?:liked|loved)) (.+)$/,
  /\bwant(?:ed)? (.+?) next time\b/,
  /\bcould(?: have| ve)? (?:do|done) with (.+)$/,
  /^(.+?) would(?:ve| have) been (?:good|nice|lovely|handy|useful|great)\b/,
];
/** A clause that tells of it. */
export const MISSING = /\b(miss(ed)?|needed|wish(ed)?|should(ve| have)?|would(ve)?|want(ed)?|could)\b/;

/** "Missed" and "needed" where no thing was wanted. */
export const NOT_MISSED = anyOf(
  /\bmissed (the|a) (bus|ferry|train|turn|path|boat)\b/,
  /\bneeded (it|them|that|mending|fixing|a (rest|day|shop)|to|the T)\b/,
);

/** What became of the old ones, said behind what was bought. */
export const OLD_ONES_GONE = anyOf(
  /\b(mine|one pair of the old ones|the old ones?|the ones? i)\b.*?\b(binned|lost|thrown out|threw out|given away|worn out|shot)\b/,
  /\b(binned|lost)\b.*\b(mine|old ones?)\b/,
);
