import { Button } from 'antd';
import { Measure } from '../../../parts/Measure.tsx';
import { betweenPlaces } from './between.ts';
import type { Place } from './scene.ts';

/** What two clicks on the board measured: straight from one to the other, and along, across and up. */
export function MeasuredInRoom({ marks, onClear }: { marks: readonly Place[]; onClear: () => void }) {
  const [from, to] = marks;
  if (!from)
    return (
      <p role="status">
        Click a place on the board, then another; or turn it and press Enter for the place in the middle.
      </p>
    );
  if (!to)
    return (
      <p role="status" data-testid="measured-place">
        <Measure mm={from[0]} /> from the tail, <Measure mm={Math.abs(from[1])} /> {sideOf(from[1])},{' '}
        <Measure mm={from[2]} /> up. Click another place.
      </p>
    );
  const { straight_mm, along_mm, across_mm, up_mm } = betweenPlaces(from, to);
  return (
    <p role="status" data-testid="measured-between">
      <b>
        <Measure mm={straight_mm} />
      </b>{' '}
      straight: <Measure mm={along_mm} /> along, <Measure mm={across_mm} /> across, <Measure mm={up_mm} /> up.{' '}
      <Button size="small" type="text" onClick={onClear}>
        Again
      </Button>
    </p>
  );
}

/** Which side of the stringer a place lies on, looking to the nose with the deck up. */
function sideOf(y_mm: number): string {
  if (Math.abs(y_mm) < 0.5) return 'off the stringer';
  return y_mm > 0 ? 'left of the stringer' : 'right of the stringer';
}
