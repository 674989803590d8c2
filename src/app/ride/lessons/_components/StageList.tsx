'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { AskedPicture } from '@/components/AskedPicture/AskedPicture';
import { sortedAloud, useSortSensors } from '@/components/sorting';
import type { LessonStage } from '@/core';
import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { NumberInput } from '@/components/fields/NumberInput';
import { ActionIcon, Button } from '@mantine/core';
import { IconGripVertical, IconX } from '@tabler/icons-react';
import type { LayoutHere } from '../lessonChoices';
import type { TodayOf } from './questionsToday';
import classes from './LessonEditor.module.css';

type Shared = {
  /** Whether it goes over more than one layout. */
  isMixed: boolean;
  layouts: readonly LayoutHere[];
  todayOf: TodayOf;
  /** When each begins, by the yard's clock. */
  begins: ReadonlyMap<string, string | null>;
  /** The minutes that a stage needs for those who ride; null where nothing tells. */
  needsMin: (stage: LessonStage) => number | null;
  /** Why it is planned as it is. */
  why: Readonly<Record<string, readonly string[]>>;
  chosen: string | null;
  onChoose: (stageId: string) => void;
  onChange: (stage: LessonStage) => void;
  onRemove: (stageId: string) => void;
};

type StageListProps = Omit<Shared, 'isMixed'> & {
  stages: readonly LessonStage[];
  onMove: (stages: LessonStage[]) => void;
};

/** The stages of a lesson along its clock, each with its drawing; dragged into order. */
export default function StageList({ stages, onMove, ...shared }: StageListProps) {
  const sensors = useSortSensors();
  const isMixed = new Set(stages.flatMap(({ layoutId }) => layoutId ?? [])).size > 1;
  const at = (id: unknown) => stages.findIndex(stage => stage.id === id);
  const end = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onMove(arrayMove([...stages], at(active.id), at(over.id)));
  };
  return (
    <DndContext
      id="stages"
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ announcements: sortedAloud(id => stages[at(id)]?.name ?? '', at) }}
      onDragEnd={end}
    >
      <SortableContext items={stages.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol className={classes.stages}>
          {stages.map((stage, index) => (
            <StageRow key={stage.id} number={index + 1} {...{ stage, isMixed }} {...shared} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function StageRow(props: Shared & { stage: LessonStage; number: number }) {
  const say = useSay();
  const { stage, number, isMixed, layouts, todayOf, begins, needsMin, why, chosen, onChoose, onChange, onRemove } =
    props;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: stage.id,
  });
  const layout = layouts.find(({ id }) => id === stage.layoutId) ?? null;
  const asked = stage.questions.map(({ question }) => todayOf(question));
  const first = asked.find(one => one !== null) ?? null;
  const words = asked.map(one => one?.words ?? 'its layout no longer has it');
  const needs = needsMin(stage);
  return (
    <li
      ref={setNodeRef}
      className={classes.stage}
      aria-label={`Stage ${number}`}
      data-chosen={chosen === stage.id || undefined}
      data-moving={isDragging || undefined}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <time className={classes.begins}>{begins.get(stage.id) ?? ''}</time>
      <button
        type="button"
        ref={setActivatorNodeRef}
        className={classes.grip}
        {...attributes}
        {...listeners}
        aria-label={say(`Move stage ${number}, ${stage.name}`)}
      >
        <IconGripVertical size={20} aria-hidden="true" />
      </button>
      <button
        type="button"
        className={classes.open}
        aria-pressed={chosen === stage.id}
        onClick={() => onChoose(stage.id)}
      >
        <span className={classes.picture}>
          {layout && first && <AskedPicture layout={layout.layout} question={first.question} isSmall />}
        </span>
        <span className={classes.told}>
          <strong>
            <span className="roan-visually-hidden">Change stage {number}, </span>
            {say(stage.name)}
          </strong>
          {words.filter(one => one !== stage.name).length > 0 && <span>{say(words.join('; '))}</span>}
          <small>
            {[
              stage.eachRein > 0 ? `${stage.eachRein} on each rein` : '',
              say(stage.focus),
              layout && isMixed ? layout.name : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </small>
          {(why[stage.id] ?? []).map(reason => (
            <small key={reason} className={classes.why}>
              {reason}
            </small>
          ))}
        </span>
      </button>
      <div className={classes.minutes}>
        <NumberInput
          aria-label={`Minutes of stage ${number}`}
          suffix=" min"
          min={0}
          max={240}
          allowDecimal={false}
          value={stage.minutes}
          onChange={value => onChange({ ...stage, minutes: typeof value === 'number' ? value : 0 })}
        />
        {needs !== null && isFarFrom(stage.minutes, needs) && (
          <Button
            variant="subtle"
            size="compact-sm"
            mih={32}
            title="What so many pairs take, one after the other"
            onClick={() => onChange({ ...stage, minutes: needs })}
          >
            It takes about {needs}
          </Button>
        )}
      </div>
      <ActionIcon variant="subtle" size={44} aria-label="Take this stage out" onClick={() => onRemove(stage.id)}>
        <IconX size={16} />
      </ActionIcon>
    </li>
  );
}

/** A plan need not be right to the minute. */
const NEAR = 1.3;
const isFarFrom = (minutes: number, needs: number) =>
  Math.abs(minutes - needs) > 2 && (minutes > needs * NEAR || needs > minutes * NEAR);
