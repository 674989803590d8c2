import { chainsOf, type Layout, type ReckonedTrack } from '@/core';
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
          const { x, y } = view.toPaper(item.at);
          return (
            label !== undefined && (
              <text key={item.id} x={x + textM * 0.75} y={y - textM * 0.6} fontSize={textM} className={classes.number}>
                {label}
              </text>
            )
          );
        })}
    </g>
  );
}
