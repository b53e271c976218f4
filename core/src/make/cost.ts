import type { Shape } from '../shape/shape.ts';
import type { Blank } from './blank.ts';
import { CLOTH, type Cloth, type Laminate } from './glass.ts';
import type { Stage } from './schedule.ts';
import type { Prices } from './workshop.ts';

/** One line of a cost sheet. */
interface CostLine {
  group: 'materials' | 'hours';
  name: string;
  /** How much of it, as written: "3.4 m", "1.62 kg", "5 h". */
  amount: string;
  cost: number;
}

export interface CostSheet {
  lines: CostLine[];
  materials: number;
  hours: number;
  cost: number;
  /** With the shop's margin on everything, rounded up to its step. */
  price: number;
}

/**
 * What one board costs the shop, at its own prices: the blank, cloth by the metre off the roll, resin by the kilo with
 * what is wasted, boxes and plug, sundries, and the hours of each stage. No taxes.
 */
export function costSheet(
  shape: Shape,
  blank: Pick<Blank, 'name' | 'price'> | undefined,
  resin: 'polyester' | 'epoxy',
  laminate: Laminate,
  stages: readonly Stage[],
  prices: Prices,
): CostSheet {
  const lines: CostLine[] = [];
  const material = (name: string, amount: string, cost: number) =>
    lines.push({ group: 'materials', name, amount, cost });
  material(blank ? `Blank, ${blank.name}` : 'Blank, usual', '1', blank?.price ?? prices.blank);
  const metres = new Map<Cloth, number>();
  for (const cut of laminate.cuts) metres.set(cut.cloth, (metres.get(cut.cloth) ?? 0) + cut.length_mm / 1000);
  for (const [cloth, length_m] of metres) {
    material(CLOTH[cloth].words, `${length_m.toFixed(1)} m`, length_m * prices.cloth_m[cloth]);
  }
  const mix_kg = laminate.batches.reduce((sum, batch) => sum + batch.mix_g, 0) / 1000;
  material(
    resin === 'epoxy' ? 'Epoxy and hardener' : 'Polyester and catalyst',
    `${mix_kg.toFixed(2)} kg`,
    mix_kg * prices.resin_kg[resin],
  );
  const boxes = shape.board.fins.boxes.reduce((sum, box) => sum + (box.role === 'centre' ? 1 : 2), 0);
  if (boxes > 0) material('Fin boxes', String(boxes), boxes * prices.finBox);
  material('Leash plug', '1', prices.plug);
  material('Paper, tape, brushes', '', prices.sundries);
  for (const { name, hands_h } of stages) {
    if (hands_h > 0) {
      const amount = `${Number(hands_h.toFixed(2))} h`;
      lines.push({ group: 'hours', name, amount, cost: hands_h * prices.hour });
    }
  }
  const sum = (group: CostLine['group']) =>
    lines.filter((line) => line.group === group).reduce((all, line) => all + line.cost, 0);
  const materials = sum('materials');
  const hours = sum('hours');
  const cost = materials + hours;
  return { lines, materials, hours, cost, price: roundedUp(cost * (1 + prices.margin), prices.roundTo) };
}

/** Up to the next step of money; a hair over a step is the step. */
export function roundedUp(amount: number, step: number): number {
  if (!(step > 0)) throw new RangeError(`roundedUp: step must be positive, got ${step}`);
  return Math.ceil(amount / step - 1e-9) * step;
}
