import type { BoardRecord } from '../record/record.ts';
import type { Board } from '../document/schema.ts';
import { type GlassSchedule, USUAL_SCHEDULE } from '../make/glass.ts';
import { type Day, dayAfter } from '../make/workingDays.ts';
import type { Rider } from '../rider/rider.ts';
import { demoModel, demoRecord } from './demoRecord.ts';
import past from './past.json' with { type: 'json' };
import { INCH_mm } from '../units/length.ts';

/** The invented shed at Skarn Point: riders and boards to look round with. Nothing here is a fact of the trade. */
export const DEMO_RIDERS: readonly Rider[] = [
  rider('maren', 'Maren', 76, 1780, 34, 'advanced', 3, 'back', 'waistToHead', 'medium'),
  rider('kit', 'Kit', 69, 1730, 27, 'advanced', 4, 'front', 'kneeToWaist', 'weak'),
  rider('jory', 'Jory', 66, 1750, 22, 'expert', 6, 'neutral', 'waistToHead', 'medium'),
  {
    ...rider('petra', 'Petra', 71, 1690, 47, 'intermediate', 2, 'neutral', 'waistToHead', 'medium'),
    weights: [
      { on: '2022-04-09', mass_kg: 66 },
      { on: '2023-03-18', mass_kg: 68 },
      { on: '2024-02-24', mass_kg: 69 },
      { on: '2025-05-11', mass_kg: 70 },
      { on: '2026-01-10', mass_kg: 71 },
    ],
  },
  rider('ines', 'Ines', 78, 1820, 52, 'advanced', 2, 'front', 'kneeToWaist', 'weak'),
  rider('ruan', 'Ruan', 84, 1850, 38, 'expert', 3, 'neutral', 'wellOverhead', 'powerful'),
  rider('ana', 'Ana', 58, 1650, 25, 'advanced', 5, 'back', 'kneeToWaist', 'medium'),
  rider('odd', 'Odd', 104, 1900, 44, 'intermediate', 1, 'unknown', 'waistToHead', 'medium'),
];

function rider(
  id: string,
  name: string,
  mass_kg: number,
  height_mm: number,
  age: number,
  ability: Rider['ability'],
  surfsAWeek: number,
  stance: Rider['stance'],
  size: Rider['waves']['size'],
  power: Rider['waves']['power'],
): Rider {
  return {
    id,
    name,
    mass_kg,
    weights: [{ on: '2026-01-10', mass_kg }],
    height_mm,
    age,
    ability,
    surfsAWeek,
    fitness: 'usual',
    stance,
    waves: { size, power, steepness: 'medium', chop: 'some', rubber: 'thin' },
    boards: [],
  };
}

/**
 * The boards on the rack of a new shed; some are on the line, due in the weeks after the day it is opened. Those with a past are made
 * once and kept beside this file: the first opening of the app waits for none of the work they were.
 */
export function demoRecords(today: Day): BoardRecord[] {
  const longer: (board: Board) => Board = (board) => ({
    ...board,
    length_mm: board.length_mm + 2 * INCH_mm,
    outline: { ...board.outline, width_mm: 19.5 * INCH_mm },
    foil: { ...board.foil, thickness_mm: 2.5 * INCH_mm },
    notes: 'Two inches longer and a quarter wider than 104: more under the chest for the winter suit.',
  });
  const on = (stage: string, dueIn_days: number, glass: GlassSchedule, colours: string, riderId: string) => {
    const waves = DEMO_RIDERS.find(({ id }) => id === riderId)!.waves;
    return {
      glass,
      colours,
      brief: { waves, purpose: '', mustHaves: '', dueOn: dayAfter(today, dueIn_days) },
      order: { stage, on: today },
    };
  };
  const epoxy: GlassSchedule = { resin: 'epoxy', deck: ['e4', 's4'], bottom: ['e4'], finish: 'sanded' };
  const heavy: GlassSchedule = { resin: 'polyester', deck: ['e6', 'e6'], bottom: ['e6'], finish: 'gloss' };
  return [
    ...structuredClone(past as unknown as readonly BoardRecord[]),
    demoRecord('skarn-stairs-3', 3, 'jory', '2026-08-21', demoModel('Two Stairs'), {
      ...on('brief', 30, epoxy, 'grey rails', 'jory'),
    }),
    demoRecord('skarn-slack-104', 104, 'maren', '2026-02-03', demoModel('Slack Water')),
    demoRecord('skarn-slack-118', 118, 'maren', '2026-11-16', longer(demoModel('Slack Water')), {
      ...on('shape', 16, USUAL_SCHEDULE, 'clear, one grey pinline', 'maren'),
      blankId: 'shelf-6-8-pu',
    }),
    demoRecord('skarn-gannet-2', 2, 'ruan', '2026-09-30', demoModel('Gannet'), {
      ...on('sand', 2, USUAL_SCHEDULE, 'clear', 'ruan'),
    }),
    demoRecord('skarn-lamp-5', 5, 'petra', '2026-10-14', demoModel('Lamplight'), {
      ...on('glass', 12, heavy, 'bottle green tint, cut laps', 'petra'),
    }),
    demoRecord('skarn-quay-9', 9, 'ines', '2026-06-18', demoModel('Long Quay')),
    demoRecord('skarn-ledge-4', 4, 'ruan', '2026-01-22', demoModel('North Ledge')),
  ];
}
