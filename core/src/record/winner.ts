import type { Board } from '../document/schema.ts';
import { Facts } from '../measure/facts.ts';
import type { MeasureKey } from '../measure/catalogue.ts';
import { measureOf } from '../measure/catalogue.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import type { BoardRecord, Version } from './record.ts';

/**
 * How near a board must be to a winner to be “as the winner”, by what is measured on it: hand template work is good to 1/32 in,
 * matching stations of a foil to 0.05 in, a lift to 1/16 in, litres to what those give on a board. Common practice, no source.
 */
const AS_THE_WINNER: Readonly<Partial<Record<MeasureKey, number>>> = {
  length_mm: INCH_mm / 16,
  width_mm: INCH_mm / 32,
  noseWidth12_mm: INCH_mm / 32,
  tailWidth12_mm: INCH_mm / 32,
  block_mm: INCH_mm / 32,
  widePointFromCentre_mm: INCH_mm / 4,
  noseRocker_mm: INCH_mm / 16,
  tailRocker_mm: INCH_mm / 16,
  noseRocker12_mm: INCH_mm / 32,
  tailRocker12_mm: INCH_mm / 32,
  thickness_mm: 0.05 * INCH_mm,
  noseThickness12_mm: 0.05 * INCH_mm,
  tailThickness12_mm: 0.05 * INCH_mm,
  volume_L: 0.25,
  finArea_mm2: 100,
};

/** A number in which a board is not as the winner. */
export interface Drift {
  key: MeasureKey;
  from: number;
  to: number;
}

/** Where a board differs from a winner beyond what the hand does, the furthest beyond its tolerance first; none is as the winner. */
export function driftFrom(winner: Board, board: Board): Drift[] {
  const [was, is] = [winner, board].map((each) => new Facts(shapeOf(each)));
  return (Object.entries(AS_THE_WINNER) as [MeasureKey, number][])
    .map(([key, within]) => {
      const { read } = measureOf(key);
      const [from, to] = [read(was), read(is)];
      return { key, from, to, beyond: Math.abs(to - from) / within };
    })
    .filter(({ beyond }) => beyond > 1)
    .sort((a, b) => b.beyond - a.beyond)
    .map(({ key, from, to }) => ({ key, from, to }));
}

/** A weight is the winner's to this, kg: an eighth of a pound, about what a lap more or less of resin weighs. Common practice. */
export const WINNER_MASS_kg = 0.06;

export interface WinnerOf {
  record: BoardRecord;
  version: Version;
}

/** The winner a board was made from: the nearest frozen version among the boards it comes from, or one of its own. */
export function winnerOf(record: BoardRecord, records: Readonly<Record<string, BoardRecord>>): WinnerOf | undefined {
  const seen = new Set<string>();
  const look = (of: BoardRecord): WinnerOf | undefined => {
    if (seen.has(of.id)) return undefined;
    seen.add(of.id);
    for (const { id, version, kind } of of.parents ?? []) {
      // Only what was meant to be the same board: a half, a lesson or a softer one never was.
      if (kind !== 'copy' && kind !== 'branch' && kind !== 'next') continue;
      if (!Object.hasOwn(records, id)) continue;
      const parent = records[id];
      const frozen = parent.versions?.find((entry) => entry.id === version && entry.frozen);
      const found = frozen ? { record: parent, version: frozen } : look(parent);
      if (found) return found;
    }
    return undefined;
  };
  return look(record);
}
