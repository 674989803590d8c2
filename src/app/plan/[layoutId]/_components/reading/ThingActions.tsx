'use client';

import { lockThings, mirrorThings, removeThings, type Arena } from '@/core';
import { Button, Group } from '@mantine/core';
import { copySelected } from '../../_state/copySelected';
import type { Selection } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';

export type ThingProps = {
  controls: PlanControls;
  arena: Arena;
  ids: readonly string[];
  onSelect: (selection: Selection) => void;
};

/** What can be done with anything that is selected. */
export function ThingActions({ controls, arena, ids, onSelect }: ThingProps) {
  const { lockedIds } = controls.present.plan;
  const locked = ids.length > 0 && ids.every(id => lockedIds.includes(id));
  return (
    <Group gap={6}>
      <Button
        size="xs"
        variant="default"
        onClick={() => controls.change(plan => mirrorThings(plan, ids, arena.widthM))}
        disabled={locked}
      >
        Other rein
      </Button>
      <Button size="xs" variant="default" onClick={() => copySelected({ controls, ids, onSelect })}>
        Copy
      </Button>
      <Button size="xs" variant="default" onClick={() => controls.change(plan => lockThings(plan, ids, !locked))}>
        {locked ? 'Unlock' : 'Lock'}
      </Button>
      <Button
        size="xs"
        variant="default"
        disabled={locked}
        onClick={() => {
          controls.change(plan => removeThings(plan, ids, controls.shown.resolved.ownerOf));
          onSelect({ ids: [], leg: null });
        }}
      >
        Take off the sand
      </Button>
    </Group>
  );
}
