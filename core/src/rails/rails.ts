import type { RailsDocument } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import { type Blend, blendAt, blendThrough } from '../curve/blend.ts';
import { smootherstep, together } from '../curve/ease.ts';

/** The rail's numbers blended along the board. */
export interface Rails {
  readonly document: RailsDocument;
  readonly apex: Blend;
  readonly fullness: Blend;
  readonly tuck: Blend;
  readonly edge: Blend;
  readonly edgeRadius: Blend;
}

export interface RailAt {
  apex: number;
  fullness: number;
  tuck_mm: number;
  edge: number;
  edgeRadius_mm: number;
}

export function blendedRails(document: RailsDocument, anchors: Anchors): Rails {
  const along = (pick: (station: RailsDocument['stations'][number]) => number) =>
    blendThrough(document.stations.map((s) => ({ x_mm: stationOfMark(s, anchors), value: pick(s) })));
  return {
    document,
    apex: along((s) => s.apex),
    fullness: along((s) => s.fullness),
    tuck: along((s) => s.tuck_mm),
    edge: along((s) => s.edge),
    edgeRadius: along((s) => s.edgeRadius_mm),
  };
}

/** The rail at station x; the edge is the harder of the blend and the tail's hard edge with its fade. */
export function railAt(rails: Rails, x_mm: number): RailAt {
  const { length_mm, fade_mm, hardness } = rails.document.tailEdge;
  const tailEdge = length_mm > 0 ? hardness * (1 - smootherstep((x_mm - length_mm) / fade_mm)) : 0;
  return {
    apex: blendAt(rails.apex, x_mm),
    fullness: blendAt(rails.fullness, x_mm),
    tuck_mm: blendAt(rails.tuck, x_mm),
    edge: together(blendAt(rails.edge, x_mm), tailEdge),
    edgeRadius_mm: blendAt(rails.edgeRadius, x_mm),
  };
}

/** An apex height as the trade says it, deck:bottom. 0.4 is "60/40". To the nearest 5. */
export function railRatio(apex: number): string {
  const bottom = Math.round((apex * 100) / 5) * 5;
  return `${100 - bottom}/${bottom}`;
}
