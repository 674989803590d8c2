'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { sortedAloud, useSortSensors } from '@/components/sorting';
import { callWords, flatCalls, inSessionOrder, type ResolvedExercise } from '@/core';
import { closestCenter, DndContext } from '@dnd-kit/core';
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon, Text } from '@mantine/core';
import { IconGripVertical } from '@tabler/icons-react';
import classes from './SessionReading.module.css';
import { type SessionReadingProps } from './sessionReadingProps';

type OrderProps = Pick<SessionReadingProps, 'controls' | 'track' | 'onPoint'> & { owners: readonly ResolvedExercise[] };

export function FigureOrder({ controls, track, owners, onPoint }: OrderProps) {
  const say = useSay();
  const sensors = useSortSensors();
  const ids = owners.map(({ placed }) => placed.id);
  const { arena } = controls.shown.resolved.layout;
  const calls = flatCalls(arena, track.figures, track.gait);
  // Its own figures, by their places in the session.
  const own = owners.map(({ laid }) => {
    const figures = laid.tracks.flatMap(one => (one.kind === 'figures' ? one.figures.map(({ id }) => id) : []));
    return track.figures.flatMap(({ id }, index) => (figures.includes(id) ? [index] : []));
  });
  return (
    <DndContext
      id="figures"
      accessibility={{
        announcements: sortedAloud(
          id => owners.find(({ placed }) => placed.id === id)?.guidance.title ?? '',
          id => ids.indexOf(String(id)),
        ),
      }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (!over || active.id === over.id) return;
        const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over.id))];
        controls.change(plan => inSessionOrder(plan, arrayMove(ids, from, to)));
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className={classes.order} aria-label="Figures in the order ridden">
          {owners.map(({ placed, guidance }, index) => (
            <FigureRow
              key={placed.id}
              id={placed.id}
              title={say(placed.name ?? guidance.title)}
              isSecond={(own[index]![0] ?? 0) % 2 === 1}
              calls={own[index]!.map(at => calls[at]!)}
              onPoint={on => onPoint({ items: [], leg: null, ...(on ? { figures: own[index]! } : {}) })}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

type RowProps = {
  id: string;
  title: string;
  isSecond: boolean;
  calls: ReturnType<typeof flatCalls>;
  onPoint: (on: boolean) => void;
};

function FigureRow({ id, title, isSecond, calls, onPoint }: RowProps) {
  const say = useSay();
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={classes.row}
      data-second={isSecond || undefined}
      onPointerEnter={() => onPoint(true)}
      onPointerLeave={() => onPoint(false)}
      onFocus={() => onPoint(true)}
      onBlur={() => onPoint(false)}
    >
      <ActionIcon
        variant="subtle"
        color="slate"
        className={classes.grip}
        {...attributes}
        {...listeners}
        aria-label={`Move ${title}`}
      >
        <IconGripVertical size={18} />
      </ActionIcon>
      <div>
        <strong>{title}</strong>
        {calls.map((call, index) => (
          <Text key={index} size="xs">
            {say(callWords(call))}
          </Text>
        ))}
      </div>
    </li>
  );
}
