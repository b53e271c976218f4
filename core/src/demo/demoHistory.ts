import { demoModel, demoRecord } from './demoRecord.ts';
import { withFewerMarks } from '../edit/fewer.ts';
import { joinedOutlines } from '../edit/join.ts';
import { complaintsFor } from '../judge/complaints.ts';
import { lever, type LeverId } from '../judge/levers.ts';
import type { BoardRecord } from '../record/record.ts';
import type { Felt, Ride } from '../record/ride.ts';
import { atVersion, parentOf, versionMade, withChangeTaken, withFrozen } from '../record/versions.ts';

/** Boards of the invented shed with a past: rounds of rides and changes, wrong turns among them. */

interface Round {
  on: string;
  place: string;
  size: NonNullable<Ride['size']>;
  power?: NonNullable<Ride['power']>;
  steepness?: NonNullable<Ride['steepness']>;
  wind?: NonNullable<Ride['wind']>;
  who: readonly [id: string, name: string, mass_kg: number, stance: NonNullable<Ride['stance']>];
  words: string;
  felt: Felt;
  fins?: string;
}

const ANA = ['ana', 'Ana', 58, 'back'] as const;
const KIT = ['kit', 'Kit', 69, 'front'] as const;
const JORY = ['jory', 'Jory', 66, 'neutral'] as const;

/** A ride noted of the version that is worked on from. */
function ridden(record: BoardRecord, round: Round): BoardRecord {
  const { on, place, size, power, steepness, wind, who, words, felt, fins } = round;
  const [riderId, rider, mass_kg, stance] = who;
  const heard = complaintsFor(words).map(({ id }) => id);
  const ride: Ride = {
    on,
    place,
    waves: '',
    size,
    ...(power ? { power } : {}),
    ...(steepness ? { steepness } : {}),
    ...(wind ? { wind } : {}),
    ...(riderId === record.riderId ? {} : { rider }),
    riderId,
    mass_kg,
    stance,
    words,
    felt,
    ...(fins ? { fins } : {}),
    ...(record.from === undefined ? {} : { version: record.from }),
    ...(heard.length > 0 ? { complaints: heard } : {}),
  };
  return { ...record, rides: [ride, ...record.rides] };
}

/** One lever moved by its first steps, and the next version of that. */
function changed(record: BoardRecord, on: string, no: number, id: LeverId, steps: number, why: string): BoardRecord {
  const board = lever(id).move(record.board, steps);
  const making = (suffix: string) => ({ id: `${record.id}-v${no}${suffix}`, on, how: 'change' as const, why });
  return withChangeTaken(record, board, making('-ridden'), making(''));
}

/** Eight versions of one small-wave board in a summer, ridden by three; two of them wrong turns, the seventh the one. */
function pennyStep(): BoardRecord {
  const id = 'skarn-penny-2';
  let penny = demoRecord(id, 2, 'ana', '2026-03-12', demoModel('Penny Step'));
  penny = versionMade(penny, { id: `${id}-v1`, on: '2026-03-20', how: 'cut', why: 'the first, for Ana’s beach break' });
  penny = { ...penny, blankCut: true };
  const at = (round: Round) => (penny = ridden(penny, round));
  const next = (on: string, no: number, lever: LeverId, steps: number, why: string) =>
    (penny = changed(penny, on, no, lever, steps, why));
  at({
    on: '2026-04-02',
    place: 'Harbour Bar',
    size: 'kneeToWaist',
    power: 'weak',
    who: ANA,
    words: 'Quick to its feet, but it slides out when I push the cutback.',
    felt: 'same',
  });
  next('2026-04-10', 2, 'block', -2, 'narrower in the block, so that the tail sinks and holds');
  at({
    on: '2026-04-18',
    place: 'Harbour Bar',
    size: 'waistToHead',
    power: 'medium',
    who: ANA,
    words: 'Holds in cutbacks now. Slow down the line through the flat sections.',
    felt: 'better',
  });
  at({
    on: '2026-04-19',
    place: 'The Slip',
    size: 'waistToHead',
    wind: 'onshore',
    who: KIT,
    words: 'Slow through the flat part for me too, and I want the foam further up.',
    felt: 'same',
  });
  next('2026-05-01', 3, 'noseRocker', -2, 'flatter entry for the flat sections');
  at({
    on: '2026-05-09',
    place: 'Tarn Ledge',
    size: 'waistToHead',
    power: 'powerful',
    steepness: 'steep',
    who: ANA,
    words: 'Fast, and it pearls on late drops. Twice over the front.',
    felt: 'worse',
  });
  // A wrong turn: back to the second and another way from there.
  penny = atVersion(penny, `${id}-v2`, {
    id: `${id}-kept3`,
    on: '2026-05-11',
    how: 'back',
    why: 'as it was before going back to 2',
  });
  next('2026-05-12', 4, 'tailRocker', -1, 'less tail rocker instead: the entry stays');
  at({
    on: '2026-05-24',
    place: 'Harbour Bar',
    size: 'kneeToWaist',
    power: 'weak',
    who: ANA,
    words: 'Runs through the flat now and still turns where I stand.',
    felt: 'better',
  });
  next('2026-06-08', 5, 'concave', 2, 'deeper single for more lift under the back foot');
  at({
    on: '2026-06-14',
    place: 'The Slip',
    size: 'waistToHead',
    wind: 'cross',
    who: JORY,
    words: 'Lively. In the chop it chatters and skips, I cannot lean on it.',
    felt: 'worse',
  });
  penny = atVersion(penny, `${id}-v4`, {
    id: `${id}-kept5`,
    on: '2026-06-20',
    how: 'back',
    why: 'as it was before going back to 4',
  });
  next('2026-06-21', 6, 'edgeLength', 1, 'a little more hard edge, for drive off the bottom');
  at({
    on: '2026-07-04',
    place: 'Tarn Ledge',
    size: 'waistToHead',
    power: 'powerful',
    steepness: 'steep',
    wind: 'offshore',
    who: ANA,
    words: 'Drives off the bottom and fits under the lip. A touch stiff, it wants to go straight at the top.',
    felt: 'better',
  });
  next('2026-07-18', 7, 'finsForward', 1, 'the set forward a quarter, to come round sooner');
  at({
    on: '2026-08-01',
    place: 'Tarn Ledge',
    size: 'waistToHead',
    power: 'medium',
    steepness: 'steep',
    wind: 'offshore',
    who: ANA,
    words: 'That is the one. Comes round under the back foot and never lets go.',
    felt: 'better',
    fins: 'upright side fins, small rear',
  });
  at({
    on: '2026-08-02',
    place: 'Harbour Bar',
    size: 'kneeToWaist',
    who: KIT,
    words: 'Goes where I look. Mine next.',
    felt: 'better',
  });
  penny = withFrozen(penny, `${id}-v7`, {
    on: '2026-08-03',
    mass_kg: 2.42,
    flex: 'lively in the tail, firm between the feet',
    fins: 'upright side fins, small rear',
  });
  next('2026-09-05', 8, 'width', 1, 'an eighth wider, to see whether weak days gain by it');
  at({
    on: '2026-09-12',
    place: 'Harbour Bar',
    size: 'kneeToWaist',
    power: 'weak',
    who: JORY,
    words: 'Planes sooner, and slow rail to rail. The seventh was better.',
    felt: 'worse',
  });
  return penny;
}

/** The winner made again for Kit, drawn on a little since: not the winner any more. */
function drifted(winner: BoardRecord): BoardRecord {
  const version = winner.versions?.find(({ frozen }) => frozen);
  const board = version?.board ?? winner.board;
  const copy = demoRecord('skarn-penny-3', 3, 'kit', '2026-09-20', lever('noseRocker').move(board, -1), {
    parents: [parentOf(winner, 'copy', version?.id)],
  });
  return { ...copy, board: { ...copy.board, notes: 'The winner again for Kit; the nose let down an eighth since.' } };
}

/** The front of one board on the back of another, each a parent. */
function joined(front: BoardRecord, back: BoardRecord): BoardRecord {
  const made = joinedOutlines(front.board, back.board);
  const { board: drawn } = withFewerMarks(made.board, 'outline');
  const board = { ...drawn, name: 'Half Tide', notes: 'Penny Step’s nose on the fish’s tail, for weak days.' };
  return demoRecord('skarn-half-1', 1, null, '2026-10-02', board, {
    archived: true,
    parents: [parentOf(front, 'front', front.from), parentOf(back, 'back')],
  });
}

/** What Petra rode before: one board after the other, each drawn from the last, put away since. */
function petrasFour(): BoardRecord[] {
  const steps: readonly (readonly [
    name: string,
    day: string,
    id: LeverId,
    steps: number,
    words: string,
    felt: Felt,
  ])[] = [
    ['Night Mail', '2022-04-09', 'width', 0, 'Hard to paddle, late to my feet on every wave.', 'same'],
    ['Slow Ferry', '2023-03-18', 'thickness', 1, 'I get in early now. Stiff, it draws long arcs.', 'better'],
    ['Slow Ferry', '2024-02-24', 'tailRocker', 1, 'Turns from the tail. A bit tippy when I sit on it.', 'better'],
    ['Half Mile', '2025-05-11', 'railFullness', 1, 'Steady, and it carries through the flat.', 'better'],
  ];
  const out: BoardRecord[] = [];
  const numbers = new Map<string, number>();
  for (const [name, day, id, count, words, felt] of steps) {
    const number = (numbers.get(name) ?? 0) + 1;
    numbers.set(name, number);
    const before = out.at(-1);
    const board = count === 0 ? demoModel(name) : lever(id).move(demoModel(name), count);
    const made = demoRecord(`skarn-petra-${out.length + 1}`, number, 'petra', day, board, {
      archived: true,
      order: { stage: 'rideAway', on: day, doneOn: day },
      ...(before ? { parents: [parentOf(before, 'next', before.from)] } : {}),
    });
    const version = versionMade(made, { id: `${made.id}-v1`, on: day, how: 'cut', why: 'as it was made' });
    out.push(
      ridden(version, {
        on: day.replace(/-\d\d$/, '-28'),
        place: 'Harbour Bar',
        size: 'waistToHead',
        who: ['petra', 'Petra', PETRA_kg[out.length], 'neutral'],
        words,
        felt,
      }),
    );
  }
  return out;
}

/** What Petra weighed with each of them. */
const PETRA_kg = [66, 68, 69, 70] as const;

/** Boards with a past, and the fish that the joined one has its tail of. */
export function boardsWithPast(): BoardRecord[] {
  const kettle = demoRecord('skarn-kettle-7', 7, 'kit', '2026-05-02', demoModel('Kettle'));
  const penny = pennyStep();
  return [penny, drifted(penny), joined(penny, kettle), ...petrasFour(), kettle];
}
