import type { Board } from '../document/schema.ts';
import { boardSchema } from '../document/schema.ts';
import { boardIssues } from '../shape/issues.ts';
import { withSetup } from '../fins/placement.ts';
import { measureOf } from '../measure/catalogue.ts';
import type { Facts } from '../measure/facts.ts';
import type { Lever } from './levers/lever.ts';
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
  /** Words of the rider's own that point here; a part of a word counts. */
  hints: readonly string[];
  suspects: readonly Suspect[];
  /** Another set of fins, where that is the first thing to try: it costs nothing. */
  setup?: Board['fins']['setup'];
}

const up = (id: LeverId): Suspect => ({ lever: id, way: 1 });
const down = (id: LeverId): Suspect => ({ lever: id, way: -1 });

export const COMPLAINTS: readonly Complaint[] = [
  {
    id: 'slides-cutback',
    words: 'Slides in cutbacks',
    hints: ['slide', 'cutback', 'slip', 'spin', 'lets go', 'skid'],
    suspects: [up('finRake'), up('finTip'), up('centreFin'), down('block'), down('tailWidth'), up('foilForward')],
  },
  {
    id: 'slides-nose',
    words: 'Slides while nose riding',
    hints: ['nose rid', 'noserid', 'slide', 'hang', 'toes', 'nose'],
    suspects: [down('edgeLength'), down('noseConcave'), up('roll'), down('finRake')],
  },
  {
    id: 'single-slides',
    words: 'Single fin slides in turns',
    hints: ['single', 'slide', 'turn', 'slip'],
    suspects: [down('edgeLength'), down('edgeHardness'), up('finSize')],
  },
  {
    id: 'dull',
    words: 'Feels dull on several fins',
    hints: ['dull', 'dead', 'slow', 'flat', 'lifeless', 'sluggish'],
    suspects: [up('edgeHardness'), up('edgeLength'), down('finSize')],
    setup: 'twin',
  },
  {
    id: 'drags-turn',
    words: 'Grips but drags in turns',
    hints: ['drag', 'grip', 'sticks', 'sticky', 'bog', 'turn'],
    suspects: [down('edgeHardness'), down('railDown'), down('toe'), down('concave')],
  },
  {
    id: 'twin-drive',
    words: 'Twin has no drive',
    hints: ['drive', 'twin', 'no drive', 'no power', 'skate'],
    suspects: [down('finsForward'), up('finBase'), { lever: 'centreFin', way: 1, school: ['twin', 'trailer'] }],
    setup: 'twinTrailer',
  },
  {
    id: 'stiff',
    words: 'Stiff, draws wide arcs',
    hints: ['stiff', 'arc', 'wide turn', 'tracks', 'hard to turn', 'will not turn', "won't turn", 'long turn'],
    suspects: [
      up('finsForward'),
      up('tailRocker'),
      up('wingDepth'),
      down('tailWidth'),
      down('widePoint'),
      up('curvier'),
    ],
  },
  {
    id: 'not-vertical',
    words: 'Wide and flat, will not go vertical',
    hints: ['vertical', 'lip', 'top', 'up the face', 'straight up'],
    suspects: [down('finRake'), up('finSize'), up('tailRocker'), up('noseRocker')],
  },
  {
    id: 'chatters',
    words: 'Chatters in chop',
    hints: ['chop', 'chatter', 'bump', 'slap', 'bounc', 'rattle', 'wind'],
    suspects: [up('foreVee'), up('roll'), down('foreEdge'), down('block'), down('concave')],
  },
  {
    id: 'heavy-bogs',
    words: 'Heavy rider bogs off the bottom',
    hints: ['bog', 'bottom turn', 'sink', 'buries', 'bury'],
    suspects: [up('block'), up('railFullness'), up('concave'), up('tailWidth')],
  },
  {
    id: 'nose-catches',
    words: 'Front rail or nose catches',
    hints: ['catch', 'trip', 'front rail', 'nose'],
    suspects: [up('entry'), up('noseRocker'), up('bevel'), down('noseWidth'), down('widePoint'), down('foreEdge')],
  },
  {
    id: 'pearls',
    words: 'Pearls on drops',
    hints: ['pearl', 'nosedive', 'nose dive', 'digs', 'drop', 'purl', 'takeoff'],
    suspects: [up('noseRocker'), up('entry'), down('noseWidth')],
  },
  {
    id: 'loose-steep',
    words: 'Loose on late, steep drops',
    hints: ['loose', 'steep', 'late', 'drop', 'slips down'],
    suspects: [up('centreFin'), up('finSize'), up('noseRocker'), down('finsForward')],
    setup: 'thruster',
  },
  {
    id: 'pushes-water',
    words: 'Pushes water, drags in mid-deck',
    hints: ['push', 'plough', 'plow', 'drags', 'water', 'slow paddle'],
    suspects: [down('noseRocker'), up('tailKick'), down('entry')],
  },
  {
    id: 'slow-line',
    words: 'Slow down the line',
    hints: ['slow', 'speed', 'line', 'section', 'fast enough', 'outrun'],
    suspects: [down('tailRocker'), down('curvier'), up('width'), down('noseRocker')],
  },
  {
    id: 'hard-to-paddle',
    words: 'Hard to paddle, late to the feet',
    hints: ['paddle', 'late', 'get in', 'catch waves', 'catching waves', 'miss', 'feet'],
    suspects: [
      up('thickness'),
      up('foilForward'),
      down('noseRocker'),
      { lever: 'noseHollow', way: 1, school: ['shortNose', 'concave'] },
      { lever: 'foreVee', way: 1, school: ['shortNose', 'belly'] },
    ],
  },
  {
    id: 'tippy',
    words: 'Tippy',
    hints: ['tippy', 'unstable', 'wobble', 'rolls', 'balance', 'tip'],
    suspects: [down('tailVee'), down('roll'), up('width'), up('tailWidth')],
  },
  {
    id: 'step-forward',
    words: 'Must step forward for speed',
    hints: ['step forward', 'move forward', 'front foot', 'forward'],
    suspects: [down('foilForward'), up('tailWidth'), down('widePoint')],
  },
  {
    id: 'fish-backhand',
    words: 'Trouble on the backhand with a fish',
    hints: ['backhand', 'backside', 'fish'],
    suspects: [up('wingDepth'), down('block'), down('tailWidth')],
  },
  {
    id: 'abrupt-wing',
    words: 'Abrupt at the wing',
    hints: ['abrupt', 'wing', 'sudden', 'jerk'],
    suspects: [up('wingRaise'), down('wingDepth'), up('tailVee')],
  },
  {
    id: 'lost-nose-ride',
    words: 'Turns well, lost its nose ride',
    hints: ['nose ride', 'noseride', 'lost', 'hang', 'turns well'],
    suspects: [down('widePoint'), up('block'), up('tailWidth'), up('edgeLength'), up('noseConcave')],
  },
  {
    id: 'off-pivot',
    words: 'Back foot off the pivot',
    hints: ['back foot', 'pivot', 'pad', 'foot'],
    suspects: [up('wingForward'), up('finsForward'), down('widePoint')],
  },
  {
    id: 'bulky',
    words: 'Bulky for its litres',
    hints: ['bulky', 'boat', 'thick', 'big'],
    suspects: [down('railFullness'), down('thickness')],
  },
  {
    id: 'corky',
    words: 'Corky',
    hints: ['cork', 'float', 'bob', 'too much foam', 'sits on top'],
    suspects: [down('thickness'), down('railFullness'), down('width')],
  },
];

/** The rider's own words against the hints: complaints with any hit, the most hits first, at most five. No network. */
export function complaintsFor(text: string): Complaint[] {
  const said = ` ${text.toLowerCase()} `;
  return COMPLAINTS.map((complaint, i) => ({
    complaint,
    i,
    hits: complaint.hints
      .filter((hint) => said.includes(hint))
      .reduce((sum, hint) => sum + (hint.includes(' ') ? 2 : 1), 0),
  }))
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits || a.i - b.i)
    .slice(0, 5)
    .map(({ complaint }) => complaint);
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
      return [
        {
          words: way === 1 ? more : less,
          lever: id,
          suspicion:
            -way * place(facts, moved, { kind, mass_kg }) + (FINS.includes(id) ? FINS_FIRST : 0) - 0.05 * order,
          free: FREE.includes(id),
          board: changed,
        },
      ];
    });
  const { setup } = complaint;
  if (setup && setup !== board.fins.setup) {
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
function place(facts: Facts, { reads, falls }: Lever, of: Usual): number {
  if (reads === undefined) return 0;
  const { low, high } = usualRange(facts, reads, of);
  if (!(high > low) || high === Infinity) return 0;
  const at = Math.max(-3, Math.min(3, (2 * measureOf(reads).read(facts) - low - high) / (high - low)));
  return falls ? -at : at;
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
