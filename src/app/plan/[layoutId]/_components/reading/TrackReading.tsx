'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { CommitField } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import {
  bestDirections,
  breakApart,
  gaitRadiusM,
  gaitWord,
  isRidden,
  type ItemTrack,
  kindWords,
  type Layout,
  layoutLabels,
  moveStop,
  type PlannedTrack,
  removeStop,
  removeTrack,
  TRACK_GAITS,
  type TrackGait,
  withTrack,
} from '@/core';
import { ActionIcon, Button, Group, Select, Stack, Switch, Text, Title } from '@mantine/core';
import { IconArrowDown, IconArrowUp, IconArrowsExchange, IconX } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { Pointed } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';
import { NameField } from './NameField';
import classes from './Reading.module.css';
import { SessionReading } from './SessionReading';

type TrackReadingProps = {
  controls: PlanControls;
  trackId: string;
  onTrack: (id: string | null) => void;
  /** More is to be added at the end of it. */
  onRideOn: (id: string) => void;
  onPoint: (pointed: Pointed) => void;
};

const COURSE = { speedMPerMin: 350, startM: 12, finishM: 12 };

/** One track: its gait, how often it is ridden, and what it goes over in order. */
export function TrackReading({ controls, trackId, onTrack, onRideOn, onPoint }: TrackReadingProps) {
  const say = useSay();
  const track = controls.shown.resolved.layout.tracks.find(({ id }) => id === trackId);
  if (!track) return null;
  const called = layoutLabels(controls.shown.resolved.layout).track(track.id);
  const byHand = controls.present.plan.tracks.some(({ id }) => id === trackId);
  const put = (next: PlannedTrack) => controls.change(plan => withTrack(plan, next));
  if (!byHand)
    return (
      <OfExercise controls={controls} track={track} called={called}>
        {track.kind === 'figures' && <SessionReading {...{ controls, track, onPoint }} />}
      </OfExercise>
    );
  return (
    <Stack gap="xs" component="section" aria-label={`Track ${called}`}>
      <Group grow gap="xs" align="flex-end">
        <NameField label="Track called" thing={track} controls={controls} />
        <Select
          label="Gait"
          value={track.gait}
          data={TRACK_GAITS.map(gait => ({ value: gait, label: say(gaitWord(gait)) }))}
          onChange={gait => gait && put({ ...track, gait: gait as TrackGait })}
        />
      </Group>
      <CommitField
        label="Ridden how often"
        text={String(track.passes)}
        read={typed =>
          /^\d{1,3}$/.test(typed.trim()) && Number(typed) >= 1 && Number(typed) <= 100
            ? { ok: true, value: Number(typed) }
            : { ok: false, reason: 'Type how often: 1 to 100.' }
        }
        onCommit={passes => {
          put({ ...track, passes });
          return null;
        }}
      />
      {track.kind === 'items' && <CourseFields track={track} put={put} />}
      {track.kind === 'items' && <Stops controls={controls} track={track} put={put} />}
      <Group gap={6}>
        {track.kind === 'items' && (
          <Button size="xs" variant="default" onClick={() => onRideOn(track.id)}>
            Ride on from its end
          </Button>
        )}
        <Button
          size="xs"
          variant="default"
          onClick={() => {
            controls.change(plan => removeTrack(plan, track.id));
            onTrack(null);
          }}
        >
          Take this track away
        </Button>
      </Group>
    </Stack>
  );
}

type OfExerciseProps = { controls: PlanControls; track: PlannedTrack; called: string; children?: ReactNode };

function OfExercise({ controls, track, called, children }: OfExerciseProps) {
  const say = useSay();
  const { resolved } = controls.shown;
  const owners = resolved.exercises.filter(
    ({ placed }) => placed.session === track.id || resolved.ownerOf.get(track.id) === placed.id,
  );
  return (
    <Stack gap={4} component="section" aria-label={`Track ${called}`}>
      <Title order={3} size="h5">
        {called}
      </Title>
      <Text size="sm" c="dimmed">
        Ridden in {say(gaitWord(track.gait))}, as{' '}
        {say(owners.map(({ guidance }) => guidance.title.toLowerCase()).join(', then '))}{' '}
        {owners.length === 1 ? 'has' : 'have'} it.
      </Text>
      {children}
      <Button
        size="xs"
        variant="default"
        style={{ alignSelf: 'flex-start' }}
        onClick={() =>
          controls.change(plan =>
            breakApart(
              plan,
              resolved,
              owners.map(({ placed }) => placed.id),
            ),
          )
        }
      >
        Break apart to change its track
      </Button>
    </Stack>
  );
}

type PartProps = { track: ItemTrack; put: (track: PlannedTrack) => void };

function CourseFields({ track, put }: PartProps) {
  const { course } = track;
  const commit = (changes: Partial<typeof COURSE>) => {
    put({ ...track, course: { ...COURSE, ...course, ...changes } });
    return null;
  };
  return (
    <>
      <Switch
        label="Timed as a course"
        checked={course !== null}
        onChange={event => put({ ...track, course: event.currentTarget.checked ? COURSE : null })}
      />
      {course && (
        <Group grow gap="xs" align="flex-start">
          <CommitField
            label="Metres a minute"
            text={String(course.speedMPerMin)}
            read={typed =>
              /^\d{2,4}$/.test(typed.trim()) && Number(typed) >= 50 && Number(typed) <= 1000
                ? { ok: true, value: Number(typed) }
                : { ok: false, reason: 'Type 50 to 1000.' }
            }
            onCommit={speedMPerMin => commit({ speedMPerMin })}
          />
          <LengthField
            label="Start before"
            lengthM={course.startM}
            minM={0}
            maxM={100}
            onCommit={startM => commit({ startM })}
          />
          <LengthField
            label="Finish behind"
            lengthM={course.finishM}
            minM={0}
            maxM={100}
            onCommit={finishM => commit({ finishM })}
          />
        </Group>
      )}
    </>
  );
}

/** What the track goes over, in order: earlier, later, from the other side, or left out. */
function Stops({ controls, track, put }: PartProps & { controls: PlanControls }) {
  const { layout } = controls.shown.resolved;
  const labels = layoutLabels(layout);
  const shortest = () => {
    const stops = track.through.flatMap(({ item }) => {
      const found = layout.items.find(({ id }) => id === item);
      return found && isRidden(found) ? [{ item: found, reversed: null }] : [];
    });
    const ways = bestDirections(stops, layout.arena, gaitRadiusM(track.gait));
    put({
      ...track,
      through: track.through.map((stop, index) => ({ ...stop, reversed: ways[index] ?? stop.reversed })),
    });
  };
  return (
    <>
      <ol className={classes.stops}>
        {track.through.map(({ item: id, reversed }, index) => (
          <li key={index}>
            <span>
              {index + 1} {stopWords(layout, id)}
              {reversed && ', from behind'}
            </span>
            <StopButton
              label={`Ride ${labels.inWords(id)} earlier`}
              disabled={index === 0}
              onClick={() => controls.change(plan => moveStop(plan, track.id, index, index - 1))}
            >
              <IconArrowUp size={14} />
            </StopButton>
            <StopButton
              label={`Ride ${labels.inWords(id)} later`}
              disabled={index === track.through.length - 1}
              onClick={() => controls.change(plan => moveStop(plan, track.id, index, index + 1))}
            >
              <IconArrowDown size={14} />
            </StopButton>
            <StopButton
              label={`Ride ${labels.inWords(id)} from the other side`}
              onClick={() =>
                put({
                  ...track,
                  through: track.through.map((stop, at) =>
                    at === index ? { ...stop, reversed: !stop.reversed } : stop,
                  ),
                })
              }
            >
              <IconArrowsExchange size={14} />
            </StopButton>
            <StopButton
              label={`Leave ${labels.inWords(id)} out`}
              onClick={() => controls.change(plan => removeStop(plan, track.id, index))}
            >
              <IconX size={14} />
            </StopButton>
          </li>
        ))}
      </ol>
      {track.through.length > 1 && (
        <Button size="xs" variant="default" style={{ alignSelf: 'flex-start' }} onClick={shortest}>
          Choose the sides that ride best
        </Button>
      )}
    </>
  );
}

/** What stands at a stop beside its number: its name, else its kind. */
function stopWords({ items }: Layout, id: string): string {
  const item = items.find(one => one.id === id);
  return item ? (item.name ?? kindWords(item)) : '';
}

function StopButton({
  label,
  children,
  ...rest
}: {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <ActionIcon size="sm" variant="subtle" color="slate" aria-label={label} title={label} {...rest}>
      {children}
    </ActionIcon>
  );
}
