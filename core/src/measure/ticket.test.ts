import { describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { modelNamed, models } from '../models/models.ts';
import { ticketLines } from './ticket.ts';

const style = { kind: 'fraction', denominator: 16 } as const;
const slack = () => modelNamed('Slack Water')!;

describe('the ticket', () => {
  it('has every group in the order of the work, and a unit on every length', () => {
    for (const board of models()) {
      const lines = ticketLines(shapeOf(board), style);
      const groups = [...new Set(lines.map((line) => line.group))];
      expect(groups).toEqual(['size', 'outline', 'rocker', 'foil', 'rails', 'bottom', 'fins']);
      expect(lines.every((line) => line.value !== '' && !line.value.includes('NaN'))).toBe(true);
    }
    const lines = ticketLines(shapeOf(slack()), style);
    expect(lines.find((l) => l.name === 'Width')!.value).toBe('19 1/4 in');
    expect(lines.find((l) => l.name === 'Length')!.value).toBe("6'0");
    expect(ticketLines(shapeOf(slack()), { kind: 'mm' }).find((l) => l.name === 'Width')!.value).toMatch(
      /^48(8\.9|9)\d* mm$/,
    );
  });
});
