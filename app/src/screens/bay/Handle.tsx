import type { KeyboardEvent, PointerEvent, ReactNode, SVGProps } from 'react';
import { nudgeOf } from '../../parts/LengthField.tsx';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { startDrag } from './drag.ts';

/** One number a handle moves. */
export interface HandleAxis {
  value_mm: number;
  /** Pixels on the screen for a mm more: positive toward the right, or down. */
  pixels: number;
  /** Takes the new number; `key` names the gesture, so that all of it is one step to undo. */
  set: (value_mm: number, key: string) => void;
  /** A key moves it so many of the shop's nudges; one when left out. */
  nudges?: number;
  /** A key moves it so much in place of the shop's nudge, and more with Shift, less with Alt, as a nudge is. */
  keyStep_mm?: number;
  /** A pull stops at multiples of this; of the shop's nudge when left out, at none for 0. */
  grid_mm?: number;
  low_mm?: number;
  high_mm?: number;
  /** Only keys move it: a pull along it does nothing. */
  keysOnly?: boolean;
  /** Only a pull moves it: its keys work in the whole bay. */
  pulledOnly?: boolean;
}

interface HandleProps {
  label: string;
  /** What it says it stands at, to those who cannot see it. */
  now: number;
  low: number;
  high: number;
  /** Moved by a pull to the side and by ← →. */
  along?: HandleAxis | undefined;
  /** Moved by a pull up and down and by ↑ ↓. */
  across?: HandleAxis | undefined;
  tabbed?: boolean;
  onTake?: () => void;
  children: ReactNode;
  /** `data-` attributes, class and style of the group. */
  group?: SVGProps<SVGGElement> & Readonly<Record<`data-${string}`, string | number>>;
}

/** So far a hand goes before it is known which of two numbers it means, CSS pixels. */
const LOCK_px = 4;

const within = ({ low_mm = -Infinity, high_mm = Infinity }: HandleAxis, value_mm: number) =>
  Math.min(high_mm, Math.max(low_mm, value_mm));

/** Which axis a pull is along, from where it has got to: none until it has gone 4 px, or where that axis cannot be pulled. */
export function lockedAxis(
  dx: number,
  dy: number,
  along: HandleAxis | undefined,
  across: HandleAxis | undefined,
): 'along' | 'across' | undefined {
  const pulled = (axis: HandleAxis | undefined) => axis !== undefined && axis.keysOnly !== true;
  if (!pulled(along)) return pulled(across) ? 'across' : undefined;
  if (!pulled(across)) return 'along';
  if (Math.hypot(dx, dy) < LOCK_px) return undefined;
  return Math.abs(dx) > Math.abs(dy) ? 'along' : 'across';
}

/**
 * Something on the drawing that is pulled, by hand, finger or keys. A pull changes one number: the one whose way it has
 * taken after 4 px, however slanting it goes on.
 */
export function Handle({
  label,
  now,
  low,
  high,
  along,
  across,
  tabbed = true,
  onTake,
  children,
  group = {},
}: HandleProps) {
  const style = useLengthStyle();
  const grid = nudgeOf(style, { shiftKey: false, altKey: false });
  const pulledTo = (axis: HandleAxis, px: number): number => {
    const value = axis.value_mm + px / axis.pixels;
    const step = axis.grid_mm ?? grid;
    return within(axis, step > 0 ? Math.round(value / step) * step : value);
  };
  const onKey = (event: KeyboardEvent) => {
    const x = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const y = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const [axis, way, name] = x !== 0 ? [along, x, 'along'] : [across, y, 'across'];
    if (!axis || axis.pulledOnly || way === 0) return;
    const nudge = nudgeOf(style, event) * (axis.keyStep_mm === undefined ? (axis.nudges ?? 1) : axis.keyStep_mm / grid);
    const by = way * Math.sign(axis.pixels) * nudge;
    axis.set(within(axis, axis.value_mm + by), `keys:${name}:${label}`);
    event.preventDefault();
    event.stopPropagation();
  };
  const onPointerDown = (event: PointerEvent<SVGGElement>) => {
    onTake?.();
    event.currentTarget.focus();
    let locked: 'along' | 'across' | undefined;
    startDrag(event, {
      onMove: (dx, dy, key) => {
        locked ??= lockedAxis(dx, dy, along, across);
        if (locked === 'along' && along) along.set(pulledTo(along, dx), key);
        if (locked === 'across' && across) across.set(pulledTo(across, dy), key);
      },
    });
  };
  return (
    <g
      {...group}
      role="slider"
      tabIndex={tabbed ? 0 : -1}
      aria-label={label}
      aria-valuenow={now}
      aria-valuemin={low}
      aria-valuemax={high}
      className={group.className ?? 'mark'}
      onFocus={onTake}
      onKeyDown={onKey}
      onPointerDown={onPointerDown}
    >
      {children}
    </g>
  );
}
