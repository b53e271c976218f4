import { INCH_mm } from '../../units/length.ts';
import { FOIL_BALANCE_mm } from '../../tolerances.ts';
import { THE_LAST } from '../known.ts';
import { families, not, numberWords, RIDERS, SEAS } from '../line.ts';
import { against, type Found, percent, rule, type Rule, type Writer } from '../rule.ts';

const noseThicker = ({ value }: Found<unknown>, w: Writer) =>
  `At 12 in the nose is ${w.mm(value)} thicker than the tail`;
const tailThicker = ({ value }: Found<unknown>, w: Writer) =>
  `At 12 in the tail is ${w.mm(-value)} thicker than the nose`;
const railFull = ({ value, facts }: Found<unknown>, w: Writer) =>
  `The rail at the wide point is ${percent(value)} full, ${w.mm(facts.railThickWide_mm)} thick`;

/** Balanced, and a little for the fraction it is written in. */
const BALANCED_mm = 1.3 * FOIL_BALANCE_mm;
/** An eighth is a significant change of thickness on a short board, a quarter on a long one; a tenth of a mm is nothing. CP. */
const THICKER_mm = { shortUnder: 84 * INCH_mm, short: INCH_mm / 8 + 0.1, long: INCH_mm / 4 + 0.1 } as const;

/** Foil: where the foam sits, and how it is hidden. */
export const FOIL_RULES: readonly Rule[] = [
  rule({
    id: 'foil-nose-full',
    group: 'foil',
    title: 'Foil fuller in the nose',
    level: 'note',
    cause: 'A balanced foil stays within 0.05 in; meant, it puts foam under the chest and the front foot.',
    lever: { id: 'foilForward', way: -1 },
    school: { question: 'foil', answer: 'balanced' },
    source: 'CP',
    reads: ['foilBias12_mm', 'over', BALANCED_mm],
    says: noseThicker,
  }),
  rule({
    id: 'foil-tail-full',
    group: 'foil',
    title: 'Foil fuller in the tail',
    level: 'note',
    cause: 'A balanced foil stays within 0.05 in; meant, it puts foam under the back foot.',
    lever: { id: 'foilForward', way: 1 },
    school: { question: 'foil', answer: 'balanced' },
    source: 'CP',
    reads: ['foilBias12_mm', 'under', -BALANCED_mm],
    says: tailThicker,
  }),
  rule({
    id: 'foil-aft-extreme',
    group: 'foil',
    title: 'Back half a quarter inch thicker',
    level: 'conflict',
    cause: 'A board a quarter inch thicker in its back half is extreme: the nose dives when it is paddled.',
    lever: { id: 'foilForward', way: 1 },
    source: 'CP',
    reads: ['foilBias12_mm', 'under', -0.25 * INCH_mm],
    says: tailThicker,
  }),
  rule({
    id: 'foil-nose-extreme',
    group: 'foil',
    title: 'Nose a quarter inch thicker',
    level: 'look',
    cause: 'Foam so far forward swings, and lifts the tail out of its work.',
    lever: { id: 'foilForward', way: -1 },
    source: 'derived',
    given: [not(families('longboard', 'gun'))],
    reads: ['foilBias12_mm', 'over', 0.25 * INCH_mm],
    says: noseThicker,
  }),
  rule({
    id: 'foil-front-foot',
    group: 'foil',
    title: 'Foam under the back foot of a front-footed rider',
    level: 'look',
    cause: 'Foam forward suits a front foot, longer boards, bigger waves and paddling.',
    lever: { id: 'foilForward', way: 1 },
    school: { question: 'foil', answer: 'biased' },
    source: 'CP',
    given: [RIDERS.frontFooted],
    reads: ['foilBias12_mm', 'under', -0.03 * INCH_mm],
    says: tailThicker,
  }),
  rule({
    id: 'foil-back-foot',
    group: 'foil',
    title: 'Foam forward of a back-footed rider',
    level: 'look',
    cause: 'Foam aft carries back-foot power; a thick wide tail keeps its speed.',
    lever: { id: 'foilForward', way: -1 },
    school: { question: 'foil', answer: 'biased' },
    source: 'CP',
    given: [RIDERS.backFooted],
    reads: ['foilBias12_mm', 'over', -0.02 * INCH_mm],
    says: ({ m }, w) => `Nose 12 is ${w.mm(m.noseThickness12_mm)} and tail 12 ${w.mm(m.tailThickness12_mm)} thick`,
  }),
  rule({
    id: 'foam-behind-area',
    group: 'foil',
    title: 'Foam behind the area it should float',
    level: 'note',
    cause: 'Foil and outline pull different ways: it floats tail down.',
    lever: { id: 'foilForward', way: 1 },
    source: 'derived',
    reads: [
      {
        words: 'centre of the plan ahead of the centre of the foam, over the length',
        unit: '%',
        read: ({ areaCentreShare, foamCentreShare }) => areaCentreShare - foamCentreShare,
      },
      'over',
      0.022,
    ],
    says: ({ facts, value }, w) => `The foam’s centre is ${w.mm(value * facts.L)} behind the plan’s`,
  }),
  rule({
    id: 'learner-chest',
    group: 'foil',
    title: 'Little foam under a learner’s chest',
    level: 'look',
    cause: 'Hard to paddle and late to the feet; foam forward gets them in.',
    lever: { id: 'foilForward', way: 1 },
    source: 'derived',
    given: [RIDERS.novice],
    reads: ['chestShare', 'under', { usual: 'low' }],
    says: ({ facts, m }, w) => `Under the chest there are ${w.L(facts.under.chest_L)} of ${w.L(m.volume_L)}`,
  }),
  rule({
    id: 'bulky',
    group: 'foil',
    title: 'Boxy all over',
    level: 'look',
    cause: 'Bulky for its litres and corky: thin the rail, step or flatten the deck.',
    lever: { id: 'railFullness', way: -1 },
    source: 'derived',
    reads: ['fullness', 'over', { usual: 'high' }],
    says: ({ value, line }) => `It fills ${percent(value)} of its box, usually up to ${percent(line)}`,
  }),
  rule({
    id: 'skinny',
    group: 'foil',
    title: 'Thin for its size',
    level: 'note',
    cause: 'Its size promises more litres than it has; the rail is sensitive and buries.',
    lever: { id: 'railFullness', way: 1 },
    source: 'derived',
    reads: ['fullness', 'under', { usual: 'low' }],
    says: ({ value, line }) => `It fills ${percent(value)} of its box, usually from ${percent(line)}`,
  }),
  rule({
    id: 'heavy-thin-rail',
    group: 'foil',
    title: 'Thin rails under a heavy rider',
    level: 'look',
    cause: 'They bury; full boxy rails push back under a heavy rider.',
    lever: { id: 'railFullness', way: 1 },
    source: 'CP',
    given: [RIDERS.heavy],
    reads: ['railFullness', 'under', 0.45],
    says: railFull,
  }),
  rule({
    id: 'light-boxy-rail',
    group: 'foil',
    title: 'Boxy rails under a light rider',
    level: 'look',
    cause: 'They push back and will not be set; thin rails keep a thick board sensitive.',
    lever: { id: 'railFullness', way: -1 },
    source: 'CP',
    given: [RIDERS.light, not(SEAS.weak)],
    reads: ['railFullness', 'over', 0.82],
    says: railFull,
  }),
  rule({
    id: 'thickness-against-last',
    group: 'foil',
    title: 'Thickness changed from the last board',
    level: 'note',
    cause: 'An eighth anywhere is a significant change on a short board, less so on a long one.',
    lever: { id: 'thickness', way: -1 },
    source: 'CP',
    knows: THE_LAST,
    reads: [
      {
        words: 'how much thicker it is than that',
        unit: 'mm',
        read: ({ m }, { last }) => m.thickness_mm - last.facts.m.thickness_mm,
      },
      'over',
      {
        words: `${numberWords(THICKER_mm.short, 'mm')}, from ${numberWords(THICKER_mm.shortUnder, 'feet')} on ${numberWords(THICKER_mm.long, 'mm')}`,
        at: (_known, { L }) => (L < THICKER_mm.shortUnder ? THICKER_mm.short : THICKER_mm.long),
      },
    ],
    says: ({ c, m }, w) => `It is ${w.mm(m.thickness_mm)} thick${against(c, (f) => f.m.thickness_mm, w.mm)}`,
  }),
];
