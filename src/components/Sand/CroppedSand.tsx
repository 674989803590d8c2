import type { Arena, Item, PointM, ReckonedTrack } from '@/core';
import type { ReactNode } from 'react';
import { cropBox } from './cropBox';
import { itemShapes } from './itemShapes';
import { LayoutDrawing } from './LayoutDrawing';
import { Sand } from './Sand';
import { sandView } from './sandView';
import type { Shape } from './shape';
import { Shapes } from './Shapes';

type CroppedSandProps = {
  arena: Arena;
  items: Item[];
  tracks: readonly ReckonedTrack[];
  /** Drawn over it: prints, somebody who stands there. */
  over?: (seen: { view: ReturnType<typeof sandView>; textM: number }) => readonly Shape[];
  /** What else is to be seen. */
  more?: readonly PointM[];
  /** So many letters are as long as the picture: fewer in a smaller one. */
  letters?: number;
  children?: ReactNode;
};

/** A small true drawing: as near as what lies there lets it be. */
export function CroppedSand({ arena, items, tracks, over, more, letters = 22, children }: CroppedSandProps) {
  const view = sandView(arena, 'along');
  const box = cropBox(view, items, tracks, more);
  const textM = Math.max(box.width, box.height) / letters;
  return (
    <Sand arena={arena} view={view} label="" box={box} textM={textM} isPicture>
      <LayoutDrawing layout={{ items: [] }} tracks={tracks} view={view} textM={textM} />
      {/* A picture of things, not the things: nothing of it is pressed or found by what it is. */}
      <Shapes shapes={items.flatMap(item => itemShapes(item, view))} />
      {over && <Shapes shapes={over({ view, textM })} />}
      {children}
    </Sand>
  );
}
