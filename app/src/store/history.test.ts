import { describe, expect, it } from '@jest/globals';
import { noHistory, redone, stepped, undone } from './history.ts';

describe('history', () => {
  it('goes back and forth by named steps', () => {
    let history = stepped(noHistory<number>(), 1, 'one', undefined, 0);
    history = stepped(history, 2, 'two', undefined, 10);
    const back = undone(history, 3)!;
    expect(back.present).toBe(2);
    expect(back.history.future[0].name).toBe('two');
    const again = redone(back.history, back.present)!;
    expect(again.present).toBe(3);
    expect(again.history.past.map((step) => step.name)).toEqual(['one', 'two']);
  });

  it('joins all of a drag into one step, however long it takes, and nudges that follow closely', () => {
    let drag = stepped(noHistory<number>(), 1, 'wide', 'drag:1', 0);
    drag = stepped(drag, 2, 'wide', 'drag:1', 60_000);
    expect(drag.past).toEqual([{ name: 'wide', state: 1 }]);
    let nudges = stepped(noHistory<number>(), 1, 'wide', 'nudge:wide', 0);
    nudges = stepped(nudges, 2, 'wide', 'nudge:wide', 500);
    nudges = stepped(nudges, 3, 'wide', 'nudge:wide', 5000);
    expect(nudges.past.map((step) => step.state)).toEqual([1, 3]);
  });

  it('forgets what was undone once something new is done', () => {
    const history = stepped(noHistory<number>(), 1, 'one', undefined, 0);
    const back = undone(history, 2)!;
    const anew = stepped(back.history, back.present, 'other', undefined, 20);
    expect(redone(anew, 5)).toBeUndefined();
  });

  it('has nothing to undo at the start', () => {
    expect(undone(noHistory<number>(), 1)).toBeUndefined();
    expect(redone(noHistory<number>(), 1)).toBeUndefined();
  });
});
