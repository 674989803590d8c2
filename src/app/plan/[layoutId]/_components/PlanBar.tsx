'use client';

import { LinkButton } from '@/components/LinkButton/LinkButton';
import type { Caution, ItemChoice } from '@/core';
import type { Horse } from '@/data/queries/horses';
import { ActionIcon, Button, Group, VisuallyHidden } from '@mantine/core';
import { IconAlertTriangle, IconArrowBackUp, IconArrowForwardUp, IconDots } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import type { SaveStatus } from '../_state/autosaver';
import type { PlanControls } from '../_state/usePlanEditor';
import { LayoutName } from './LayoutName';
import classes from './PlanEditor.module.css';
import { SaveNote } from './SaveNote';

/** What opens something comes once the page is there: until then its key waits where it will be, as wide as it will be. */
const waiting = (words: string) =>
  function Waiting() {
    return (
      <Button size="xs" variant="default" disabled>
        {words}
      </Button>
    );
  };

const AddPiece = dynamic(() => import('./AddPiece').then(m => m.AddPiece), {
  ssr: false,
  loading: waiting('Add a piece'),
});
const GroupPicker = dynamic(() => import('./GroupPicker'), { ssr: false, loading: waiting('Horses (0)') });
const MoreMenu = dynamic(() => import('./MoreMenu'), {
  ssr: false,
  loading: () => (
    <ActionIcon variant="default" size="md" aria-label="More" disabled>
      <IconDots size={16} />
    </ActionIcon>
  ),
});

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
  onRefit: () => void;
  onCompose: () => void;
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
        <VisuallyHidden component="h1">{controls.present.name}</VisuallyHidden>
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
        <GroupPicker controls={controls} horses={props.horses} opened={opened.horses} onOpened={opened.onHorses} />
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
        <MoreMenu
          layoutId={layoutId}
          onSelectAll={props.onSelectAll}
          onRefit={props.onRefit}
          onCompose={props.onCompose}
        />
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
    <ActionIcon variant="default" size="md" aria-label={label} title={label} disabled={disabled} onClick={onClick}>
      {icon}
    </ActionIcon>
  );
}
