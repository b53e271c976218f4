import { useDroppable } from '@dnd-kit/core';

/** A column boards can be put down in. */
export function useColumn(id: string) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return { ref: setNodeRef, over: isOver };
}
