import { describe, expect, it } from '@jest/globals';
import { finishRead } from './colours.ts';

describe('the words of an order', () => {
  it('say a tint, where it is, its lap and its line', () => {
    expect(finishRead('Sea-green tint on the bottom, cut lap, one grey pinline')).toEqual({
      tint: '#5f9a62',
      on: 'bottom',
      cutLap: true,
      pinline: '#8b9196',
    });
    expect(finishRead('dark red, cutlaps')).toEqual({ tint: '#c2362f', on: 'all', cutLap: true });
    expect(finishRead('clear with a honey deck')).toEqual({ tint: '#dba545', on: 'deck', cutLap: false });
  });

  it('say none where it is clear, or where the colour is of something else', () => {
    for (const words of [
      '',
      'clear',
      'clear, polished',
      'white',
      'black logo on the deck',
      'red fins and a blue leash plug',
    ])
      expect([words, finishRead(words)]).toEqual([words, { on: 'all', cutLap: false }]);
    expect(finishRead('clear, one grey pinline')).toEqual({ on: 'all', cutLap: false, pinline: '#8b9196' });
    expect(finishRead('pin-line')).toEqual({ on: 'all', cutLap: false, pinline: '#26282b' });
  });

  it('of two colours in one part the last is the colour, and clear is clear whatever stands beside it', () => {
    expect(finishRead('sky blue').tint).toBe('#3f78b5');
    expect(finishRead('blue sky').tint).toBe('#8fc4e0');
    expect(finishRead('sand finish')).toEqual({ on: 'all', cutLap: false });
    expect(finishRead('sand tint, sand finish').tint).toBe('#d9c49a');
    expect(finishRead('clear sand finish')).toEqual({ on: 'all', cutLap: false });
  });

  it('that are no colours say nothing, whatever they are', () => {
    expect(finishRead('constructor, toString, predation, \u0000 tinted hope')).toEqual({ on: 'all', cutLap: false });
  });
});
