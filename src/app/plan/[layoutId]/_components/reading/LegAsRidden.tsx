'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { StrideBands } from '@/components/pictures/StrideBands';
import {
  asRidden,
  countName,
  countsOnLeg,
  editPlan,
  howMany,
  type ItemTrack,
  type LayoutHorse,
  layoutLabels,
  layoutStride,
  makeItSo,
  nearestToEven,
  type ReckonedLeg,
  reckonItemTrack,
  type RiddenLately,
  settingAt,
} from '@/core';
import { Button, Text } from '@mantine/core';
import { useState } from 'react';
import type { PlanControls } from '../../_state/usePlanEditor';
import classes from './Reading.module.css';

type LegAsRiddenProps = {
  controls: PlanControls;
  track: ItemTrack;
  leg: number;
  ridden: ReckonedLeg;
  lately: Readonly<Record<string, RiddenLately[]>>;
};

/**
 * What the record has of the strides that this leg is reckoned with, beside the profile: in it the leg reads so, and it may be set so.
 * Nothing is changed by itself.
 */
export function LegAsRidden({ controls, track, leg, ridden, lately }: LegAsRiddenProps) {
  const { format } = useLengths();
  const { layout } = controls.shown.resolved;
  const setting = settingAt(track.gait, track.legs[leg]!);
  const told = layout.horses.flatMap(horse => {
    const own = lately[horse.id] ?? [];
    const profile = layoutStride(horse, track.gait, setting);
    const now = asRidden(horse, own);
    const stride = layoutStride(now, track.gait, setting);
    const of = own.find(({ strideM }) => strideM === stride?.normalM);
    return profile && of ? [{ horse, now, of, profileM: profile.normalM }] : [];
  });
  if (told.length === 0 || ridden.readings.some(({ cannot }) => cannot)) return null;
  const isSame = ({ profileM, of }: (typeof told)[number]) => profileM >= of.lowM && profileM <= of.highM;
  const same = told.filter(isSame);
  return (
    <section aria-label="As it was ridden" className={classes.asRidden}>
      {told
        .filter(one => !isSame(one))
        .map(one => (
          <RiddenHorse key={one.horse.id} {...{ ...one, controls, track, leg }} />
        ))}
      {same.length > 0 && (
        <Text size="sm">
          Ridden as the profile says: {same.map(({ horse, of }) => `${horse.name} ${format(of.strideM)}`).join(', ')}.
        </Text>
      )}
    </section>
  );
}

type RiddenHorseProps = Pick<LegAsRiddenProps, 'controls' | 'track' | 'leg'> & {
  horse: LayoutHorse;
  now: LayoutHorse;
  of: RiddenLately;
  profileM: number;
};

function RiddenHorse({ controls, track, leg, horse, now, of, profileM }: RiddenHorseProps) {
  const { format } = useLengths();
  const [problem, setProblem] = useState<string | null>(null);
  const { layout } = controls.shown.resolved;
  const { asked } = track.legs[leg]!;
  const reckoned = reckonItemTrack({ ...layout, horses: [now] }, track).legs[leg]!;
  const reading = reckoned.readings[0];
  const count = asked ?? (reading && nearestToEven(reading.options))?.strides ?? null;
  if (!reading || count === null) return null;
  const [read] = countsOnLeg({ ...layout, horses: [now] }, track, leg, reckoned, [count]);
  const word = read?.counts[0]?.word ?? null;
  const second = layoutLabels(layout).inWords(track.through[leg + 1]!.item);
  const move = () => {
    const made = makeItSo(layout, track, leg, count, [now]);
    setProblem(made.ok ? null : made.reason);
    if (made.ok) controls.change(plan => editPlan(plan, controls.shown.resolved, made.edits));
  };
  return (
    <div>
      <StrideBands
        bands={[{ key: horse.id, words: `${horse.name}, ridden lately`, ridden: of, profileM }]}
        format={format}
        label={`${horse.name}, from ${howMany(of.days, 'day')}`}
      />
      {word !== null && (
        <Text size="sm">
          By what was ridden, {countName(count, reading.zeroIs)} is {word}.
        </Text>
      )}
      {word !== null && word !== 'easy' && (
        <Button size="xs" variant="default" onClick={move}>
          Move {second} for {horse.name} as ridden
        </Button>
      )}
      {problem && (
        <Text size="sm" c="var(--roan-main-ink)" role="alert">
          {problem}
        </Text>
      )}
    </div>
  );
}
