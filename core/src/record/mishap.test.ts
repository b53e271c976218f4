import { describe, expect, it } from '@jest/globals';
import { type Mishap, mishapOf, mishapsFile, mishapsFrom, withMishap } from './mishap.ts';

const AT = '2026-11-26T08:00:00.000Z';

describe('what is kept of an error', () => {
  const error = new RangeError('writeBoardFile: “Slack Water for Ann” and Maren at 0123456789 cannot be built by Mar');
  error.stack = [
    'RangeError: writeBoardFile: “Slack Water for Ann” and Maren',
    '    at writeBoardFile (http://localhost:4180/assets/shape-Ab_1.js:12:345)',
    '    at async http://localhost:4180/assets/index-x.js?v=Maren:1:2',
    '    at Object.<anonymous> (/home/maren/x/file.ts:3:4)',
    'shapeOf@http://localhost/assets/a.js:7:8',
    '    at Maren’s board',
  ].join('\n');
  const kept = mishapOf(error, '/bay/maren-slack-water/outline', ['Mar', 'Maren', ' ', 'x'], AT);

  it('says what, where in the program and on which screen', () => {
    expect(kept).toEqual({
      at: AT,
      times: 1,
      screen: '/bay/:id/outline',
      what: 'RangeError: writeBoardFile: “…” and … at … cannot be built by …',
      frames: [
        'writeBoardFile shape-Ab_1.js:12:345',
        'somewhere index-x.js:1:2',
        'Object.<anonymous> file.ts:3:4',
        'shapeOf a.js:7:8',
      ],
    });
  });

  it('has no name, no quotation and no address of a machine', () => {
    expect(JSON.stringify(kept)).not.toMatch(/Maren|maren|Slack|localhost|home/);
  });

  it.each([
    ['a text', 'a text'],
    ['', 'Something that says nothing'],
    [undefined, 'Something that says nothing'],
    [{ message: 'Maren' }, 'Something that says nothing'],
  ])('%p', (thrown, what) => expect(mishapOf(thrown, '/', [], AT)).toMatchObject({ what, frames: [], screen: '/' }));
});

it('a worker’s words come with its stack on further lines', () => {
  expect(mishapOf('RangeError: x\n    at meshOf (http://h/assets/w.js:1:2)', '/', [], AT)).toMatchObject({
    what: 'RangeError: x',
    frames: ['meshOf w.js:1:2'],
  });
});

describe('the list', () => {
  const one = (what: string, screen = '/'): Mishap => ({ at: AT, times: 1, screen, what, frames: [] });

  it('counts what happens again, the latest first, and keeps the last forty', () => {
    let list: Mishap[] = [];
    for (const what of ['a', 'b', 'a']) list = withMishap(list, one(what));
    expect(list.map(({ what, times }) => [what, times])).toEqual([
      ['a', 2],
      ['b', 1],
    ]);
    expect(withMishap(list, one('a', '/shelf'))).toHaveLength(3);
    for (let k = 0; k < 60; k++) list = withMishap(list, one(`no ${k}`));
    expect([list.length, list[0].what, list[39].what]).toEqual([40, 'no 59', 'no 20']);
  });

  it('comes back as far as it can be read, and goes out as a file', () => {
    const list = [one('a'), one('b')];
    expect(mishapsFrom(JSON.parse(JSON.stringify(list)))).toEqual(list);
    expect(mishapsFrom([one('a'), { what: 3 }, null])).toEqual([one('a')]);
    expect(mishapsFrom('x')).toEqual([]);
    expect(JSON.parse(mishapsFile(list, 'core1'))).toEqual({
      format: 'june-tide-mishaps',
      version: 1,
      app: 'core1',
      mishaps: list,
    });
  });
});
