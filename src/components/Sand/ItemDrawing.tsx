import type { Item } from '@/core';
import { memo } from 'react';
import { itemShapes } from './itemShapes';
import type { SandView } from './sandView';
import { Shapes } from './Shapes';

type ItemDrawingProps = { item: Item; view: SandView };

/** An item as it looks from above, to scale. */
export const ItemDrawing = memo(function ItemDrawing({ item, view }: ItemDrawingProps) {
  return (
    <g data-drawn={item.id} data-kind={item.kind}>
      <Shapes shapes={itemShapes(item, view)} />
    </g>
  );
});
