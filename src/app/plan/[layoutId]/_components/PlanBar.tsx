'use client';

import { LinkButton } from '@/components/LinkButton/LinkButton';
import { ITEM_CHOICES, type ItemChoice, type School } from '@/core';
import type { Horse } from '@/data/queries/horses';
import {
  ActionIcon,
  Button,
  Checkbox,
  Group,
  Menu,
  Popover,
  SegmentedControl,
  Stack,
  Text,
  Tooltip,
} from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp, IconDots, IconMaximize, IconMinus, IconPlus } from '@tabler/icons-react';
import Link from 'next/link';
import type { SaveStatus } from '../_state/autosaver';
import type { PlanControls } from '../_state/usePlanEditor';
import type { SandWindow } from '../_state/useSandView';
import { LayoutName } from './LayoutName';
import classes from './PlanEditor.module.css';
import { SaveNote } from './SaveNote';

type PlanBarProps = {
  layoutId: string;
  controls: PlanControls;
  window: SandWindow;
  status: SaveStatus;
  horses: readonly Horse[];
  riding: boolean;
  canCall: boolean;
  canWalk: boolean;
  opened: { layDown: boolean; onLayDown: (opened: boolean) => void };
  onShelf: () => void;
  onLayDown: (choice: ItemChoice) => void;
  onRide: () => void;
  onWalk: () => void;
  onCall: () => void;
};

const ITEM_WORDS: Record<ItemChoice, string> = {
  pole: 'Pole',
  'raised pole': 'Raised pole',
  'cross-rail': 'Cross-rail',
  vertical: 'Vertical',
  oxer: 'Oxer',
  'triple-bar': 'Triple bar',
  wall: 'Wall',
  narrow: 'Narrow fence',
  corner: 'Corner',
  guide: 'Guide rail',
  cone: 'Cone',
  block: 'Block',
  marker: 'Marker',
};

/** The name, whether it is saved, and everything that begins something. */
export function PlanBar(props: PlanBarProps) {
  const { layoutId, controls, window: sand, status, riding, canCall, canWalk, opened } = props;
  return (
    <div className={classes.head}>
      <LayoutName name={controls.present.name} onRename={name => controls.put({ ...controls.present, name })} />
      <Group gap={6} className={classes.tools}>
        <Button size="xs" onClick={props.onShelf}>
          Shelf
        </Button>
        <Menu opened={opened.layDown} onChange={opened.onLayDown} position="bottom-start">
          <Menu.Target>
            <Button size="xs" variant="default">
              Lay down
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            {ITEM_CHOICES.map(choice => (
              <Menu.Item key={choice} onClick={() => props.onLayDown(choice)}>
                {ITEM_WORDS[choice]}
              </Menu.Item>
            ))}
          </Menu.Dropdown>
        </Menu>
        <Button size="xs" variant={riding ? 'filled' : 'default'} aria-pressed={riding} onClick={props.onRide}>
          {riding ? 'End the track' : 'Ride a track'}
        </Button>
        <GroupPicker {...props} />
        <Button size="xs" variant="default" disabled={!canWalk} onClick={props.onWalk}>
          Walk it
        </Button>
        <Button size="xs" variant="default" disabled={!canCall} onClick={props.onCall}>
          Call sheet
        </Button>
      </Group>
      <Group gap={6} wrap="nowrap">
        <SaveNote status={status} />
        <Tool label="Undo" disabled={!controls.canUndo} onClick={controls.undo} icon={<IconArrowBackUp size={16} />} />
        <Tool
          label="Redo"
          disabled={!controls.canRedo}
          onClick={controls.redo}
          icon={<IconArrowForwardUp size={16} />}
        />
        <Tool label="Closer" onClick={() => sand.zoom(1.4)} icon={<IconPlus size={16} />} />
        <Tool label="Further out" onClick={() => sand.zoom(1 / 1.4)} icon={<IconMinus size={16} />} />
        <Tool label="The whole sand" onClick={sand.fit} icon={<IconMaximize size={16} />} />
        <LinkButton href={`/set/${layoutId}`} size="xs" variant="default">
          Set it out
        </LinkButton>
        <Menu position="bottom-end">
          <Menu.Target>
            <ActionIcon variant="default" size="md" aria-label="More">
              <IconDots size={16} />
            </ActionIcon>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Item component={Link} href={`/plan/${layoutId}/versions`}>
              Versions
            </Menu.Item>
            <Menu.Item component="a" href={`/api/layouts/${layoutId}/file`}>
              Save as a layout file
            </Menu.Item>
            <Menu.Item component="a" href={`/api/layouts/${layoutId}/drawing`}>
              Save as a drawing (SVG)
            </Menu.Item>
            <Menu.Item component={Link} href="/plan/keys">
              Keys
            </Menu.Item>
          </Menu.Dropdown>
        </Menu>
      </Group>
    </div>
  );
}

type ToolProps = { label: string; icon: React.ReactNode; disabled?: boolean; onClick: () => void };

function Tool({ label, icon, disabled, onClick }: ToolProps) {
  return (
    <Tooltip label={label}>
      <ActionIcon variant="default" size="md" aria-label={label} disabled={disabled} onClick={onClick}>
        {icon}
      </ActionIcon>
    </Tooltip>
  );
}

/** The horses of the lesson, and the school their strides are reckoned in. */
function GroupPicker({ controls, horses }: PlanBarProps) {
  const { groupIds, school } = controls.present.plan;
  const names = horses.filter(({ id }) => groupIds.includes(id)).length;
  const toggle = (id: string, there: boolean) =>
    controls.change(plan => ({
      ...plan,
      groupIds: there ? [...plan.groupIds, id] : plan.groupIds.filter(other => other !== id),
    }));
  return (
    <Popover position="bottom-start">
      <Popover.Target>
        <Button size="xs" variant="default">
          Horses ({names})
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <Stack gap={6}>
          {horses.map(({ id, name, archived }) => (
            <Checkbox
              key={id}
              label={archived ? `${name}, put away` : name}
              checked={groupIds.includes(id)}
              onChange={event => toggle(id, event.currentTarget.checked)}
            />
          ))}
          {horses.length === 0 && <Text size="sm">No horses in the yard yet.</Text>}
          <Text size="sm" fw={500} mt={4}>
            Distances reckoned
          </Text>
          <SegmentedControl
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
      </Popover.Dropdown>
    </Popover>
  );
}
