import { useLatest } from '@/components/useLatest';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { fitted, paintShapes, type Looks } from '@/components/Sand/paintShapes';
import { readLooks } from '@/components/Sand/readLooks';
import { itemShapes } from '@/components/Sand/itemShapes';
import type { PaperBox } from '@/components/Sand/Sand';
import type { Shape } from '@/components/Sand/shape';
import type { Arena, Item, LayoutHorse } from '@/core';
import { useLayoutEffect, useMemo, useRef, type RefObject } from 'react';
import { useRested, type Live, type LiveStore } from '../_state/liveShown';
import type { Parts } from '../_state/movedParts';
import type { LegPlace, Selection } from '../_state/selection';
import { itemsOf, middleOf } from '../_state/thingsShown';
import { drawnWords, guideShapes } from './guideShapes';
import { knobShapes, outlineShapes, viaShapes } from './handleShapes';
import classes from './PlanSand.module.css';
import { nameShapes, type ItemNaming } from './SandItem';
import { standShape } from './Stands';
import { legsOnSand } from './TrackLayer';
import { legShapes, sessionShapes, type Seen } from './trackShapes';

export type LiveScene = Seen & {
  arena: Arena;
  box: PaperBox;
  /** What lies as it stands is not drawn here. */
  standing: Parts;
  chosenTrack: string | null;
  horse: LayoutHorse | null;
  selection: Selection;
  marked: { items: readonly string[]; leg: LegPlace | null };
  naming: (item: Item) => ItemNaming;
};

type LiveCanvasProps = { live: LiveStore; scene: LiveScene; svg: RefObject<SVGSVGElement | null> };

/**
 * What a drag moves, drawn in the frame in which the hand moved. It is the same shapes as those that are pressed and read,
 * on a canvas: to lay them out as elements of the page takes a browser longer than a frame lasts.
 */
export function LiveCanvas({ live, scene, svg }: LiveCanvasProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const looks = useRef<Looks | null>(null);
  const { format } = useLengths();
  const { standing } = scene;
  const still = useMemo(() => new Set(standing.values()), [standing]);
  const latest = useLatest({ scene, still, format });
  useLayoutEffect(() => {
    const paint = () => {
      const onItsWay = live.get();
      if (!canvas.current || !svg.current) return;
      if (!onItsWay) return roll(canvas.current);
      unroll(canvas.current);
      looks.current ??= readLooks(svg.current);
      const paper = canvas.current.getContext('2d');
      if (!paper) return;
      const { width, height } = canvas.current;
      paper.resetTransform();
      paper.clearRect(0, 0, width, height);
      const shapes = liveShapes(onItsWay, latest.current);
      paintShapes(paper, shapes, fitted(latest.current.scene.box, width, height), looks.current);
    };
    return live.subscribe(paint);
  }, [live, svg, latest]);
  const rested = useRested(live)?.drag;
  return (
    <>
      <canvas ref={canvas} width={0} height={0} className={classes.layer} aria-hidden="true" data-layer="canvas" />
      <p role="status" className="roan-visually-hidden">
        {rested ? drawnWords(rested) : ''}
      </p>
    </>
  );
}

type LiveOf = { scene: LiveScene; still: ReadonlySet<unknown>; format: (lengthM: number) => string };

/** Everything that moved, with what is shown of the hand: outlines, handles and guides. */
function liveShapes({ shown, drag }: Live, { scene, still, format }: LiveOf): Shape[] {
  const { arena, view, selection, marked, naming } = scene;
  const { resolved, tracks } = shown;
  const { layout } = resolved;
  const selected = itemsOf(resolved, selection.ids);
  const isMoved = (part: unknown) => !still.has(part);
  const at = middleOf(shown, selection.ids);
  const inSight = { layout, tracks, ...scene, marked: selection.leg ?? marked.leg };
  const ways = tracks.flatMap(track => {
    const chosen = track.id === scene.chosenTrack;
    if (track.kind === 'figures')
      return isMoved(track) ? sessionShapes(track, { chosen, horse: chosen ? scene.horse : null }, scene) : [];
    return legsOnSand(inSight, track.id).flatMap(on => (isMoved(on.leg) ? legShapes(on, scene) : []));
  });
  const pointedAt = layout.items.filter(({ id }) => marked.items.includes(id));
  return [
    ...ways,
    ...resolved.exercises.filter(isMoved).map(({ laid }) => standShape(laid.stand, scene)),
    ...outlineShapes(pointedAt, view, 'marked'),
    ...outlineShapes(selected, view, 'selected'),
    ...layout.items.flatMap(item =>
      isMoved(item) ? [...itemShapes(item, view), ...nameShapes(item, naming(item), scene)] : [],
    ),
    ...knobShapes(at, selected, scene),
    ...viaShapes(shown, selection, scene),
    ...(drag ? guideShapes({ drag, layout, arena, format, ids: selection.ids }, scene) : []),
  ];
}

/** As many pixels as the screen has under it. */
function unroll(canvas: HTMLCanvasElement): void {
  if (canvas.width > 0) return;
  canvas.width = Math.round(canvas.clientWidth * window.devicePixelRatio);
  canvas.height = Math.round(canvas.clientHeight * window.devicePixelRatio);
}

/** An empty canvas takes no room in memory and shows nothing. */
function roll(canvas: HTMLCanvasElement): void {
  if (canvas.width === 0) return;
  canvas.width = 0;
  canvas.height = 0;
}
