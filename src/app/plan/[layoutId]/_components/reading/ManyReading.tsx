'use client';

import { LengthField } from '@/components/LengthField/LengthField';
import { alignThings, distanceM, exerciseLabel, layoutLabels, spaceThings, thingAt, type Fence } from '@/core';
import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { itemsOf } from '../../_state/thingsShown';
import { useTyping } from '../../_state/useTyping';
import { HeightRows } from './HeightRows';
import { ThingActions, type ThingProps } from './ThingActions';

type ManyReadingProps = ThingProps & { onKeep: () => void };

/** Several things together: put in line, spaced, turned alike. */
export function ManyReading({ onKeep, ...props }: ManyReadingProps) {
  const { controls, ids } = props;
  const typing = useTyping(controls);
  const { plan } = controls.shown;
  const [first, second] = [ids[0], ids[1]].map(id => (id === undefined ? null : thingAt(plan, id)));
  const apartM = first && second ? distanceM(first, second) : 0;
  const { layout, exercises } = { ...controls.shown.resolved };
  const isItem = layout.items.some(({ id }) => id === ids[0]);
  const firstCalled = isItem ? layoutLabels(layout).inWords(ids[0]!) : exerciseLabel(exercises, ids[0] ?? '');
  const fences = itemsOf(controls.shown.resolved, ids).filter((item): item is Fence => item.kind === 'fence');
  const align = (how: 'along' | 'across' | 'facing') => controls.change(standing => alignThings(standing, ids, how));
  return (
    <Stack gap="xs" component="section" aria-label={`${ids.length} things`}>
      <Title order={2} size="h4">
        {ids.length} things
      </Title>
      <Text size="sm" c="dimmed">
        In line with, and turned like, the first of them{firstCalled && `: ${firstCalled}`}.
      </Text>
      <Group gap={6}>
        <Button size="xs" variant="default" onClick={() => align('along')}>
          In line along
        </Button>
        <Button size="xs" variant="default" onClick={() => align('across')}>
          In line across
        </Button>
        <Button size="xs" variant="default" onClick={() => align('facing')}>
          Facing alike
        </Button>
        <Button
          size="xs"
          variant="default"
          onClick={() => controls.change(standing => spaceThings(standing, ids, null))}
        >
          Space evenly
        </Button>
      </Group>
      <LengthField
        label="From one to the next, centre to centre"
        lengthM={apartM}
        minM={0.2}
        maxM={100}
        onCommit={gapM => {
          controls.change(standing => spaceThings(standing, ids, gapM));
          return null;
        }}
      />
      <HeightRows fences={fences} labels={layoutLabels(layout)} typing={typing} />
      <ThingActions {...props} />
      <Button size="xs" variant="default" onClick={onKeep} style={{ alignSelf: 'flex-start' }}>
        Keep on the shelf
      </Button>
    </Stack>
  );
}
