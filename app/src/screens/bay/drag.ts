import { useEffect, useState, useSyncExternalStore } from 'react';

/** A gesture that drags something: a small state machine outside React, driven by pointer events on the window. */
export interface DragMoves {
  /** Called with the pointer's way since the start, CSS pixels. `key` names this one gesture for undo. */
  onMove: (dx: number, dy: number, key: string, event: PointerEvent) => void;
  onEnd?: () => void;
}

let gestures = 0;
let moving = false;
const watchers = new Set<() => void>();

function setMoving(now: boolean): void {
  if (moving === now) return;
  moving = now;
  for (const watcher of watchers) watcher();
}

/** Starts a drag from a pointer-down; ends by itself on up or cancel. */
export function startDrag(start: { clientX: number; clientY: number; pointerId: number }, moves: DragMoves): void {
  gestures += 1;
  const key = `drag:${gestures}`;
  const move = (event: PointerEvent) => {
    if (event.pointerId !== start.pointerId) return;
    setMoving(true);
    moves.onMove(event.clientX - start.clientX, event.clientY - start.clientY, key, event);
  };
  const end = (event: PointerEvent) => {
    if (event.pointerId !== start.pointerId) return;
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', end);
    window.removeEventListener('pointercancel', end);
    setMoving(false);
    moves.onEnd?.();
  };
  window.addEventListener('pointermove', move);
  window.addEventListener('pointerup', end);
  window.addEventListener('pointercancel', end);
}

const useDragging = (): boolean =>
  useSyncExternalStore(
    (watcher) => {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    () => moving,
  );

/** The value as a drag began with, for as long as that lasts and the value `serves`; outside a drag it is always the value itself. */
export function useHeldInDrag<T>(value: T, serves: (held: T) => boolean): T {
  const dragging = useDragging();
  const [held, setHeld] = useState(value);
  if (dragging && serves(held)) return held;
  if (held !== value) setHeld(value);
  return value;
}

/** So long a hand must rest before what it does not look at follows. */
const REST_ms = 150;

/**
 * The value, held back while something is dragged: it follows when the hand rests or lets go. For what is beside the
 * curve being dragged; outside a drag it is always the value itself.
 */
export function useRested<T>(value: T): T {
  const dragging = useDragging();
  const [rested, setRested] = useState(value);
  if (!dragging && rested !== value) setRested(value);
  useEffect(() => {
    if (!dragging) return;
    const timer = setTimeout(() => setRested(value), REST_ms);
    return () => clearTimeout(timer);
  }, [dragging, value]);
  return dragging ? rested : value;
}
