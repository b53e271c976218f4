import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import Ajv from 'ajv/dist/2020.js';
import { boardJsonSchema } from '../document/jsonSchema.ts';
import { shapeOf } from '../shape/shape.ts';
import { measure } from '../measure/measure.ts';
import { models } from '../models/models.ts';
import { readBoardFile, writeBoardFile } from './boardFile.ts';

const published = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../../docs/schema/board.schema.json'), 'utf8'),
) as Record<string, unknown>;

describe('the board file', () => {
  it.each(models().map((board) => [board.name, board] as const))('brings %s back to the last digit', (_name, board) => {
    const text = writeBoardFile(board);
    const read = readBoardFile(text);
    if (!read.ok) throw new Error(read.reason);
    expect(read.board).toEqual(board);
    expect(writeBoardFile(read.board)).toBe(text);
    expect(measure(shapeOf(read.board))).toEqual(measure(shapeOf(board)));
  });

  it('keeps numbers that have no short decimal form', () => {
    const board = { ...models()[0], length_mm: 1828.8 + 1 / 3 };
    const read = readBoardFile(writeBoardFile(board));
    expect(read.ok && Object.is(read.board.length_mm, board.length_mm)).toBe(true);
  });

  it('is what the published schema says, by an independent validator', () => {
    const validate = new Ajv({ strict: false, allErrors: true }).compile(published);
    for (const board of models()) {
      expect(validate(JSON.parse(writeBoardFile(board)))).toBe(true);
    }
    expect(validate({ ...models()[0], length_mm: 12 })).toBe(false);
  });

  it('has a published schema made from the code as it is', () => {
    expect(published).toEqual(JSON.parse(JSON.stringify(boardJsonSchema())));
  });
});

/** By so many litres the fair surface differs from the one these files were measured on: docs/formulas.md. */
const FAIRER_L: Readonly<Record<string, number>> = {
  'slack-water': 0.0487,
  kettle: -0.0078,
  'two-stairs': -0.0079,
  'penny-step': -0.0215,
  gannet: 0.0234,
  'tin-roof': 0.0203,
  'salt-ladder': 0.0038,
  'peat-fire': 0.0761,
  'two-lanterns': -0.0357,
  lamplight: 0.1043,
  'long-quay': 0.2035,
  'north-ledge': 0.1981,
  'slow-ferry': 0.0688,
  'night-mail': 0.0107,
  'broad-acre': 0.2153,
  'grey-door': 0.1853,
};

describe('files of version 1', () => {
  const folder = join(import.meta.dirname, 'fixtures', 'version-1');
  const text = (name: string) => readFileSync(join(folder, `${name}.json`), 'utf8');
  const said = JSON.parse(text('measures')) as Record<string, Record<string, number>>;

  it.each(Object.keys(said))('%s opens, with the numbers it had when it was written', (name) => {
    const read = readBoardFile(text(name));
    if (!read.ok) throw new Error(read.reason);
    const now = measure(shapeOf(read.board));
    for (const [key, value] of Object.entries(said[name])) {
      // To a thousandth of a millimetre, a litre, a square millimetre in a hundred.
      const within = key === 'area_mm2' ? 100 : 0.001;
      const meant = value + (key === 'volume_L' ? FAIRER_L[name] : 0);
      expect([key, Math.abs(now[key as keyof typeof now] - meant) < within]).toEqual([key, true]);
    }
  });
});

describe('a file that is not a board', () => {
  const whole = writeBoardFile(models()[0]);

  it.each([
    ['nothing', '', /empty/],
    ['a cut-off board', whole.slice(0, whole.length / 2), /breaks off/],
    ['some other JSON', '{"hello": 1}', /not a June Tide board/],
    ['a list', '[]', /not a June Tide board/],
    ['null', 'null', /not a June Tide board/],
    ['prose', 'Dear shaper', /not JSON/],
    ['a newer version', whole.replace(/"version": \d/, '"version": 99'), /newer June Tide/],
    ['no version', whole.replace(/"version": \d/, '"version": "x"'), /does not say which version/],
    ['a version left out', whole.replace(/"version": \d,/, ''), /does not say which version/],
    ['a value left out', whole.replace(/"length_mm": [\d.]+,/, ''), /length_mm: is missing: a number is wanted/],
    [
      'a text for a number',
      whole.replace(/"length_mm": [\d.]+/, '"length_mm": "six foot"'),
      /length_mm: must be a number/,
    ],
    [
      'a field too many',
      whole.replace('"notes":', '"extra": 1, "notes":'),
      /values it cannot have: the board: is not known here: “extra”/,
    ],
    ['a negative length', whole.replace(/"length_mm": \d+(\.\d+)?/, '"length_mm": -5'), /length_mm/],
  ])('is refused with the reason: %s', (_what, text, reason) => {
    const read = readBoardFile(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.reason).toMatch(reason);
  });

  it('is refused in few words, however much is wrong with it, and never says undefined or NaN', () => {
    const many = Object.fromEntries(Array.from({ length: 30_000 }, (_, k) => [`unknown${k}`, k]));
    const read = readBoardFile(JSON.stringify({ ...many, ...(JSON.parse(whole) as object) }));
    expect(read.ok ? '' : read.reason).toMatch(/unknown0.*and 29997 more/);
    expect(read.ok ? '' : read.reason).toMatch(/^.{1,300}$/);
    const board = JSON.parse(whole) as Record<string, unknown>;
    for (const key of Object.keys(board)) {
      for (const value of [undefined, null, 'x', -1, {}, []]) {
        const wrong = readBoardFile(JSON.stringify({ ...board, [key]: value }));
        if (!wrong.ok) expect(wrong.reason).not.toMatch(/undefined|NaN|\[object/);
      }
    }
  });

  it('says every issue at once', () => {
    const text = whole
      .replace(/"width_mm": [\d.]+/, '"width_mm": 5')
      .replace(/"thickness_mm": [\d.]+/, '"thickness_mm": 9999');
    const read = readBoardFile(text);
    expect(!read.ok && read.issues.length).toBeGreaterThanOrEqual(2);
  });
});
