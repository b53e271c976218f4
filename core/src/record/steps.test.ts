// Steps that can be undone, packed and unpacked: each state to the last digit.
import { describe, expect, it } from '@jest/globals';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { modelNamed } from '../models/models.ts';
import { withNewRail } from '../edit/parts.ts';
import type { BoardRecord } from './record.ts';
import { type StepState, stepsPacked, stepsUnpacked } from './steps.ts';

const first: BoardRecord = {
  id: 'board',
  number: 1,
  board: modelNamed('Slack Water')!,
  riderId: 'maren',
  rides: [],
  createdAt: '2026-03-04T10:00:00.000Z',
  updatedAt: '2026-03-04T10:00:00.000Z',
};
const at = (k: number) => `2026-03-04T10:00:00.${String(k).padStart(3, '0')}Z`;
/** Forty states, each a step on from the one before: widths, a rail set, colours put in and taken out. */
const states = Array.from({ length: 40 }).reduce<BoardRecord[]>(
  (all, _, k) => {
    const last = all[all.length - 1];
    const { colours: _off, ...without } = last;
    const { board } = last;
    const next: BoardRecord =
      k % 4 === 0
        ? { ...last, board: { ...board, outline: { ...board.outline, width_mm: 480 + k / 3 } } }
        : k % 4 === 1
          ? { ...last, colours: `coat ${k}` }
          : k % 4 === 2 && board.rails.stations.length < 9
            ? { ...last, board: withNewRail(board, 300 + 20 * k) }
            : without;
    return [...all, { ...next, updatedAt: at(k + 1) }];
  },
  [first],
);
const steps = (of: readonly BoardRecord[]): StepState[] => of.map((state, k) => ({ name: `step ${k}`, state }));

describe('steps that outlive a reload', () => {
  it.each([0, 17, 40])('with the present at state %p: every state comes back through JSON as it was', (k) => {
    const [past, future] = [steps(states.slice(0, k)), steps(states.slice(k + 1))];
    const text = JSON.stringify(stepsPacked(states[k], past, future));
    const back = stepsUnpacked(states[k], JSON.parse(text) as never);
    expect(back).toEqual({ past, future });
    // By what changed alone: forty whole records would be twenty times as much.
    expect(text.length).toBeLessThan(JSON.stringify(states).length / 5);
  });

  it('belong to one state, which they name', () => {
    expect(stepsPacked(states[3], steps(states.slice(0, 3)), []).at).toBe(states[3].updatedAt);
  });

  it('hold nothing that came after a state somebody keeps', async () => {
    setFlagsFromString('--expose-gc');
    const sweep = runInNewContext('gc') as () => void;
    const kept = { ...first };
    const gone: WeakRef<BoardRecord>[] = [];
    let past = steps([kept]);
    for (let k = 0; k < 60; k++) {
      const state = { ...first, updatedAt: at(k) };
      gone.push(new WeakRef(state));
      past = [...past, { name: 'on', state }].slice(-5);
      stepsPacked({ ...first, updatedAt: at(k + 1) }, past, []);
    }
    await new Promise((done) => setImmediate(done));
    sweep();
    expect(gone.filter((state) => state.deref()).length).toBeLessThanOrEqual(past.length);
    expect([kept.id, past.length]).toEqual(['board', 5]);
  });
});
