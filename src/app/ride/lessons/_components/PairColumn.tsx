'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { Select } from '@/components/fields/Select';
import { ActionIcon } from '@mantine/core';
import { IconAlertTriangle, IconX } from '@tabler/icons-react';
import type { AsksOfPair, HorseDay } from './asksOfPair';
import classes from './LessonEditor.module.css';
import type { LessonPair } from './lessonPair';
import { workWords } from './workWords';

type PairColumnProps = {
  pairs: readonly LessonPair[];
  riding: readonly LessonPair[];
  asks: ReadonlyMap<string, AsksOfPair>;
  days: readonly HorseDay[];
  chosen: string | null;
  /** More pairs than are taught well at once are told so. */
  most: number;
  onChoose: (pairId: string) => void;
  onChange: (pairIds: string[]) => void;
};

/** Who rides, with what the lesson asks of each: how much, how it reads, and what to look at. */
export function PairColumn({ pairs, riding, asks, days, chosen, most, onChoose, onChange }: PairColumnProps) {
  const { say } = useLengths();
  const ids = riding.map(({ id }) => id);
  const warned = days.filter(({ warnings }) => warnings.length > 0);
  return (
    <section className={classes.pairs} aria-label="Who rides">
      <Select
        label="Pairs"
        placeholder="Add a pair"
        searchable
        value={null}
        data={pairs.filter(({ id }) => !ids.includes(id)).map(({ id, name }) => ({ value: id, label: name }))}
        onChange={id => id && onChange([...ids, id])}
      />
      <ul>
        {riding.map(pair => {
          const of = asks.get(pair.id)!;
          const trouble = of.outOfReach.length;
          return (
            <li key={pair.id} data-chosen={chosen === pair.id || undefined}>
              <button
                type="button"
                className={classes.pair}
                aria-pressed={chosen === pair.id}
                onClick={() => onChoose(pair.id)}
              >
                <strong>{pair.horse}</strong> <small>with {pair.rider}</small>
                <span>{workWords(of.work)}</span>
                {trouble > 0 && (
                  <span className={classes.trouble}>
                    <IconAlertTriangle size={16} aria-hidden="true" /> {trouble} out of reach
                  </span>
                )}
              </button>
              <ActionIcon
                variant="subtle"
                size={44}
                aria-label={`Take ${pair.name} out`}
                onClick={() => onChange(ids.filter(id => id !== pair.id))}
              >
                <IconX size={16} />
              </ActionIcon>
            </li>
          );
        })}
      </ul>
      {riding.length === 0 && <p>Nobody rides yet: add a pair, and the plan is read for it.</p>}
      {riding.length > most && (
        <p role="status">{riding.length} pairs are many at once: ride in groups, under “Series and groups”.</p>
      )}
      <div role="region" aria-label="Work expected" className={classes.days}>
        {days.map(({ horseId, horse, riders, alone: { lowEfforts, highEfforts }, efforts }) => {
          const alone = lowEfforts + highEfforts;
          if (riders === 1 && efforts === alone) return null;
          return (
            <p key={horseId}>
              <strong>{horse}</strong>
              {riders > 1 && `, with ${riders} riders`}: {alone} efforts
              {efforts > alone && `; with what else it does that day ${efforts} efforts`}.
            </p>
          );
        })}
        {days.length > 0 && warned.length === 0 && <p>Within the yard’s limits for every horse that day.</p>}
        {warned.map(({ horseId, horse, warnings }) => (
          <p key={horseId} role="status">
            <strong>Look again: {horse}.</strong> {say(warnings.join(' '))}
          </p>
        ))}
      </div>
    </section>
  );
}
