import type { LayoutHorse } from '@/core';
import { memo, type RefObject } from 'react';
import classes from './Ribbon.module.css';
import type { RibbonProps } from './Ribbon';
import { HEAD_PX, NAMES_PX, ROW_PX } from './ribbonFrame';

type HorseNamesProps = {
  horses: readonly LayoutHorse[];
  chosen: string | null;
  heightPx: number;
  latest: RefObject<RibbonProps>;
};

/** The horses down the side: pressed, one shows its strides on the sand. */
export const HorseNames = memo(function HorseNames({ horses, chosen, heightPx, latest }: HorseNamesProps) {
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
          style={{ top: HEAD_PX + row * ROW_PX + 2, width: NAMES_PX - 6, height: ROW_PX - 4 }}
          data-horse={name}
          onClick={() => latest.current.onHorse(id)}
        >
          {name}
        </button>
      ))}
    </div>
  );
});
