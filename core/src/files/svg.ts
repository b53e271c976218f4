import type { CheckSquare } from '../make/paper.ts';
import type { Drawing } from './drawing.ts';
import { onOneLine } from '../units/oneLine.ts';
import { inkOf, LOOKS } from './layers.ts';

const escapes: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** What is no letter: half of one, and the two places Unicode keeps empty. XML has no place for them (XML 1.0, 2.2). */
const NO_LETTER = /[\p{Cs}\ufffe\uffff]/gu;

/** A text as XML takes it, on one line: a letter that XML has no place for is a blank. */
export function escapeXml(text: string): string {
  return onOneLine(text)
    .replace(NO_LETTER, ' ')
    .replace(/[&<>"]/g, (c) => escapes[c]);
}

const round = (value: number) => String(Number(value.toFixed(4)));

/**
 * A drawing as SVG at true scale: millimetres in width, height and viewBox, one group a layer.
 * Coordinates to 0.0001 mm; y is turned over, as SVG counts down.
 */
export function drawingToSvg(drawing: Drawing, margin_mm = 10): string {
  const width = round(drawing.width_mm + 2 * margin_mm);
  const height = round(drawing.height_mm + 2 * margin_mm);
  const X = (x: number) => round(x + margin_mm);
  const Y = (y: number) => round(drawing.height_mm + margin_mm - y);
  const layers = [...new Set([...drawing.lines, ...drawing.texts].map((item) => item.layer))];
  const groups = layers.map((layer) => {
    const paths = drawing.lines
      .filter((line) => line.layer === layer)
      .map((line) => {
        const d = line.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${X(p.x_mm)} ${Y(p.y_mm)}`).join('');
        const dash = line.dashed ? ' stroke-dasharray="2 2"' : '';
        return `    <path d="${d}${line.closed ? 'Z' : ''}" stroke-width="${round(line.weight_mm)}"${dash}/>`;
      });
    const words = drawing.texts
      .filter((text) => text.layer === layer)
      .map(
        (text) =>
          `    <text x="${X(text.x_mm)}" y="${Y(text.y_mm)}" font-size="${round(text.size_mm)}" text-anchor="${text.anchor ?? 'start'}" fill="black" stroke="none">${escapeXml(text.text)}</text>`,
      );
    // Groups that drawing programs open as layers.
    const head = `  <g id="${layer}" inkscape:groupmode="layer" inkscape:label="${layer}" stroke="${LOOKS[inkOf(layer)].colour}">`;
    return [head, ...paths, ...words, '  </g>'].join('\n');
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:inkscape="http://www.inkscape.org/namespaces/inkscape" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" fill="none" stroke="black" font-family="sans-serif">`,
    `  <title>${escapeXml(drawing.title)}</title>`,
    ...groups,
    '</svg>',
    '',
  ].join('\n');
}

/** The drawing with a square to measure after printing, laid above it on the left. */
export function withCheckSquare(drawing: Drawing, { side_mm, words }: CheckSquare): Drawing {
  const y0 = drawing.height_mm + 10;
  return {
    ...drawing,
    height_mm: y0 + side_mm,
    lines: [
      ...drawing.lines,
      {
        layer: 'check-square',
        points: [
          { x_mm: 0, y_mm: y0 },
          { x_mm: side_mm, y_mm: y0 },
          { x_mm: side_mm, y_mm: y0 + side_mm },
          { x_mm: 0, y_mm: y0 + side_mm },
        ],
        closed: true,
        weight_mm: 0.3,
      },
    ],
    texts: [
      ...drawing.texts,
      {
        layer: 'check-square',
        x_mm: 4,
        y_mm: y0 + side_mm / 2,
        size_mm: 4,
        text: `Check square: ${words} each way`,
      },
    ],
  };
}
