'use client';

import { FitMark } from '@/components/FitMark/FitMark';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { layoutWork, shortName, type ReckonedItemTrack, type TrackWork } from '@/core';
import { Stack, Text, Title } from '@mantine/core';
import type { LegPlace } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';
import { stridesWords } from '../../_state/thingsShown';
import classes from './Reading.module.css';

type LayoutReadingProps = { controls: PlanControls; trackId: string | null; onSelectLeg: (leg: LegPlace) => void };

/** The whole layout: what one ride of each track is, and every leg for every horse. */
export function LayoutReading({ controls, trackId, onSelectLeg }: LayoutReadingProps) {
  const { tracks, resolved } = controls.shown;
  const work = layoutWork(resolved.layout, tracks);
  const reckoned = tracks.find(({ id }) => id === trackId);
  return (
    <Stack gap="xs" component="section" aria-label="The layout">
      {work.map(one => (
        <Work key={one.id} work={one} />
      ))}
      {work.length > 1 && <Sum work={work} />}
      {reckoned?.kind === 'items' && reckoned.legs.length > 0 && (
        <GroupTable reckoned={reckoned} onSelectLeg={onSelectLeg} />
      )}
      {work.length === 0 && (
        <Text size="sm" c="slate.7">
          No track yet. Take an exercise from the shelf, or lay fences down and choose “Ride a track”: then tap them in
          the order they are ridden, each from the side one comes from.
        </Text>
      )}
    </Stack>
  );
}

function minutesWords(minutes: number): string {
  const seconds = Math.round(minutes * 60);
  return seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;
}

function Work({ work }: { work: TrackWork }) {
  const { format } = useLengths();
  const { id, gait, passes, lengthM, minutes, efforts, raised, changesOfRein, minutesByGait } = work;
  const gaits = Object.entries(minutesByGait).map(
    ([name, share]) => `${name.replace('-', ' ')} ${minutesWords(share)}`,
  );
  return (
    <div>
      <Title order={3} size="h5">
        {id}, in {gait.replace('-', ' ')}
      </Title>
      <Text size="sm">
        {format(lengthM)}, {minutesWords(minutes)}
        {efforts > 0 && `, ${efforts} ${efforts === 1 ? 'effort' : 'efforts'}`}
        {raised > 0 && `, ${raised} raised`}, {changesOfRein} {changesOfRein === 1 ? 'change' : 'changes'} of rein
        {passes > 1 && `; planned ${passes} times`}
      </Text>
      {gaits.length > 1 && (
        <Text size="xs" c="slate.7">
          {gaits.join(', ')}
        </Text>
      )}
    </div>
  );
}

/** All tracks as often as they are planned. */
function Sum({ work }: { work: readonly TrackWork[] }) {
  const { format } = useLengths();
  const total = (of: (one: TrackWork) => number) => work.reduce((sum, one) => sum + of(one) * one.passes, 0);
  return (
    <Text size="sm" fw={600}>
      All as planned: {format(total(one => one.lengthM))}, {minutesWords(total(one => one.minutes))},{' '}
      {total(one => one.efforts)} efforts
    </Text>
  );
}

/** Every leg for every horse, words first. */
function GroupTable({ reckoned, onSelectLeg }: { reckoned: ReckonedItemTrack; onSelectLeg: (leg: LegPlace) => void }) {
  const { format } = useLengths();
  const names = reckoned.legs[0]?.readings.map(({ horse }) => horse) ?? [];
  return (
    <div className={classes.table}>
      <table aria-label="Every leg for every horse">
        <thead>
          <tr>
            <th>Leg</th>
            <th>Ground</th>
            {names.map(name => (
              <th key={name}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {reckoned.legs.map((leg, index) => (
            <tr key={index}>
              <th scope="row">
                <button type="button" onClick={() => onSelectLeg({ track: reckoned.id, leg: index })}>
                  {shortName(leg.from)} to {shortName(leg.to)}
                </button>
              </th>
              <td>{format(leg.groundM)}</td>
              {leg.readings.map(reading => (
                <td key={reading.horse}>
                  {reading.asked ? (
                    <>
                      <FitMark word={reading.asked.word} /> {stridesWords(reading.asked.strides)}
                    </>
                  ) : (
                    reading.call
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
