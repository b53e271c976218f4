// A name is data wherever it goes: it begins no line of a file, and no formula of a table.
import { describe, expect, it } from '@jest/globals';
import { DOMParser } from '@xmldom/xmldom';
import DxfParser from 'dxf-parser';
import { DRAWINGS } from './boardDrawings.ts';
import { drawingToDxf } from './dxf.ts';
import { meshToObj } from './obj.ts';
import { sizeRunToCsv } from './sizeRunCsv.ts';
import { drawingToSvg } from './svg.ts';
import { modelNamed } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { meshOf } from '../solid/mesh.ts';
import { asWords, fromWords, onOneLine } from '../units/oneLine.ts';

/** Would add a line to a DXF, close a group of an SVG, and ring a bell. */
const NAME = 'Step\r\n0\r\nLINE\u0007<b>&\u2028\u202eevil\u200b';
const board = { ...modelNamed('Penny Step')!, name: NAME };
const shape = shapeOf(board);
const drawing = DRAWINGS.outline.draw(shape, { kind: 'mm' });
const plainDrawing = DRAWINGS.outline.draw(shapeOf(modelNamed('Penny Step')!), { kind: 'mm' });

describe('a name with letters that steer', () => {
  it('is one line of plain letters', () => {
    expect(onOneLine(NAME)).toBe('Step 0 LINE <b>& evil ');
    expect(onOneLine('Penny Step №2, 6′1″ – für Ana 🏄')).toBe('Penny Step №2, 6′1″ – für Ana 🏄');
  });

  it('adds no entity to a DXF and nothing to an SVG', () => {
    const wild = { ...drawing, texts: drawing.texts.map((text) => ({ ...text, text: NAME })) };
    const count = (text: string) => new DxfParser().parseSync(text)!.entities.length;
    expect(count(drawingToDxf(wild))).toBe(count(drawingToDxf(plainDrawing)));
    const troubles: string[] = [];
    const svg = new DOMParser({ onError: (_level, words) => troubles.push(words) }).parseFromString(
      drawingToSvg(wild),
      'image/svg+xml',
    );
    expect(troubles).toEqual([]);
    expect(svg.getElementsByTagName('b')).toHaveLength(0);
    expect(svg.getElementsByTagName('title')[0].textContent).toContain('Step 0 LINE <b>& evil');
  });

  it('begins no line of an OBJ', () => {
    const named = meshToObj(meshOf(shape, { stations: 12, ring: 24 }), NAME);
    expect(named.split('\n').filter((line) => !/^(#|o |v |f |$)/.test(line))).toEqual([]);
  });

  it('is no formula of a table, and comes back as it was', () => {
    for (const name of ['=1+1', '+cmd', '-2', '@sum', '\tx']) {
      expect(sizeRunToCsv([{ ...board, name }])).not.toMatch(/\r\n["]?[=+\-@\t]/);
      expect(fromWords(asWords(name))).toBe(name);
    }
    expect(asWords('Penny')).toBe('Penny');
    expect(fromWords("'tis")).toBe("'tis");
  });
});
