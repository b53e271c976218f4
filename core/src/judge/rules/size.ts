import { curveTroubles, hollowsOf } from '../../shape/troubles.ts';
import { FAMILY_WORDS } from '../../document/kinds.ts';
import { finTroubles } from '../../fins/checks.ts';
import { modelNamed } from '../../models/models.ts';
import { LITRES_PER_KG, FAMILY_SHARE } from '../../rider/litres.ts';
import { INCH_mm } from '../../units/length.ts';
import { backFooted, big, frontFooted, type Rule, usual, weak, when } from '../rule.ts';

/** Most a rider steps down at a time: about 6 in of length (CP). */
const STEP_DOWN_mm = 6 * INCH_mm;
/** A model makes sense from so much shorter to so much longer than it was drawn. Our own run. */
export const SENSIBLE_RUN = { shorter: 0.9, longer: 1.16 } as const;

/** Size, stance and weight, and what the foam allows. */
export const SIZE_RULES: readonly Rule[] = [
  {
    id: 'litres-far-below',
    group: 'size',
    title: 'Far too few litres',
    level: 'conflict',
    looksAt: 'litres against the rider’s range',
    when: 'more than 12 % under the range',
    cause: 'It sits low and catches late; no shape makes up for it.',
    lever: { id: 'thickness', way: 1 },
    source: 'CP',
    beyond: (c) => c.target && 0.88 * c.target.low_L - c.facts.m.volume_L,
    says: (c, w) => `${w.L(c.facts.m.volume_L)} where this rider’s range starts at ${w.L(c.target?.low_L ?? 0)}`,
  },
  {
    id: 'litres-below',
    group: 'size',
    title: 'Under the range of litres',
    level: 'look',
    looksAt: 'litres against the rider’s range',
    when: 'under the range, up to 12 %',
    cause: 'It will sit low and catch late; thickness is the quickest lever.',
    lever: { id: 'thickness', way: 1 },
    source: 'CP',
    beyond: (c) => c.target && c.target.low_L - c.facts.m.volume_L,
    says: (c, w) =>
      `${w.L(c.facts.m.volume_L)} where this rider’s range starts at ${w.L(c.target?.low_L ?? 0)}, ${w.L((c.target?.low_L ?? 0) - c.facts.m.volume_L)} under`,
  },
  {
    id: 'litres-above',
    group: 'size',
    title: 'Over the range of litres',
    level: 'look',
    looksAt: 'litres against the rider’s range',
    when: 'over the range',
    cause: 'It may feel corky; take thickness or fullness out of the rail.',
    lever: { id: 'thickness', way: -1 },
    source: 'CP',
    beyond: (c) => c.target && c.facts.m.volume_L - c.target.high_L,
    says: (c, w) =>
      `${w.L(c.facts.m.volume_L)} where this rider’s range ends at ${w.L(c.target?.high_L ?? 0)}, ${w.L(c.facts.m.volume_L - (c.target?.high_L ?? 0))} over`,
  },
  {
    id: 'novice-expert-litres',
    group: 'size',
    title: 'A learner on an expert’s litres',
    level: 'conflict',
    looksAt: 'litres a kilogram',
    when: 'learning to stand, short boards under 0.5 L per kg after what the family carries',
    cause: 'Learners want 0.65 to 0.9 L per kg: first waves, then turns.',
    lever: { id: 'thickness', way: 1 },
    source: 'CP',
    beyond: (c) =>
      c.rider?.ability === 'novice'
        ? 0.5 * c.rider.mass_kg * FAMILY_SHARE[c.facts.board.family] - c.facts.m.volume_L
        : undefined,
    says: (c, w) =>
      `${w.L(c.facts.m.volume_L)} for ${w.kg(c.rider?.mass_kg ?? 0)} is ${(c.facts.m.volume_L / (c.rider?.mass_kg ?? 1)).toFixed(2)} L per kg; experts ride ${LITRES_PER_KG.expert[0]} to ${LITRES_PER_KG.expert[1]}`,
  },
  {
    id: 'step-down-length',
    group: 'size',
    title: 'A large step down',
    level: 'look',
    looksAt: 'length against the last board',
    when: 'more than 6 in shorter than the board it is judged against, of the same family',
    cause: 'About 6 in at a time keeps what the rider has learnt; two boards get there more surely than one.',
    lever: { id: 'length', way: 1 },
    source: 'CP',
    beyond: (c) =>
      c.last && c.last.facts.board.family === c.facts.board.family
        ? c.last.facts.L - c.facts.L - STEP_DOWN_mm - 0.5
        : undefined,
    says: (c, w) =>
      `${w.feet(c.facts.L)} after ${c.last?.name ?? ''} at ${w.feet(c.last?.facts.L ?? 0)}, ${w.mm((c.last?.facts.L ?? 0) - c.facts.L)} shorter`,
  },
  {
    id: 'step-down-litres',
    group: 'size',
    title: 'A large step down in litres',
    level: 'look',
    looksAt: 'litres against the last board',
    when: 'more than an eighth fewer than the board it is judged against, of the same family',
    cause: 'Litres carry the rider whatever the length; that is more than a step of 6 in takes.',
    lever: { id: 'thickness', way: 1 },
    source: 'derived',
    beyond: (c) =>
      c.last && c.last.facts.board.family === c.facts.board.family
        ? 0.875 * c.last.facts.m.volume_L - c.facts.m.volume_L
        : undefined,
    says: (c, w) => `${w.L(c.facts.m.volume_L)} after ${c.last?.name ?? ''} at ${w.L(c.last?.facts.m.volume_L ?? 0)}`,
  },
  {
    id: 'outside-the-run',
    group: 'size',
    title: 'Outside the model’s sensible run',
    level: 'look',
    looksAt: 'length against the model it began as',
    when: 'more than 10 % shorter or 16 % longer',
    cause: 'A model stretched so far is another board: look at rocker and widths again.',
    source: 'derived',
    beyond: (c) => {
      const model = modelNamed(c.facts.board.name);
      if (!model) return undefined;
      const k = c.facts.L / model.length_mm;
      return Math.max(SENSIBLE_RUN.shorter - k, k - SENSIBLE_RUN.longer);
    },
    says: (c, w) =>
      `${w.feet(c.facts.L)} where the model is ${w.feet(modelNamed(c.facts.board.name)?.length_mm ?? c.facts.L)}`,
  },
  {
    id: 'short-for-size',
    group: 'size',
    title: 'Short for well overhead waves',
    level: 'conflict',
    looksAt: 'length',
    when: 'waves well overhead and powerful, under 6’6; a gun under 8’0',
    cause:
      'Length catches the wave: 8’0 to 8’6 for large beach breaks, 9’6 to 10’0 for the biggest. A rider starts long, then comes down.',
    lever: { id: 'length', way: 1 },
    source: 'CP',
    beyond: (c) =>
      when(
        c.waves?.size === 'wellOverhead' && c.waves.power === 'powerful',
        (c.facts.board.family === 'gun' ? 96 : 78) * INCH_mm - c.facts.L,
      ),
    says: (c, w) => `${w.feet(c.facts.L)} long`,
  },
  {
    id: 'family-for-big',
    group: 'size',
    title: 'Not a board for well overhead waves',
    level: 'conflict',
    looksAt: 'family',
    when: 'a fish, mid-length or longboard, waves well overhead',
    cause: 'Its tail and entry are drawn for smaller waves.',
    source: 'CP',
    beyond: (c) =>
      when(c.waves?.size === 'wellOverhead' && ['fish', 'midLength', 'longboard'].includes(c.facts.board.family), 1),
    says: (c) => `This is a ${FAMILY_WORDS[c.facts.board.family]}`,
  },
  {
    id: 'gun-for-small',
    group: 'size',
    title: 'A gun for small waves',
    level: 'conflict',
    looksAt: 'family',
    when: 'a gun, waves weak or no more than waist high',
    cause: 'It will not turn, or go, in them.',
    source: 'CP',
    beyond: (c) => when(c.facts.board.family === 'gun' && weak(c), 1),
    says: (c, w) => `This is a gun of ${w.feet(c.facts.L)}`,
  },
  {
    id: 'big-wave-caution',
    group: 'size',
    title: 'Equipment for a dangerous place',
    level: 'note',
    looksAt: 'wave size',
    when: 'waves well overhead',
    cause:
      'The app knows nothing of the place, the day, the leash or the rider’s training; those who surf there do. It judges numbers only.',
    source: 'CP',
    beyond: (c) => when(c.waves?.size === 'wellOverhead', 1),
    says: () => 'This board is for waves well overhead',
  },
  {
    id: 'front-foot-nose',
    group: 'stance',
    title: 'Fine nose under a front-footed rider',
    level: 'look',
    looksAt: 'nose 12 over width',
    when: 'front-footed, in the lower tenth of the family or under it; steep waves excepted',
    cause: 'Front-footed: the nose half an inch wider, the wide point up to an inch forward, the outline curvier.',
    lever: { id: 'noseWidth', way: 1 },
    source: 'CP',
    beyond: (c) => {
      const { low, high } = usual(c, 'noseShare');
      return when(frontFooted(c) && !big(c), low + 0.1 * (high - low) - c.facts.noseShare);
    },
    says: (c, w) => `Nose 12 is ${w.mm(c.facts.m.noseWidth12_mm)} on a width of ${w.mm(c.facts.m.width_mm)}`,
  },
  {
    id: 'back-foot-nose',
    group: 'stance',
    title: 'Full nose under a back-footed rider',
    level: 'note',
    looksAt: 'nose 12 over width',
    when: 'back-footed, in the upper tenth of the family or over it; longboards excepted',
    cause: 'Back-footed: the nose half an inch narrower, the wide point at centre or just behind.',
    lever: { id: 'noseWidth', way: -1 },
    source: 'CP',
    beyond: (c) => {
      const { low, high } = usual(c, 'noseShare');
      return when(backFooted(c) && c.facts.board.family !== 'longboard', c.facts.noseShare - high + 0.1 * (high - low));
    },
    says: (c, w) => `Nose 12 is ${w.mm(c.facts.m.noseWidth12_mm)} on a width of ${w.mm(c.facts.m.width_mm)}`,
  },
  {
    id: 'back-foot-ahead-of-wing',
    group: 'stance',
    title: 'Back foot ahead of the wing',
    level: 'note',
    looksAt: 'where the back foot usually stands, the foremost wing',
    when: 'the foot more than 4 in ahead of the wing, short boards',
    cause: 'The back foot lands at or behind the wing: move the pad, or the wing forward.',
    lever: { id: 'wingForward', way: 1 },
    source: 'CP',
    beyond: (c) =>
      when(
        c.facts.wingFrom_mm > 0 && ['shortboard', 'twin', 'fish'].includes(c.facts.board.family),
        c.facts.feet.backFoot_mm - c.facts.wingFrom_mm - 4 * INCH_mm,
      ),
    says: (c, w) =>
      `The back foot stands about ${w.mm(c.facts.feet.backFoot_mm)} up, the wing is ${w.mm(c.facts.wingFrom_mm)} up`,
  },
  {
    id: 'fast-not-quick',
    group: 'stance',
    title: 'Wide and slow from rail to rail',
    level: 'note',
    looksAt: 'width over length',
    when: 'a rider who turns where they choose or harder, wider for its length than the family usually is',
    cause:
      'Wide and short is fast down the line and not quick to answer; narrow and thicker is quick for the same litres.',
    lever: { id: 'width', way: -1 },
    source: 'CP',
    beyond: (c) =>
      when(
        c.rider?.ability === 'expert' || c.rider?.ability === 'advanced',
        c.facts.m.width_mm - widthHigh(c.facts.board.family, c.facts.L),
      ),
    says: (c, w) => `${w.mm(c.facts.m.width_mm)} wide on ${w.feet(c.facts.L)}`,
  },
  {
    id: 'hollow-curve',
    group: 'making',
    title: 'Hollow in a curve',
    level: 'look',
    looksAt: 'outline, rocker, foil',
    when: 'marks that no batten can take without a hollow',
    cause: 'Lift the mark off, or move it toward the batten.',
    source: 'derived',
    beyond: (c) => when(hollowsOf(c.facts.shape).length > 0, 1),
    says: (c, w) =>
      hollowsOf(c.facts.shape)
        .map(({ curve, from_mm, to_mm }) => `The ${curve} is hollow from ${w.mm(from_mm)} to ${w.mm(to_mm)} up`)
        .join('; '),
  },
  {
    id: 'tight-marks',
    group: 'making',
    title: 'Marks that pinch a curve',
    level: 'note',
    looksAt: 'marks of outline, rocker and foil',
    when: 'marks whose straight lines already turn the wrong way',
    cause: 'The batten takes them, but not fairly.',
    source: 'derived',
    beyond: (c) => when(hollowsOf(c.facts.shape).length === 0 && curveTroubles(c.facts.shape).length > 0, 1),
    says: (c) =>
      `${[...new Set(curveTroubles(c.facts.shape).map(({ curve }) => curve))].join(' and ')}: a mark stands off the line of its neighbours`,
  },
  {
    id: 'fin-foam',
    group: 'making',
    title: 'A fin box the foam refuses',
    level: 'conflict',
    looksAt: 'foam over each box, distance to rail and notch',
    when: 'less than the box needs',
    cause: 'Move the box, or thicken there.',
    source: 'CP',
    beyond: (c) => when(finTroubles(c.facts.shape).length > 0, 1),
    says: (c, w) =>
      finTroubles(c.facts.shape)
        .map(({ words, has_mm, needs_mm }) => `${words}: ${w.mm(has_mm)} where ${w.mm(needs_mm)} is wanted`)
        .join('; ')
        .replace(/^./, (x) => x.toUpperCase()),
  },
  {
    id: 'thin-tips',
    group: 'making',
    title: 'Very thin tip',
    level: 'look',
    looksAt: 'thickness at the tips',
    when: 'under 5/16 in at nose or tail',
    cause: 'Foam so thin breaks in the hand and under the glass.',
    source: 'derived',
    beyond: (c) => (5 / 16) * INCH_mm - 0.2 - Math.min(c.facts.board.foil.noseTip_mm, c.facts.board.foil.tailTip_mm),
    says: (c, w) => `Tips are ${w.mm(c.facts.board.foil.noseTip_mm)} and ${w.mm(c.facts.board.foil.tailTip_mm)} thick`,
  },
  {
    id: 'heavy-wide-stance',
    group: 'stance',
    title: 'Room for a wide stance',
    level: 'note',
    looksAt: 'length, rider’s height',
    when: 'the front foot would stand ahead of 55 % of the length',
    cause: 'Heavy and tall riders stand wider: there is little board ahead of the foot.',
    lever: { id: 'length', way: 1 },
    source: 'derived',
    beyond: (c) => when(c.rider !== undefined, c.facts.feet.frontFoot_mm - 0.55 * c.facts.L),
    says: (c, w) => `The front foot stands about ${w.mm(c.facts.feet.frontFoot_mm)} up on ${w.feet(c.facts.L)}`,
  },
];

/** Wider than this for its length a board is wide for its family: 7 % over the widest of our models for its length. Our own. */
const WIDE_mm: Readonly<Record<string, (L: number) => number>> = {
  shortboard: (L) => 20.6 * INCH_mm - 0.06 * (L - 65 * INCH_mm),
  twin: (L) => 20.6 * INCH_mm - 0.04 * (L - 70 * INCH_mm),
};
const widthHigh = (family: string, L: number): number => WIDE_mm[family]?.(L) ?? Infinity;
