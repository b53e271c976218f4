/** A word of the trade, and what is meant by it here. */
export interface GlossaryEntry {
  word: string;
  says: string;
}

const entry = (word: string, says: string): GlossaryEntry => ({ word, says });

/** The words of the trade in the order they come up in the work: each said once, shown where it is pointed at, and all in docs/glossary.md. */
export const GLOSSARY = {
  board: entry('Board', 'One thing on the rack: its design, whom it is for, and what was made and said of it.'),
  stringer: entry(
    'Stringer',
    'The thin strip of wood down the middle of the foam. Lifts and thickness are read on it.',
  ),
  station: entry('Station', 'A place along the board, told from the tail or from the nose.'),
  tape: entry('Tape', 'The rule along the board, read from the tail above and from the nose below.'),
  hook: entry('Hook', 'The slide on the tape. Every view shows the board where it stands; the arrow keys move it.'),
  mark: entry('Mark', 'A number at a station that the batten is bent through: a width, a lift, a thickness.'),
  batten: entry('Batten', 'The springy strip a shaper draws with: the fairest line through the marks.'),
  battenAlone: entry(
    'Batten alone',
    'What the line would have here without this mark. Far from the mark, it is the mark that bends the line.',
  ),
  fair: entry('Fair', 'Without a bump, a flat or a kink: the bend grows and fades evenly along the line.'),
  sideLight: entry(
    'Side light',
    'The strip under a line: dark where it is flat, bright where it is proud, calm where it is fair.',
  ),
  length: entry('Length', 'Tip to tip in a straight line; a shop may also tell it along the bottom.'),
  outline: entry('Outline', 'The shape from above, also called the plan or the template.'),
  widePoint: entry(
    'Wide point',
    'Where the outline is widest, told from the middle: ahead drives from the front foot, behind turns from the back.',
  ),
  nose12: entry('Nose 12', 'The width 12 in from the nose tip.'),
  tail12: entry('Tail 12', 'The width 12 in from the tail.'),
  block: entry('Block', 'The width of the very end of a tail that is cut off: squash, square, swallow.'),
  wing: entry(
    'Wing',
    'A step in the rail that makes the tail behind it narrower at once; also called a bump or a stinger when long.',
  ),
  tipRadius: entry('Tip radius', 'How blunt a pointed nose or pin is in plan, so that it can be sanded and glassed.'),
  rocker: entry('Rocker', 'The curve of the bottom from the side. Lifts are told over the tangent at the flat point.'),
  lift: entry('Lift', 'How far the bottom is up from the straightedge at a station.'),
  flatPoint: entry('Flat point', 'Where the bottom is level when the board is set for reading: the lifts begin there.'),
  railLine: entry(
    'Rail line',
    'The bottom edge of the rail from the side. Concave lowers it against the stringer, vee raises it.',
  ),
  concaveLine: entry('Concave line', 'The highest of the bottom across the board, from the side.'),
  straightRun: entry(
    'Straight run',
    'How far a straightedge held along the rail line at the flat point lies on it with no more than 1/32 in of light. The bends begin at its ends.',
  ),
  foil: entry('Foil', 'The thickness along the board at the stringer.'),
  crown: entry('Crown', 'How far the deck falls from the stringer to the rail.'),
  deck: entry('Deck', 'The side that is stood on: crowned, flat, domed, with a beak or a step.'),
  beak: entry('Beak', 'Extra thickness at the nose, rounded down to the tip, that floats a longboard’s nose.'),
  stepRail: entry('Step rail', 'A step worked into the deck along the rail: a thin rail under a thick board.'),
  rail: entry(
    'Rail',
    'The edge of the board, told by where it is widest: 60/40 has sixty parts of its height over the apex.',
  ),
  apex: entry('Apex', 'The widest point of the rail, as a share of its height over the bottom edge: 40 % is 60/40.'),
  fullness: entry('Fullness', 'How much foam the rail holds on the deck side: none is pinched, all is boxy.'),
  tuck: entry(
    'Tuck',
    'How far the bottom edge sits inside the apex. More lets water wrap round and holds; less releases.',
  ),
  edge: entry('Edge', 'How sharply the bottom ends: soft runs round, hard is a corner that lets the water go.'),
  edgeRadius: entry('Edge radius', 'The radius the bottom edge is sanded to.'),
  hardEdge: entry('Hard edge', 'The edge that runs up from the tail and fades, whatever the rails ahead of it are.'),
  railBands: entry('Rail bands', 'Flat cuts along the rail that leave it nearly round, before it is sanded.'),
  contour: entry('Contour', 'One shape worked into the bottom, with its depth along the board.'),
  concave: entry('Concave', 'A bottom hollow across the board: lift and drive.'),
  double: entry('Double concave', 'Two hollows side by side, often in the tail inside a single one.'),
  vee: entry('Vee', 'A bottom that rises from the stringer to both rails: rolls from rail to rail.'),
  roll: entry('Roll', 'A bottom rounded across: smooth, slower, at home on old longboards and displacement boards.'),
  channels: entry('Channels', 'Straight grooves toward the tail that guide the water.'),
  fade: entry('Fade', 'Over what length something runs out to nothing.'),
  straightedge: entry(
    'Straightedge',
    'A straight rule laid across or along: the light under it is how hollow the bottom is.',
  ),
  finSetup: entry('Fin setup', 'How many boxes there are and where: single, twin, thruster, quad, five boxes.'),
  trailingEdge: entry(
    'Trailing edge',
    'The rear end of a fin’s base; boxes are told to it, or in other shops to the leading edge.',
  ),
  inset: entry('From rail', 'How far the middle of a fin’s base is in from the rail.'),
  toe: entry('Toe', 'How far the front of a fin is turned in toward the stringer, over its base.'),
  cant: entry('Cant', 'How far a fin leans outward from upright.'),
  finBase: entry('Base', 'The length of a fin where it meets the board.'),
  finDepth: entry('Depth of a fin', 'How far a fin reaches down, square to the board.'),
  spread: entry('Spread', 'From the rearmost trailing edge to the foremost.'),
  setRatio: entry('Set ratio', 'The rear fin’s area over a front one’s.'),
  depthToArea: entry('Depth to area', 'How slender a fin is: its depth over the side of a square of its area.'),
  litres: entry('Litres', 'The volume of the shaped foam, without glass.'),
  aim: entry('Aim', 'The litres for this rider by the shop’s school, as a range.'),
  brief: entry('Brief', 'What this order asks for: waves, use, weight, a wish in litres.'),
  school: entry(
    'School',
    'One of several ways good shapers do it; the shop chooses, and is told where its choice speaks.',
  ),
  layOver: entry(
    'Lay over',
    'Another board, or this one as it was, drawn on the same tape, and every number against it.',
  ),
  push: entry(
    'Push',
    'The difference from the board laid over, made up to five times as large, to see where it leads.',
  ),
  bayNotes: entry(
    'Bay notes',
    'What a good shaper would say of this board for this rider: what, why, and the first step.',
  ),
  blank: entry('Blank', 'The block of foam with its stringer and rocker that a board is cut from.'),
  template: entry('Template', 'A half outline or a rocker line at full size, to draw along.'),
  planing: entry('Planing', 'Taking foam off in passes: how deep and how many is worked out for the blank.'),
  lap: entry('Lap', 'The cloth that wraps round the rail onto the other side.'),
  hotCoat: entry('Hot coat', 'The coat of resin over the glass that fills its weave and is sanded.'),
  gloss: entry('Gloss', 'A last coat of resin, rubbed out to a shine; it adds weight.'),
  potLife: entry('Pot life', 'How long resin can be worked once it is mixed; a warm shed shortens it.'),
  foamWeight: entry('Foam by the pound', 'EPS is sold by what a cubic foot of it weighs: 1, 1 1/2 or 2 lb.'),
  stage: entry('Stage', 'One thing done to a board on its way through the shop, in a set order.'),
  hands: entry('Hands', 'Hours somebody works on it; what waits for resin to cure is counted in days beside.'),
  quiver: entry('Quiver', 'The boards one rider has, each for its own waves.'),
  asBuilt: entry('As built', 'The board as it was measured when it was done, not as it was drawn.'),
} as const satisfies Readonly<Record<string, GlossaryEntry>>;
export type Word = keyof typeof GLOSSARY;

/** docs/glossary.md: every word in the order of the alphabet. Markdown. */
export function glossaryDocument(): string {
  const rows = Object.values(GLOSSARY).sort((a, b) => a.word.localeCompare(b.word, 'en'));
  return [
    '# Words of the trade',
    '',
    'As June Tide uses them: written from `core/src/document/glossary.ts` by `npx tsx scripts/write-glossary.ts`, and a test compares the two.',
    'In the app each is said where the word is pointed at, and all of them stand behind the key G.',
    '',
    ...rows.map(({ word, says }) => `- **${word}**: ${says}`),
    '',
  ].join('\n');
}
