import { KeyboardSensor, PointerSensor, useSensor, useSensors, type Announcements } from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';

/** What a list is sorted with: a hand, once it has moved a little, or the keys. */
export function useSortSensors() {
  return useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
}

/**
 * What is said to somebody who sorts a list without seeing it.
 * @param nameOf - what a thing is called
 * @param at - its place, from 0
 */
export function sortedAloud(nameOf: (id: unknown) => string, at: (id: unknown) => number): Announcements {
  const place = (id: unknown) => `place ${at(id) + 1}`;
  return {
    onDragStart: ({ active }) => `${nameOf(active.id)} is picked up.`,
    onDragOver: ({ active, over }) => (over ? `${nameOf(active.id)} is over ${place(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => `${nameOf(active.id)} lies at ${place(over?.id ?? active.id)}.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} lies where it was.`,
  };
}
