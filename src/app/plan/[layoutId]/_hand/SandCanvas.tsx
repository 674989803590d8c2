import { readLooks } from '@/components/Sand/readLooks';
import { useElementSize } from '@mantine/hooks';
import { useLayoutEffect, type RefObject } from 'react';
import { useRested, type LiveStore } from './liveShown';
import { drawnWords } from './guideShapes';
import { PaintedCanvas } from './PaintedCanvas';
import classes from '../_components/PlanSand.module.css';
import type { SandScene } from './told';
import type { Painting } from './useHandPainter';

type SandCanvasProps = {
  painting: Painting;
  live: LiveStore;
  scene: Omit<SandScene, 'widthPx' | 'heightPx'>;
  svg: RefObject<SVGSVGElement | null>;
};

/**
 * What a drag moves on the sand. It is the same shapes as those that are pressed and read, on a canvas: to lay them out as
 * elements of the page takes a browser longer than a frame lasts.
 */
export function SandCanvas({ painting, live, scene, svg }: SandCanvasProps) {
  const { ref, width, height } = useElementSize();
  const { tell } = painting;
  useLayoutEffect(() => {
    if (svg.current) tell({ kind: 'sand-looks', looks: readLooks(svg.current) });
  }, [tell, svg]);
  const { orientation, box, textM, chosenTrack, horse, selection, marked } = scene;
  useLayoutEffect(() => {
    const [widthPx, heightPx] = [width, height].map(px => Math.round(px * window.devicePixelRatio)) as [number, number];
    const seen = { orientation, box, textM, chosenTrack, horse, selection, marked };
    tell({ kind: 'sand', scene: { ...seen, widthPx, heightPx } });
  }, [tell, orientation, box, textM, chosenTrack, horse, selection, marked, width, height]);
  const rested = useRested(live)?.drag;
  return (
    <>
      <div ref={ref} className={classes.layer}>
        <PaintedCanvas painting={painting} part="sand" />
      </div>
      <p role="status" className="roan-visually-hidden">
        {rested ? drawnWords(rested) : ''}
      </p>
    </>
  );
}
