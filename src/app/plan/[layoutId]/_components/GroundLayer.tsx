import { GroundMarks } from '@/components/Sand/GroundMarks';
import { Sand, type PaperBox } from '@/components/Sand/Sand';
import type { SandView } from '@/components/Sand/sandView';
import type { Arena } from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import { memo, type RefObject } from 'react';
import classes from './PlanSand.module.css';

type GroundLayerProps = {
  arena: Arena;
  marks: ArenaMarks;
  view: SandView;
  box: PaperBox;
  textM: number;
  svg: RefObject<SVGSVGElement | null>;
};

/** The sand itself, with its lines and letters and what the yard has marked on it. */
export const GroundLayer = memo(function GroundLayer({ arena, marks, view, box, textM, svg }: GroundLayerProps) {
  return (
    <Sand arena={arena} view={view} ref={svg} label="" className={classes.board} box={box} textM={textM}>
      <GroundMarks marks={marks} view={view} textM={textM} />
    </Sand>
  );
});
