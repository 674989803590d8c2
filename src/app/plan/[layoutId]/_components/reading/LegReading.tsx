'use client';

import { Choice } from '@/components/Choice';
import { CommitField } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  editPlan,
  isShortestWay,
  layoutLabels,
  makeItSo,
  type ItemTrack,
  type LayoutHorse,
  type PlannedLeg,
  type ReckonedItemTrack,
  type RiddenLately,
} from '@/core';
import { Alert, Button, Group, Select, Stack, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { PlanControls } from '../../_state/usePlanEditor';
import { useTyping, type Typing } from '../../_state/useTyping';
import { CountsTable } from './CountsTable';
import { LegAsRidden } from './LegAsRidden';
import { LegCountsHere, type RiddenLegOfHorse } from './LegCountsHere';
import { readCount } from './readCount';

type LegReadingProps = {
  controls: PlanControls;
  track: ItemTrack;
  reckoned: ReckonedItemTrack;
  leg: number;
  horse: LayoutHorse | null;
  /** What horses were ridden in lately, by their ids. */
  lately: Readonly<Record<string, RiddenLately[]>>;
  /** What was counted in the legs of this layout, horse by horse. */
  riddenLegs: readonly RiddenLegOfHorse[];
};

/** One leg: its distance, every horse's words for the counts about the one that is meant, and how it is ridden. */
export function LegReading({ controls, track, reckoned, leg, horse, lately, riddenLegs }: LegReadingProps) {
  const { format } = useLengths();
  const typing = useTyping(controls);
  const labels = layoutLabels(controls.shown.resolved.layout);
  const planned = track.legs[leg]!;
  const ridden = reckoned.legs[leg]!;
  const change = (changes: Partial<PlannedLeg>) =>
    controls.edit([{ kind: 'change-leg', track: track.id, leg, changes }]);
  return (
    <Stack
      gap="xs"
      component="section"
      aria-label={`From ${labels.inWords(ridden.from)} to ${labels.inWords(ridden.to)}`}
    >
      <Title order={2} size="h4">
        {capital(`${labels.inWords(ridden.from)} to ${labels.inWords(ridden.to)}`)}
      </Title>
      <LengthField
        label="Distance"
        lengthM={ridden.groundM}
        minM={0.2}
        maxM={200}
        onCommit={groundM => typing.distance(track.id, leg, groundM)}
      />
      <CountsTable layout={controls.shown.resolved.layout} {...{ track, leg, ridden }} />
      <Text size="sm">
        {format(ridden.trackM)} centre to centre
        {ridden.smallestRadiusM !== null && `, tightest turn of ${format(ridden.smallestRadiusM)} radius`}. Inside{' '}
        {format(ridden.insideM)}, outside {format(ridden.outsideM)}.
      </Text>
      <LegCountsHere {...{ track, leg, groundM: ridden.groundM, riddenLegs }} />
      <LegAsRidden {...{ controls, track, leg, ridden, lately }} />
      <Asked {...{ controls, track, leg, horse, typing }} />
      <OwnLines ridden={ridden} />
      <TurnWords {...{ controls, track, leg, ridden }} />
      {planned.circle ? (
        <CircleFields planned={planned} change={change} />
      ) : (
        <WayFields planned={planned} change={change} ridden={ridden} />
      )}
      <Group grow gap="xs">
        <Select
          label="Reckoned as"
          value={planned.setting}
          data={[
            { value: 'course', label: 'course' },
            { value: 'grid', label: 'grid' },
            { value: 'poles', label: 'poles' },
          ]}
          onChange={setting => setting && change({ setting: setting as PlannedLeg['setting'] })}
        />
        <Select
          label="Approached in"
          value={planned.approach}
          data={['canter', 'trot']}
          onChange={approach => approach && change({ approach: approach as PlannedLeg['approach'] })}
        />
      </Group>
    </Stack>
  );
}

/** What its turns cost, whether it can be ridden at all, and whether there is no rounder way. */
function TurnWords({
  controls,
  track,
  leg,
  ridden,
}: Pick<LegReadingProps, 'controls' | 'track' | 'leg'> & { ridden: ReckonedItemTrack['legs'][number] }) {
  const { format } = useLengths();
  const cannot = ridden.readings.filter(reading => reading.cannot);
  const { turnShare, countedM } = ridden.cost;
  const isShortest = isShortestWay(controls.shown.resolved.layout, track, leg, ridden);
  return (
    <>
      {turnShare < 1 && cannot.length < ridden.readings.length && (
        <Text size="sm">
          At this speed its turns shorten the stride to {Math.round(turnShare * 100)} %: for strides it counts as{' '}
          {format(countedM)}.
        </Text>
      )}
      {cannot.map(({ horseId, horse, cannot: turn }) => (
        <Text key={horseId} size="sm" fw={600}>
          {horse} cannot ride this turn at this gait: {format(turn!.radiusM)}, and {format(turn!.leastM)} is the
          tightest it can be.
        </Text>
      ))}
      {isShortest && <Text size="sm">There is no rounder way here: this is the shortest line too.</Text>}
    </>
  );
}

/** A heading begins with a capital. */
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Over a fan each horse rides its own line: how far from the hub. */
function OwnLines({ ridden }: { ridden: ReckonedItemTrack['legs'][number] }) {
  const { format } = useLengths();
  return ridden.readings.map(
    ({ horseId, horse, ownLine }) =>
      ownLine && (
        <Text key={horseId} size="sm">
          {horse}: {format(ownLine.radiusM)} from the hub, {format(ownLine.groundM)} from pole to pole
        </Text>
      ),
  );
}

type FieldsProps = { planned: PlannedLeg; change: (changes: Partial<PlannedLeg>) => void };

function WayFields({ planned, change, ridden }: FieldsProps & { ridden: ReckonedItemTrack['legs'][number] }) {
  const { formatSigned } = useLengths();
  const way = typeof planned.track === 'object' ? 'via' : planned.track;
  const middle = ridden.chain.segments[Math.floor(ridden.chain.segments.length / 2)]?.start.at ?? ridden.chain.start.at;
  return (
    <>
      <Choice
        size="xs"
        aria-label="Way"
        value={way}
        data={[
          { value: 'natural', label: 'natural' },
          { value: 'direct', label: 'shortest' },
          { value: 'wide', label: 'wide' },
          { value: 'via', label: 'through a point' },
        ]}
        onChange={next => change({ track: next === 'via' ? { via: middle } : (next as 'natural' | 'direct' | 'wide') })}
      />
      {typeof planned.track === 'object' && (
        <Text size="sm" c="dimmed">
          Through {formatSigned(planned.track.via.xM)}, {formatSigned(planned.track.via.yM)}: drag the point on the
          sand.
        </Text>
      )}
      {ridden.instead && (
        <Alert color="slate" p="xs">
          {ridden.instead === 'no-wide-track'
            ? 'There is no room for a wide line here: the natural one stands in for it.'
            : 'There is no natural track inside the arena: this is the shortest possible.'}
        </Alert>
      )}
    </>
  );
}

function CircleFields({ planned, change }: FieldsProps) {
  const circle = planned.circle!;
  return (
    <Group grow gap="xs" align="flex-end">
      <Select
        label="Circle on the"
        value={circle.rein}
        data={[
          { value: 'left', label: 'left rein' },
          { value: 'right', label: 'right rein' },
        ]}
        onChange={rein => rein && change({ circle: { ...circle, rein: rein as 'left' | 'right' } })}
      />
      <LengthField
        label="Radius"
        lengthM={circle.radiusM}
        minM={2}
        maxM={60}
        onCommit={radiusM => {
          change({ circle: { ...circle, radiusM } });
          return null;
        }}
      />
    </Group>
  );
}

type AskedProps = Pick<LegReadingProps, 'controls' | 'track' | 'leg' | 'horse'> & { typing: Typing };

/** The count that is meant, and moving the second item so that it rides so. */
function Asked({ controls, track, leg, horse, typing }: AskedProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const asked = track.legs[leg]!.asked;
  const { layout } = controls.shown.resolved;
  const move = (horses: readonly LayoutHorse[]) => {
    if (asked === null) return;
    const made = makeItSo(layout, track, leg, asked, horses);
    if (!made.ok) return setProblem(made.reason);
    setProblem(null);
    controls.change(plan => editPlan(plan, controls.shown.resolved, made.edits));
  };
  const second = layoutLabels(layout).inWords(track.through[leg + 1]!.item);
  return (
    <>
      <CommitField
        label="Asked strides"
        description="Nothing typed asks for no count"
        text={asked === null ? '' : String(asked)}
        read={readCount}
        onCommit={count => {
          setProblem(null);
          return typing.asked(track.id, leg, count);
        }}
      />
      {asked !== null && layout.horses.length > 0 && (
        <Group gap={6}>
          {horse && (
            <Button size="xs" onClick={() => move([horse])}>
              Move {second} for {horse.name}
            </Button>
          )}
          {layout.horses.length > 1 && (
            <Button size="xs" variant="default" onClick={() => move(layout.horses)}>
              Move {second} for the group
            </Button>
          )}
        </Group>
      )}
      {problem && (
        <Text size="sm" c="var(--roan-main-ink)" role="alert">
          {problem}
        </Text>
      )}
    </>
  );
}
