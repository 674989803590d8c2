'use client';

import { useAct } from '@/components/form/useAct';
import { useSaveId } from '@/components/sync/useSaveId';
import { Problem } from '@/components/form/Problem';
import { useSentForm } from '@/components/form/useSentForm';
import { Modal } from '@/components/Modal/Modal';
import { Button, Checkbox, Group, Select, Stack, Text, TextInput } from '@mantine/core';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { newPairAction, teachNowAction } from './teachActions';
import type { TeachPair } from './teachPairs';

type TeachNowProps = {
  layoutId: string;
  pairs: readonly TeachPair[];
  horses: readonly { id: string; name: string }[];
  /** The horses that the layout is for: their pairs are ticked. */
  groupIds: readonly string[];
  onClose: () => void;
};

const NO_ANSWER = 'The server does not answer: nothing was begun. Try again.';

/** Who is there, and off it goes: a lesson over this layout with its usual stages. */
export default function TeachNow({ layoutId, pairs, horses, groupIds, onClose }: TeachNowProps) {
  const router = useRouter();
  const [ticked, setTicked] = useState(() => firstOfEach(pairs, groupIds));
  const unridden = groupIds.flatMap(id => (pairs.some(({ horseId }) => horseId === id) ? [] : [id]));
  const [unnamed, setUnnamed] = useState(unridden);
  const riding = ticked.length + unnamed.length;
  const { act, busy, problem } = useAct(NO_ANSWER);
  const nameSave = useSaveId();
  const start = () => {
    const sent = { layoutId, pairIds: ticked, horseIds: unnamed };
    act(
      () => teachNowAction(sent, nameSave(sent)),
      ({ lessonId }) => router.push(`/ride/lessons/${lessonId}/run`),
    );
  };
  const sorted = [...pairs].sort((a, b) => Number(groupIds.includes(b.horseId)) - Number(groupIds.includes(a.horseId)));
  return (
    <Modal opened onClose={onClose} title="Teach this now">
      <Stack gap="xs">
        <Text size="sm">Who is there? The stages of the layout come with it, and a warm-up before them.</Text>
        <Ticks of={sorted} ticked={ticked} onTick={setTicked} />
        <Ticks
          of={horses.flatMap(({ id, name }) =>
            unridden.includes(id) ? [{ id, name: `${name}, the rider has no name yet` }] : [],
          )}
          ticked={unnamed}
          onTick={setUnnamed}
        />
        <NewPair
          horses={horses}
          onMade={id => {
            setTicked(before => [...before, id]);
            router.refresh();
          }}
        />
        {problem && (
          <Text size="sm" c="var(--roan-main-ink)" role="alert">
            {problem}
          </Text>
        )}
        <Button size="md" loading={busy} disabled={riding === 0} onClick={start}>
          Begin with {riding} {riding === 1 ? 'pair' : 'pairs'}
        </Button>
        <Button size="md" variant="default" component={Link} href={planHref(layoutId, ticked)}>
          Plan it for another day
        </Button>
      </Stack>
    </Modal>
  );
}

type TicksProps = {
  of: readonly { id: string; name: string }[];
  ticked: readonly string[];
  onTick: (ids: string[]) => void;
};

function Ticks({ of, ticked, onTick }: TicksProps) {
  return of.map(({ id, name }) => (
    <Checkbox
      key={id}
      size="md"
      label={name}
      checked={ticked.includes(id)}
      onChange={event => onTick(event.currentTarget.checked ? [...ticked, id] : ticked.filter(other => other !== id))}
    />
  ));
}

/** The plan of a lesson over a layout, for those who are ticked. */
function planHref(layoutId: string, pairIds: readonly string[]): string {
  const wish = new URLSearchParams([['layout', layoutId], ...pairIds.map(id => ['pair', id])]);
  return `/ride/lessons/new?${wish.toString()}`;
}

/** One pair of each horse that the layout is for: a horse with two riders is ridden by one at a time. */
function firstOfEach(pairs: readonly TeachPair[], groupIds: readonly string[]): string[] {
  return groupIds.flatMap(horseId => pairs.find(pair => pair.horseId === horseId)?.id ?? []);
}

type NewPairProps = { horses: readonly { id: string; name: string }[]; onMade: (pairId: string) => void };

/** Somebody who was not expected: a rider by name, on one of the horses. */
function NewPair({ horses, onMade }: NewPairProps) {
  const [opened, setOpened] = useState(false);
  const nameSave = useSaveId();
  const { form, onSubmit, problem, sending, sent } = useSentForm({
    initialValues: { rider: '', horseId: '' },
    send: values => newPairAction(values, nameSave(values)),
    onSent: ({ pairId }) => {
      sent();
      setOpened(false);
      form.reset();
      onMade(pairId);
    },
  });
  if (!opened)
    return (
      <Button variant="default" onClick={() => setOpened(true)}>
        Another pair
      </Button>
    );
  return (
    <form onSubmit={onSubmit}>
      <Group align="flex-start" gap="xs" grow>
        <TextInput label="Rider" {...form.getInputProps('rider')} />
        <Select
          label="Horse"
          searchable
          data={horses.map(({ id, name }) => ({ value: id, label: name }))}
          {...form.getInputProps('horseId')}
        />
        <Button mt={25} type="submit" variant="default" loading={sending}>
          Add this pair
        </Button>
      </Group>
      <Problem>{problem}</Problem>
    </form>
  );
}
