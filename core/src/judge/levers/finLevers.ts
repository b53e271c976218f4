import type { Board, FinBox } from '../../document/schema.ts';
import { clamp, degrees, inch, movable } from './lever.ts';

function everyFin(board: Board, change: (box: FinBox) => FinBox): Board {
  return { ...board, fins: { ...board.fins, boxes: board.fins.boxes.map(change) } };
}

const everyTemplate = (board: Board, change: (template: FinBox['template']) => Partial<FinBox['template']>): Board =>
  everyFin(board, (box) => ({ ...box, template: { ...box.template, ...change(box.template) } }));

/** Fins. */
export const FIN_LEVERS = movable({
  finsForward: {
    more: 'fins forward',
    less: 'fins back',
    step: inch(1 / 4),
    unit: 'mm',
    reads: 'finsAhead_mm',
    lotMore: 'Loose, turns at once, and slides.',
    lotLess: 'Drive and control, drawn out and stiff.',
    shift: (b, by) => everyFin(b, (box) => ({ ...box, trailingEdge_mm: Math.max(0, box.trailingEdge_mm + by) })),
  },
  finSize: {
    more: 'larger fins',
    less: 'smaller fins',
    step: 0.04,
    unit: 'share',
    reads: 'finAreaShare',
    lotMore: 'Hold for a heavy rider and fast water; stiff.',
    lotLess: 'Loose and quick to let go.',
    shift: (b, by) =>
      everyTemplate(b, (t) => ({
        base_mm: t.base_mm * Math.max(0.3, 1 + by),
        depth_mm: t.depth_mm * Math.max(0.3, 1 + by),
      })),
  },
  finRake: {
    more: 'more rake',
    less: 'more upright fins',
    step: degrees(2),
    unit: 'rad',
    reads: 'finRake_rad',
    lotMore: 'Long arcs and hold.',
    lotLess: 'Pivot, quick to the top, and abrupt.',
    shift: (b, by) => everyTemplate(b, (t) => ({ rake_rad: clamp(t.rake_rad + by, -0.2, 1.1) })),
  },
  finTip: {
    more: 'wider fin tips',
    less: 'narrower fin tips',
    step: 0.04,
    unit: 'share',
    reads: 'finTip',
    lotMore: 'Hold at the top of a turn.',
    lotLess: 'Tips that let go.',
    shift: (b, by) => everyTemplate(b, (t) => ({ tip: clamp(t.tip + by, 0.06, 0.88) })),
  },
  finBase: {
    more: 'longer fin bases',
    less: 'shorter fin bases',
    step: inch(1 / 8),
    unit: 'mm',
    reads: 'finBase_mm',
    lotMore: 'Drive, like a keel.',
    lotLess: 'Pivot, and no drive.',
    shift: (b, by) => everyTemplate(b, (t) => ({ base_mm: Math.max(inch(1), t.base_mm + by) })),
  },
  centreFin: {
    more: 'larger centre fin',
    less: 'smaller centre fin',
    step: 0.06,
    unit: 'share',
    reads: 'centreFinShare',
    lotMore: 'It holds at the top of a turn and will not be slid.',
    lotLess: 'It lets go at the top.',
    shift: (b, by) =>
      everyFin(b, (box) =>
        box.role === 'centre'
          ? {
              ...box,
              template: {
                ...box.template,
                base_mm: box.template.base_mm * Math.max(0.3, 1 + by / 2),
                depth_mm: box.template.depth_mm * Math.max(0.3, 1 + by / 2),
              },
            }
          : box,
      ),
  },
  toe: {
    more: 'more toe',
    less: 'less toe',
    step: degrees(0.5),
    unit: 'rad',
    reads: 'toe_rad',
    lotMore: 'Turns at once and drags in a line.',
    lotLess: 'Straight and fast, slow to turn.',
    shift: (b, by) =>
      everyFin(b, (box) => (box.role === 'centre' ? box : { ...box, toe_rad: clamp(box.toe_rad + by, -0.15, 0.28) })),
  },
  cant: {
    more: 'more cant',
    less: 'less cant',
    step: degrees(1),
    unit: 'rad',
    reads: 'cant_rad',
    lotMore: 'Fluid and sensitive; it drags and lets the tail drop.',
    lotLess: 'Drive in a straight line.',
    shift: (b, by) =>
      everyFin(b, (box) => (box.role === 'centre' ? box : { ...box, cant_rad: clamp(box.cant_rad + by, -0.15, 0.45) })),
  },
});
