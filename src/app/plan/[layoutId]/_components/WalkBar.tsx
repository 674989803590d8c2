'use client';

import { Choice } from '@/components/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  countInWords,
  distanceCaseOf,
  gaitSpeedMPerMin,
  layoutLabels,
  legMarks,
  stopsAlongM,
  type Layout,
  type LayoutHorse,
  type PlannedTrack,
  type ReckonedTrack,
} from '@/core';
import { Button, Group, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { stridesWords } from '../_state/thingsShown';
import classes from './WalkBar.module.css';

type WalkBarProps = {
  layout: Layout;
  track: PlannedTrack;
  reckoned: ReckonedTrack;
  horse: LayoutHorse | null;
  walkedM: number;
  onWalk: (walkedM: number | null | ((before: number | null) => number | null)) => void;
  playing: boolean;
  onPlay: (playing: boolean) => void;
  /** Whether it is seen from the saddle too. */
  saddle: boolean;
  onSaddle: (saddle: boolean) => void;
};

/** Walks a track at its gait's speed, foot by foot, or steps from fence to fence. */
export default function WalkBar(props: WalkBarProps) {
  const { track, reckoned, walkedM, onWalk, playing, onPlay, saddle, onSaddle } = props;
  const { format } = useLengths();
  const [times, setTimes] = useState('1');
  usePlay(props, Number(times));
  const stops = reckoned.kind === 'items' ? stopsAlongM(reckoned) : [0, reckoned.lengthM];
  const next = stops.find(alongM => alongM > walkedM + 0.01);
  const before = stops.findLast(alongM => alongM < walkedM - 0.01);
  return (
    <div className={classes.bar} role="group" aria-label="Walk it">
      <Group gap={6}>
        <Button size="xs" onClick={() => onPlay(!playing)}>
          {playing ? 'Wait' : 'Go'}
        </Button>
        <Button size="xs" variant="default" disabled={before === undefined} onClick={() => onWalk(before ?? 0)}>
          Back one
        </Button>
        <Button
          size="xs"
          variant="default"
          disabled={next === undefined}
          onClick={() => onWalk(next ?? reckoned.lengthM)}
        >
          On to the next
        </Button>
        <Choice
          size="xs"
          aria-label="How fast"
          value={times}
          onChange={setTimes}
          data={[
            { value: '0.5', label: 'half' },
            { value: '1', label: 'true speed' },
            { value: '3', label: '× 3' },
          ]}
        />
      </Group>
      <input
        type="range"
        min={-BEFORE_M}
        max={reckoned.lengthM}
        step={0.1}
        value={walkedM}
        aria-label={`Along ${layoutLabels(props.layout).track(track.id)}`}
        onChange={event => onWalk(Number(event.currentTarget.value))}
      />
      <Text size="sm" role="status">
        {walkedWords(props, format)}. {whereWords(props)}
      </Text>
      <Button size="xs" variant={saddle ? 'filled' : 'default'} aria-pressed={saddle} onClick={() => onSaddle(!saddle)}>
        From the saddle
      </Button>
      <Button
        size="xs"
        variant="subtle"
        color="slate"
        onClick={() => {
          onPlay(false);
          onWalk(null);
        }}
      >
        Enough
      </Button>
    </div>
  );
}

/** So far before the first thing a walk may begin. */
const BEFORE_M = 12;

/** How far it is walked: of a course from its start to its finish, as it is measured. */
function walkedWords({ reckoned, track, walkedM }: WalkBarProps, format: (lengthM: number) => string): string {
  const course = reckoned.kind === 'items' ? reckoned.course : null;
  const plan = track.kind === 'items' ? track.course : null;
  if (walkedM < 0) return `${format(-walkedM)} before the first`;
  if (!course || !plan) return `${format(walkedM)} of ${format(reckoned.lengthM)}`;
  const done = `${format(plan.startM + walkedM)} of ${format(course.lengthM)} from start to finish`;
  return walkedM < reckoned.lengthM ? done : `${done}; ${format(plan.finishM)} to the finish`;
}

/** Moves on with the clock of the screen while it plays, and waits at the end. */
function usePlay({ track, reckoned, playing, onPlay, onWalk }: WalkBarProps, times: number): void {
  useEffect(() => {
    if (!playing) return;
    let lastMs: number | null = null;
    let frame = 0;
    const step = (nowMs: number) => {
      const seconds = lastMs === null ? 0 : (nowMs - lastMs) / 1000;
      lastMs = nowMs;
      onWalk(before => {
        const atM = before ?? 0;
        const next = atM + (speedAt(track, reckoned, atM) / 60) * seconds * times;
        if (next >= reckoned.lengthM) {
          queueMicrotask(() => onPlay(false));
          return reckoned.lengthM;
        }
        return next;
      });
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [playing, track, reckoned, onPlay, onWalk, times]);
}

/** The speed of what is ridden there, metres a minute. */
function speedAt(track: PlannedTrack, reckoned: ReckonedTrack, atM: number): number {
  if (track.kind === 'items') return track.course?.speedMPerMin ?? gaitSpeedMPerMin(track.gait);
  if (reckoned.kind !== 'figures' || !reckoned.session.ok) return gaitSpeedMPerMin(track.gait);
  let beforeM = 0;
  for (const piece of reckoned.session.pieces) {
    if (piece.kind === 'station') continue;
    beforeM += piece.chain.lengthM;
    if (atM < beforeM) return gaitSpeedMPerMin(piece.gait);
  }
  return gaitSpeedMPerMin(track.gait);
}

/** Where the walk has come to: the leg, and how many of its strides. */
function whereWords({ layout, track, reckoned, horse, walkedM }: WalkBarProps): string {
  if (track.kind !== 'items' || reckoned.kind !== 'items') return '';
  const stops = stopsAlongM(reckoned);
  const last = stops.length - 1;
  const leg = Math.min(
    last - 1,
    Math.max(
      0,
      stops.findLastIndex(alongM => alongM <= walkedM + 1e-6),
    ),
  );
  const ridden = reckoned.legs[leg];
  if (!ridden) return '';
  const { inWords } = layoutLabels(layout);
  const where = `${inWords(ridden.from)} to ${inWords(ridden.to)}`;
  const reading = horse && ridden.readings.find(one => one.horseId === horse.id);
  if (!reading) return where;
  const marks = legMarks(ridden, distanceCaseOf(layout, track, leg), reading);
  const done = marks.filter(({ alongM }) => alongM > (marks[0]?.alongM ?? 0) && stops[leg]! + alongM <= walkedM).length;
  // A bounce has no stride to count, and where none is rated there is nothing to say.
  const strides = marks.length - 1;
  if (strides < 1) return strides === 0 ? `${where}: ${stridesWords(0, reading.zeroIs)} for ${horse.name}` : where;
  return `${where}: ${done === 0 ? 'none' : countInWords(done)} of ${stridesWords(strides)} for ${horse.name}`;
}
