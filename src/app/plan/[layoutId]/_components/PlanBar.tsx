'use client';

import { LinkButton } from '@/components/LinkButton/LinkButton';
import type { Caution, ItemChoice } from '@/core';
import type { Horse } from '@/data/queries/horses';
import { ActionIcon, Button, Group, Menu, Popover, Tooltip } from '@mantine/core';
import { IconAlertTriangle, IconArrowBackUp, IconArrowForwardUp, IconDots } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import type { SaveStatus } from '../_state/autosaver';
import type { PlanControls } from '../_state/usePlanEditor';
import { AddPiece } from './AddPiece';
import { LayoutName } from './LayoutName';
import classes from './PlanEditor.module.css';
import { SaveNote } from './SaveNote';

const GroupChoice = dynamic(() => import('./GroupChoice'), { ssr: false });

type PlanBarProps = {
  layoutId: string;
  /** What changing this layout touches; null where it was never ridden and is not planned. */
  touches: string | null;
  controls: PlanControls;
  status: SaveStatus;
  horses: readonly Horse[];
  riding: boolean;
  canCall: boolean;
  canWalk: boolean;
  opened: {
    add: boolean;
    onAdd: (opened: boolean) => void;
    horses: boolean;
    onHorses: (opened: boolean) => void;
  };
  onShelf: () => void;
  onAdd: (choice: ItemChoice) => void;
  onCautions: () => void;
  onTeach: () => void;
  onSelectAll: () => void;
  onRide: () => void;
  onWalk: () => void;
  onCall: () => void;
};

/** The name, whether it is saved, and everything that begins something. */
export function PlanBar(props: PlanBarProps) {
  const { layoutId, controls, status, riding, canCall, canWalk, opened } = props;
  return (
    <div className={classes.head}>
      <div className={classes.title}>
        <LayoutName name={controls.present.name} onRename={name => controls.put({ ...controls.present, name })} />
        {props.touches && <p className={classes.touches}>{props.touches}</p>}
      </div>
      <Group gap={6} className={classes.tools}>
        <Button size="xs" onClick={props.onShelf}>
          Shelf
        </Button>
        <AddPiece opened={opened.add} onOpened={opened.onAdd} onAdd={props.onAdd} />
        <Button size="xs" variant={riding ? 'filled' : 'default'} aria-pressed={riding} onClick={props.onRide}>
          Add a track
        </Button>
        <GroupPicker {...props} />
        <Button size="xs" variant="default" disabled={!canWalk} onClick={props.onWalk}>
          Walk it
        </Button>
        <Button size="xs" variant="default" disabled={!canCall} onClick={props.onCall}>
          Call sheet
        </Button>
      </Group>
      <Group gap={6} wrap="nowrap" className={classes.state}>
        <CautionCount cautions={controls.cautions} onShow={props.onCautions} />
        <SaveNote status={status} />
        <Tool label="Undo" disabled={!controls.canUndo} onClick={controls.undo} icon={<IconArrowBackUp size={16} />} />
        <Tool
          label="Redo"
          disabled={!controls.canRedo}
          onClick={controls.redo}
          icon={<IconArrowForwardUp size={16} />}
        />
        <Button size="xs" variant="default" disabled={status.kind !== 'saved'} onClick={props.onTeach}>
          Teach this now
        </Button>
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
            <Menu.Item onClick={props.onSelectAll}>Select everything</Menu.Item>
            <Menu.Item component={Link} href="/plan/keys">
              Keys
            </Menu.Item>
          </Menu.Dropdown>
        </Menu>
      </Group>
    </div>
  );
}

/** How many cautions there are, in the open: pressed, they are read beside the sand. */
function CautionCount({ cautions, onShow }: { cautions: readonly Caution[]; onShow: () => void }) {
  const count = cautions.length;
  if (count === 0) return null;
  const isStop = cautions.some(({ level }) => level === 'stop');
  return (
    <Button
      size="xs"
      variant={isStop ? 'filled' : 'default'}
      leftSection={<IconAlertTriangle size={15} aria-hidden="true" />}
      onClick={onShow}
    >
      {count} {count === 1 ? 'caution' : 'cautions'}
    </Button>
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

/** The horses of the lesson, and the school their strides are reckoned in: the list comes when it is opened. */
function GroupPicker({ controls, horses, opened }: PlanBarProps) {
  const names = horses.filter(({ id }) => controls.present.plan.groupIds.includes(id)).length;
  return (
    <Popover position="bottom-start" opened={opened.horses} onChange={opened.onHorses}>
      <Popover.Target>
        <Button size="xs" variant="default" onClick={() => opened.onHorses(!opened.horses)}>
          {names === 0 ? 'Any horse' : `Horses (${names})`}
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <GroupChoice controls={controls} horses={horses} />
      </Popover.Dropdown>
    </Popover>
  );
}
