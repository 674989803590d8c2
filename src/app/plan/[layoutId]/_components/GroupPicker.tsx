'use client';

import type { Horse } from '@/data/queries/horses';
import { Button, Popover } from '@mantine/core';
import type { PlanControls } from '../_state/usePlanEditor';
import GroupChoice from './GroupChoice';

type GroupPickerProps = {
  controls: PlanControls;
  horses: readonly Horse[];
  opened: boolean;
  onOpened: (opened: boolean) => void;
};

/** The horses of the lesson, and the school their strides are reckoned in. */
export default function GroupPicker({ controls, horses, opened, onOpened }: GroupPickerProps) {
  return (
    <Popover position="bottom-start" opened={opened} onChange={onOpened}>
      <Popover.Target>
        <Button size="xs" variant="default" onClick={() => onOpened(!opened)}>
          {groupWords(controls, horses)}
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <GroupChoice controls={controls} horses={horses} />
      </Popover.Dropdown>
    </Popover>
  );
}

/** How many ride. */
function groupWords({ present }: PlanControls, horses: readonly Horse[]): string {
  const names = horses.filter(({ id }) => present.plan.groupIds.includes(id)).length;
  return names === 0 ? 'Any horse' : `Horses (${names})`;
}
