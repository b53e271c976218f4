import type { LitresTarget } from '../rider/litres.ts';
import type { Rider, Waves } from '../rider/rider.ts';
import type { Facts } from '../measure/facts.ts';
import type { Kind } from '../rider/kinds.ts';
import type { Schools } from '../rider/schools.ts';

/** How it is glassed and what it weighs. */
export interface Build {
  /** Cloth on deck and bottom, ounces a square yard, all layers. */
  deck_oz: number;
  bottom_oz: number;
  deckPatch: boolean;
  tailPatch: boolean;
  /** Weighed, or worked out; NaN where it cannot be: no line is past that. */
  mass_kg: number;
}

/** Everything a judgement is made from. What is not known is left out, and rules that need it stay silent. */
export interface Case {
  facts: Facts;
  /** What it is, as the shaper says or read off the board. */
  kind: Kind;
  /** The shop's other boards, which widen what is usual. */
  own?: readonly Facts[] | undefined;
  rider?: Rider | undefined;
  waves?: Waves | undefined;
  /** The board it is judged against: laid over, or the one the brief names. */
  last?: { facts: Facts; name: string } | undefined;
  /** Only where the shop has said how it is glassed. */
  build?: Build | undefined;
  /** Finished weight the brief asks for. */
  aim_kg?: number | undefined;
  target?: LitresTarget | undefined;
  schools: Schools;
}
