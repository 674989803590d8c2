'use client';

import { FitMark } from '@/components/FitMark/FitMark';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { layoutLabels, layoutWork, type Labels, type ReckonedItemTrack, type TrackWork } from '@/core';
import { Stack, Text, Title } from '@mantine/core';
import type { LegPlace } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';
import { stridesWords } from '../../_state/thingsShown';
import classes from './Reading.module.css';

type LayoutReadingProps = { controls: PlanControls; trackId: string | null; onSelectLeg: (leg: LegPlace) => void };

/** The whole layout: what one ride of each track is, and every leg for every horse. */
export function LayoutReading({ controls, trackId, onSelectLeg }: LayoutReadingProps) {
  const { tracks, resolved } = controls.shown;
  const labels = layoutLabels(resolved.layout);
  const work = layoutWork(resolved.layout, tracks);
  const reckoned = tracks.find(({ id }) => id === trackId);
  return (
    <Stack gap="xs" component="section" aria-label="The layout">
      {work.map(one => (
        <Work key={one.id} work={one} called={labels.track(one.id)} />
      ))}
      {work.length > 1 && <Sum work={work} />}
      {reckoned?.kind === 'items' && reckoned.legs.length > 0 && (
        <GroupTable reckoned={reckoned} labels={labels} onSelectLeg={onSelectLeg} />
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

function Work({ work, called }: { work: TrackWork; called: string }) {
  const { format } = useLengths();
  const { gait, passes, lengthM, minutes, efforts, raised, changesOfRein, minutesByGait } = work;
  const gaits = Object.entries(minutesByGait).map(
    ([name, share]) => `${name.replace('-', ' ')} ${minutesWords(share)}`,
  );
  return (
    <div>
      <Title order={3} size="h5">
        {called}, in {gait.replace('-', ' ')}
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

type GroupTableProps = { reckoned: ReckonedItemTrack; labels: Labels; onSelectLeg: (leg: LegPlace) => void };

/** Every leg for every horse, words first. */
function GroupTable({ reckoned, labels, onSelectLeg }: GroupTableProps) {
  const { format } = useLengths();
  const horses = reckoned.legs[0]?.readings ?? [];
  return (
    <div className={classes.table}>
      <table aria-label="Every leg for every horse">
        <thead>
          <tr>
            <th>Leg</th>
            <th>Ground</th>
            {horses.map(({ horseId, horse }) => (
              <th key={horseId}>{horse}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {reckoned.legs.map((leg, index) => (
            <tr key={index}>
              <th scope="row">
                <button type="button" onClick={() => onSelectLeg({ track: reckoned.id, leg: index })}>
                  {labels.short(leg.from)} to {labels.short(leg.to)}
                </button>
              </th>
              <td>{format(leg.groundM)}</td>
              {leg.readings.map(reading => (
                <td key={reading.horseId}>
                  {reading.asked ? (
                    <>
                      <FitMark word={reading.asked.word} /> {stridesWords(reading.asked.strides, reading.zeroIs)}
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
