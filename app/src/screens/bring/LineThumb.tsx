import type { DrawnPart } from '@june-tide/core/bring';

/** A line of the drawing, small. */
export function LineThumb({ part: { stroke, box } }: { part: DrawnPart }) {
  const [wide, high] = [Math.max(1e-9, box.right - box.left), Math.max(1e-9, box.high - box.low)];
  const scale = Math.min(130 / wide, 40 / high);
  const step = Math.max(1, Math.floor(stroke.points.length / 240));
  const points = stroke.points.filter((_, k) => k % step === 0);
  const d = points.map(({ x, y }) => `${((x - box.left) * scale).toFixed(1)} ${((box.high - y) * scale).toFixed(1)}`);
  return (
    <svg width={134} height={44} aria-hidden>
      <path d={`M${d.join('L')}${stroke.closed ? 'Z' : ''}`} transform="translate(2 2)" className="drawn-line" />
    </svg>
  );
}
