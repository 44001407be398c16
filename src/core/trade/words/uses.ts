import type { WhyUnused } from "../../model";
import { anyOf, word, type Row, pieced } from "./any-of";

/*
 * How people put it, as rows: another language is another table. A row is read over a clause in plain lower-case
 * words, in which
 * each thing that is named stands as `T`. Common practice, no source.
 */

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
    `^(?:and |but |so )*(i|we) (?:never|didnt|did not) (?:once |even )?${NO_USE}\\w+ (?:the |my )?T(?: on| out| up| at all| once| either)*$`,
  ),
  new RegExp(
    `^(?:and |but |so )*(?:the |my )?T (?:which |that )?(i|we) (never|didnt)(?: once| even)? ${NO_USE}\\w+`,
  ),
  new RegExp(`^(?:which|that|it|them|those) (i|we) (never|didnt)(?: once| even)? ${NO_USE}\\w+`),
  /\bT (never|not once|not at all|neither|stayed)$/,
  pieced(
    "^(neither|none)( of (them|it|those|these))?( never| of it)* (came|come|left|got|used|",
    "opened|worn|saw|was|were)\\b(?! (bad|wet|broken|damaged))",
  ),
  /\bneither( of them)?$/,
  /\b(all|everything) (but|except|bar)( for)? (the |my )?T (came out|(was|were|got) used)\b/,
  /\bsat (in|at) (the |my )?(T|pack|bag|bottom|car|side|boot|lid|pocket)\b/,
  pieced(
    "\\bcame (home|back) (as (dry|clean|new|full)|unused|clean|folded|full|dry|untouched|",
    "sealed|unopened|as it (went|left))\\b",
  ),
  /\bnot (one|a) (thing|use|outing)\b/,
  pieced(
    "\\b(carried|lugged|hauled|took) (it|them|that|those|the T|T) (the whole way |all the way |",
    "all week |round |along )?for nothing\\b",
  ),
  /\bdead weight\b/,
  /\bT (is |are |was |were )?not (on|out)\b/,
  /\b(never|not) on (my|our)\b/,
  /\b(silent|idle|untouched|shut|closed|folded|rolled up) (all|the whole|every|throughout)\b/,
  /^nothing needed (it|them|that)$/,

  /^\W*(?:and |but )?(?:not|nor|neither) (?:the |my )?T(?: either)?$/,
  pieced(
    "\\b(never|not|didnt|wasnt|werent|havent|hasnt|nor|neither)\\b.*?\\b(once|used?|using|",
    "wore|wear|worn|(put|had|got|have) (it |them |T )?on|open(ed)?|touch(ed)?|(came|come|",
    "get|got|take|taken|took|brought|went|been|be|had) (it |them |T |the T )?out|needed|",
    "need|needing|unpacked|hung|hang|put (it |them |T )?up|pitched|pitch|come out|unrolled|",
    "inflated|blew|switched|turned on|struck|read|lit|left the|came out|got (it|that|them) out|",
    "put (it|them|T)? ?on|get (it|that|them) out|taken out|unrolled)\\b",
  ),
  /\bun(used|opened|worn|read|lit|packed|needed)\b/,
  /^(never|not)$|\bT not$/,
  /\buntouched\b/,
  /\bnever (left|came|got (it|them|that|T|out)|saw|opened|out|on)\b/,
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
  word(
    "used|using|wore|(do|did|could) (really )?use (it|them|that|those|both)|worn",
    "wear (it|them) every|lived in|on the go|came out|got (it|them|the T) out",
    "on all (night|day)|on to|saved|got me|did it all|did it|mine",
  ),
  // Of what is named there or spoken of, not "ate off my knees".
  pieced(
    "\\b(slept|sleep|lay|cooked|ate|walked|sat|stood|drank|climbed|swam|boiled) (\\w+ )?(in|",
    "on|under|off|from|with|through|by|out of)( (that|it|them|those|both|the T|my T|T|",
    "all|every)\\b|$)",
  ),
  /\bdrank (everything|all|it|tea|coffee|water)? ?(through|from|out of) (it|them|the T|T|my T)\b/,
  pieced(
    "^(?:and |but )*(?:the |my )?T (i|we) (do|did|also|really|only)? ?(used|wore|wear|",
    "use|read|lit|slept|cooked|played|carried|had on|put on|hung|pitched|drank|ate|sat|",
    "lived)\\b",
  ),
  /\b(read|played|lit|hung|pitched|unrolled) (it|that|them)\b/,
  /\bcarried (everything|it all|the lot|all of it|the load)\b/,
  pieced(
    "\\b(kept|keeps) (me|us|everything|it all|the rain|the wind|my \\w+|the \\w+|me and \\w+) (dry|",
    "warm|out|off|going|cool|alive)\\b",
  ),
  /\b(was|were|stayed|slept) (dry|warm) in (it|that|them)\b/,
  /\b(made|saved) (the|my|our) (trip|weekend|week|walk|day|night|holiday)\b/,
  pieced(
    "\\b(was|were|been) (all )?(fine|good|great|perfect|wonderful|lovely|brilliant|excellent|",
    "superb|marvellous|faultless|flawless|a joy|a treat|spot on|no trouble)\\b",
  ),
  pieced(
    "\\b(worked|did) (fine|well|perfectly|great|a treat|beautifully|their job|its job|their bit|",
    "its bit|what it should|as it should)\\b",
  ),
  word(
    "came in (very )?handy|came into (its|their) own",
    "earned (its|their) (place|keep|weight|passage)",
    "a (godsend|lifesaver|luxury|treat|blessing|joy)|opened for the first",
    "worth (its|their|every|the weight)|couldnt have done without|couldnt do without",
  ),
  /\bT (all )?worked$/,
  /\bwas all (i|we) needed\b/,
  /\bbest thing (in|i|we|of|about)\b/,
  /\bthank (heavens?|god|goodness) for (the |my )?T\b/,
  /\b(had|got) (the |my )?T (out|on)\b/,
  /\b(opened|used|took) (it|them) (out )?for\b/,
  /\b\w+ed (perfectly|beautifully|like a dream|without fail)\b/,
  /\b(kept|keeps) (\w+ ){1,3}(bone )?(dry|warm)\b/,
  /\b(no|not a single) (complaints?|trouble|blisters?|bother)\b/,
  /\bnothing (bad )?to (say|report)( against)?\b|\bnothing against\b/,
  /\bstood( it)? (up to|all|through|firm)\b|^it stood\b/,
  /\bmade (good|lovely|fine|great|proper|decent) \w+/,
  pieced(
    "\\b(whole|entire) (way|time|trip|week|weekend)\\b|\\ball the (way|time)\\b|\\b(both|each|",
    "all (two|three|four|five|six|seven|\\d+)|every) (days?|nights?|evenings?|mornings?)\\b",
  ),
  /\bin my (hands?|hand)\b/,
  /\bT for (sun|shade|rain|warmth)\b/,
  /\bglad (of|to have|i had)\b/,
  /\ball day\b/,
  /\bT on (from|every|all|both|the whole|most|for) /,
  /\bevery (single )?(day|night|evening|morning|meal|stream|camp|time)\b/,
  /\bslept (very |so )?well\b/,
);

/** Said of what did another thing's work. */
export const DID_INSTEAD = pieced(
  "\\bT (alone |on (its|their) own )?(was|were) (just as good|plenty|ample|enough|more than enough|",
  "quite enough)\\b|\\bT (did|does|do) (the job|it all|it|all|everything|for|both|the work)\\b",
);

/** Why it stayed unused. */
export const WHYS: readonly Row<WhyUnused>[] = [
  {
    is: anyOf(
      pieced(
        "\\b(no|not a|hardly any|hardly a|never any|never a|wasnt any|was no|werent any|not much|",
        "little) (rain|ice|snow|sun|bugs|midges|frost|wind|cold|need|call|drop)\\b",
      ),
      /\bdry (all|the whole|week)\b/,
      /\bcloud(y)?\b/,
      /\bnever rained\b/,
      /\bdidnt rain\b/,
      /\bnever got (that |so |very )?(wet|cold|hot|dark|windy|bad)\b/,
      /\bit (was|stayed) (too|so) (warm|hot|mild|dry)\b/,
      /\bno call for\b/,
      /\bnot needed\b/,
      /\bno need\b/,
      /\bnever (got |was )?cold enough\b/,
      /\b(taps?|streams?|water|sockets?|fountains?) (everywhere|every|at every|all the way)\b/,
      /\bnever below\b/,
      /\bnot at -?\d+ degrees\b/,
      pieced(
        "\\bnot (one|a|a single|an) (bear|midge|fly|flies|mosquito|tick|bug|drop|cloud|snowflake|",
        "patch of snow|gust|flake)\\b",
      ),
      pieced(
        "\\b(no|wasnt any|werent any|there was no|hardly any|not enough) (bears?|fl(y|ies)|",
        "mosquito(es)?|ticks?|heat|storms?|frosts?|river|bog|mud|water to|downpours?|showers?|",
        "clouds?)\\b",
      ),
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
    is: pieced(
      "\\btoo (much|many)\\b|\\bone too many\\b|\\bfar too (much|many)\\b|\\bmore (\\w+ )?than (i|",
      "we|one|anybody|anyone|you) (need|needs|needed|used|could)\\b",
    ),
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
    is: pieced(
      "\\b(went|turned|came) (home|back) (early|before)\\b|\\bcut short\\b|\\bcut the trip\\b|",
      "\\bturned round\\b|\\bnever got (to|there|that far|as far)\\b|\\b(we|i) gave up\\b|\\bwent home before\\b",
    ),
    gives: "trip cut short",
  },
  { is: /\bforgot (it|i had|about|them|that i)\b|\bforgotten\b/, gives: "forgot it" },
];
