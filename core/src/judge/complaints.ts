import type { Board } from '../document/schema.ts';
import { boardSchema } from '../document/schema.ts';
import { boardIssues } from '../shape/issues.ts';
import { withSetup } from '../fins/placement.ts';
import { measureOf } from '../measure/catalogue.ts';
import type { Facts } from '../measure/facts.ts';
import type { Lever } from './levers/lever.ts';
import { heardIn, nearestTo } from './speech.ts';
import { kindOf } from '../rider/kinds.ts';
import { type Usual, usualRange } from './usual.ts';
import { lever, type LeverId } from './levers.ts';
import type { SchoolQuestion, Schools } from '../rider/schools.ts';

/** One thing to try. */
interface Suspect {
  lever: LeverId;
  way: 1 | -1;
  /** Only in a shop of this school. */
  school?: readonly [SchoolQuestion, string];
}

/** What riders say, and the trade's first suspects for it, in the order they are usually thought of. Common practice. */
export interface Complaint {
  id: string;
  words: string;
  suspects: readonly Suspect[];
  /** What to do before anything is changed. */
  caution?: string;
  /** What is tried first and is no line of the board: the pad, a fin slid in its box, the glass. */
  besides?: { words: string; school?: readonly [SchoolQuestion, string] };
  /** Another set of fins, where that is the first thing to try: it costs nothing. */
  setup?: Board['fins']['setup'];
}

const up = (id: LeverId): Suspect => ({ lever: id, way: 1 });
const down = (id: LeverId): Suspect => ({ lever: id, way: -1 });

export const COMPLAINTS: readonly Complaint[] = [
  {
    id: 'slides-cutback',
    words: 'Slides in cutbacks',
    suspects: [up('finRake'), up('finTip'), up('centreFin'), down('block'), down('tailWidth'), up('foilForward')],
  },
  {
    id: 'slides-nose',
    words: 'Slides while nose riding',
    suspects: [down('edgeLength'), down('noseConcave'), up('roll'), down('finRake')],
    besides: { words: 'Slide the fin back in its box, or try a pivot fin: both are undone on the beach.' },
  },
  {
    id: 'single-slides',
    words: 'Single fin slides in turns',
    suspects: [down('edgeLength'), down('edgeHardness'), up('finSize'), down('finsForward')],
    besides: { words: 'Slide the fin back in its box before anything is cut.' },
  },
  {
    id: 'dull',
    words: 'Feels dull on several fins',
    suspects: [up('edgeHardness'), up('edgeLength'), down('finSize')],
    setup: 'twin',
  },
  {
    id: 'drags-turn',
    words: 'Grips but drags in turns',
    suspects: [down('edgeHardness'), down('railDown'), down('toe'), down('concave')],
  },
  {
    id: 'twin-drive',
    words: 'Twin has no drive',
    suspects: [down('finsForward'), up('finBase'), { lever: 'trailer', way: 1, school: ['twin', 'trailer'] }],
  },
  {
    id: 'stiff',
    words: 'Stiff, draws wide arcs',
    suspects: [
      up('finsForward'),
      up('tailRocker'),
      { lever: 'wingDepth', way: 1, school: ['wings', 'help'] },
      down('tailWidth'),
      down('widePoint'),
      up('curvier'),
      down('length'),
      { lever: 'wing', way: 1, school: ['wings', 'help'] },
    ],
  },
  {
    id: 'not-vertical',
    words: 'Wide and flat, will not go vertical',
    suspects: [down('finRake'), up('finSize'), up('tailRocker'), up('noseRocker')],
  },
  {
    id: 'chatters',
    words: 'Chatters in chop',
    suspects: [
      up('foreVee'),
      up('roll'),
      down('foreEdge'),
      down('block'),
      down('concave'),
      down('channels'),
      up('roundedPin'),
    ],
    besides: {
      words: 'A little weight steadies it: another layer on the deck of the next one, on the Make step, under Glass.',
      school: ['weight', 'carries'],
    },
  },
  {
    id: 'heavy-bogs',
    words: 'Heavy rider bogs off the bottom',
    suspects: [up('block'), up('railFullness'), up('flat'), up('concave'), up('tailWidth')],
  },
  {
    id: 'nose-catches',
    words: 'Front rail or nose catches',
    suspects: [up('entry'), up('noseRocker'), up('bevel'), down('noseWidth'), down('widePoint'), down('foreEdge')],
  },
  {
    id: 'pearls',
    words: 'Pearls on drops',
    suspects: [up('noseRocker'), up('entry'), down('noseWidth')],
  },
  {
    id: 'loose-steep',
    words: 'Loose on late, steep drops',
    suspects: [up('centreFin'), up('finSize'), up('noseRocker'), down('finsForward')],
    setup: 'thruster',
  },
  {
    id: 'pushes-water',
    words: 'Pushes water, drags in mid-deck',
    suspects: [down('noseRocker'), { lever: 'tailKick', way: 1, school: ['longRocker', 'even'] }, down('entry')],
  },
  {
    id: 'slow-line',
    words: 'Slow down the line',
    suspects: [down('tailRocker'), down('curvier'), up('width'), down('noseRocker')],
  },
  {
    id: 'hard-to-paddle',
    words: 'Hard to paddle, late to the feet',
    suspects: [
      up('thickness'),
      up('length'),
      up('foilForward'),
      down('noseRocker'),
      { lever: 'noseHollow', way: 1, school: ['shortNose', 'concave'] },
      { lever: 'foreVee', way: 1, school: ['shortNose', 'belly'] },
      up('beak'),
    ],
  },
  {
    id: 'tippy',
    words: 'Tippy',
    suspects: [down('tailVee'), { lever: 'roll', way: -1, school: ['roll', 'loosens'] }, up('width'), up('tailWidth')],
  },
  {
    id: 'step-forward',
    words: 'Must step forward for speed',
    suspects: [down('foilForward'), up('tailWidth'), down('widePoint')],
  },
  {
    id: 'fish-backhand',
    words: 'Trouble on the backhand with a fish',
    suspects: [
      { lever: 'wingDepth', way: 1, school: ['wings', 'help'] },
      down('block'),
      down('tailWidth'),
      up('roundedPin'),
      { lever: 'wing', way: 1, school: ['wings', 'help'] },
    ],
  },
  {
    id: 'abrupt-wing',
    words: 'Abrupt at the wing',
    suspects: [up('wingRaise'), down('wingDepth'), up('tailVee')],
  },
  {
    id: 'lost-nose-ride',
    words: 'Turns well, lost its nose ride',
    suspects: [down('widePoint'), up('block'), up('tailWidth'), down('edgeLength'), up('noseConcave')],
  },
  {
    id: 'off-pivot',
    words: 'Back foot off the pivot',
    suspects: [up('wingForward'), up('finsForward'), down('widePoint')],
    besides: { words: 'Move or trim the pad first, so that the back foot lands at or behind the wing.' },
  },
  {
    id: 'bulky',
    words: 'Bulky for its litres',
    suspects: [down('railFullness'), down('thickness'), up('dome'), up('stepRail'), up('beak')],
  },
  {
    id: 'sinks',
    words: 'Does not float the rider',
    suspects: [up('thickness'), up('railFullness'), up('width')],
  },
  {
    id: 'slow-rail',
    words: 'Slow from rail to rail',
    suspects: [down('width'), down('railFullness'), up('tailVee'), down('tailWidth'), up('bevel')],
  },
  {
    id: 'box-cracks',
    words: 'Cracks round a fin box',
    suspects: [],
    caution:
      'Stop riding it: water gets in and the fin can tear out. Look at the front of the box first, where it gives way, and have it mended before anything is changed.',
  },
  {
    id: 'dents',
    words: 'Dents in the deck',
    suspects: [up('thickness')],
    caution:
      'Patches where knees and feet stand, or a heavier deck: on the Make step, under Glass. Foam and shape are not at fault.',
  },
  {
    id: 'corky',
    words: 'Corky',
    suspects: [down('thickness'), down('railFullness'), down('width')],
  },
];

const byId = new Map(COMPLAINTS.map((complaint) => [complaint.id, complaint]));

/** What a rider's own words complain of, the surest first, at most five; none for praise. No network. */
export function complaintsFor(text: string): Complaint[] {
  return heardIn(text)
    .slice(0, 5)
    .flatMap(({ complaint }) => byId.get(complaint) ?? []);
}

/** For words that say no complaint we know: the three that come nearest, to choose from. */
export function nearestComplaints(text: string): Complaint[] {
  return nearestTo(text, COMPLAINTS).flatMap((id) => byId.get(id) ?? []);
}

/** What is tried first besides the board's lines, in a shop of its school; undefined where there is nothing. */
export function besidesIn({ besides }: Complaint, schools: Schools): string | undefined {
  if (besides?.school && schools[besides.school[0]] !== besides.school[1]) return undefined;
  return besides?.words;
}

export interface Change {
  /** As in “more tail rocker”. */
  words: string;
  lever: LeverId | undefined;
  /** How far this board is to the wrong side of its family’s middle, in half ranges; more is more suspect. */
  suspicion: number;
  /** Costs nothing and is undone on the beach. */
  free: boolean;
  /** The board with this one change. */
  board: Board;
}

const FINS: readonly LeverId[] = ['finsForward', 'finSize', 'finRake', 'finTip', 'finBase', 'centreFin', 'toe', 'cant'];
/** Boxes cannot be moved once they are in; templates can be changed on the beach. */
const FREE: readonly LeverId[] = ['finSize', 'finRake', 'finTip', 'finBase', 'centreFin'];
/** So much is added to the suspicion of fins: they cost nothing. */
const FINS_FIRST = 0.5;

/**
 * What to try for a complaint, the most suspect first by this board's own numbers: how far each lever's measure lies to the
 * wrong side of the middle of its family. Fins come first among equals. Each is one first step of one lever; a change that
 * alters nothing, or that cannot be built, is left out.
 */
export function changesFor(complaint: Complaint, facts: Facts, schools: Schools, mass_kg?: number): Change[] {
  const kind = kindOf(facts, mass_kg);
  const { board } = facts;
  const changes = complaint.suspects
    .filter(({ school }) => !school || schools[school[0]] === school[1])
    .flatMap(({ lever: id, way }, order): Change[] => {
      const moved = lever(id);
      const { move, more, less } = moved;
      const changed = move(board, way);
      if (changed === board || same(changed, board) || !buildable(changed)) return [];
      // The one fin of a long box is slid; other boxes are where they are.
      const slides = id === 'finsForward' && board.fins.setup === 'single';
      return [
        {
          words: slides ? `the fin slid ${way === 1 ? 'forward' : 'back'} in its box` : way === 1 ? more : less,
          lever: id,
          suspicion:
            -way * place(facts, moved, { kind, mass_kg }) + (FINS.includes(id) ? FINS_FIRST : 0) - 0.05 * order,
          free: slides || FREE.includes(id),
          board: changed,
        },
      ];
    });
  const { setup } = complaint;
  // A single is not made a twin for being dull.
  if (setup && setup !== board.fins.setup && !(complaint.id === 'dull' && board.fins.setup === 'single')) {
    const changed = withSetup(board, setup);
    const isFree = board.fins.setup === 'fiveBox';
    changes.push({
      words: setup === 'twin' ? 'fewer fins: a twin' : setup === 'twinTrailer' ? 'a trailer' : 'three fins',
      lever: undefined,
      suspicion: isFree ? 1 : 0,
      free: isFree,
      board: changed,
    });
  }
  return changes.sort((a, b) => b.suspicion - a.suspicion);
}

/** Where the number a lever moves lies in its family: 0 the middle, ±1 the ends of the usual range, no further than ±3. */
function place(facts: Facts, { reads, falls, calledBy }: Lever, of: Usual): number {
  // More of a part is called for by a high number: as if there were too little of it.
  const key = reads ?? calledBy?.key;
  if (key === undefined) return 0;
  const { low, high } = usualRange(facts, key, of);
  if (!(high > low) || high === Infinity) return 0;
  const at = Math.max(-3, Math.min(3, (2 * measureOf(key).read(facts) - low - high) / (high - low)));
  return falls || (reads === undefined && calledBy?.when === 'high') ? -at : at;
}

const same = (a: Board, b: Board): boolean => JSON.stringify(a) === JSON.stringify(b);
const buildable = (board: Board): boolean => boardSchema.safeParse(board).success && boardIssues(board).length === 0;

/**
 * A lever pushed as far as it goes: so many first steps, or the last board that can be built on the way.
 * @returns the board and how many steps were taken: none where the lever has nothing to hold on, or is at its end already.
 */
export function pushedFar(board: Board, id: LeverId, way: 1 | -1, steps: number): { board: Board; steps: number } {
  const { move } = lever(id);
  for (let n = steps; n >= 1; n--) {
    const pushed = move(board, way * n);
    if (!buildable(pushed)) continue;
    return same(pushed, board) ? { board, steps: 0 } : { board: pushed, steps: n };
  }
  return { board, steps: 0 };
}
