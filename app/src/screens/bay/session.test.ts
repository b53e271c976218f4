import { beforeEach, describe, expect, it } from '@jest/globals';
import { modelNamed } from '@june-tide/core/models';
import { bayKey } from './bayKeys.ts';
import { closeSession, hold, layOver, leave, moveHookOn, openSession, useSession } from './session.ts';

const slack = modelNamed('Slack Water')!;
const state = () => useSession.getState();
const went: string[] = [];
const stand = {
  id: 'ours',
  length_mm: 1828.8,
  wide_mm: 927.1,
  curve: undefined,
  stations: () => [300, 900],
  go: (address: string) => went.push(address),
};

function press(key: string, change: Partial<KeyboardEventInit> = {}, on: Element = document.body): boolean {
  let taken = false;
  const listen = (event: Event) => {
    bayKey(event as KeyboardEvent, stand);
    taken = event.defaultPrevented;
  };
  on.addEventListener('keydown', listen);
  on.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true, bubbles: true, ...change }));
  on.removeEventListener('keydown', listen);
  return taken;
}

beforeEach(() => {
  closeSession();
  openSession('ours', slack);
  went.length = 0;
});

describe('what is open in the bay', () => {
  it('is kept while a board stands there, changed or not, and begun anew with another', () => {
    moveHookOn(1828.8, 900);
    hold('outline.1');
    layOver({ id: 'theirs', align: 'nose', push: 2 });
    openSession('ours', { ...slack, length_mm: 1900 });
    expect(state()).toMatchObject({ hook_mm: 900, held: 'outline.1', opened: slack });
    openSession('another', modelNamed('Gannet')!);
    expect(state()).toMatchObject({ id: 'another', held: undefined, over: undefined, hook_mm: 508 });
    expect(state().opened?.name).toBe('Gannet');
  });

  it('keeps the hook on the board', () => {
    moveHookOn(1000, 5000);
    expect(state().hook_mm).toBe(1000);
    moveHookOn(1000, (x) => x - 9999);
    expect(state().hook_mm).toBe(0);
  });
});

describe('keys in the bay', () => {
  it('step the hook over the stations of the work, and stop at the last', () => {
    moveHookOn(1828.8, 508);
    press('PageUp');
    expect(state().hook_mm).toBe(900);
    press('PageUp');
    expect(state().hook_mm).toBe(900);
    press('PageDown');
    expect(state().hook_mm).toBe(300);
  });

  it('move the hook: an inch, a quarter, to twelve from either end, to the wide point', () => {
    moveHookOn(1828.8, 508);
    press('ArrowRight');
    expect(state().hook_mm).toBeCloseTo(533.4, 9);
    press('ArrowLeft', { shiftKey: true });
    expect(state().hook_mm).toBeCloseTo(527.05, 9);
    press('N');
    expect(state().hook_mm).toBeCloseTo(1524, 9);
    press('t');
    expect(state().hook_mm).toBeCloseTo(304.8, 9);
    press('w');
    expect(state().hook_mm).toBeCloseTo(927.1, 9);
  });

  it('walk the steps by digits, open the list of keys and the room', () => {
    press('2');
    press('0');
    press('-');
    expect(went).toEqual(['/bay/ours/outline', '/bay/ours/make', '/bay/ours/ride']);
    leave('make', '?part=blank&page=plan');
    press('0');
    expect(went.at(-1)).toBe('/bay/ours/make?part=blank&page=plan');
    press('?');
    expect(state().keys).toBe(true);
    press('r');
    expect(state().inRoom).toBe(true);
    press('R');
    expect(state().inRoom).toBe(false);
  });

  it('leave letters to whoever types, and words every object has to nobody', () => {
    const input = document.createElement('input');
    document.body.append(input);
    const before = state().hook_mm;
    press('t', {}, input);
    press('5', {}, input);
    expect(state().hook_mm).toBe(before);
    expect(went).toEqual([]);
    // Undo works in a field, and not in a longer text, which has its own.
    expect(press('z', { ctrlKey: true }, input)).toBe(true);
    const text = document.createElement('textarea');
    document.body.append(text);
    expect(press('z', { ctrlKey: true }, text)).toBe(false);
    expect(press('constructor')).toBe(false);
    expect(press('t', { altKey: true })).toBe(false);
    input.remove();
    text.remove();
  });
});
