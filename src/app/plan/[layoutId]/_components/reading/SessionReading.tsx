'use client';

import { horseSpeedMPerMin, measureSession } from '@/core';
import { Stack } from '@mantine/core';
import { Missing } from './MissingWork';
import { Balance } from './BalanceRows';
import { FigureOrder } from './FigureOrder';
import { type SessionReadingProps } from './sessionReadingProps';

/** A session of figures: in the order ridden, dragged into another, and what it is for the horses, rein against rein. */
export function SessionReading({ controls, track, onPoint }: SessionReadingProps) {
  const { resolved, tracks } = controls.shown;
  const { layout } = resolved;
  const owners = resolved.exercises.filter(
    ({ placed, laid }) => placed.session === track.id || laid.tracks.some(({ id }) => id === track.id),
  );
  const reckoned = tracks.find(({ id }) => id === track.id);
  const session = reckoned?.kind === 'figures' && reckoned.session.ok ? reckoned.session : null;
  const measure = reckoned?.kind === 'figures' ? reckoned.measure : null;
  const byHorse = session
    ? layout.horses.map(horse => ({
        horse: horse.name,
        measure: measureSession(layout.arena, session.pieces, gait => horseSpeedMPerMin(horse, gait)),
      }))
    : [];
  return (
    <Stack gap="xs">
      <FigureOrder {...{ controls, track, owners, onPoint }} />
      {measure && <Balance {...{ measure, byHorse }} most={controls.limits.smallCircle} />}
      {measure && <Missing {...{ controls, track, owners, measure }} />}
    </Stack>
  );
}
