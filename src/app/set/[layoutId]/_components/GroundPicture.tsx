import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import type { Item, Layout, ReckonedTrack } from '@/core';
import classes from './GroundPanel.module.css';

type GroundPictureProps = {
  layout: Layout;
  standing: readonly Item[];
  tracks: readonly ReckonedTrack[];
  numberOf: (item: string) => string;
};

/** The sand as it stands, over where the plan has it. */
export function GroundPicture({ layout, standing, tracks, numberOf }: GroundPictureProps) {
  const view = sandView(layout.arena, 'along');
  const textM = sandTextM(layout.arena);
  const labels = new Map(layout.items.map(({ id }) => [id, numberOf(id)]));
  return (
    <Sand arena={layout.arena} view={view} label="As it stands, over the plan" className={classes.drawing}>
      <g className={classes.before}>
        <LayoutDrawing layout={layout} tracks={[]} view={view} textM={textM} />
      </g>
      <LayoutDrawing
        layout={{ ...layout, items: [...standing] }}
        tracks={tracks}
        view={view}
        textM={textM}
        labels={labels}
      />
    </Sand>
  );
}
