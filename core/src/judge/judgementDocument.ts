import { measureOf } from '../measure/catalogue.ts';
import { KIND_WORDS, KINDS, kindTable, RANGED } from '../rider/kinds.ts';
import { litresWords } from '../rider/litres.ts';
import { ABILITIES } from '../rider/rider.ts';
import { RULES } from './judge.ts';
import { lever } from './levers.ts';
import type { LeverUnit } from './levers/lever.ts';
import { RIDERS, type Sea, SEAS, type Who } from './line.ts';
import { type Group, GROUP_WORDS } from './rule.ts';
import { SCHOOLS } from '../rider/schools.ts';
import { TRAITS } from './traits.ts';

const SOURCE_WORDS = {
  CP: 'common practice, no source',
  derived: 'our own, from our models',
  published: 'published',
} as const;

const cell = (ends: readonly [number, number] | undefined) =>
  (ends ? `${ends[0]} to ${ends[1]}` : '').replaceAll('-', '−');

/** What is usual by kind, and litres by kind and ability, as the program has them. */
const usualLines = (): string[] => [
  '## What is usual',
  '',
  'Inches; fill is litres over length, width and thickness; foil is nose less tail at 12 in. Common practice, from memory; foil at 12 in',
  'and the big-wave gun of 9’6 to 10’0 as stated by practitioners; fill derived. Widths are those of the whole run of lengths: a short',
  'board’s range ends lower and a long one’s begins higher, by half of an eighth (a width) or of 3/32 (nose and tail 12) for two inches,',
  'and for a rider over 80 kg it ends an eighth higher for each 5 kg. A number is past its range by more than a tape reads: 1/16 in.',
  '',
  `| kind | ${RANGED.map((key) => measureOf(key).words).join(' | ')} |`,
  `| --- |${RANGED.map(() => ' --- |').join('')}`,
  ...kindTable().map(({ name, ranges }) => `| ${name} | ${RANGED.map((key) => cell(ranges[key])).join(' | ')} |`),
  '',
  'Litres for a rider, by weight in kg; short boards carry 0.0022 L more for each kilogram of a kilogram over 85, to 0.1.',
  '',
  `| kind | ${ABILITIES.join(' | ')} |`,
  `| --- |${ABILITIES.map(() => ' --- |').join('')}`,
  ...KINDS.map(
    (kind) => `| ${KIND_WORDS[kind]} | ${ABILITIES.map((ability) => litresWords(kind, ability)).join(' | ')} |`,
  ),
];

/** docs/judgement.md: every rule and trait as the program has them. Markdown. */
export function judgementDocument(): string {
  const groups = [...new Set(RULES.map((rule) => rule.group))];
  return `${[
    '# Judgement',
    '',
    `Written from the code by \`npx tsx scripts/write-judgement.ts\`; a test compares the two. ${RULES.length} rules, one object each in`,
    '`core/src/judge/rules`. A rule looks at measures of core, speaks when its condition holds, names the lever and a first step, and',
    'is never an absolute truth: usual ranges are the trade’s for the kind of board, its length and the rider’s weight, as wide as four',
    'and more boards of the shop’s own have made them. Where practitioners disagree a rule belongs to one school and stays silent in',
    'a shop of the other. A cure is offered only where twelve first steps of its lever silence the note.',
    '',
    'To add a rule: copy one object in the file of its lever, give it a name of its own, and add the board that draws it to',
    '`rules.test.ts`, which asks for one.',
    '',
    '## Words of the rules',
    '',
    ...Object.values(SEAS).map(({ words, any }) => `- **${words}**: ${any.map(seaWords).join('; or ')}`),
    ...Object.values(RIDERS).map(({ words, asks }) => `- **${words}**: ${whoWords(asks)}`),
    '- **its usual range**: the trade’s for its kind, below; of numbers not there that of our models of the family and 15 % each way',
    ...groups.flatMap((group) => [...groupLines(group)]),
    '',
    ...usualLines(),
    '',
    '## Character',
    '',
    'Eight traits. Each is Σ weight × ln(measure), or weight × measure where marked plain, less the same of the other board. The weights',
    'are our own; the number means nothing alone and is only shown as a comparison of two boards, in words, with the measures behind it.',
    '',
    ...TRAITS.map(
      ({ name, terms }) =>
        `- **${name}**: ${terms.map(({ of, weight, plain }) => `${signed(weight)} ${plain ? '' : 'ln '}${measureOf(of).words}${plain ? ' (plain)' : ''}`).join(', ')}`,
    ),
  ].join('\n')}\n`;
}

/** A key of the document as a word: wellOverhead is “well overhead”. */
const plain = (key: string) => key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
const listed = (keys: readonly string[]) => keys.map(plain).join(' or ');

function seaWords(all: Sea): string {
  const asked = Object.entries(all).map(([key, values]) => `${key} ${listed(values)}`);
  return asked.length > 0 ? asked.join(' and ') : 'any that somebody named';
}

const whoWords = ({ ability, stance, from_kg, to_kg }: Who): string =>
  [
    ability && listed(ability),
    stance && `stance ${plain(stance)}`,
    from_kg && `from ${from_kg} kg`,
    to_kg && `up to ${to_kg} kg`,
  ]
    .filter(Boolean)
    .join(', ');

const signed = (weight: number) => `${weight < 0 ? '−' : '+'}${Math.abs(weight)}`;

function groupLines(group: Group): string[] {
  return [
    '',
    `## ${GROUP_WORDS[group]}`,
    '',
    ...RULES.filter((rule) => rule.group === group).map((rule) => {
      const move = rule.lever && lever(rule.lever.id);
      const first =
        rule.lever && move
          ? ` First step: ${rule.lever.way === 1 ? move.more : move.less}${stepWords(move.step, move.unit)}`
          : '';
      const school = rule.school
        ? ` School: ${SCHOOLS[rule.school.question].question.toLowerCase()}, ${String(Object.entries(SCHOOLS[rule.school.question].answers).find(([key]) => key === rule.school?.answer)?.[1]).toLowerCase()}.`
        : '';
      return `- **${rule.title}** (\`${rule.id}\`, ${rule.level}). Speaks of: ${rule.when}. ${rule.cause}${first}${school} Line: ${SOURCE_WORDS[rule.source]}.`;
    }),
  ];
}

/** A first step in inches, degrees or a share, as the end of a sentence; a part is itself the step. */
function stepWords(step: number, unit: LeverUnit): string {
  switch (unit) {
    case 'mm':
      return `, ${Math.round((step / 25.4) * 1000) / 1000} in.`;
    case 'rad':
      return `, ${Math.round(((step * 180) / Math.PI) * 10) / 10} degrees.`;
    case 'share':
      return `, ${Math.round(step * 100)} %.`;
    case 'part':
      return '.';
  }
}
