'use client';

import { useAct } from '@/components/form/useAct';
import { useSaveId } from '@/components/sync/useSaveId';
import { groupsFor, groupsOf, type PairToGroup } from '@/core';
import { Modal } from '@/components/Modal/Modal';
import { NumberInput } from '@/components/fields/NumberInput';
import { Select } from '@/components/fields/Select';
import { Button, Group, Stack, Text, Title } from '@mantine/core';
import type { FormOutcome } from '@/files/formOutcome';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { repeatLessonAction, rideInGroupsAction } from '../../seriesActions';

type GroupedPair = PairToGroup & { name: string };

type AgainAndGroupsProps = {
  lessonId: string;
  /** Who rides, with the stride by which they are put together. */
  pairs: readonly GroupedPair[];
  /** How long the lesson is planned. */
  minutes: number;
  /** Whether it can still be ridden in groups. */
  isPlanned: boolean;
};

const NO_ANSWER = 'The server does not answer: nothing was planned. Try again.';
const USUAL_WEEKS = 8;

/** The same lesson for some weeks; or in groups, one after the other. */
export function AgainAndGroups(props: AgainAndGroupsProps) {
  const [opened, setOpened] = useState(false);
  return (
    <>
      <Button variant="default" mih={44} onClick={() => setOpened(true)}>
        Series and groups
      </Button>
      <Modal opened={opened} onClose={() => setOpened(false)} title="Series and groups">
        <Stack gap="lg">
          <Weeks lessonId={props.lessonId} onDone={() => setOpened(false)} />
          {props.isPlanned && props.pairs.length > 1 && <Groups {...props} onDone={() => setOpened(false)} />}
        </Stack>
      </Modal>
    </>
  );
}

/** Sends what is planned; with an answer the page is as it is now, without one it says so. */
function useSent<Sent>(plan: (sent: Sent, saving: string) => Promise<FormOutcome<object>>, onDone: () => void) {
  const router = useRouter();
  const { act, busy, problem } = useAct(NO_ANSWER);
  const nameSave = useSaveId();
  const send = (sent: Sent) =>
    act(
      () => plan(sent, nameSave(sent)),
      () => {
        router.refresh();
        onDone();
      },
    );
  return { send, busy, problem };
}

function Weeks({ lessonId, onDone }: { lessonId: string; onDone: () => void }) {
  const [weeks, setWeeks] = useState<number | string>(USUAL_WEEKS);
  const { send, busy, problem } = useSent(repeatLessonAction, onDone);
  return (
    <Stack gap="xs">
      <Title order={2} size="h5">
        Every week
      </Title>
      <Text size="sm">
        The same time and the same plan, this lesson the first. Each can be moved and changed by itself.
      </Text>
      <Group align="end">
        <NumberInput label="Weeks" min={2} max={52} allowDecimal={false} value={weeks} onChange={setWeeks} maw={110} />
        <Button loading={busy} mih={44} onClick={() => send({ lessonId, weeks: Number(weeks) })}>
          Plan {weeks} weeks
        </Button>
      </Group>
      {problem && <Text role="alert">{problem}</Text>}
    </Stack>
  );
}

function Groups({ lessonId, pairs, minutes, onDone }: AgainAndGroupsProps & { onDone: () => void }) {
  const [count, setCount] = useState(Math.max(2, groupsFor(pairs.length)));
  const [groupOf, setGroupOf] = useState(() => dealt(pairs, count));
  const [eachMin, setEachMin] = useState<number | string>(Math.max(5, minutes));
  const { send, busy, problem } = useSent(rideInGroupsAction, onDone);
  const split = () => {
    const groups = Array.from({ length: count }, (_, at) =>
      pairs.filter(({ id }) => groupOf[id] === at).map(({ id }) => id),
    );
    send({ lessonId, groups, eachMin: Number(eachMin) });
  };
  return (
    <Stack gap="xs">
      <Title order={2} size="h5">
        In groups, one after the other
      </Title>
      <Text size="sm">Horses of like strides ride together, so that one setting of the ground serves a group.</Text>
      <Group>
        <NumberInput
          label="Groups"
          min={2}
          max={Math.min(8, pairs.length)}
          allowDecimal={false}
          value={count}
          onChange={value => {
            if (typeof value !== 'number' || value < 2 || value > 8) return;
            setCount(value);
            setGroupOf(dealt(pairs, value));
          }}
          maw={110}
        />
        <NumberInput
          label="Minutes each"
          min={5}
          max={240}
          allowDecimal={false}
          value={eachMin}
          onChange={setEachMin}
          maw={130}
        />
      </Group>
      {pairs.map(({ id, name }) => (
        <Group key={id} justify="space-between" wrap="nowrap">
          <Text size="sm">{name}</Text>
          <Select
            aria-label={`Group of ${name}`}
            w={120}
            allowDeselect={false}
            data={Array.from({ length: count }, (_, at) => ({ value: String(at), label: `Group ${at + 1}` }))}
            value={String(groupOf[id] ?? 0)}
            onChange={at => at !== null && setGroupOf(before => ({ ...before, [id]: Number(at) }))}
          />
        </Group>
      ))}
      {problem && <Text role="alert">{problem}</Text>}
      <Button loading={busy} mih={44} onClick={split}>
        Ride in {count} groups
      </Button>
    </Stack>
  );
}

function dealt(pairs: readonly PairToGroup[], count: number): Record<string, number> {
  return Object.fromEntries(groupsOf(pairs, count).flatMap((ids, at) => ids.map(id => [id, at] as const)));
}
