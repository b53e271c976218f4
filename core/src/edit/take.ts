import type { Board, Family } from '../document/schema.ts';
import { clearOfCut } from '../fins/placement.ts';
import { boardFrom } from '../shape/issues.ts';
import { withDeckFeatures } from './deck.ts';
import { grown } from './grow.ts';
import { joinedOutlines } from './join.ts';

/** The parts of a board that can be taken from another. */
export const PARTS = ['outline', 'front', 'back', 'rocker', 'foil', 'deck', 'rails', 'bottom', 'fins'] as const;
export type Part = (typeof PARTS)[number];

/** Each part by its name, and how it is brought to another length. */
export const PART_FACTS: Readonly<Record<Part, { words: string; rule: string }>> = {
  outline: { words: 'outline', rule: 'widths at their distance from their ends, wide point and tail with them' },
  front: { words: 'front half', rule: 'as it is, joined at the wide point; the length follows' },
  back: { words: 'back half', rule: 'as it is, joined at the wide point; the length follows' },
  rocker: { words: 'rocker', rule: 'its middle keeps its radius for the length' },
  foil: { words: 'foil', rule: 'thicknesses as they are, stretched along' },
  deck: { words: 'deck', rule: 'crown and what is worked in, stretched along; thicknesses stay' },
  rails: { words: 'rails', rule: 'stations stretched along; the hard edge as long as it is' },
  bottom: { words: 'bottom', rule: 'contours stretched along, as deep as they are' },
  fins: { words: 'fins', rule: 'each as far off its usual place as it was' },
};

export type Taken = { ok: true; board: Board; backWidths: number } | { ok: false; reason: string };

/**
 * The board with one part of another, brought to this board's length by the part's rule. Holds every other part; thickness marks give
 * or take what another deck's beak or scoop adds.
 * @returns why not, when no board can be built so; `backWidths` as joinedOutlines says it, 1 for every other part.
 */
export function withPart(board: Board, part: Part, other: Board): Taken {
  if (part === 'front' || part === 'back') {
    const joined = part === 'front' ? joinedOutlines(other, board) : joinedOutlines(board, other);
    if (!joined.ok) return joined;
    const { length_mm, outline } = joined.board;
    return checked({ ...grown(board, length_mm), outline }, joined.backWidths);
  }
  const sized = grown(other, board.length_mm);
  switch (part) {
    case 'outline':
    case 'rocker':
    case 'rails':
    case 'bottom':
      return checked({ ...board, [part]: sized[part] });
    case 'foil': {
      const plain = withDeckFeatures(sized, []);
      const bare = { ...withDeckFeatures(board, []), foil: plain.foil };
      return checked(withDeckFeatures(bare, board.deck.features));
    }
    case 'deck': {
      const crowned = { ...board, deck: { ...board.deck, crown: sized.deck.crown } };
      return checked(withDeckFeatures(crowned, sized.deck.features));
    }
    case 'fins':
      return checked(clearOfCut({ ...board, fins: sized.fins }));
  }
}

function checked(board: Board, backWidths = 1): Taken {
  const opened = boardFrom(board);
  return opened.ok
    ? { ok: true, board: opened.board, backWidths }
    : { ok: false, reason: opened.issues[0]?.words ?? 'it cannot be built' };
}

/** The board called another kind. Holds every number. */
export function withFamily(board: Board, family: Family): Board {
  return { ...board, family };
}

/** What goes by the family and by no number of the board: said where it is changed. */
export const FAMILY_DECIDES =
  'The shape stays. The litres asked for a rider, what counts as usual, where fins usually stand, and which models it is compared with go by the family.';
