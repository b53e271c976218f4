import type { Answer } from '../rider/answer.ts';
import { boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import type { Case } from './case.ts';
import { lever } from './levers.ts';
import { type Group, type Level, LEVELS, type Rule, type Writer } from './rule.ts';
import { writerOf } from './writer.ts';
import { BOTTOM_RULES } from './rules/bottom.ts';
import { FAR_RULES } from './rules/far.ts';
import { FIN_RULES } from './rules/fins.ts';
import { FOIL_RULES } from './rules/foil.ts';
import { GLASSING_RULES } from './rules/glassing.ts';
import { OUTLINE_RULES } from './rules/outline.ts';
import { RAIL_RULES } from './rules/rails.ts';
import { ROCKER_RULES } from './rules/rocker.ts';
import { SIZE_RULES } from './rules/size.ts';
import { SCHOOLS } from '../rider/schools.ts';

/** All rules, in the order of the work. */
export const RULES: readonly Rule[] = [
  ...SIZE_RULES,
  ...OUTLINE_RULES,
  ...ROCKER_RULES,
  ...FOIL_RULES,
  ...RAIL_RULES,
  ...BOTTOM_RULES,
  ...FIN_RULES,
  ...GLASSING_RULES,
  ...FAR_RULES,
];

/** Of two rules of which one says the same more strongly only the stronger speaks. */
const LITRES = ['litres-below', 'litres-far-below', 'litres-above', 'litres-far-above'] as const;
const SILENCES: Readonly<Record<string, readonly string[]>> = {
  'litres-far-below': ['litres-below'],
  'litres-far-above': ['litres-above', 'bulky'],
  'not-to-learn-on': [...LITRES, 'learner-chest', 'drawn-nose-weak'],
  'waves-beyond-rider': [...LITRES, 'learner-chest', 'gun-early', 'quad-late', 'short-for-size'],
  'past-its-waves': [
    'wide-tail-big',
    'wide-tail-front-foot-big',
    'block-big-waves',
    'straight-rail-steep',
    'full-nose-steep',
    'family-for-big',
  ],
  'gun-for-small': [
    'pin-weak',
    'narrow-tail-weak',
    'drawn-nose-weak',
    'high-entry-weak',
    'quad-slow',
    'curved-rail-weak',
    'fins-back-weak',
    'gun-early',
  ],
  'drawn-for-another': [
    'foil-aft-extreme',
    'foil-tail-full',
    'foil-front-foot',
    'front-foot-nose',
    'far-foilForward-less',
  ],
  'wide-tail-front-foot-big': ['wide-tail-big'],
  'foil-aft-extreme': ['foil-tail-full', 'foil-front-foot'],
  'foil-aft-meant': ['foil-tail-full', 'foam-behind-area'],
  'foil-nose-extreme': ['foil-nose-full', 'foil-back-foot'],
  'flat-entry-steep': ['low-entry', 'straight-flat-front-foot'],
  'deep-nose-concave-steep': ['deep-nose-concave'],
  'hard-ahead-of-single': ['hard-tail-soft-school', 'nose-rider-long-edge'],
  'step-down-length': ['step-down-litres'],
  'twin-big': ['twin-without-trailer-big', 'twin-in-steep'],
  'twin-in-steep': ['twin-without-trailer-big'],
  'steep-small-rear': ['thruster-small-centre'],
  'channels-chop': ['deep-channels'],
  'deep-concave': ['rail-bends-more'],
  'concave-off-front-foot': ['rail-bends-more'],
  'heavy-for-its-litres': ['heavy-glass-sharp'],
  'flat-tail': ['stiff-in-steep', 'light-expert-flat'],
};

/** One judgement in words. */
export interface Note {
  rule: Rule;
  level: Level;
  group: Group;
  title: string;
  /** The numbers, then the cause. */
  words: string;
  /** What the other school holds, where there is one. */
  otherSchool?: string;
  /** The numbers alone in fixed units: an answer rests on these. */
  numbers: string;
  /** The shaper’s answer, if it still stands. */
  answer?: Answer;
}

/** In these units an answer’s numbers are compared, whatever the shop writes in. */
const FIXED = writerOf({ kind: 'mm' });

/** What rules find in a case, where nothing stronger says the same. */
function heard(c: Case, rules: readonly Rule[]) {
  const speaking = rules.flatMap((rule) => {
    const finding = rule.finds(c);
    return finding ? [{ rule, finding }] : [];
  });
  const silenced = new Set(speaking.flatMap(({ rule }) => SILENCES[rule.id] ?? []));
  const unsilenced = speaking.filter(({ rule }) => !silenced.has(rule.id));
  // Thicker with thinner rails is one hand undoing the other: whoever asks for thickness is heard, the rail follows it.
  const thicker = unsilenced.find(({ rule }) => rule.lever?.id === 'thickness')?.rule.lever?.way;
  const undoes = ({ lever: cure }: Rule) => cure?.id === 'railFullness' && cure.way !== thicker;
  const standing = thicker === undefined ? unsilenced : unsilenced.filter(({ rule }) => !undoes(rule));
  const asked = new Set(standing.filter(({ rule }) => !rule.general).map(({ rule }) => rule.lever?.id));
  return standing.filter(({ rule }) => !rule.general || !asked.has(rule.lever?.id));
}

/** Which rules speak of a case, without words. Units play no part in it. */
export const verdict = (c: Case, rules: readonly Rule[] = RULES): Rule[] => heard(c, rules).map(({ rule }) => rule);

/** A cure is tried in so many of its lever's first steps. */
const CURES = [1, 2, 4, 8, 12] as const;

/** In how many first steps of its lever a note falls silent; undefined where it has none, or twelve are not enough: then it is no cure. */
export function cureSteps(c: Case, { lever: cure, ...rule }: Rule): number | undefined {
  if (!cure) return undefined;
  const { move } = lever(cure.id);
  return CURES.find((steps) => {
    const board = move(c.facts.board, cure.way * steps);
    if (boardIssues(board).length > 0) return false;
    return rule.finds({ ...c, facts: c.facts.of(shapeOf(board, c.facts.shape)) }) === undefined;
  });
}

/**
 * What a good shaper would say of a board and its rider: conflicts first, then what to look at, then notes, each in the
 * order of the work. Answers that still stand are attached; one whose numbers have changed is not.
 */
export function judged(c: Case, writer: Writer, answers: Readonly<Record<string, Answer>> = {}): Note[] {
  return heard(c, RULES)
    .map(({ rule, finding }): Note => {
      const numbers = finding.says(FIXED);
      const answer = answers[rule.id];
      const other = rule.school && otherSide(rule.school.question, rule.school.answer);
      return {
        rule,
        level: rule.level,
        group: rule.group,
        title: rule.title,
        words: `${finding.says(writer)}. ${rule.cause}`,
        numbers,
        ...(other ? { otherSchool: other } : {}),
        ...(answer && answer.numbers === numbers ? { answer } : {}),
      };
    })
    .sort((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level));
}

/** What the others hold, said shortly. */
function otherSide(question: keyof typeof SCHOOLS, answer: string): string {
  const { answers, why } = SCHOOLS[question];
  const others = Object.entries(answers)
    .filter(([key]) => key !== answer)
    .map(([, words]) => words.toLowerCase());
  return `Others: ${others.join(' or ')}. ${why}`;
}
