import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import type { Layout, PointM } from '@/core';
import type { CarryHalt } from '@/files/changeWords';
import classes from './CarryBoard.module.css';

type CarryDrawingProps = {
  from: Layout;
  fromOf: (item: string) => string;
  to: Layout;
  toOf: (item: string) => string;
  halts: readonly CarryHalt[];
  /** Where the walk begins. */
  start: PointM;
};

const named = ({ items }: Layout, of: (item: string) => string) => new Map(items.map(({ id }) => [id, of(id)]));

/** What comes over what stands now, with the walk from halt to halt. */
export function CarryDrawing({ from, fromOf, to, toOf, halts, start }: CarryDrawingProps) {
  const view = sandView(from.arena, 'along');
  const textM = sandTextM(from.arena);
  const places = [start, ...halts.map(({ at }) => at)].map(view.toPaper);
  const way = places.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');
  return (
    <Sand arena={from.arena} view={view} label="The walk from halt to halt" className={classes.drawing}>
      <g className={classes.before}>
        <LayoutDrawing layout={from} tracks={[]} view={view} textM={textM} labels={named(from, fromOf)} />
      </g>
      <path d={way} className={classes.way} strokeWidth={textM * 0.1} />
      <LayoutDrawing layout={to} tracks={[]} view={view} textM={textM} labels={named(to, toOf)} />
    </Sand>
  );
}
