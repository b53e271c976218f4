/**
 * What riders say of a board, from words to what they mean. Words are brought to one form (small letters, "can't" is "not"), looked for
 * by phrases, the longest first, each of which stands for one idea; what an idea is said to be or not to be within its part of the
 * sentence counts as much as the idea. Vocabulary after how surfers speak: common practice, no source.
 */

/** An idea, and the phrases that say it. A word that ends in * may go on; "not" is any way of saying no. */
const IDEAS = {
  slide:
    'slide*|sliding|sideways|gives way|give way|lose* the tail|losing the tail|lost the tail|side slip*|slid|slip*|skid*|skip* out|spin* out|spun out|spinning|let* go|letting go|wash* out|drift*|lose* grip|losing grip|lost grip|break* free|break* loose|breaks away|come* unstuck|tail goes|back end goes|not grip*|not hold*|not bite|not stick to|blow* out|blew out|pop* out|fins release*|fins pop*|skat* out|squirm* out|skitter* out|goes out from under|goes out on me|not stay in|not stay under|comes adrift|lets loose|spins|back end goes|arse goes|arse end goes|hops out|skates sideways|not keep its line|not stay stuck',
  cutback:
    'cutback*|cut back*|roundhouse*|top turn*|off the top|off the lip|carve*|carving|hard turn*|big turn*|on rail|full rail|laydown*|push* hard|push* it|lean on it|leaning on it|when i push|off the tail|snap*|hack*|throw* the tail|swing* back|swing it back|bring it back|cutty|cutties|hook* it back|turn back|foam climb|rebound*|layback*|gouge*|bury it on a turn|at the top of the turn|at the top|through the turn',
  noseRide:
    'toes are over|toes on the nose|to the nose|nose rid*|noserid*|hang* five|hang* ten|hung five|on the nose|on the tip|toes over|cheater five|cross step*|walk* up|walk* to the nose|perch*|tip rid*|tip time|up on the nose|stepped up to the nose|five over|ten over|toes hang*|toeside over|at the nose|up the front|stand on the tip',
  single: 'single fin*|singlefin|single|one fin|1 fin',
  turning:
    'turn*|cornering|manoeuv*|maneuv*|come* round|come* around|come* about|bring* round|bring it round|swing*|redirect*|change* direction|pivot*|steer*|crank*|carv*|whip*|get it round|get it around|lay it over|arc|arcs',
  dull: 'dull|dead|lifeless|sluggish|boring|not life|not spark|not pop|not lively|mush*|wooden|numb|not feel*|flat feeling|uninspir*|not respon*|lazy|no spark|not buzz|not zing|flat under foot|like a plank|like a log|deadened|half asleep|asleep|damp|not excit*|not snap|muted|not sing|not fizz',
  drag: 'drag*|sticky|stick*|sticks|stuck|grips but|bog* in turns|like glue|glue*|too much grip|grips too|holds too|over grip*|suck* to|suction|grabby|heavy through|anchor*|brake*|braking|hand brake|handbrake|claw*|clings|cling*|like treacle|like mud|through mud|treacle|resist*|holds it back|holding it back|does not let go|not let go|not release|not free up',
  drive:
    'not drive|not projection|not punch|nothing to push*|not power|skate*|skatey|skating|greasy|slippery|not push off|not squirt|not go off the bottom|not thrust|not acceleration|not carry speed through|not push|not forward push|slips instead|slips when i push|spins its wheels|not propel*|not get pushed|not bite and go|not squirt*|not run off the bottom',
  twin: 'twin*|two fins|keel*|2 fins',
  stiff:
    'stiff*|track*|hard to turn|not turn*|not come round|not come around|drawn out|draws out|draw* out|long arc*|wide arc*|wide turn*|on rails|like a train|like a bus|like a truck|like a tanker|like a barge|ages to turn|not loose|hard to swing|slow to come round|not pivot|goes straight|only goes straight|straight line*|not change direction|tight pocket|too much board to turn|not whip|one direction|wants to go straight|go straight|going straight|only one line|not bend|not change line|turns like a door|like steering a boat|set in its ways|locked in|not come off its line|big lazy turn*|wide turn*|not tight turn*|not turn tight|not fit the pocket|huge turn*',
  vertical:
    'vertical|up the face|straight up|hit the lip|to the lip|into the lip|under the lip|top to bottom|up to the top|twelve o clock|in the pocket|up the lip|at the lip|the lip|above the lip|off the vertical|straight to the top|go up|climb* the face|come* up the face|square it up',
  chatter:
    'chatter*|bounc*|slap*|rattl*|skip*|hum|hums|rough ride|hop*|jitter*|vibrat*|buck*|washboard|jarring|shak*|clatter*|judder*|shudder*|flutter*|jump* about|skippy|bang*|thump*|rough*|knock*|jolt*',
  chop: 'chop*|bump*|onshore*|windy|wind|windswell|texture|lump*|backwash|rough water|cross wind|crosswind|wobble on the water|ripple*|messy|junky|side shore|ruffled',
  bottomTurn: 'bottom turn*|off the bottom|out of the bottom|bottom of the wave|at the bottom',
  bog: 'bog|bogs|bogging|bogged|sink*|sank|bury|buries|buried|dig* in|swallow*|drown*|goes under|disappear*|sits down|tail sinks|squat*|wallow*|flounder*|labour*|labor*|sits in the water|stuck in the water|not lift out|not pop up onto|ploughs a hole',
  catching:
    'catch|catches|catching|caught|trip*|dig|digs|digging|dug|hook*|grab|grabs|grabbing|grabbed|bite|bites|biting|hang* up|hung up|stub*|snag*|tangle*|trap*|stick* in|stuck in|knife*|knifes|clip*|clips',
  rail: 'rail|rails|edge|edges|inside edge|outside edge',
  nose: 'nose|tip|front of the board|shoulder of the board|the front|near the front|front end|front rail|up front|forward rail|rail forward|front third',
  pearl:
    'pearl*|purl*|nosediv*|nose div*|nose goes under|nose under|goes over the front|over the front|over the handlebars|endo*|bury the nose|buries the nose|nose buries|submarin*|nose digs|digs the nose|nose stabs|poke* the nose|tip goes under|stuff* it|stuff* the nose|nose first|goes in nose first|nose in|spear*|tip dives|dive*|digs in on the drop|stab*|goes straight to the bottom|nose going down|buries the tip|nose drops under|nose catches on the drop',
  drop: 'drop*|takeoff*|take off*|taking off|late|steep*|airdrop*|ledg*|free fall*|critical|hollow|pitching|jack*|suck* out|stand* up|heav*|throw* over|bowl* up|slab*|lip is throwing|big wave*|when it is big|as it pitches',
  loose:
    'loose*|squirrel*|unsettled|nervous|sketchy|skittish|twitchy|flighty|slippy|out of control|not control|too free|wobbly at speed|scary|skitter*|all over the place|slither*|not stable on|unpredictab*|uneasy|like ice|on ice|not trust*|not secure|not sure footed|not planted',
  plough:
    'push* water|push* a pile of water|push* a lot of water|pushing water|plough*|plow*|bulldoz*|shov* water|moving water|wall of water|water off the front|spray off the nose|throws water|water in front|pile* up water|bow wave|wake|spray everywhere|shoves|shove*|push* a wave|water ahead of it',
  slow: 'slow|slows|slower|not speed|not fast|stall*|left behind|not glide|die|dies|lose* speed|losing speed|lost speed|not outrun|not make section*|not make the section*|not make it round|not run|stops|gutless|not go|not keep up|not get going|loses its speed|bleeds speed|runs out of speed|speed dies|runs down|grinds|drops off|not momentum|not carry|lacks legs|not legs|gets swallowed|falls behind|peters out|bogged|sluggish down|falls off the plane|coasts to a stop|needs pumping|have to pump|pump* all the time|not glide*',
  line: 'line|section*|flat*|trim*|fat part*|shoulder|closeout*|point break|long wall*|along|across|in between|down the beach|the wall|the face',
  paddling:
    'paddl*|waves i go for|waves i try for|the waves i want|catch wave*|catching wave*|catch anything|catches waves|get in|getting in|gets in|get into|getting into|into waves|to my feet|getting up|get up|get to my feet|wave count|under the lip late|pick* up waves|paddle out|stroke*|catch one|catch any|into a wave|to my feet|on my feet|pop up|popup|take off early|in early|early in|get onto|on to waves|onto waves|into them|chase|under me',
  hard: 'hard|tough|struggl*|pig to|nightmare|miss|misses|missing|difficult|not easy|not easily|work|tiring|knacker*|arms|exhaust*|effort|battle|fight|too late|behind everyone|last one|not enough|forever|ages|all day|too long|whole session|shattered|wiped out|last to|miss out|puffed|struggle|not early',
  tippy:
    'tippy|tips|tipping|unstable|wobbl*|rocks|rocking|rolls around|side to side|not stab*|balance|cranky|tender|rolly|not steady|falls to either side|unbalanced|not settle*|capsiz*|roll* from side|teeter*|topple*|twitchy to sit|like a canoe|not sit still|knife edge|top heavy|tightrope|falls over',
  forward:
    'step* forward|step* up the board|move* up the board|go* further up|move* forward|moving forward|front foot|foot forward|feet forward|shuffl* forward|shuffl* up|weight forward|stand* forward|lean* forward|over the front foot|creep* forward|scoot* up|stand further up|feet up the board|shuffle up|shuffl*|inch* up|inch* forward|nearer the nose|closer to the nose|walk up|get forward|up on it|further forward|feet further|stood forward',
  going: 'speed|going|moving|plane|planing|momentum|flow',
  backhand: 'backhand*|backside|back side|my back to the wave',
  fish: 'fish|fishes|swallow tail|swallow|keel fish',
  wing: 'wing*|flyer*|hip|bump in the rail|bump|step in the outline|step in the rail',
  abrupt:
    'abrupt*|sudden*|jerk*|all at once|snaps round|bites suddenly|hitch*|kink*|hesitat*|catches then goes|two stage|like a step|not smooth|clunk*|notch*|corner in the turn|kick* round|lurch*|flick*|trip over|hinge*',
  lostNose:
    'lost its nose rid*|lost the nose rid*|not nose rid*|not noserid*|used to nose rid*|nose ride gone|falls off the nose|drop* out on the nose|not hang*|not sit on the nose|not stay on the nose|not lock in|nose sinks when i walk|tail lifts when i walk|not hang ten|no longer hangs|not longer hang*|not nose ride|hold* nose rid*|not hold nose|not hold nose rid*|nose rides worse|worse on the nose|nose ride is gone|lost the glide on the nose|not stay up on the nose',
  pivot:
    'pivot point|back foot|foot placement|foot too far|sweet spot|not find the tail|tail pad|off the fins|pad|foot is in the wrong|ahead of the fins|not over the fins|over the fins|where the pad|kick of the pad|behind the wing|reach the tail|reaching for the tail|stand far enough back|further back than|traction',
  bulky:
    'bulky|chunky|too thick|thick|big under|boat|barge|clunky|tank|door|too much board|cumbersome|lump of foam|fat under|too chunky|chunk*|log in the hands|slab of foam|fat*|thick in the rail|thick rails|heavy in the hands|hard to carry|brick|podg*|stodg*|mattress',
  corky:
    'cork*|too float*|floaty|sits on top|sits high|bob*|too much foam|too much volume|too buoyant|not sink*|not set the rail|not bury|not get the rail in|not push it under|pops up|too many litres|not duck*|like a balloon|on top of the water|float* high|ride* high|rides on top|perches on|bobs|like a cork|like a buoy|pop* up|hard to sink|hard to push under|not go under|duck div*|duckdiv*|boat like|balloon*',
  sinks:
    'not float*|too small|sinks under me|under water|underwater|sits low|not enough foam|not enough volume|too little foam|not enough litres|up to my chest|up to my waist|sink* when i paddle|too few litres|undergunned|not carry me|waist deep|under the surface|below the surface|deep in the water|half under|swims|swimming|swamped|drowns me|waterlogged|sits deep|rides low|rides too low|low in the water|not hold me up|not keep me up|not support*|water over the deck|too thin for me|too little under me|need more foam|needs more foam|more litres',
  railSlow:
    'slow rail to rail|rail to rail|edge to edge|slow to change|slow side to side|slow to respond|slow to answer|takes time to roll|takes forever to roll|lag|lags|late to react|too wide under|not quick|slow to roll*|roll over|other rail|onto its rail|onto the rail|one rail to the other|from one side|side to the other|slow off the rail|late on the rail|takes an age to lean|lazy on the rail|heavy to lean|rolls slowly',
  box: 'box crack*|fin box*|crack* at the fin*|crack* round the fin*|crack* by the fin*|fin plug*|cracked box|leak* at the fin*|fin pulled out|fin ripped|box is loose|box moves|fin wobbles|fin moved|split by the fin*|crack at the plug|crack in front of the fin*|around the fin*|box split|box has split',
  missing:
    'miss wave*|missing wave*|missed wave*|miss half|miss most|miss every*|miss too many|waves go by|waves go under me',
  takesLong:
    'takes all day|takes forever|takes ages|takes the whole|takes too long|takes an age|takes an eternity|takes a week|takes time|takes its time|takes so long|takes half|needs ages|not in time|all day to|too slow to|slow to|slow coming|a long time|eventually',
  heavyRider:
    'i weigh|my weight|big guy|big bloke|big lad|big fella|heavy rider|heavy guy|heavy bloke|hundred kilos|a hundred|hundred kg|i am heavy|at my size|under my bulk',
  dents:
    'dent*|deck is soft|soft deck|pressure ding*|heel mark*|heel dent*|knee mark*|knee dent*|crush*|deck crack*|delam*|footprints in the deck|dimple*|caved|hollow where|soft spot*|soft under|deck gives|heels have gone in|squash*|bruise*|sunk in under',
} as const;
type Idea = keyof typeof IDEAS;

interface Phrase {
  words: readonly string[];
  idea: Idea;
}
const PHRASES: readonly Phrase[] = (Object.keys(IDEAS) as Idea[])
  .flatMap((idea) => IDEAS[idea].split('|').map((phrase): Phrase => ({ words: phrase.split(' '), idea })))
  .sort((a, b) => b.words.length - a.words.length);

/** So many phrases are known. */
export const PHRASES_KNOWN = PHRASES.length;

/** Ideas that together mean a complaint, "!" before one that is denied; and how surely. */
const MEANS: readonly (readonly [complaint: string, ideas: string, weight: number])[] = [
  ['slides-nose', 'slide noseRide', 5],
  ['slides-nose', 'slide nose', 2.5],
  ['single-slides', 'slide single', 5],
  ['loose-steep', 'slide drop', 4],
  ['loose-steep', 'loose drop', 4.5],
  ['loose-steep', 'loose', 2],
  ['slides-cutback', 'slide cutback', 4],
  ['slides-cutback', 'slide turning', 3],
  ['slides-cutback', 'slide', 2.5],
  ['fish-backhand', 'backhand', 3],
  ['fish-backhand', '!backhand', 3],
  ['fish-backhand', 'backhand fish', 5.5],
  ['fish-backhand', 'backhand slide', 4.5],
  ['dull', 'dull', 3],
  ['drags-turn', 'drag turning', 4],
  ['drags-turn', 'drag cutback', 4],
  ['drags-turn', 'drag bottomTurn', 4],
  ['drags-turn', 'drag', 2],
  ['pushes-water', 'plough', 4.5],
  ['twin-drive', 'drive twin', 5],
  ['twin-drive', 'drive', 3],
  ['stiff', 'stiff', 3.2],
  ['stiff', '!turning', 3],
  ['stiff', 'hard turning', 3.2],
  ['not-vertical', '!vertical', 4.5],
  ['not-vertical', 'hard vertical', 4],
  ['not-vertical', 'vertical slow', 3],
  ['chatters', 'chatter', 3],
  ['chatters', 'chatter chop', 4.5],
  ['chatters', 'chop', 1],
  ['heavy-bogs', 'bog bottomTurn', 4.5],
  ['heavy-bogs', 'bog turning', 3.2],
  ['heavy-bogs', 'bog cutback', 3],
  ['heavy-bogs', 'bog', 2],
  ['nose-catches', 'catching rail', 4],
  ['nose-catches', 'catching nose', 4],
  ['nose-catches', 'catching', 1.5],
  ['pearls', 'pearl', 4.5],
  ['pearls', 'catching nose drop', 5],
  ['pearls', 'bog nose', 4],
  ['slow-line', 'slow line', 4],
  ['slow-line', 'slow', 2.2],
  ['slow-line', '!going', 2],
  ['hard-to-paddle', 'paddling hard', 4.5],
  ['hard-to-paddle', 'paddling slow', 4.5],
  ['hard-to-paddle', '!paddling', 4.2],
  ['hard-to-paddle', 'paddling drop', 3],
  ['tippy', 'tippy', 3.2],
  ['step-forward', 'forward going', 4.5],
  ['step-forward', 'forward', 2.8],
  ['step-forward', 'forward slow', 4.6],
  ['abrupt-wing', 'abrupt wing', 5],
  ['abrupt-wing', 'abrupt', 2.8],
  ['lost-nose-ride', 'lostNose', 5.5],
  ['lost-nose-ride', '!noseRide', 5.2],
  ['lost-nose-ride', 'hard noseRide', 4.5],
  ['lost-nose-ride', 'slow noseRide', 2],
  ['off-pivot', 'pivot', 3.4],
  ['off-pivot', '!pivot', 3.4],
  ['bulky', 'bulky', 3],
  ['corky', 'corky', 3.4],
  ['sinks', 'sinks', 4.2],
  ['slow-rail', 'railSlow', 4.6],
  ['stiff', 'takesLong turning', 4.6],
  ['not-vertical', 'stiff vertical', 4.6],
  ['heavy-bogs', 'heavyRider bog', 4.6],
  ['heavy-bogs', 'heavyRider bottomTurn', 4],
  ['heavy-bogs', 'heavyRider slow', 3],
  ['nose-catches', 'bog rail nose', 4.6],
  ['nose-catches', 'bog rail', 3],
  ['twin-drive', 'twin chatter', 3.2],
  ['twin-drive', 'twin !going', 4],
  ['single-slides', 'single drive', 5.2],
  ['single-slides', 'single loose', 4.6],
  ['hard-to-paddle', 'takesLong paddling', 4.8],
  ['hard-to-paddle', 'missing', 4.5],
  ['slow-rail', 'railSlow slow', 4.8],
  ['slow-rail', 'railSlow takesLong', 5],
  ['slow-rail', 'rail takesLong', 4.4],
  ['tippy', 'tippy chop', 3.3],
  ['step-forward', 'forward going', 4.9],
  ['box-cracks', 'box', 6],
  ['dents', 'dents', 4.5],
];

/** Ways of saying no become one word. */
const NO = new Set([
  'no',
  'not',
  'never',
  'none',
  'without',
  'cannot',
  'cant',
  'wont',
  'dont',
  'doesnt',
  'didnt',
  'isnt',
  'wasnt',
  'arent',
  'couldnt',
  'wouldnt',
  'hasnt',
  'lacks',
  'lacking',
  'lack',
  'nor',
  'hardly',
  'barely',
]);
/** Little words that change nothing and stand between others. */
const LITTLE = new Set([
  'a',
  'an',
  'the',
  'it',
  'its',
  'is',
  'was',
  'be',
  'been',
  'really',
  'very',
  'so',
  'just',
  'bit',
  'of',
  'me',
  'my',
  'any',
  'some',
  'to',
  'i',
  'in',
  'at',
  'on',
  'up',
  'into',
  'there',
  'this',
  'that',
  'too',
  'much',
  'enough',
  'quite',
  'kind',
  'sort',
  'always',
  'keep',
  'keeps',
  'kept',
  'feels',
  'feel',
  'felt',
  'bloody',
  'properly',
  'out',
  'off',
  'with',
]);
/** So far before an idea a "no" still denies it, little words not counted. */
const DENIES = 3;

const words = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[^a-z0-9 ]+/g, ' ')
    .split(/\s+/)
    .filter((word) => word !== '')
    .map((word) => (NO.has(word) ? 'not' : word));

const fits = (pattern: string, word: string | undefined): boolean =>
  word !== undefined && (pattern.endsWith('*') ? word.startsWith(pattern.slice(0, -1)) : word === pattern);

/** Where a phrase ends when it begins at a word, little words between its own left aside; undefined where it does not stand there. */
function endOf(phrase: Phrase, said: readonly string[], from: number): number | undefined {
  if (!fits(phrase.words[0], said[from])) return undefined;
  let at = from;
  for (const pattern of phrase.words.slice(1)) {
    at++;
    for (let skipped = 0; skipped < 3 && !fits(pattern, said[at]); skipped++) {
      if (at >= said.length || !LITTLE.has(said[at])) return undefined;
      at++;
    }
    if (!fits(pattern, said[at])) return undefined;
  }
  return at;
}

/** The ideas in one part of a sentence: those said, and with "!" those denied. */
function ideasIn(said: readonly string[]): Set<string> {
  const ideas = new Set<string>();
  const taken = new Set<number>();
  for (const phrase of PHRASES) {
    for (let from = 0; from < said.length; from++) {
      const to = endOf(phrase, said, from);
      if (to === undefined) continue;
      const span = Array.from({ length: to - from + 1 }, (_, k) => from + k);
      // A word says one thing only by its longest phrase, but for single words, which may colour others.
      if (phrase.words.length > 1 && span.some((k) => taken.has(k))) continue;
      if (phrase.words.length === 1 && taken.has(from)) continue;
      if (phrase.words.length > 1) span.forEach((k) => taken.add(k));
      ideas.add(denied(said, from, phrase, taken) ? `!${phrase.idea}` : phrase.idea);
    }
  }
  return ideas;
}

function denied(said: readonly string[], from: number, phrase: Phrase, taken: ReadonlySet<number>): boolean {
  if (phrase.words.includes('not')) return false;
  let counted = 0;
  for (let k = from - 1; k >= 0 && counted < DENIES; k--) {
    // A no reaches to the next "and": it does not pearl and paddles well.
    if (said[k] === 'and') return false;
    if (said[k] === 'not') return !taken.has(k);
    if (!LITTLE.has(said[k])) counted++;
  }
  return false;
}

/** A complaint heard, and how surely. */
export interface Heard {
  complaint: string;
  weight: number;
}

/** What is said to be good is no complaint, whatever it is called. */
const MEANT_WELL = /in a good way|the right amount of|just right|as it should/;

/** Parts of what was said: a no in one denies nothing in another. */
const PARTS = /[.;:!?,\n]| but | and then | though | although | because | except | yet /;

/**
 * What a rider's words complain of, the surest first; nothing for praise, or for words that are not understood. What is denied ("does
 * not catch") is no complaint, unless it is one ("will not turn").
 */
export function heardIn(text: string): Heard[] {
  const weights = new Map<string, number>();
  const parts = text
    .toLowerCase()
    .split(PARTS)
    .filter((part) => !MEANT_WELL.test(part))
    .map(words)
    .filter((part) => part.length > 0);
  // Across the whole ideas colour each other a little: "on my fish it slides, backhand above all".
  const everywhere = new Set(parts.flatMap((part) => [...ideasIn(part)]));
  const count = (ideas: ReadonlySet<string>, share: number) => {
    for (const [complaint, asked, weight] of MEANS) {
      if (asked.split(' ').every((idea) => ideas.has(idea)))
        weights.set(complaint, Math.max(weights.get(complaint) ?? 0, share * weight));
    }
  };
  for (const part of parts) count(ideasIn(part), 1);
  if (parts.length > 1) count(everywhere, 0.9);
  return [...weights]
    .map(([complaint, weight]) => ({ complaint, weight }))
    .filter(({ weight }) => weight >= LEAST)
    .sort((a, b) => b.weight - a.weight);
}
/** Less sure than this nothing is heard. */
const LEAST = 1.9;

/** For words that say no complaint: those that share most letters with what riders say, so that the shaper can choose. */
export function nearestTo(text: string, complaints: readonly { id: string; words: string }[]): string[] {
  const pairs = (of: string) => {
    const plain = words(of).join(' ');
    return new Set(Array.from({ length: Math.max(0, plain.length - 2) }, (_, k) => plain.slice(k, k + 3)));
  };
  const said = pairs(text);
  const near = complaints.map(({ id, words: named }) => {
    const ideas = new Set(MEANS.filter(([complaint]) => complaint === id).flatMap(([, asked]) => asked.split(' ')));
    const known = [...ideas].flatMap((idea) => IDEAS[idea.replace('!', '') as Idea].split('|'));
    const theirs = [named, ...known].map(pairs);
    const shared = Math.max(
      ...theirs.map((set) => [...set].filter((pair) => said.has(pair)).length / Math.max(4, set.size)),
    );
    return { id, shared };
  });
  return near
    .sort((a, b) => b.shared - a.shared)
    .slice(0, 3)
    .map(({ id }) => id);
}
