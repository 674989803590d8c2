import type { LayoutHorse } from '@/core';
import { memo, type RefObject } from 'react';
import classes from './Ribbon.module.css';
import { HEAD_PX, NAMES_PX, ROW_PX } from './ribbonFrame';

type HorseNamesProps = {
  horses: readonly LayoutHorse[];
  chosen: string | null;
  /** The whole ribbon, its head, and a row of it. */
  heightPx: number;
  headPx?: number;
  rowPx?: number;
  latest: RefObject<{ onHorse: (id: string) => void }>;
};

/** The horses down the side: pressed, one shows its strides on the sand. */
export const HorseNames = memo(function HorseNames({
  horses,
  chosen,
  heightPx,
  headPx = HEAD_PX,
  rowPx = ROW_PX,
  latest,
}: HorseNamesProps) {
  return (
    <div className={classes.names} style={{ width: NAMES_PX }}>
      <span className={classes.backing} style={{ height: heightPx }} />
      {horses.map(({ id, name }, row) => (
        <button
          key={id}
          type="button"
          aria-label={`Show the strides of ${name}`}
          aria-pressed={id === chosen}
          className={classes.name}
          style={{ top: headPx + row * rowPx + 2, width: NAMES_PX - 6, height: rowPx - 4 }}
          data-horse={name}
          onClick={() => latest.current.onHorse(id)}
        >
          {name}
        </button>
      ))}
    </div>
  );
});
