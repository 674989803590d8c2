import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import {
  askedLayout,
  isRidden,
  labelsAsBuilt,
  reckonLayout,
  type Layout,
  type Question,
  type RideDirection,
} from '@/core';
import classes from './Record.module.css';

type PassDrawingProps = { layout: Layout; question: Question; direction: RideDirection };

/** What was ridden, as it stood on that day. */
export function PassDrawing({ layout, question, direction }: PassDrawingProps) {
  const asked = askedLayout({ ...layout, horses: [] }, question, direction);
  if (!asked) return null;
  const view = sandView(layout.arena, 'along');
  const labels = labelsAsBuilt(layout, asked);
  const numbers = new Map(asked.items.filter(isRidden).map(({ id }) => [id, labels.short(id)]));
  return (
    <Sand arena={layout.arena} view={view} label="What was ridden, as it stood" className={classes.drawing}>
      <LayoutDrawing
        layout={asked}
        tracks={reckonLayout(asked)}
        view={view}
        textM={sandTextM(layout.arena) * 1.2}
        labels={numbers}
      />
    </Sand>
  );
}
