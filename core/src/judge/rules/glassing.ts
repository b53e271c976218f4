import type { Facts } from '../../measure/facts.ts';
import type { Build } from '../case.ts';
import { THE_AIM, THE_BUILD } from '../known.ts';
import { families, kinds, not, RIDERS, SEAS, SHORT, SIDE_FINS } from '../line.ts';
import { type Found, rule, type Rule, type Writer } from '../rule.ts';

type Glassed = { build: Build };
const cloth_oz = {
  words: 'cloth on deck and bottom together, oz',
  unit: '',
  read: (_facts: Facts, { build }: Glassed) => build.deck_oz + build.bottom_oz,
} as const;
const deck_oz = {
  words: 'cloth on the deck where it has no patch, oz',
  unit: '',
  read: (_facts: Facts, { build }: Glassed) => (build.deckPatch ? Infinity : build.deck_oz),
} as const;
const kgALitre = {
  words: 'finished weight over litres, kg/L',
  unit: '',
  read: ({ m }: Facts, { build }: Glassed) => build.mass_kg / m.volume_L,
} as const;
/** Cloth of a light board all over: 4+4/4 and what is under it. */
const LIGHT_oz = 13;
/** From 6+6/4 on a short board is glassed to last. */
const HEAVY_oz = 15;

const glassed = ({ build }: Found<Glassed>, w: Writer) =>
  `Glassed with ${build.deck_oz} oz on the deck and ${build.bottom_oz} under it, ${w.kg(build.mass_kg)}`;

const aimALitre = {
  words: 'weight asked for over litres, kg/L',
  unit: '',
  read: ({ m }: Facts, { aim_kg }: { aim_kg: number }) => aim_kg / m.volume_L,
} as const;
const aimed = ({ aim_kg, m }: Found<{ aim_kg: number }>, w: Writer) =>
  `The brief asks for ${w.kg(aim_kg)} on ${w.L(m.volume_L)}`;

/** Glass and weight, where the shop has said how it is glassed. */
export const GLASSING_RULES: readonly Rule[] = [
  rule({
    id: 'light-under-a-single',
    group: 'making',
    title: 'Light for a single fin',
    level: 'note',
    cause: 'Some weight carries a single fin through flat sections.',
    school: { question: 'weight', answer: 'carries' },
    source: 'CP',
    knows: THE_BUILD,
    given: [families('longboard', 'midLength'), not(SIDE_FINS)],
    reads: [cloth_oz, 'under', LIGHT_oz],
    says: glassed,
  }),
  rule({
    id: 'light-in-chop',
    group: 'making',
    title: 'Light for choppy water',
    level: 'note',
    cause: 'A little weight steadies it over bumps.',
    school: { question: 'weight', answer: 'carries' },
    source: 'CP',
    knows: THE_BUILD,
    given: [SEAS.choppy, not(SHORT)],
    reads: [kgALitre, 'under', 0.075],
    says: glassed,
  }),
  rule({
    id: 'heavy-glass-sharp',
    group: 'making',
    title: 'Heavy glass under a rider who turns',
    level: 'note',
    cause: 'Weight is part of the feel: light turns sharply.',
    school: { question: 'weight', answer: 'light' },
    source: 'CP',
    knows: THE_BUILD,
    given: [SHORT, RIDERS.sharp, not(RIDERS.heavy)],
    reads: [cloth_oz, 'over', HEAVY_oz],
    says: glassed,
  }),
  rule({
    id: 'heavy-for-its-litres',
    group: 'making',
    title: 'Heavy for its litres',
    level: 'look',
    cause: 'A short board that weighs so much is slow to get going and to turn; weigh blank, cloth and resin.',
    source: 'derived',
    knows: THE_BUILD,
    given: [SHORT],
    reads: [kgALitre, 'over', 0.12],
    says: ({ build, m }, w) => `It weighs ${w.kg(build.mass_kg)} on ${w.L(m.volume_L)}`,
  }),
  rule({
    id: 'knees-and-feet-dent',
    group: 'making',
    title: 'No patch where knees and feet will dent it',
    level: 'note',
    cause: 'A patch over the back of the deck, or another layer, stands a heavy rider’s heels and knees.',
    source: 'CP',
    knows: THE_BUILD,
    given: [RIDERS.heavy],
    reads: [deck_oz, 'under', 9],
    says: ({ build }) => `The deck has ${build.deck_oz} oz of cloth and no patch`,
  }),
  rule({
    id: 'boxes-unpatched',
    group: 'making',
    title: 'No patch over the fin boxes',
    level: 'note',
    cause: 'Big powerful waves lever the fins: the foam gives way at the front of a box first. A patch there is cheap.',
    source: 'CP',
    knows: THE_BUILD,
    given: [SEAS.bigAndPowerful, kinds('stepUp', 'semiGun', 'bigWaveGun')],
    reads: [
      {
        words: 'cloth under the fins where there is no patch, oz',
        unit: '',
        read: (_facts, { build }) => (build.tailPatch ? Infinity : build.bottom_oz),
      },
      'under',
      9,
    ],
    says: ({ build }) => `The bottom has ${build.bottom_oz} oz of cloth and no patch under the fins`,
  }),
  rule({
    id: 'aimed-light-single',
    group: 'making',
    title: 'A light board asked for on a single fin',
    level: 'note',
    cause: 'Some weight carries a single fin through flat sections; so light it is thrown about and stops.',
    school: { question: 'weight', answer: 'carries' },
    source: 'derived',
    knows: THE_AIM,
    given: [families('longboard', 'midLength'), not(SIDE_FINS)],
    reads: [aimALitre, 'under', 0.072],
    says: aimed,
  }),
  rule({
    id: 'aimed-heavy-sharp',
    group: 'making',
    title: 'A heavy board asked for by a rider who turns',
    level: 'note',
    cause: 'Weight is part of the feel: light turns sharply.',
    school: { question: 'weight', answer: 'light' },
    source: 'derived',
    knows: THE_AIM,
    given: [SHORT, RIDERS.sharp, not(RIDERS.heavy)],
    reads: [aimALitre, 'over', 0.1],
    says: aimed,
  }),
];
