import { describe, expect, it } from '@jest/globals';
import { type Board, FIN_SETUPS, type FinSetup } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { models, modelNamed } from '../models/models.ts';
import { meshVolume_mm3 } from '../solid/mesh.ts';
import { meshFaults } from '../testing/validateMesh.ts';
import { withTail } from '../edit/size.ts';
import { finTroubles, setupTroubles, toeLines } from './checks.ts';
import { finFaces, nacaHalfThickness } from './finFoil.ts';
import { finArea_mm2, finCentroid, finMesh, finNumbers, finPlan } from './finShape.ts';
import { ALSO_SERVES, FIN_TEMPLATES, finBoxes, withSetup } from './placement.ts';
import { placedFins } from './placed.ts';
import { finSpots } from './spots.ts';

describe('foils', () => {
  // NACA 0012 ordinates, per cent of chord: Abbott and von Doenhoff, Theory of Wing Sections, 1959, appendix III;
  // the ordinates from memory.
  it.each([
    [1.25, 1.894],
    [2.5, 2.615],
    [5, 3.555],
    [10, 4.683],
    [20, 5.737],
    [30, 6.002],
    [40, 5.803],
    [60, 4.563],
    [80, 2.623],
    [95, 0.807],
  ])('NACA 0012 at %f %% of the chord is %f %%', (share, ordinate) => {
    expect(100 * nacaHalfThickness(share / 100, 0.12)).toBeCloseTo(ordinate, 2);
  });

  it('shares the thickness between the faces: both, four to one, one', () => {
    const symmetric = finFaces('symmetric', 0.3);
    const eighty = finFaces('eightyTwenty', 0.3);
    const flat = finFaces('flat', 0.3);
    expect(symmetric.outer).toBeCloseTo(-symmetric.inner, 12);
    expect(eighty.outer).toBeCloseTo(-4 * eighty.inner, 12);
    expect(flat.inner).toBe(0);
    for (const faces of [eighty, flat]) {
      expect(faces.outer - faces.inner).toBeCloseTo(symmetric.outer - symmetric.inner, 12);
    }
  });
});

describe('templates', () => {
  it.each(Object.values(FIN_TEMPLATES))('$name: the closed-form area is that of the drawn plan', (template) => {
    const plan = finPlan(template, 4000);
    let twice = 0;
    plan.forEach((p, i) => {
      const q = plan[(i + 1) % plan.length];
      twice += p.x_mm * q.z_mm - q.x_mm * p.z_mm;
    });
    expect(Math.abs(twice) / 2 / finArea_mm2(template)).toBeCloseTo(1, 5);
    const numbers = finNumbers(template);
    expect(numbers.aspect).toBeGreaterThan(0.3);
    expect(Math.max(...plan.map((p) => p.z_mm))).toBeCloseTo(template.depth_mm, 9);
  });

  it('has the centroid of its own outline, by the shoelace, and of a plain trapezoid by its handbook form', () => {
    const template = FIN_TEMPLATES.keel;
    const points = finPlan(template, 4000);
    let [twice, x, z] = [0, 0, 0];
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length];
      const cross = p.x_mm * q.z_mm - q.x_mm * p.z_mm;
      twice += cross;
      x += ((p.x_mm + q.x_mm) * cross) / 3;
      z += ((p.z_mm + q.z_mm) * cross) / 3;
    });
    const centroid = finCentroid(template);
    expect(centroid.x_mm).toBeCloseTo(x / twice, 3);
    expect(centroid.z_mm).toBeCloseTo(z / twice, 3);
    // Below the round of the tip a fin is a trapezoid: h (a + 2 b) / (3 (a + b)) from the base of width a (any handbook of mechanics).
    const blunt = finCentroid({ ...template, tip: 0.9, rake_rad: 0 });
    const trapezoid = (template.depth_mm * (1 + 2 * 0.9)) / (3 * 1.9);
    expect(Math.abs(blunt.z_mm / trapezoid - 1)).toBeLessThan(0.06);
    expect(blunt.x_mm).toBeCloseTo(template.base_mm / 2, 9);
  });

  it('stand on their base and lean back by their rake: half depth and tip by hand', () => {
    const template = { name: 'x', base_mm: 100, depth_mm: 200, rake_rad: Math.PI / 4, tip: 0.4, foil: 'flat' } as const;
    const plan = finPlan(template, 4000);
    const at = (z: number) => plan.filter((p) => Math.abs(p.z_mm - z) < 0.15).map((p) => p.x_mm);
    const middle = (xs: number[]) => (Math.min(...xs) + Math.max(...xs)) / 2;
    expect([Math.min(...at(0)), Math.max(...at(0))]).toEqual([0, 100]);
    // The middle of the chord is 200 · tan 45° · s^1.3 behind mid-base; the chord (1 − 0.6 s) of the base.
    const half = at(100);
    expect(middle(half)).toBeCloseTo(50 - 200 * 0.5 ** 1.3, 0);
    expect(Math.max(...half) - Math.min(...half)).toBeCloseTo(70, 0);
    const tip = plan.reduce((a, b) => (b.z_mm > a.z_mm ? b : a));
    expect(tip.x_mm).toBeCloseTo(50 - 200, 6);
    const { tipChord_mm, sweep_mm, aspect, area_mm2 } = finNumbers(template);
    expect(tipChord_mm).toBe(40);
    expect(sweep_mm).toBeCloseTo(-Math.min(...plan.map((p) => p.x_mm)), 0);
    expect(aspect).toBeCloseTo(200 ** 2 / area_mm2, 9);
  });

  it('makes closed solids, the other side the mirror of this one', () => {
    for (const template of Object.values(FIN_TEMPLATES)) {
      const right = finMesh(template, 1);
      const left = finMesh(template, -1);
      expect(meshFaults(right)).toEqual([]);
      expect(meshFaults(left)).toEqual([]);
      expect(meshVolume_mm3(left)).toBeCloseTo(meshVolume_mm3(right), 6);
    }
  });
});

describe('fins in place', () => {
  it('stand closed and outward on the bottom, their tips below it, each pair a mirror', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      const spots = finSpots(shape);
      const fins = placedFins(shape);
      expect(fins).toHaveLength(spots.length);
      fins.forEach((fin, i) => {
        expect(meshFaults(fin)).toEqual([]);
        const heights = fin.positions.filter((_, k) => k % 3 === 2);
        const { depth_mm } = spots[i].box.template;
        expect(Math.max(...heights) - Math.min(...heights)).toBeGreaterThan(0.8 * depth_mm);
        if (spots[i].side !== 1) return;
        const other = fins[spots.findIndex((s) => s.side === -1 && s.box === spots[i].box)];
        const span = (m: typeof fin, axis: number) => m.positions.filter((_, k) => k % 3 === axis);
        expect(Math.max(...span(fin, 1)) + Math.min(...span(other, 1))).toBeCloseTo(0, 6);
      });
    }
  });

  it('lean outward by their cant', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const spot = finSpots(shape)[0];
    const [fin] = placedFins(shape);
    const tip = fin.positions.length - 3;
    const rear = spot.rear.y_mm;
    const across = fin.positions[tip + 1] - rear;
    const along =
      ((fin.positions[tip] - spot.rear.x_mm) * (spot.front.y_mm - spot.rear.y_mm)) / (spot.front.x_mm - spot.rear.x_mm);
    expect(Math.asin((across - along) / spot.box.template.depth_mm)).toBeCloseTo(spot.box.cant_rad, 1);
  });
});

describe('placement', () => {
  it('puts a thruster where common practice has it on a 6 ft board (from memory, no source)', () => {
    const { boxes } = finBoxes('thruster', 'shortboard', 72 * 25.4);
    const front = boxes.find((b) => b.role === 'front')!;
    const centre = boxes.find((b) => b.role === 'centre')!;
    expect(front.trailingEdge_mm / 25.4).toBeCloseTo(11, 1);
    expect(centre.trailingEdge_mm / 25.4).toBeGreaterThanOrEqual(3);
    expect(centre.trailingEdge_mm / 25.4).toBeLessThanOrEqual(3.5);
    expect(front.inset_mm / 25.4).toBeGreaterThanOrEqual(1.125);
    expect(front.inset_mm / 25.4).toBeLessThanOrEqual(1.25);
    expect((Math.sin(front.toe_rad) * front.template.base_mm) / 25.4).toBeCloseTo(0.25, 6);
    expect((front.cant_rad * 180) / Math.PI).toBeGreaterThanOrEqual(4);
    expect((front.cant_rad * 180) / Math.PI).toBeLessThanOrEqual(8);
  });

  it('mirrors left and right in every setup, and draws distances that grow with the board', () => {
    const short = modelNamed('Slack Water')!;
    for (const setup of FIN_SETUPS) {
      const spots = finSpots(shapeOf(withSetup(short, setup)));
      for (const spot of spots.filter((s) => s.side === 1)) {
        const other = spots.find((s) => s.side === -1 && s.box === spot.box)!;
        expect([other.rear.x_mm, -other.rear.y_mm, other.front.x_mm, -other.front.y_mm]).toEqual([
          spot.rear.x_mm,
          spot.rear.y_mm,
          spot.front.x_mm,
          spot.front.y_mm,
        ]);
        expect(Math.abs(spot.front.y_mm)).toBeLessThanOrEqual(Math.abs(spot.rear.y_mm));
      }
      const longer = finBoxes(setup, 'shortboard', 2200).boxes;
      finBoxes(setup, 'shortboard', 1750).boxes.forEach((box, i) => {
        expect(longer[i].trailingEdge_mm).toBeGreaterThanOrEqual(box.trailingEdge_mm);
      });
    }
  });

  it('keeps what can be kept when the setup changes', () => {
    const board = modelNamed('Slack Water')!;
    const moved = {
      ...board,
      fins: { ...board.fins, boxes: board.fins.boxes.map((b) => ({ ...b, trailingEdge_mm: b.trailingEdge_mm + 7 })) },
    };
    const five = withSetup(moved, 'fiveBox');
    for (const role of ['front', 'centre'] as const) {
      const was = moved.fins.boxes.find((b) => b.role === role)!;
      expect(five.fins.boxes.find((b) => b.role === role)).toEqual(was);
    }
    expect(ALSO_SERVES[five.fins.setup as FinSetup]).toEqual(['thruster', 'quad', 'twin', 'twinTrailer']);
  });
});

describe('a centre box and the cut of a tail', () => {
  const centreOf = (board: Board) => board.fins.boxes.find(({ role }) => role === 'centre')!;
  const thruster = modelNamed('Slack Water')!;

  it('moves forward just as far as a swallow asks, 12 mm clear of the crotch, and nothing else moves', () => {
    const swallow = withTail(thruster, 'swallow');
    expect(swallow.outline.tail.depth_mm).toBe(90);
    expect(centreOf(swallow).trailingEdge_mm).toBe(90 + 12);
    expect(swallow.fins.boxes.filter(({ role }) => role === 'front')).toEqual(
      thruster.fins.boxes.filter(({ role }) => role === 'front'),
    );
    expect(finTroubles(shapeOf(swallow)).map(({ code }) => code)).not.toContain('inNotch');
  });

  it('stays where it is on a tail without a cut, and where it was clear already', () => {
    expect(withTail(thruster, 'round').fins).toEqual(thruster.fins);
    const boxes = thruster.fins.boxes.map((box) => ({ ...box, trailingEdge_mm: box.trailingEdge_mm + 60 }));
    const ahead = { ...thruster, fins: { ...thruster.fins, boxes } };
    expect(withTail(ahead, 'swallow').fins).toEqual(ahead.fins);
  });

  it('is clear when a trailer comes to a deep crotch', () => {
    const kettle = modelNamed('Kettle')!;
    const trailer = withSetup(kettle, 'twinTrailer');
    expect(centreOf(trailer).trailingEdge_mm).toBeGreaterThanOrEqual(kettle.outline.tail.depth_mm + 12);
    expect(finTroubles(shapeOf(trailer)).map(({ code }) => code)).not.toContain('inNotch');
  });
});

describe('boxes and the name of their setup', () => {
  it('agree on every model and in every setup, and are named where they do not', () => {
    for (const board of models()) {
      expect(setupTroubles(board.fins)).toEqual([]);
      for (const setup of FIN_SETUPS) expect(setupTroubles(withSetup(board, setup).fins)).toEqual([]);
    }
    const { boxes } = modelNamed('Slack Water')!.fins;
    expect(setupTroubles({ setup: 'quad', boxes })).toEqual([
      'fins: a quad has boxes front, rear; this board has centre, front',
    ]);
    expect(setupTroubles({ setup: 'single', boxes: [] })).toEqual([
      'fins: a single has boxes centre; this board has none',
    ]);
  });
});

describe('checks', () => {
  it('finds no trouble on any model', () => {
    for (const board of models()) expect([board.name, finTroubles(shapeOf(board))]).toEqual([board.name, []]);
  });

  it.each([
    ['offBoard', { inset_mm: 0 }],
    ['nearRail', { inset_mm: 20 }],
    ['tooThin', { trailingEdge_mm: 12 }],
  ])('finds a box that is %s', (code, change) => {
    const board = modelNamed('Slack Water')!;
    const boxes = board.fins.boxes.map((b) => (b.role === 'front' || code === 'tooThin' ? { ...b, ...change } : b));
    const found = finTroubles(shapeOf({ ...board, fins: { ...board.fins, boxes } }));
    expect(found.map((f) => f.code)).toContain(code);
    for (const trouble of found) expect(trouble.has_mm).toBeLessThan(trouble.needs_mm);
  });

  it('finds a centre box in the crotch of a swallow, and boxes that meet', () => {
    const kettle = modelNamed('Kettle')!;
    const [centre] = finBoxes('single', 'fish', kettle.length_mm).boxes;
    const inNotch = { ...kettle, fins: { setup: 'single' as const, boxes: [{ ...centre, trailingEdge_mm: 90 }] } };
    expect(finTroubles(shapeOf(inNotch)).map((f) => f.code)).toContain('inNotch');
    const board = modelNamed('Penny Step')!;
    const boxes = board.fins.boxes.map((b) => (b.role === 'rear' ? { ...b, trailingEdge_mm: 260, inset_mm: 32 } : b));
    expect(finTroubles(shapeOf({ ...board, fins: { ...board.fins, boxes } })).map((f) => f.code)).toContain(
      'boxesMeet',
    );
  });

  it('meets the toe lines where the trigonometry of the base puts them', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const [pair] = toeLines(shape);
    const spot = finSpots(shape).find((s) => s.side === 1)!;
    const slope = (spot.front.y_mm - spot.rear.y_mm) / (spot.front.x_mm - spot.rear.x_mm);
    expect(spot.rear.y_mm + slope * (pair.meet_mm - spot.rear.x_mm)).toBeCloseTo(0, 6);
  });
});
