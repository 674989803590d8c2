'use client';

import { RibbonHelp } from '@/components/Help/helps';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { type Fence, gaitWord, type LayoutHorse, layoutLabels, layoutWork, type TrackWork } from '@/core';
import { Stack, Text, Title } from '@mantine/core';
import type { LegPlace, Pointed } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';
import { stopLabels } from '../../_state/stopLabels';
import { useTyping } from '../../_state/useTyping';
import { GroupGlance } from './GroupGlance';
import { HeightRows } from './HeightRows';
import { LegRows } from './LegRows';
import { SessionReading } from './SessionReading';

type LayoutReadingProps = {
  controls: PlanControls;
  trackId: string | null;
  horse: LayoutHorse | null;
  onHorse: (id: string) => void;
  onSelectLeg: (leg: LegPlace) => void;
  onPoint: (pointed: Pointed) => void;
};

/** The whole layout: every horse at a glance, each distance and each height, and what one ride of each track is. */
export function LayoutReading({ controls, trackId, horse, onHorse, onSelectLeg, onPoint }: LayoutReadingProps) {
  const { tracks, resolved } = controls.shown;
  const labels = layoutLabels(resolved.layout);
  const work = layoutWork(resolved.layout, tracks);
  const reckoned = tracks.find(({ id }) => id === trackId);
  const track = resolved.layout.tracks.find(({ id }) => id === trackId);
  const typing = useTyping(controls);
  const stops = track?.kind === 'items' ? stopLabels(track, resolved.layout.items, labels) : [];
  const layoutHorses = resolved.layout.horses.length;
  const over = track?.kind === 'items' ? new Set(track.through.map(({ item }) => item)) : null;
  const fences = resolved.layout.items.filter(
    (item): item is Fence => item.kind === 'fence' && (over === null || over.has(item.id)),
  );
  return (
    <Stack gap="xs" component="section" aria-label="The layout">
      {reckoned?.kind === 'items' && track?.kind === 'items' && reckoned.legs.length > 0 && (
        <>
          <GroupGlance {...{ reckoned, stops, onHorse, onSelectLeg }} chosen={horse?.id ?? null} />
          {layoutHorses === 0 && (
            <Text size="sm">Laid out for a horse of 160 cm. Choose who rides to read every distance for them.</Text>
          )}
          <LegRows {...{ track, reckoned, labels, stops, typing, onSelectLeg }} />
        </>
      )}
      {track?.kind === 'figures' && <SessionReading {...{ controls, track, onPoint }} />}
      <HeightRows {...{ fences, labels, typing }} />
      {work.map(one => (
        <Work key={one.id} work={one} called={labels.track(one.id)} />
      ))}
      {work.length > 1 && <Sum work={work} />}
      {work.length > 0 && <RibbonHelp />}
      {work.length === 0 && (
        <Text size="sm" c="dimmed">
          No track yet. Take an exercise from the shelf, or add fences and choose “Add a track”: then tap them in the
          order they are ridden, each from the side one comes from.
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
  const { format, say } = useLengths();
  const { gait, passes, lengthM, minutes, efforts, raised, changesOfRein, minutesByGait } = work;
  const gaits = Object.entries(minutesByGait).map(([name, share]) =>
    say(`${name.replace('-', ' ')} ${minutesWords(share)}`),
  );
  return (
    <div>
      <Title order={3} size="h5">
        {say(`${called}, in ${gaitWord(gait)}`)}
      </Title>
      <Text size="sm">
        {format(lengthM)}, {minutesWords(minutes)}
        {efforts > 0 && `, ${efforts} ${efforts === 1 ? 'effort' : 'efforts'}`}
        {raised > 0 && `, ${raised} raised`}, {changesOfRein} {changesOfRein === 1 ? 'change' : 'changes'} of rein
        {passes > 1 && `; planned ${passes} times`}
      </Text>
      {gaits.length > 1 && (
        <Text size="xs" c="dimmed">
          {gaits.join(', ')}
        </Text>
      )}
    </div>
  );
}

/** All tracks as often as they are planned. */
function Sum({ work }: { work: readonly TrackWork[] }) {
  const { formatWay } = useLengths();
  const total = (of: (one: TrackWork) => number) => work.reduce((sum, one) => sum + of(one) * one.passes, 0);
  return (
    <Text size="sm" fw={600}>
      All as planned: {formatWay(total(one => one.lengthM))}, {minutesWords(total(one => one.minutes))},{' '}
      {total(one => one.efforts)} efforts
    </Text>
  );
}
