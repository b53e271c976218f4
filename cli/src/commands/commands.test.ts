import { mkdtemp, readFile, readdir } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { readPdf } from '../../../core/src/testing/pdf.ts';
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

async function newBoard(model: string, name = 'board.json'): Promise<string> {
  expect((await jt('new', '--model', model, '--out', at(name))).code).toBe(0);
  return at(name);
}

async function measures(file: string): Promise<Record<string, number>> {
  return JSON.parse((await jt('measure', file, '--json')).out) as Record<string, number>;
}

describe('jt stations', () => {
  it('lists what a tape reads, as text, JSON and CSV', async () => {
    const file = await newBoard('Slack Water');
    const text = await jt('stations', file, '--at', 'nose 12, tail 12, wide');
    expect(text.out.split('\n')).toHaveLength(4);
    expect(text.out).toMatch(/nose 12\s+11 5\/8/);
    expect(text.out).toMatch(/tail 12\s+14 3\/4/);
    const rows = JSON.parse((await jt('stations', file, '--json')).out) as { width_mm: number }[];
    expect(rows.length).toBe(12);
    const csv = (await jt('stations', file, '--csv', '--at', 'centre 0')).out;
    expect(csv).toMatch(/^from,at_mm/);
    for (const wrong of ['bow 12', 'nose twelve', 'nose 400']) {
      expect((await jt('stations', file, '--at', wrong)).code).toBe(1);
    }
  });
});

describe('jt scale and solve', () => {
  it('meets litres to 0.01 holding what is to be held', async () => {
    const file = await newBoard('Slack Water');
    const before = await measures(file);
    expect((await jt('scale', file, '--litres', '31', '--hold', 'length,width', '--out', at('b.json'))).out).toMatch(
      /^31\.0\d L$/,
    );
    const after = await measures(at('b.json'));
    expect(Math.abs(after.volume_L - 31)).toBeLessThanOrEqual(0.01);
    expect([after.length_mm, after.width_mm]).toEqual([before.length_mm, before.width_mm]);
  });

  it('stretches by the rocker rule', async () => {
    const file = await newBoard('Slack Water');
    const before = await measures(file);
    await jt('scale', file, '--length', "6'6", '--rocker', '2', '--out', at('b.json'));
    const after = await measures(at('b.json'));
    expect(after.length_mm).toBeCloseTo(78 * 25.4, 6);
    expect(after.noseRocker_mm / before.noseRocker_mm).toBeCloseTo((78 / 72) ** 2, 6);
  });

  it('moves one lever until a measure is right', async () => {
    const file = await newBoard('Slack Water');
    expect((await jt('solve', file, 'volume_L=30', '--by', 'thickness', '--out', at('b.json'))).out).toMatch(
      /^thickness = /,
    );
    expect((await measures(at('b.json'))).volume_L).toBeCloseTo(30, 2);
    await jt('solve', file, 'foamCentre_mm=0', '--by', 'foil.thickest_mm', '--out', at('c.json'));
    await jt('solve', file, 'noseRockerMiddle_mm=5in', '--by', 'noseLift', '--out', at('d.json'));
    expect((await measures(at('d.json'))).noseRockerMiddle_mm).toBeCloseTo(127, 2);
  });

  it.each([
    [['scale', '--litres', '900'], /nearest/],
    [['scale', '--litres', 'lots'], /not a number/],
    [['scale', '--litres', '30', '--hold', 'colour'], /cannot be held/],
    [['scale'], /either/],
    [['scale', '--litres', '35', '--hold', 'outline,thickness'], /everything is held/],
    [['solve', 'speed=4', '--by', 'thickness'], /no measure/],
    [['solve', 'volume_L=400', '--by', 'thickness'], /alone cannot/],
    [['solve', 'volume_L=30', '--by', 'no.where'], /has no/],
    [['solve', 'volume_L=30'], /--by/],
  ])('says what is wrong with %j and changes nothing', async ([command, ...rest], words) => {
    const file = await newBoard('Slack Water');
    const before = await readFile(file, 'utf8');
    const { code, err } = await jt(command, file, ...rest);
    expect(code).toBe(1);
    expect(err).toMatch(words);
    expect(await readFile(file, 'utf8')).toBe(before);
  });
});

describe('jt compare, join, blend, exaggerate, validate', () => {
  it('compares two boards by every number and lever', async () => {
    const file = await newBoard('Slack Water');
    expect((await jt('compare', file, file)).out).toBe('Every number is the same.\nNo lever differs.');
    await jt('set', file, 'width=19 1/2', '--out', at('b.json'));
    const { out } = await jt('compare', file, at('b.json'));
    expect(out).toMatch(/width\s+19 1\/4\s+19 1\/2\s+1\/4/);
    expect(out).toContain('outline.width_mm: 488.95 -> 495.3');
    const whole = JSON.parse((await jt('compare', file, at('b.json'), '--json')).out) as { levers: unknown[] };
    expect(whole.levers).toHaveLength(1);
  });

  it('joins, blends and exaggerates', async () => {
    const [a, b] = [await newBoard('Slack Water', 'a.json'), await newBoard('Gannet', 'b.json')];
    expect((await jt('join', a, b, '--out', at('j.json'))).code).toBe(0);
    expect((await measures(at('j.json'))).noseWidth12_mm).toBeCloseTo((await measures(a)).noseWidth12_mm, 3);
    expect((await jt('blend', a, b, '--out', at('m.json'))).code).toBe(0);
    const half = (await measures(at('m.json'))).length_mm;
    expect(half).toBeCloseTo(((await measures(a)).length_mm + (await measures(b)).length_mm) / 2, 6);
    expect((await jt('exaggerate', a, b, '--factor', '1.5', '--out', at('x.json'))).code).toBe(0);
    expect((await measures(at('x.json'))).length_mm).toBeGreaterThan((await measures(b)).length_mm);
    expect((await jt('blend', a, b, '--share', '4', '--out', at('n.json'))).code).toBe(1);
    expect(await readdir(folder)).not.toContain('n.json');
  });

  it('says a sound board is one, and names what a batten cannot do', async () => {
    const file = await newBoard('Slack Water');
    expect((await jt('validate', file)).out).toMatch(/^A sound board/);
    const marks = '[{"from":"nose","at_mm":304.8,"value_mm":300},{"from":"tail","at_mm":304.8,"value_mm":150}]';
    await jt('set', file, `outline.marks=${marks}`);
    const { out } = await jt('validate', file);
    expect(out).toMatch(/outline: the mark at 12 in from the tail asks for a hollow/);
  });
});

describe('jt import', () => {
  it('makes of a station table the board it was taken from, and says how far it came out off', async () => {
    const file = await newBoard('Two Lanterns');
    expect((await jt('export', file, '--to', 'csv', '--out', at('table.csv'))).code).toBe(0);
    const { code, out } = await jt('import', at('table.csv'), '--out', at('back.json'));
    expect(code).toBe(0);
    expect(out).toMatch(/^12 rows\. Furthest off .* by 0\.[0-2] mm\.$/);
    const [was, is] = [await measures(file), await measures(at('back.json'))];
    expect(Math.abs(is.volume_L - was.volume_L)).toBeLessThan(0.03);
    expect(Math.abs(is.tailWidth12_mm - was.tailWidth12_mm)).toBeLessThan(0.25);
  });

  it('writes nothing of what is no table', async () => {
    const file = await newBoard('Kettle');
    const { code, err } = await jt('import', file, '--out', at('x.json'));
    expect(code).toBe(1);
    expect(err).toMatch(/not a station table/);
    expect(await readdir(folder)).toEqual(['board.json']);
  });
});

describe('jt export', () => {
  it.each([
    ['dxf', [], (b: Buffer) => b.toString().includes('LWPOLYLINE')],
    ['dxf', ['--drawing', 'fins'], (b: Buffer) => b.toString().includes('bases')],
    ['svg', ['--drawing', 'sections'], (b: Buffer) => b.toString().includes('<g id="sections" ')],
    ['csv', [], (b: Buffer) => b.toString().startsWith('from,at_mm')],
    ['3mf', ['--chord', '1mm'], (b: Buffer) => b.toString('latin1').startsWith('PK')],
    ['obj', [], (b: Buffer) => b.toString().includes('\nf 1 ')],
    ['ply', [], (b: Buffer) => b.toString().startsWith('ply\n')],
    ['stl', ['--chord', '0.5mm'], (b: Buffer) => b.length === 84 + 50 * b.readUInt32LE(80)],
  ] as const)('writes %s %j', async (to, more, holds) => {
    const file = await newBoard('Two Lanterns');
    expect((await jt('export', file, '--to', to, ...more, '--out', at('x'))).code).toBe(0);
    expect(holds(await readFile(at('x')))).toBe(true);
  });

  it('writes the drawing that was asked for as PDF, and on a roll', async () => {
    const file = await newBoard('Two Lanterns');
    const pdf = async (...more: string[]) => {
      expect((await jt('export', file, '--to', 'pdf', ...more, '--out', at('x'))).code).toBe(0);
      return readPdf(await readFile(at('x')));
    };
    const said = (pages: Awaited<ReturnType<typeof pdf>>) => pages[1].texts.map(({ text }) => text).join(' ');
    expect(said(await pdf())).toContain('Two Lanterns · half outline · sheet 1');
    expect(said(await pdf('--drawing', 'sticks'))).toContain('rocker sticks: bottom and deck · sheet 1');
    const roll = await pdf('--drawing', 'bands', '--paper', 'roll', '--roll', '36');
    expect(roll).toHaveLength(2);
    expect(roll[1].height_mm).toBeCloseTo(36 * 25.4, 1);
    const [narrow] = await Promise.all([jt('export', file, '--to', 'pdf', '--roll', '5', '--out', at('y'))]);
    expect(narrow).toMatchObject({ code: 1 });
    expect(narrow.err).toMatch(/at least 250 mm/);
  }, 30_000);

  it('says before it writes a solid how far its facets lie off, how many they are and how large the file is', async () => {
    const file = await newBoard('Two Lanterns');
    const { out } = await jt('export', file, '--to', 'stl', '--chord', '0.2mm', '--out', at('x'));
    const [, off, facets, size] = /within ([\d.]+) mm.*: (\d+) facets, ([\d.]+) MB/.exec(out)!;
    const bytes = await readFile(at('x'));
    expect(Number(off)).toBeLessThanOrEqual(0.2);
    expect(Number(facets)).toBe(bytes.readUInt32LE(80));
    expect(Number(size)).toBeCloseTo(bytes.length / 1e6, 1);
    // What cannot be had is said, not silently less.
    const { err } = await jt('export', file, '--to', 'stl', '--chord', '0.001mm', '--out', at('y'));
    expect(err).toMatch(/finest there is/);
  });

  it('refuses a drawing and a chord there are not', async () => {
    const file = await newBoard('Two Lanterns');
    expect((await jt('export', file, '--to', 'svg', '--drawing', 'moon', '--out', at('x'))).err).toMatch(/no drawing/);
    expect((await jt('export', file, '--to', 'stl', '--chord', '0', '--out', at('x'))).err).toMatch(
      /more than nothing/,
    );
  });
});
