import { ActionIcon } from '@mantine/core';
import { IconMaximize, IconMinus, IconPlus } from '@tabler/icons-react';
import type { SandWindow } from '../_state/useSandView';
import classes from './PlanEditor.module.css';

/** Nearer, farther, all of it: on the sand, where one looks. */
export function SandZoom({ window: sand }: { window: SandWindow }) {
  const tools = [
    { label: 'Closer', icon: <IconPlus size={16} />, does: () => sand.zoom(1.4) },
    { label: 'Further out', icon: <IconMinus size={16} />, does: () => sand.zoom(1 / 1.4) },
    { label: 'The whole sand', icon: <IconMaximize size={16} />, does: sand.fit },
  ];
  return (
    <div className={classes.zoom}>
      {tools.map(({ label, icon, does }) => (
        <ActionIcon key={label} variant="default" size="md" aria-label={label} title={label} onClick={does}>
          {icon}
        </ActionIcon>
      ))}
    </div>
  );
}
