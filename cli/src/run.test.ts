import { existsSync } from 'node:fs';
import { mkdtemp, readFile, readdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { run } from './run.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'jt-'));
});

async function jt(...args: string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = await run(args, { out: (text) => out.push(text), err: (text) => err.push(text) });
  return { code, out: out.join('\n'), err: err.join('\n') };
}

const at = (name: string) => join(folder, name);

async function newBoard(model = 'Slack Water'): Promise<string> {
  const file = at('board.json');
  expect((await jt('new', '--model', model, '--out', file)).code).toBe(0);
  return file;
}

async function numbers(file: string): Promise<Record<string, number>> {
  return JSON.parse((await jt('measure', file, '--json')).out) as Record<string, number>;
}

describe('jt', () => {
  it('lists the models with their families as JSON', async () => {
    const { out, code } = await jt('models', '--json');
    const list = JSON.parse(out) as { name: string; family: string }[];
    expect(code).toBe(0);
    expect(list.length).toBeGreaterThanOrEqual(6);
    expect(new Set(list.map((m) => m.family)).size).toBe(6);
    expect(list[0]).toMatchObject({ name: 'Slack Water', family: 'shortboard' });
  });

  it('measures a new board: one JSON object with the headline numbers', async () => {
    const m = await numbers(await newBoard());
    expect(m.length_mm).toBeCloseTo(72 * 25.4, 9);
    expect(m.width_mm).toBeCloseTo(19.25 * 25.4, 6);
    expect(m.thickness_mm).toBeCloseTo(2.4375 * 25.4, 6);
    expect(m.widePointFromCentre_mm).toBeCloseTo(12.7, 9);
    expect(m.noseWidth12_mm).toBeCloseTo(11.625 * 25.4, 4);
    expect(m.tailWidth12_mm).toBeCloseTo(14.75 * 25.4, 4);
    expect(m.noseRocker_mm).toBeCloseTo(5.125 * 25.4, 4);
    expect(m.tailRocker_mm).toBeCloseTo(2.375 * 25.4, 4);
    expect(m.area_mm2).toBeGreaterThan(0.6e6);
    expect(m.volume_L).toBeGreaterThan(27);
    expect(m.volume_L).toBeLessThan(31);
  });

  it('sets numbers as people write them, and holds the rest', async () => {
    const file = await newBoard();
    const before = await numbers(file);
    const { code } = await jt(
      'set',
      file,
      "length=6'2",
      'width=19 7/8',
      'outline.tail.block_mm=150',
      '--out',
      at('b.json'),
    );
    expect(code).toBe(0);
    const after = await numbers(at('b.json'));
    expect(after.length_mm).toBeCloseTo(74 * 25.4, 9);
    expect(after.width_mm).toBeCloseTo(19.875 * 25.4, 6);
    expect(after.block_mm).toBe(150);
    expect(after.noseWidth12_mm).toBeCloseTo(before.noseWidth12_mm, 6);
    expect(await numbers(file)).toEqual(before);
  });

  it.each([
    ['json', (b: Buffer) => b.toString().startsWith('{')],
    ['svg', (b: Buffer) => b.toString().includes('<svg')],
    ['pdf', (b: Buffer) => b.toString('latin1').startsWith('%PDF-')],
    ['stl', (b: Buffer) => b.length === 84 + 50 * b.readUInt32LE(80)],
    ['step', (b: Buffer) => b.toString().startsWith('ISO-10303-21;')],
  ])(
    'exports %s',
    async (to, holds) => {
      const file = await newBoard('Two Stairs');
      const out = at(`board.${to}`);
      expect((await jt('export', file, '--to', to, '--out', out)).code).toBe(0);
      expect(holds(await readFile(out))).toBe(true);
    },
    30_000,
  );
});

describe('jt set fins.setup', () => {
  it('brings the boxes of the setup with it', async () => {
    const file = await newBoard();
    expect((await jt('set', file, 'fins.setup=quad')).code).toBe(0);
    const { fins } = JSON.parse(await readFile(file, 'utf8')) as {
      fins: { setup: string; boxes: { role: string }[] };
    };
    expect(fins.setup).toBe('quad');
    expect(fins.boxes.map(({ role }) => role)).toEqual(['front', 'rear']);
    expect((await jt('validate', file)).out).toMatch(/^A sound board/);
  });

  it('refuses a setup there is not, and names those there are', async () => {
    const file = await newBoard();
    const { code, err } = await jt('set', file, 'fins.setup=octo');
    expect(code).toBe(1);
    expect(err).toMatch(/no setup “octo”; there are single, .*quad/);
  });

  it('is named by validate where a file says one setup and holds another', async () => {
    const file = await newBoard();
    const board = JSON.parse(await readFile(file, 'utf8')) as { fins: { setup: string } };
    await writeFile(file, JSON.stringify({ ...board, fins: { ...board.fins, setup: 'quad' } }));
    expect((await jt('validate', file)).out).toBe('fins: a quad has boxes front, rear; this board has centre, front');
  });
});

describe('jt on bad input', () => {
  it.each([
    [['fly'], /not a command/],
    [['new', '--model', 'No Such', '--out', 'x.json'], /no model/],
    [['new', '--model', 'Kettle'], /--out/],
    [['measure'], /needs a board file/],
    [['measure', 'nowhere.json'], /no such file/],
    [['export', 'nowhere.json', '--to', 'stl', '--out', 'x'], /no such file/],
    [['models', '--colour'], /colour/],
  ])('says what is wrong with %j and exits with 1', async (args, words) => {
    const { code, err, out } = await jt(...args);
    expect(code).toBe(1);
    expect(out).toBe('');
    expect(err).toMatch(words);
  });

  it('refuses a damaged board and leaves no half-written file behind', async () => {
    await writeFile(at('bad.json'), '{"format":"june-tide-board","version":1');
    const { code, err } = await jt('export', at('bad.json'), '--to', 'stl', '--out', at('x.stl'));
    expect(code).toBe(1);
    expect(err).toMatch(/breaks off/);
    expect(await readdir(folder)).toEqual(['bad.json']);
  });

  it.each([
    ['width=wide', /not a length/],
    ['width=500 in', /width_mm|Too big/],
    ['outline.tail.block_mm=2000', /block_mm/],
    ['nothing.here=5', /has no/],
    ['__proto__.x=5', /has no/],
    ['width', /not path=value/],
    ['widePoint=33', /wide point/],
  ])('changes nothing for %s', async (change, words) => {
    const file = await newBoard();
    const before = await readFile(file, 'utf8');
    const { code, err } = await jt('set', file, change);
    expect(code).toBe(1);
    expect(err).toMatch(words);
    expect(await readFile(file, 'utf8')).toBe(before);
  });

  it('refuses formats and papers there are not', async () => {
    const file = await newBoard();
    expect((await jt('export', file, '--to', 'doc', '--out', at('x'))).err).toMatch(/cannot write/);
    expect((await jt('export', file, '--to', 'pdf', '--paper', 'B5', '--out', at('x'))).err).toMatch(/no paper/);
    expect(existsSync(at('x'))).toBe(false);
  });
});
