import { ItemDrawing } from '@/components/Sand/ItemDrawing';
import type { SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import { Shapes } from '@/components/Sand/Shapes';
import { footprintCorners, pointAlong, type Item } from '@/core';
import { memo } from 'react';
import classes from './PlanSand.module.css';
import type { Seen } from './trackShapes';

/** What is written beside an item. */
export type ItemNaming = {
  /** Its place in the order that is ridden. */
  number: string | null;
  selected: boolean;
  locked: boolean;
};

type SandItemProps = ItemNaming & Seen & { item: Item; label: string };

/** One item: drawn, named, and reached by keys. */
export const SandItem = memo(function SandItem({ item, label, ...props }: SandItemProps) {
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
      <Shapes shapes={nameShapes(item, props, props)} />
    </g>
  );
});

/** The order and the name of an item, beside it. */
export function nameShapes(item: Item, { number, selected, locked }: ItemNaming, { view, textM }: Seen): Shape[] {
  // The poles of a row lie close: their order says enough.
  const named = item.kind === 'fence' || (selected && number === null);
  if (!named && number === null) return [];
  const at = view.toPaper(item.at);
  const { x, y } = 'headingRad' in item ? namePlace(item, view, textM) : { x: at.x, y: at.y + textM * 1.1 };
  const name = `${named ? ` ${item.id.split(' ').pop()}` : ''}${locked ? ' (locked)' : ''}`;
  const runs = [
    ...(number === null ? [] : [{ words: number, look: 'order' as const }]),
    ...(name ? [{ words: name }] : []),
  ];
  return [{ kind: 'text', x, y, sizeM: textM * 0.82, look: 'name', runs }];
}

/** Beside the right end of an item, as ridden. */
function namePlace(item: Extract<Item, { headingRad: number }>, view: SandView, textM: number) {
  const halfM = item.kind === 'pole' ? item.lengthM / 2 : item.kind === 'fence' ? item.widthM / 2 + 0.5 : 0.3;
  return view.toPaper(pointAlong(item.at, item.headingRad - Math.PI / 2, halfM + textM * 0.9));
}

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
