import { mkdtemp, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from '@jest/globals';
import type { Board } from '@june-tide/core/document';
import { run } from '../run.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'jt-'));
});
const at = (name: string) => join(folder, name);

async function jt(...args: string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = await run(args, { out: (text) => out.push(text), err: (text) => err.push(text) });
  return { code, out: out.join('\n'), err: err.join('\n') };
}
async function made(model: string, name = 'board.json'): Promise<string> {
  expect((await jt('new', '--model', model, '--out', at(name))).code).toBe(0);
  return at(name);
}
const read = async (file: string) => JSON.parse(await readFile(file, 'utf8')) as Board;

describe('jt part', () => {
  it('takes one part, brought to this length, and leaves the others', async () => {
    const file = await made('Slack Water');
    const other = await made('Gannet', 'other.json');
    expect((await jt('part', file, 'rocker', other, '--out', at('b.json'))).code).toBe(0);
    const [was, is] = [await read(file), await read(at('b.json'))];
    // 5 7/8 on 6'8, a lift to each length alike.
    expect(is.rocker.noseLift_mm).toBeCloseTo((5.875 * 25.4 * 72) / 80, 6);
    expect({ ...is, rocker: null }).toEqual({ ...was, rocker: null });
  });

  it('says what was done to meet, and which parts there are', async () => {
    const file = await made('Slack Water');
    const other = await made('Kettle', 'other.json');
    expect((await jt('part', file, 'back', other, '--out', at('b.json'))).out).toMatch(/drawn 8\.3 % narrower/);
    const { code, err } = await jt('part', file, 'nose', other);
    expect(code).toBe(1);
    expect(err).toMatch(/no part “nose”; there are outline, front, back/);
  });
});

describe('jt deck', () => {
  it('lists, adds, changes and takes off, and says the litres', async () => {
    const file = await made('Slack Water');
    expect((await jt('deck', file, 'add', 'beak')).code).toBe(0);
    expect((await jt('deck', file)).out).toMatch(/1 beak, \+0\.\d\d L/);
    expect((await jt('deck', file, 'set', '1', 'thickness_mm=1/2')).code).toBe(0);
    expect((await read(file)).deck.features).toMatchObject([{ kind: 'beak', thickness_mm: 12.7 }]);
    expect((await jt('deck', file, 'set', '1', 'drop_mm=3')).err).toMatch(/no number “drop_mm”; it has .*thickness_mm/);
    expect((await jt('deck', file, 'add', 'beak')).err).toMatch(/no other beak/);
    expect((await jt('deck', file, 'add', 'roof')).err).toMatch(/no deck feature “roof”; there are flat/);
    expect((await jt('deck', file, 'off', '1')).code).toBe(0);
    expect((await jt('deck', file, '--factor', '0.5')).code).toBe(0);
    const { deck, foil } = await read(file);
    expect(deck.features).toEqual([]);
    expect(deck.crown.map(({ value_mm }) => value_mm)).toEqual([2.5, 4.5, 2]);
    expect(foil.noseTip_mm).toBeCloseTo(0.45 * 25.4, 9);
  });
});

describe('jt tips', () => {
  it('says and sets the radius of tips that close in a point', async () => {
    const file = await made('North Ledge');
    expect((await jt('tips', file)).out).toBe('nose 1/4\npin 3/8');
    expect((await jt('tips', file, 'nose=8mm', 'pin=0')).code).toBe(0);
    const { outline } = await read(file);
    expect(outline.nose).toMatchObject({ tip_mm: 8 });
    expect(outline.tail.tip_mm).toBe(0);
    expect((await jt('tips', file, 'nose=3')).err).toMatch(/tip_mm/);
    expect((await jt('tips', await made('Long Quay'), 'nose=8mm')).err).toMatch(/round/);
  });
});

describe('jt marks', () => {
  it('lists them with their gain, names a lever, and turns one soft', async () => {
    const file = await made('Slack Water');
    const { out } = await jt('marks', file, '--gain');
    expect(out.split('\n')).toHaveLength(6);
    expect(out).toMatch(/outline\.1 .*11 5\/8 at 60 from the tail, hard, gain 1\.0\d/);
    expect(out).not.toContain('lever');
    expect((await jt('marks', file, '--soft', 'outline.2')).code).toBe(0);
    expect((await read(file)).outline.marks[1]).toMatchObject({ give_mm: 0.4 });
    expect((await jt('marks', file, '--hard', 'outline.2')).code).toBe(0);
    expect((await read(file)).outline.marks[1]).not.toHaveProperty('give_mm');
    expect((await jt('marks', file, '--hard', 'outline.9')).err).toMatch(/no mark “outline.9”/);
    const marks = JSON.parse((await jt('marks', file, '--json')).out) as { gain: number }[];
    expect(marks.every(({ gain }) => gain > 0.5 && gain < 2)).toBe(true);
  });
});
