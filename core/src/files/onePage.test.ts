// What is seen on the two pages that hang in the shed: nothing written over, nothing off the paper, pictures that are the board.
import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { type Paper, PAPERS } from '../make/paper.ts';
import { USUAL_STATIONS } from '../measure/stationTable.ts';
import { modelNamed, models } from '../models/models.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { thinned } from '../testing/runs.ts';
import type { LengthStyle } from '../units/format.ts';
import { bottomInSmall, deckInSmall, planInSmall, profileInSmall, sectionInSmall } from './boardSmall.ts';
import { textWidth_mm } from './labels.ts';
import type { OnePage, PageText } from './onePage.ts';
import { picturePage } from './picturePage.ts';
import { stationPage } from './stationPage.ts';
import { ticketPage } from './ticketPage.ts';
import { wallPage } from './wallPage.ts';

const INCHES: LengthStyle = { kind: 'fraction', denominator: 32 };
const extras = {
  riderName: 'Maren',
  target: 'aim 28.0 to 31.0 L',
  id: 'skarn-slack-118',
  number: 118,
  blank: "6'5 curved, PU",
  glass: '6+4/6 oz with patches, polyester, polished and rubbed',
  colours: 'clear, one grey pinline',
  due: '11 December 2026',
  weight: 'about 2.6 kg',
};

const boxOf = ({ text, x_mm, y_mm, size_mm, anchor, strong }: PageText) => {
  const width = textWidth_mm(text, size_mm, strong);
  const left = x_mm - (anchor === 'middle' ? width / 2 : anchor === 'end' ? width : 0);
  return { left, right: left + width, foot: y_mm - 0.2 * size_mm, top: y_mm + 0.72 * size_mm };
};

/** Whether a step between two points enters a box, by sampling it finely. */
function enters(box: ReturnType<typeof boxOf>, a: { x_mm: number; y_mm: number }, b: { x_mm: number; y_mm: number }) {
  if (Math.max(a.x_mm, b.x_mm) <= box.left || Math.min(a.x_mm, b.x_mm) >= box.right) return false;
  if (Math.max(a.y_mm, b.y_mm) <= box.foot || Math.min(a.y_mm, b.y_mm) >= box.top) return false;
  const steps = Math.ceil(Math.hypot(b.x_mm - a.x_mm, b.y_mm - a.y_mm) / 0.3);
  for (let k = 0; k <= steps; k++) {
    const [x, y] = [a.x_mm + ((b.x_mm - a.x_mm) * k) / steps, a.y_mm + ((b.y_mm - a.y_mm) * k) / steps];
    if (x > box.left && x < box.right && y > box.foot && y < box.top) return true;
  }
  return false;
}

function faults(page: OnePage): string[] {
  const out: string[] = [];
  const boxes = page.texts.map((text) => ({ text: text.text, ...boxOf(text) }));
  boxes.forEach((a, i) => {
    if (a.left < 8 || a.foot < 8 || a.right > page.width_mm - 8 || a.top > page.height_mm - 8)
      out.push(`“${a.text}” runs off the paper`);
    for (const b of boxes.slice(i + 1)) {
      if (a.left < b.right && b.left < a.right && a.foot < b.top && b.foot < a.top)
        out.push(`“${a.text}” lies on “${b.text}”`);
    }
    for (const { points } of page.lines) {
      if (points.some((p, k) => k > 0 && enters(a, points[k - 1], p))) out.push(`a line runs through “${a.text}”`);
    }
    for (const box of page.boxes) {
      if (
        a.left < box.x_mm + box.width_mm &&
        box.x_mm < a.right &&
        a.foot < box.y_mm + box.height_mm &&
        box.y_mm < a.top
      )
        out.push(`“${a.text}” lies on the code`);
    }
  });
  for (const { points } of page.lines) {
    if (points.some((p) => p.x_mm < 8 || p.y_mm < 8 || p.x_mm > page.width_mm - 8 || p.y_mm > page.height_mm - 8))
      out.push('a line runs off the paper');
  }
  return [...new Set(out)];
}

/** Three boxes a side, wings, a twin's two templates: the longest tickets there are. */
const hard = (board: Board): Board => ({ ...board, name: 'A name as long as a name may be in this shed, and then' });

describe('the ticket and the wall sheet', () => {
  it.each(['A4', 'Letter'] as const)(
    'on %s: nothing runs off, into or through, for models of every kind',
    (paper: Paper) => {
      for (const model of thinned(models(), 2)) {
        for (const style of [INCHES, { kind: 'mm' } as const]) {
          const shape = shapeOf(model);
          const name = `${model.name} 118`;
          expect([model.name, faults(ticketPage(shape, paper, style, extras))]).toEqual([model.name, []]);
          expect([model.name, faults(ticketPage(shape, paper, style))]).toEqual([model.name, []]);
          const wall = wallPage(shape, paper, style, { name, riderName: 'Maren' });
          expect([model.name, faults(wall)]).toEqual([model.name, []]);
          const stations = stationPage(shape, paper, style, name, USUAL_STATIONS);
          expect([model.name, faults(stations)]).toEqual([model.name, []]);
          expect(stations.texts.filter(({ text }) => /^(Nose|Tail) /.test(text)).length).toBeGreaterThan(8);
          const picture = picturePage(shape, style, { name: model.name, riderName: 'Maren' });
          expect([model.name, faults(picture)]).toEqual([model.name, []]);
        }
      }
      // A value that would run into the pictures goes on in a second line, not in letters nobody reads.
      const twin = ticketPage(shapeOf(modelNamed('Kettle')!), paper, INCHES, extras).texts;
      expect(Math.min(...twin.map(({ size_mm }) => size_mm))).toBeGreaterThan(2.3);
      const long = shapeOf(hard(modelNamed('Slack Water')!));
      expect(faults(ticketPage(long, paper, INCHES, extras))).toEqual([]);
      expect(faults(picturePage(long, INCHES, { name: long.board.name, riderName: 'Maren' }))).toEqual([]);
      expect(faults(wallPage(long, paper, INCHES, { name: long.board.name, riderName: 'Maren' }))).toEqual([]);
    },
  );

  it('has each paper its own size, the wall sheet on its side', () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const ticket = ticketPage(shape, 'Letter', INCHES);
    expect([ticket.width_mm, ticket.height_mm]).toEqual([PAPERS.Letter.width_mm, PAPERS.Letter.height_mm]);
    const wall = wallPage(shape, 'Letter', INCHES, { name: 'Kettle' });
    expect([wall.width_mm, wall.height_mm]).toEqual([PAPERS.Letter.height_mm, PAPERS.Letter.width_mm]);
  });
});

describe('the board in small', () => {
  const sizes = (lines: { points: readonly { x_mm: number; y_mm: number }[] }[]) => {
    const all = lines.flatMap(({ points }) => points);
    const [xs, ys] = [all.map((p) => p.x_mm), all.map((p) => p.y_mm)];
    return { wide: Math.max(...xs) - Math.min(...xs), high: Math.max(...ys) - Math.min(...ys), low: Math.min(...ys) };
  };
  const plain = (x_mm: number, y_mm: number) => ({ x_mm: x_mm / 10, y_mm: y_mm / 10 });
  const both: Shape[] = ['Slack Water', 'Kettle', 'Long Quay'].map((name) => shapeOf(modelNamed(name)!));

  it('is as long, wide and thick as the board, to its scale', () => {
    for (const shape of both) {
      const { length_mm, outline, foil } = shape.board;
      const plan = sizes(planInSmall(shape, INCHES, plain));
      expect(plan.wide).toBeCloseTo(length_mm / 10, 6);
      expect(plan.high).toBeCloseTo(outline.width_mm / 10, 1);
      expect(sizes(profileInSmall(shape, plain)).wide).toBeCloseTo(length_mm / 10, 6);
      const section = sizes(sectionInSmall(shape, shape.outline.wide_mm, plain));
      expect(section.wide).toBeCloseTo(outline.width_mm / 10, 1);
      expect(section.high * 10).toBeLessThan(foil.thickness_mm + 12);
    }
  });

  it('shows the whole bottom with fins and contours on both sides, the deck with none', () => {
    const [slack] = both;
    expect(deckInSmall(slack, plain).filter(({ weight_mm }) => weight_mm !== 0.3 && weight_mm !== 0.15)).toEqual([]);
    const bases = bottomInSmall(slack, INCHES, plain).filter(({ weight_mm }) => weight_mm === 0.6);
    const middles = bases.map(({ points: [a, b] }) => Math.round(a.y_mm + b.y_mm)).sort((a, b) => a - b);
    // A pair, and the centre fin from either half.
    expect(middles[0]).toBeLessThan(-5);
    expect(middles[3]).toBe(-middles[0]);
    expect(middles.slice(1, 3).map(Math.abs)).toEqual([0, 0]);
  });

  it('has contours and fins on the bottom’s half only, stations on the deck’s', () => {
    const [slack] = both;
    const lines = planInSmall(slack, INCHES, plain);
    const thin = lines.filter(({ weight_mm }) => weight_mm === 0.08);
    const bases = lines.filter(({ weight_mm }) => weight_mm === 0.6);
    expect(thin.length).toBeGreaterThan(1);
    // One front fin of the pair, and the centre one.
    expect(bases).toHaveLength(2);
    for (const { points } of [...thin, ...bases]) for (const p of points) expect(p.y_mm).toBeLessThan(1e-9);
    for (const { points } of lines.filter(({ dashed }) => dashed))
      for (const p of points) expect(p.y_mm).toBeGreaterThan(-1e-9);
  });
});
