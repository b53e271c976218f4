import type { KeyboardCoordinateGetter } from '@dnd-kit/core';

/** Carried by keys a board goes a whole column at a time, so that it always hangs over one. */
export const besideColumn: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const way = event.code === 'ArrowRight' ? 1 : event.code === 'ArrowLeft' ? -1 : 0;
  const { collisionRect, droppableRects, droppableContainers } = context;
  if (way === 0 || !collisionRect) return undefined;
  event.preventDefault();
  const middle = collisionRect.left + collisionRect.width / 2;
  const columns = droppableContainers
    .getEnabled()
    .flatMap(({ id }) => {
      const rect = droppableRects.get(id);
      return rect ? [rect] : [];
    })
    .sort((a, b) => a.left - b.left);
  const here = columns.findIndex(({ left, right }) => middle >= left && middle < right);
  const to = columns[Math.min(columns.length - 1, Math.max(0, here + way))];
  if (here < 0 || !to) return undefined;
  return { x: currentCoordinates.x + to.left - columns[here].left, y: currentCoordinates.y };
};
