import { useRef } from 'react';
import type { Point, RailRead } from '@june-tide/core/bring';
import type { Section } from '@june-tide/core/section';
import { halfSection } from '@june-tide/core/section';
import { useSize } from '../../parts/useSize.ts';

interface RailViewProps {
  own: Section | undefined;
  found: Extract<RailRead, { ok: true }> | undefined;
}

/** So much of a section, from its rail inward, mm. */
const SHOWN_mm = 120;
/** What is off is drawn so many times as long. */
const LONGER = 5;
const COUNTS = { deck: 40, under: 18, fillet: 8, bottom: 24 };

/** The rail at the station as it is, as it was gauged and as the app draws it: how far each point is off, five times as long. */
export function RailView({ own, found }: RailViewProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const ownLine = own ? halfSection(own, COUNTS).map(({ y_mm, z_mm }) => ({ x: y_mm, y: z_mm })) : [];
  const shown = found ? [...found.curve, ...found.laid] : ownLine;
  const right = Math.max(0, ...shown.map(({ x }) => x));
  const near = shown.filter(({ x }) => x > right - SHOWN_mm);
  const [low, high] = [Math.min(...near.map(({ y }) => y)), Math.max(...near.map(({ y }) => y))];
  const scale = Math.max(0.1, Math.min((width - 60) / SHOWN_mm, (height - 70) / Math.max(20, high - low)));
  const top = (height - (high - low) * scale) / 2;
  const to = ({ x, y }: Point) =>
    `${((x - right) * scale + width - 34).toFixed(1)} ${((high - y) * scale + top).toFixed(1)}`;
  const line = (points: readonly Point[]) =>
    points.length > 1
      ? `M${points
          .filter(({ x }) => x > right - SHOWN_mm)
          .map(to)
          .join('L')}`
      : '';
  const middle = { x: right - SHOWN_mm / 2, y: (low + high) / 2 };
  const off = (found?.laid ?? []).map((p, k, all) => {
    // Out from the line: across the way its neighbours run.
    const [a, b] = [all[Math.max(0, k - 1)], all[Math.min(all.length - 1, k + 1)]];
    const size = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    let [nx, ny] = [-(b.y - a.y) / size, (b.x - a.x) / size];
    if (nx * (p.x - middle.x) + ny * (p.y - middle.y) < 0) [nx, ny] = [-nx, -ny];
    return `M${to(p)}L${to({ x: p.x + LONGER * p.off_mm * nx, y: p.y + LONGER * p.off_mm * ny })}`;
  });
  return (
    <div ref={box} className="found rail-view">
      {own && height > 100 && (
        <svg width={width} height={height} role="img" aria-label="The rail as it is, as gauged, and as it is fitted">
          <path d={line(ownLine)} className="rail-own" />
          {found && (
            <>
              <path d={line(found.curve)} className="rail-fitted" />
              <path d={off.join('')} className="rail-off" />
              <path d={found.laid.map((p) => `M${to(p)}h0`).join('')} className="found-dots" />
            </>
          )}
        </svg>
      )}
      {own && (
        <p className="apart-key">
          <i className="own" /> the board’s now
          {found && (
            <>
              <i className="fitted" /> fitted <i className="outside" /> off, {LONGER} times as long
            </>
          )}
        </p>
      )}
    </div>
  );
}
