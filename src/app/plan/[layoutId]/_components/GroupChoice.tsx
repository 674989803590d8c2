'use client';

import { Choice } from '@/components/Choice';
import type { School } from '@/core';
import type { Horse } from '@/data/queries/horses';
import { Checkbox, Stack, Text } from '@mantine/core';
import type { PlanControls } from '../_state/usePlanEditor';

type GroupChoiceProps = { controls: PlanControls; horses: readonly Horse[] };

/** Who rides, and in which school the strides are reckoned. */
export default function GroupChoice({ controls, horses }: GroupChoiceProps) {
  const { groupIds, school } = controls.present.plan;
  const names = horses.filter(({ id }) => groupIds.includes(id)).length;
  const toggle = (id: string, there: boolean) =>
    controls.change(plan => ({
      ...plan,
      groupIds: there ? [...plan.groupIds, id] : plan.groupIds.filter(other => other !== id),
    }));
  return (
    <Stack gap={6}>
      {horses.map(({ id, name, archived }) => (
        <Checkbox
          key={id}
          label={archived ? `${name}, archived` : name}
          checked={groupIds.includes(id)}
          onChange={event => toggle(id, event.currentTarget.checked)}
        />
      ))}
      {horses.length === 0 && <Text size="sm">No horses in the yard yet.</Text>}
      {names === 0 && horses.length > 0 && (
        <Text size="sm">Nobody is chosen: exercises are laid out for a horse of 160 cm.</Text>
      )}
      <Text size="sm" fw={500} mt={4}>
        Distances reckoned
      </Text>
      <Choice
        size="xs"
        aria-label="School"
        value={school}
        onChange={value => controls.change(plan => ({ ...plan, school: value as School }))}
        data={[
          { value: 'whole-stride', label: 'in whole strides' },
          { value: 'two-metre', label: 'two metres to land' },
        ]}
      />
    </Stack>
  );
}
