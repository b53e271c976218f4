import { lever, type LeverId } from '@june-tide/core/judge';
import { formatLength } from '@june-tide/core/units';

/** A lever’s first step, to follow what it moves: “, 1/16 in”, “, 2°”, “, 10 %”; a part that is there or not is its own step. */
export function firstStepWords(id: LeverId): string {
  const { step, unit } = lever(id);
  switch (unit) {
    case 'mm':
      return `, ${formatLength(step, { kind: 'fraction', denominator: 32 })} in`;
    case 'rad':
      return `, ${Math.round((step * 1800) / Math.PI) / 10}°`;
    case 'share':
      return `, ${Math.round(step * 100)} %`;
    case 'part':
      return '';
  }
}
