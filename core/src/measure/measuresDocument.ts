import { MEASURE_GROUPS, MEASURE_KEYS, measureOf } from './catalogue.ts';

/** docs/measures.md: every row of the catalogue, with what stands round it. Markdown. */
export function measuresDocument(): string {
  const groups = Object.entries(MEASURE_GROUPS).flatMap(([group, title]) => [
    `## ${title}`,
    '',
    '| key | what | formula |',
    '| --- | --- | --- |',
    ...MEASURE_KEYS.map((key) => ({ key, ...measureOf(key) }))
      .filter((row) => row.group === group)
      .map(({ key, says, formula }) => `| \`${key}\` | ${says} | ${formula} |`),
    '',
    ...(AFTER[group] ?? []),
  ]);
  return [...BEFORE, ...groups, ...REST].join('\n');
}

const BEFORE = [
  '# Measures',
  '',
  'Every measure of a board, with its formula: written from `core/src/measure/catalogue.ts` by `npx tsx scripts/write-measures.ts`, and a',
  'test compares the two. Axes and signs: [conventions.md](conventions.md). `jt measure FILE --json` prints all of them; lengths in mm,',
  'areas in mm², litres, angles in radians, shares plain.',
  '',
  'Write b(x) for the half width of the finished plan, n(x) for the half width of a notch, t(x) for the thickness at the stringer, z(x) for',
  'the bottom at the stringer over the tangent at the flat point, A(x) for the area of the whole section, x from the tail, x_w the wide point,',
  'x_t the thickest. Integrals along the board are Gauss-Legendre, three points on each of 32 panels or more, between the breaks of the plan;',
  'within 5e-5 of a far finer one on every model (tested).',
  '',
];

const AFTER: Readonly<Record<string, readonly string[]>> = {
  rocker: [
    'With concave c the rail line is c below the stringer line at that station; with vee v it is v above (tested exactly). On a table a board',
    'rests on the facet of the lower convex hull of its lowest points that lies under the centre of its foam; on a smooth bottom that is the',
    'tangent there.',
    '',
  ],
  volume: [
    'Where the feet and the chest are is our own starting figure (common practice, no source); the functions take any other.',
    '',
  ],
  skin: ['Within 0.15 % of a mesh three times finer; of manifold-3d’s area of the same solid within 0.05 %.', ''],
};

const REST = [
  '## Station table',
  '',
  '`jt stations` and the CSV have, for any station from nose, tail, centre or wide point: full width, thickness, stringer and rail line, apex',
  'over the bottom edge and as a share of the rail’s height (60/40 is 0.4), crown (how far the deck falls from stringer to rail), tuck (edge',
  'inside the apex), and the light under a straightedge laid across the bottom from edge to edge (negative: how far a convex bottom stands',
  'below it).',
  '',
  '## A fin',
  '',
  'Area of one side: closed form, a trapezoid to 85 % of the depth and a quarter-ellipse tip,',
  '`base · depth · [0.85 (1 − 0.85k/2) + 0.15 ((1 − 0.85k) π/4 − 0.15k/3)]`, k = 1 − tip chord / base. Aspect is depth² over area. Toe lines',
  'meet on the stringer at `x_m + y_m / tan toe`, x_m and y_m the middle of the base.',
  '',
  '## Character',
  '',
  'Eight traits compare two boards: paddle and entry, speed in a line, quickness rail to rail, arcs, hold, release, forgiveness, chop. Each is',
  'a sum of weighted logarithms of the measures above, or of plain shares; every term with its weight stands in',
  '[judgement.md](judgement.md#character), written from the code. The number means nothing alone and is shown only as the difference of two',
  'boards, in words and as a bar without a scale, with the measures behind it.',
  '',
];
