import type { ReactNode } from 'react';
import { type Drawing, type Ink, inkOf, type OnPaper, sheetsOf, windowOrigin } from '@june-tide/core/files';
import { PAPERS, type PrintedOn } from '@june-tide/core/make';

type Point = { x_mm: number; y_mm: number };

interface Framed {
  /** What it is of, for those who cannot see it. */
  words: string;
  said: string;
  width_mm: number;
  height_mm: number;
  /** Left free around it: a number in a narrow sheet at the edge stands out over it. */
  margin_mm?: number;
  children: ReactNode;
}

/** A small picture of what comes out, with what is said of it under it. */
export function Preview({ words, said, width_mm, height_mm, margin_mm = 4, children }: Framed) {
  return (
    <figure className="sheets-preview" data-testid="sheets-preview">
      <svg
        viewBox={`${-margin_mm} ${-margin_mm} ${width_mm + 2 * margin_mm} ${height_mm + 2 * margin_mm}`}
        role="img"
        aria-label={`${words}: ${said}`}
      >
        {children}
      </svg>
      <figcaption className="quiet">{said}</figcaption>
    </figure>
  );
}

/** The colours of the files, as this light has them. */
const INK: Readonly<Record<Ink, string>> = {
  cut: 'currentColor',
  marked: 'var(--marked)',
  banded: 'var(--coral)',
  aimed: 'var(--sea)',
  thought: 'var(--faint)',
};

/** The lines of a drawing, y down, in the colours of its files; stations are left out. */
export function Lines({ drawing, at = { x_mm: 0, y_mm: 0 } }: { drawing: Drawing; at?: Point }) {
  const { height_mm } = drawing;
  return drawing.lines
    .filter(({ layer }) => layer !== 'stations')
    .map(({ points, closed, dashed, layer }, i) => (
      <path
        key={i}
        d={`M${points.map((p) => `${(at.x_mm + p.x_mm).toFixed(1)} ${(at.y_mm + height_mm - p.y_mm).toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`}
        fill="none"
        stroke={INK[inkOf(layer)]}
        strokeWidth={1.2}
        strokeDasharray={dashed ? '5 3' : undefined}
        vectorEffect="non-scaling-stroke"
      />
    ));
}

interface SheetProps {
  x: number;
  y: number;
  wide: number;
  high: number;
  number: number;
  letter: number;
  /** Whole pieces lie on it: its number keeps to the corner. */
  corner?: boolean;
}
function Sheet({ x, y, wide, high, number, letter, corner = false }: SheetProps) {
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={wide}
        height={high}
        fill="none"
        stroke="var(--faint)"
        strokeDasharray="4 3"
        vectorEffect="non-scaling-stroke"
      />
      <text
        x={corner ? x + wide - letter / 3 : x + wide / 2}
        y={corner ? y + letter : y + high / 2 + letter / 3}
        fontSize={letter}
        textAnchor={corner ? 'end' : 'middle'}
        fill="currentColor"
      >
        {number}
      </text>
    </g>
  );
}

const sheetWords = (count: number) => `${count} ${count === 1 ? 'sheet' : 'sheets'}`;

/** Sheets with whole pieces on them, beside one another. */
export function PiecesPreview({ sheets, words, said }: { sheets: readonly Drawing[]; words: string; said: string }) {
  if (sheets.length === 0) return <p className="quiet full-line">{said}</p>;
  const gap = sheets[0].width_mm / 20;
  const columns = Math.min(sheets.length, 12);
  const [wide, high] = [sheets[0].width_mm + gap, sheets[0].height_mm + gap];
  const rows = Math.ceil(sheets.length / columns);
  return (
    <Preview words={words} said={said} width_mm={columns * wide - gap} height_mm={rows * high - gap}>
      {sheets.map((sheet, i) => {
        const at = { x_mm: (i % columns) * wide, y_mm: Math.floor(i / columns) * high };
        return (
          <g key={sheet.title}>
            <Lines drawing={sheet} at={at} />
            <Sheet
              x={at.x_mm}
              y={at.y_mm}
              wide={sheet.width_mm}
              high={sheet.height_mm}
              number={i + 1}
              letter={high / 7}
              corner
            />
          </g>
        );
      })}
    </Preview>
  );
}

interface PaperPreviewProps {
  paper: OnPaper;
  on: PrintedOn;
  reading: { across_mm: number; along_mm: number };
  words: string;
}

/** A small picture of a drawing with the sheets it is printed on, and how many of what they are. */
export function PaperPreview({ paper, on, reading, words }: PaperPreviewProps) {
  const name = typeof on === 'string' ? PAPERS[on].words : `a roll ${Math.round(on.roll_mm)} mm wide`;
  const turned = (wide: number, high: number) => (typeof on === 'string' && wide > high ? ', on their side' : '');
  if (paper.kind === 'pieces') {
    const { sheets, on: named } = paper.nested;
    const count = named.flat().length;
    const [{ width_mm, height_mm }] = sheets;
    const said = `${count} pieces, each whole, on ${sheetWords(sheets.length)} of ${name}${turned(width_mm, height_mm)}, and one that says which`;
    return <PiecesPreview sheets={sheets} words={words} said={said} />;
  }
  const { tiling, drawing } = sheetsOf(paper.drawing, on, reading);
  const { columns, rows, page_mm, window_mm } = tiling;
  const said = `${sheetWords(columns * rows)} of ${name}${turned(page_mm.width, page_mm.height)}, and one with the map`;
  const { width_mm, height_mm } = drawing;
  // A number is as large as it can be read in so small a picture.
  const letter = Math.max(width_mm / 30, height_mm / 9);
  const places = Array.from({ length: rows * columns }, (_, k) => ({
    row: Math.floor(k / columns),
    column: k % columns,
  }));
  return (
    <Preview words={words} said={said} width_mm={width_mm} height_mm={height_mm} margin_mm={letter / 2}>
      <Lines drawing={drawing} />
      {places.map(({ row, column }, k) => {
        const from = windowOrigin(tiling, row, column);
        const wide = Math.min(window_mm.width, width_mm - from.x_mm);
        const high = Math.min(window_mm.height, height_mm - from.y_mm);
        const y = height_mm - from.y_mm - high;
        return <Sheet key={k} x={from.x_mm} y={y} wide={wide} high={high} number={k + 1} letter={letter} />;
      })}
    </Preview>
  );
}
