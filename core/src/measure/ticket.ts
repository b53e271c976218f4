import type { Shape } from '../shape/shape.ts';
import { SETUP_WORDS } from '../fins/placement.ts';
import { LAYER_WORDS, TAIL_WORDS } from '../document/kinds.ts';
import { blendAt } from '../curve/blend.ts';
import { railRatio } from '../rails/rails.ts';
import { formatLength, formatLitres, type LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { titleOf } from './catalogue.ts';
import { measure, type Measures } from './measure.ts';

/** One line of a ticket: a name and its number, ready to be set in type. */
export interface TicketLine {
  group: 'size' | 'outline' | 'rocker' | 'foil' | 'rails' | 'bottom' | 'fins';
  name: string;
  value: string;
}

/** All the numbers of a board in the order they are made, in the shop's way of writing. */
export function ticketLines(shape: Shape, style: LengthStyle): TicketLine[] {
  const { board } = shape;
  const m = measure(shape);
  const write = (value_mm: number, feet = false) => withUnit(formatLength(value_mm, style, { feet }), feet);
  const wide = m.widePointFromCentre_mm;
  const wideWords =
    Math.abs(wide) < 0.4 ? 'at centre' : `${write(Math.abs(wide))} ${wide > 0 ? 'ahead of' : 'behind'} centre`;
  const line = (group: TicketLine['group'], key: keyof Measures): TicketLine => ({
    group,
    name: titleOf(key),
    value: write(m[key]),
  });
  const lines: TicketLine[] = [
    { group: 'size', name: titleOf('length_mm'), value: write(m.length_mm, true) },
    line('size', 'width_mm'),
    line('size', 'thickness_mm'),
    { group: 'size', name: titleOf('volume_L'), value: formatLitres(m.volume_L) },
    { group: 'outline', name: 'Wide point', value: wideWords },
    line('outline', 'noseWidth12_mm'),
    line('outline', 'tailWidth12_mm'),
    { group: 'outline', name: 'Tail', value: TAIL_WORDS[board.outline.tail.kind] },
    ...(m.block_mm > 0 ? [line('outline', 'block_mm')] : []),
    ...board.outline.wings.map((wing, i) => ({
      group: 'outline' as const,
      name: `Wing ${i + 1}`,
      value: `${write(wing.fromTail_mm)} from tail, ${write(wing.depth_mm)} deep`,
    })),
    line('rocker', 'noseRocker_mm'),
    line('rocker', 'tailRocker_mm'),
    line('rocker', 'noseRocker12_mm'),
    line('rocker', 'tailRocker12_mm'),
    line('foil', 'noseThickness12_mm'),
    line('foil', 'tailThickness12_mm'),
    ...[
      ['Rail at nose 12', m.length_mm - 12 * INCH_mm],
      ['Rail at wide point', shape.outline.wide_mm],
      ['Rail at tail 12', 12 * INCH_mm],
    ].map(([name, x]) => ({
      group: 'rails' as const,
      name: String(name),
      value: railRatio(blendAt(shape.rails.apex, Number(x))),
    })),
    { group: 'rails', name: 'Hard edge', value: `${write(board.rails.tailEdge.length_mm)} from tail` },
    { group: 'bottom', name: 'Bottom', value: bottomWords(shape, style) },
    { group: 'fins', name: 'Fins', value: SETUP_WORDS[board.fins.setup] },
    ...board.fins.boxes.map((box) => ({
      group: 'fins' as const,
      name: { centre: 'Centre fin', front: 'Front fins', rear: 'Rear fins' }[box.role],
      value:
        box.role === 'centre'
          ? `${write(box.trailingEdge_mm)} from tail`
          : `${write(box.trailingEdge_mm)} from tail, ${write(box.inset_mm)} from rail, toe ${write(Math.sin(box.toe_rad) * box.template.base_mm)}, cant ${((box.cant_rad * 180) / Math.PI).toFixed(0)}°`,
    })),
  ];
  return lines;
}

function withUnit(text: string, feet: boolean): string {
  return feet || /[a-z]/.test(text) ? text : `${text} in`;
}

/** The bottom in one line: each contour with its greatest depth. */
export function bottomWords(shape: Shape, style: LengthStyle): string {
  const parts = shape.bottom.layers
    .map(({ layer, depth }) => ({ layer, deepest: Math.max(...Array.from(depth.values, Math.abs)) }))
    .filter(({ deepest }) => deepest > 0)
    .map(({ layer, deepest }) => `${LAYER_WORDS[layer.kind]} ${formatLength(deepest, style)}`);
  return parts.length > 0 ? parts.join(', ') : 'flat';
}
