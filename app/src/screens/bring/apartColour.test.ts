import { describe, expect, it } from '@jest/globals';
import { apartColour } from './apartColour.ts';

describe('the colour of a deviation', () => {
  it('is pale on the board, red outside, blue inside, whole at two millimetres and beyond, grey where there is no point', () => {
    expect(apartColour(0)).toEqual([214, 208, 192]);
    expect(apartColour(2)).toEqual([190, 40, 30]);
    expect(apartColour(9)).toEqual([190, 40, 30]);
    expect(apartColour(-2)).toEqual([30, 80, 180]);
    expect(apartColour(1)).toEqual([202, 124, 111]);
    expect(apartColour(Number.NaN)).toEqual([128, 128, 128]);
  });
});
