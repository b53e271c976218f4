/** A gesture that drags something: a small state machine outside React, driven by pointer events on the window. */
export interface DragMoves {
  /** Called with the pointer's way since the start, CSS pixels. `key` names this one gesture for undo. */
  onMove: (dx: number, dy: number, key: string, event: PointerEvent) => void;
  onEnd?: () => void;
}

let gestures = 0;

/** Starts a drag from a pointer-down; ends by itself on up or cancel. */
export function startDrag(start: { clientX: number; clientY: number; pointerId: number }, moves: DragMoves): void {
  gestures += 1;
  const key = `drag:${gestures}`;
  const move = (event: PointerEvent) => {
    if (event.pointerId !== start.pointerId) return;
    moves.onMove(event.clientX - start.clientX, event.clientY - start.clientY, key, event);
  };
  const end = (event: PointerEvent) => {
    if (event.pointerId !== start.pointerId) return;
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', end);
    window.removeEventListener('pointercancel', end);
    moves.onEnd?.();
  };
  window.addEventListener('pointermove', move);
  window.addEventListener('pointerup', end);
  window.addEventListener('pointercancel', end);
}
