// A name is data wherever it goes: it begins no line of a file, and no formula of a table.
import { describe, expect, it } from '@jest/globals';
import { DOMParser } from '@xmldom/xmldom';
import DxfParser from 'dxf-parser';
import { strFromU8, unzipSync } from 'fflate';
import { DRAWINGS } from './boardDrawings.ts';
import { drawingToDxf } from './dxf.ts';
import { meshToObj, meshToPly } from './obj.ts';
import { sizeRunToCsv } from './sizeRunCsv.ts';
import { meshToStl } from './stl.ts';
import { drawingToSvg } from './svg.ts';
import { meshToThreeMf } from './threeMf.ts';
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

  it('of half letters and none is XML all the same: SVG and 3MF', () => {
    const halves = 'Tide \ud83c\ufffe\uffff \udfc4 🏄 Ana';
    const plain = 'Tide    \u0020🏄 Ana'.replace(/ +/, ' ');
    const troubles: string[] = [];
    const parse = (xml: string) =>
      new DOMParser({ onError: (_level, words) => troubles.push(words) }).parseFromString(xml, 'text/xml');
    const wild = { ...drawing, title: halves };
    expect(parse(drawingToSvg(wild)).getElementsByTagName('title')[0].textContent!.replace(/ +/g, ' ')).toBe(plain);
    const files = unzipSync(meshToThreeMf(meshOf(shape, { stations: 12, ring: 24 }), halves));
    const model = strFromU8(Object.entries(files).find(([path]) => path.endsWith('.model'))![1]);
    expect(model).not.toMatch(/\ufffd|\ufffe|\uffff/);
    const [object] = [...parse(model).getElementsByTagName('object')];
    expect(object.getAttribute('name')!.replace(/ +/g, ' ')).toBe(plain);
    expect(troubles).toEqual([]);
  });

  it('is letters of ASCII that are seen in the head of an STL and a PLY', () => {
    const mesh = meshOf(shape, { stations: 12, ring: 24 });
    const stl = meshToStl(mesh, 'a\r\n\u001b[2J\u0000č').subarray(0, 80);
    const end = stl.indexOf(0);
    expect(Buffer.from(stl.subarray(0, end)).toString('latin1')).toBe('June Tide, mm: a???[2J??');
    expect(stl.subarray(end).every((byte) => byte === 0)).toBe(true);
    expect(meshToPly(mesh, 'a\nend_header').split('\n')[2]).toBe('comment June Tide, mm: a?end_header');
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
