import { besideEnd, chainsOf, isRidden, type Item, type Layout, type ReckonedTrack } from '@/core';
import { ItemDrawing } from './ItemDrawing';
import classes from './LayoutDrawing.module.css';
import type { SandView } from './sandView';
import { chainsPath } from './trackPath';

type LayoutDrawingProps = {
  layout: Pick<Layout, 'items'>;
  tracks: readonly ReckonedTrack[];
  view: SandView;
  /** Metres of paper for the text. */
  textM: number;
  /** What is written beside items: their number in a list, or a name. */
  labels?: ReadonlyMap<string, number | string>;
  /** Drawn in black and white, for paper. */
  plain?: boolean;
};

/** A layout as it lies: items and tracks, to scale. */
export function LayoutDrawing({ layout, tracks, view, textM, labels, plain }: LayoutDrawingProps) {
  return (
    <g data-plain={plain || undefined}>
      {tracks.map(track => (
        <path
          key={track.id}
          d={chainsPath(view, chainsOf(track))}
          className={classes.track}
          strokeWidth={textM * 0.13}
        />
      ))}
      {layout.items.map(item => (
        <ItemDrawing key={item.id} item={item} view={view} />
      ))}
      {labels &&
        layout.items.map(item => {
          const label = labels.get(item.id);
          if (label === undefined) return null;
          const { x, y } = labelPlace(item, view, textM);
          return (
            <text key={item.id} x={x} y={y} fontSize={textM} className={classes.number}>
              {label}
            </text>
          );
        })}
    </g>
  );
}

/** The middle of what is written beside an item: beyond an end of what is ridden over, where nothing of it lies. */
function labelPlace(item: Item, view: SandView, textM: number): { x: number; y: number } {
  const [widthM, lengthM] = view.orientation === 'along' ? [view.heightM, view.widthM] : [view.widthM, view.heightM];
  if (isRidden(item)) return view.toPaper(besideEnd(item, textM * 0.8, { widthM, lengthM }));
  const { x, y } = view.toPaper(item.at);
  return { x: x + textM * 0.9, y: y - textM * 0.7 };
}
