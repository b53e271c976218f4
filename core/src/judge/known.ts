import type { Board, FinBox } from '../document/schema.ts';
import { modelNamed } from '../models/models.ts';
import type { LitresTarget } from '../rider/litres.ts';
import type { Rider } from '../rider/rider.ts';
import { INCH_mm } from '../units/length.ts';
import type { Known } from './line.ts';
import type { Build, Case } from './case.ts';

/** What must be there before a rule has anything to look at. */
export const THE_RIDER: Known<{ rider: Rider }> = {
  words: 'a rider',
  of: ({ rider }) => rider && { rider },
};
export const THE_TARGET: Known<{ target: LitresTarget }> = {
  words: 'a range of litres for the rider',
  of: ({ target }) => target && { target },
};
/** Litres are what matters: not where the kind is not for the rider at all. */
export const LITRES_COUNT: Known<{ target: LitresTarget }> = {
  words: 'a range of litres for the rider on a kind that is theirs',
  of: ({ target }) => (target && target.said !== 'no' ? { target } : undefined),
};
export const THE_BUILD: Known<{ build: Build }> = {
  words: 'how it is glassed',
  of: ({ build }) => build && { build },
};
export const THE_AIM: Known<{ aim_kg: number }> = {
  words: 'a weight the brief asks for',
  of: ({ aim_kg }) => (aim_kg === undefined ? undefined : { aim_kg }),
};
export type Last = NonNullable<Case['last']>;
export const THE_LAST: Known<{ last: Last }> = {
  words: 'a board it is judged against',
  of: ({ last }) => last && { last },
};
export const LAST_OF_FAMILY: Known<{ last: Last }> = {
  words: 'a board of the same family it is judged against',
  of: ({ facts, last }) => (last?.facts.board.family === facts.board.family ? { last } : undefined),
};
export const ITS_MODEL: Known<{ model: Board }> = {
  words: 'the model it began as',
  of: ({ facts }) => {
    const model = modelNamed(facts.board.name);
    return model && { model };
  },
};
export const FRONT_FINS: Known<{ front: FinBox }> = {
  words: 'front fins',
  of: ({ facts: { front } }) => front && { front },
};
/** A centre fin that stands alone. */
export const ONLY_FIN: Known<{ centre: FinBox }> = {
  words: 'one fin, in the centre',
  of: ({ facts: { centre, several } }) => (centre && !several ? { centre } : undefined),
};
export const SIDE_AND_CENTRE: Known<{ centreShare: number }> = {
  words: 'side fins and a centre fin',
  of: ({ facts: { centreShare } }) => (centreShare === undefined ? undefined : { centreShare }),
};
export const WINGS: Known<{ wing: Board['outline']['wings'][number] }> = {
  words: 'a wing',
  of: ({ facts }) => {
    const [wing] = facts.board.outline.wings.toSorted((a, b) => b.fromTail_mm - a.fromTail_mm);
    return wing && { wing };
  },
};
/** A wing less deep does not turn the board abruptly: three eighths, less what a hand is off. */
const STEP_mm = 0.36 * INCH_mm;
export const DEEP_WING: Known<{ wing: Board['outline']['wings'][number] }> = {
  words: `a wing from ${(STEP_mm / INCH_mm).toFixed(2)} in deep`,
  of: ({ facts }) => {
    const [wing] = facts.board.outline.wings.toSorted((a, b) => b.depth_mm - a.depth_mm);
    return wing && wing.depth_mm >= STEP_mm ? { wing } : undefined;
  },
};
