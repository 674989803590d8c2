'use client';

import { GroundMarks } from '@/components/Sand/GroundMarks';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM, wholeBox } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { type Layout, type ReckonedTrack } from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import { mmPerM, paperScale } from '@/files/paperScale';
import type { CSSProperties } from 'react';
import type { SetStep } from './setStep';
import classes from './SheetDrawing.module.css';

type SheetDrawingProps = {
  layout: Layout;
  /** Where home, the way in and bad places are. */
  marks: ArenaMarks;
  tracks: readonly ReckonedTrack[];
  steps: readonly SetStep[];
  isTicked: (id: string, place: string) => boolean | undefined;
  onPiece: (id: string) => void;
};

/** What fits beside its margins on A4 as well as on Letter, and leaves room for the list. */
const PAPER_SPACE = { widthMm: 186, heightMm: 85 };
/** A finger needs so much sand round a piece. */
const FINGER_M = 1.6;

/** The layout with its pieces numbered; a piece that is tapped shows how it is put back. Printed to a stated scale. */
export function SheetDrawing({ layout, marks, tracks, steps, isTicked, onPiece }: SheetDrawingProps) {
  const { arena, items } = layout;
  const view = sandView(arena, 'along');
  const textM = sandTextM(arena);
  const box = wholeBox(arena, view);
  const scale = paperScale({ widthM: box.width, heightM: box.height }, PAPER_SPACE);
  const pieces = steps.filter(({ id }) => items.some(item => item.id === id));
  const numbers = new Map(pieces.map(({ id, label }) => [id, label]));
  return (
    <figure className={classes.figure} style={{ '--print-width': `${box.width * mmPerM(scale)}mm` } as CSSProperties}>
      <Sand arena={arena} view={view} label={`${layout.name}, with the pieces numbered`} className={classes.drawing}>
        <GroundMarks marks={marks} view={view} textM={textM} />
        <LayoutDrawing layout={layout} tracks={tracks} view={view} textM={textM} labels={numbers} plain />
        {pieces.map(({ id, label, name, place }) => {
          const { x, y } = view.toPaper(items.find(item => item.id === id)!.at);
          const stands = isTicked(id, place);
          return (
            <circle
              key={id}
              cx={x}
              cy={y}
              r={FINGER_M}
              role="button"
              tabIndex={0}
              aria-label={`Put back ${label}, ${name}${stands ? ', stands' : ''}`}
              className={classes.finger}
              data-stands={stands || undefined}
              onClick={() => onPiece(id)}
              onKeyDown={event => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                onPiece(id);
              }}
            />
          );
        })}
      </Sand>
      <figcaption className={classes.scale}>Printed 1 : {scale}. The scale bar tells where it is not.</figcaption>
    </figure>
  );
}
