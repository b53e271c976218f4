import type { Wing } from '@june-tide/core/document';
import { withWing } from '@june-tide/core/edit';
import { halfBreadthAt } from '@june-tide/core/outline';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { Handle } from './Handle.tsx';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** A wing pulled flat is still one: as deep as the schema asks. */
const LEAST_DEPTH_mm = 0.5;

/** The wings on the rail: slide one along, pull it deeper, its distance from the tail written beside it. */
export function WingsOnPlan({ scale }: { scale: PlankScale }) {
  const { record, shape, moveHook } = useLiveBay();
  const set = (index: number, change: Partial<Wing>, key: string) =>
    editBoard(record.id, `wing ${index + 1} moved`, (b) => withWing(b, index, change), key);
  return record.board.outline.wings.map((wing, i) => {
    const x = scale.x(wing.fromTail_mm);
    const half = halfBreadthAt(shape.outline, wing.fromTail_mm) * scale.k;
    return (
      <Handle
        key={i}
        label={`Wing ${i + 1} on the rail`}
        now={Math.round(wing.fromTail_mm)}
        low={20}
        high={2000}
        along={{
          value_mm: wing.fromTail_mm,
          pixels: scale.k,
          set: (fromTail_mm, key) => set(i, { fromTail_mm }, key),
        }}
        across={{
          value_mm: wing.depth_mm,
          pixels: scale.k,
          low_mm: LEAST_DEPTH_mm,
          set: (depth_mm, key) => set(i, { depth_mm }, key),
        }}
        onTake={() => moveHook(wing.fromTail_mm)}
        group={{ 'data-wing': i }}
      >
        <circle className="grab" cx={x} cy={scale.centre - half} r={18} />
        <path d={`M${x} ${scale.centre - half - 4}l-6 -11h12z`} fill="var(--coral)" stroke="var(--on-board)" />
        <DrawnMeasure
          mm={wing.fromTail_mm}
          x={x - 10}
          y={scale.centre - half - 8}
          size={16}
          anchor="end"
          after={`wing ${i + 1}, from tail`}
        />
      </Handle>
    );
  });
}
