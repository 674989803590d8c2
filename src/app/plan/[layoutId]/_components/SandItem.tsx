import { ItemDrawing } from '@/components/Sand/ItemDrawing';
import type { SandView } from '@/components/Sand/sandView';
import { footprintCorners, type Item } from '@/core';
import { memo } from 'react';
import classes from './PlanSand.module.css';
import type { Seen } from './trackShapes';

type SandItemProps = Seen & { item: Item; label: string; selected: boolean; locked: boolean };

/** One item: drawn, and reached by keys; what is written beside it is written over all items. */
export const SandItem = memo(function SandItem({ item, label, selected, locked, view, textM }: SandItemProps) {
  const { x, y } = view.toPaper(item.at);
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={locked ? `${label}, locked` : label}
      aria-pressed={selected}
      className={classes.item}
      data-item={item.id}
    >
      <circle cx={x} cy={y} r={Math.max(0.7, textM)} className={classes.grip} />
      <ItemGrip item={item} view={view} />
      <ItemDrawing item={item} view={view} />
    </g>
  );
});

/** Where an item can be taken hold of: a little more than it covers. */
function ItemGrip({ item, view }: { item: Item; view: SandView }) {
  return <polygon points={outline(item, view)} className={classes.gripShape} />;
}

function outline(item: Item, view: SandView): string {
  return footprintCorners(item)
    .map(corner => view.toPaper(corner))
    .map(({ x, y }) => `${x},${y}`)
    .join(' ');
}
