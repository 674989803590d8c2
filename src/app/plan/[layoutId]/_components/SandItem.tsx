import { ItemDrawing } from '@/components/Sand/ItemDrawing';
import type { SandView } from '@/components/Sand/sandView';
import { Shapes } from '@/components/Sand/Shapes';
import { footprintCorners, type Item } from '@/core';
import { memo } from 'react';
import { nameShapes, type ItemNaming } from './nameShapes';
import classes from './PlanSand.module.css';
import type { Seen } from './trackShapes';

type SandItemProps = Omit<ItemNaming, 'label'> & Seen & { item: Item; written: string | null; label: string };

/** One item: drawn, named, and reached by keys. */
export const SandItem = memo(function SandItem({ item, label, written, ...props }: SandItemProps) {
  const { view, textM, selected, locked } = props;
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
      <Shapes shapes={nameShapes(item, { ...props, label: written }, props)} />
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
