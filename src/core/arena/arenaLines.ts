import type { PointM } from '../geometry/pointM';
import type { Arena } from './arena';

export type ArenaLine = {
  name: 'centre line' | 'left quarter line' | 'right quarter line' | 'half line';
  from: PointM;
  to: PointM;
};

/** Centre line, quarter lines (halfway between centre line and long side) and the line across the middle. */
export function arenaLines(arena: Arena): ArenaLine[] {
  const along = (xM: number) => ({ from: { xM, yM: 0 }, to: { xM, yM: arena.lengthM } });
  return [
    { name: 'centre line', ...along(arena.widthM / 2) },
    { name: 'left quarter line', ...along(arena.widthM / 4) },
    { name: 'right quarter line', ...along((arena.widthM * 3) / 4) },
    {
      name: 'half line',
      from: { xM: 0, yM: arena.lengthM / 2 },
      to: { xM: arena.widthM, yM: arena.lengthM / 2 },
    },
  ];
}
