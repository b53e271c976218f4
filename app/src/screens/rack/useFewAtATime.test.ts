import { expect, it } from '@jest/globals';
import { grown, MORE_A_FRAME } from './useFewAtATime.ts';

const ids = (from: number, to: number) => Array.from({ length: to - from }, (_, k) => `b${from + k}`);

it('draws a few more each frame, the first wanted first, until all are there', () => {
  let drawn: ReadonlySet<string> = new Set();
  const wanted = ids(0, 8);
  const sizes = [];
  for (let frame = 0; frame < 4; frame++) {
    drawn = grown(drawn, wanted);
    sizes.push(drawn.size);
    if (frame === 0) expect([...drawn]).toEqual(ids(0, MORE_A_FRAME));
  }
  expect(sizes).toEqual([3, 6, 8, 8]);
});

it('keeps what is wanted still and lets go of what is not', () => {
  const drawn = grown(new Set(ids(0, 6)), ids(4, 12));
  expect([...drawn]).toEqual(ids(4, 9));
});
