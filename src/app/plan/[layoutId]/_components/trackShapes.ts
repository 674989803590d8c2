import { hoofShapes } from '@/components/Sand/hoofShapes';
import { paperFrame } from '@/components/Sand/paperFrame';
import type { SandView } from '@/components/Sand/sandView';
import { linePath, type Shape } from '@/components/Sand/shape';
import { chainPath, chainsPath, wayPoses } from '@/components/Sand/trackPath';
import {
  chainsOf,
  laneStride,
  pointAlong,
  strideMarks,
  type Chain,
  type ItemTrack,
  type Layout,
  type LayoutHorse,
  type ReckonedFigureTrack,
  type ReckonedLeg,
  type ReckonedTrack,
  type RidePiece,
} from '@/core';
import { legMarksOf } from '../_state/legMarksOf';
import type { LegPlace } from '../_state/selection';

/** How the sand is seen: the metres of paper of its text among it. */
export type Seen = { view: SandView; textM: number };

export type LegOnSand = {
  layout: Layout;
  track: ItemTrack;
  index: number;
  leg: ReckonedLeg;
  /** The track that is looked at is drawn stronger, with the way it is ridden. */
  chosen: boolean;
  /** Whose strides are shown. */
  horse: string | null;
  marked: boolean;
};

/** A layout as it is looked at. */
export type InSight = {
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  /** The track that is looked at: its strides are shown. */
  chosenTrack: string | null;
  horse: LayoutHorse | null;
  /** The leg that is selected, or pointed at. */
  marked: LegPlace | null;
  /** The figures of the chosen session that are pointed at; null for none. */
  figures?: readonly number[] | null;
};

/** The legs of a track as they lie on the sand. */
export function legsOnSand({ layout, tracks, chosenTrack, horse, marked }: InSight, id: string): LegOnSand[] {
  const planned = layout.tracks.find(one => one.id === id);
  const track = tracks.find(one => one.id === id);
  if (track?.kind !== 'items' || planned?.kind !== 'items') return [];
  const chosen = id === chosenTrack;
  return track.legs.map((leg, index) => ({
    ...{ layout, track: planned, index, leg, chosen },
    horse: chosen ? (horse?.id ?? null) : null,
    marked: marked?.track === id && marked.leg === index,
  }));
}

/** A leg of a track: its line, which way it is ridden, and the strides of a horse. */
export function legShapes({ layout, track, index, leg, chosen, horse, marked }: LegOnSand, seen: Seen): Shape[] {
  const d = chainPath(seen.view, leg.chain);
  const marks = horse === null ? [] : legMarksOf(layout, track, index, leg, horse);
  const strideM = leg.groundM / Math.max(1, marks.length);
  return [
    ...(marked ? [{ kind: 'path' as const, d, look: 'markedLeg' as const, strokeM: seen.textM * 0.3 }] : []),
    wayShape(d, chosen, seen),
    ...(chosen ? [headShape([leg.chain], seen)] : []),
    ...hoofShapes(marks, strideM, seen),
  ];
}

/** A session of figures on the flat: its line, and the strides of a horse; what is done on the spot is drawn beside it. */
export function sessionShapes(
  track: ReckonedFigureTrack,
  { chosen, horse, figures = null }: { chosen: boolean; horse: LayoutHorse | null; figures?: readonly number[] | null },
  seen: Seen,
): Shape[] {
  const chains = chainsOf(track);
  const pieces = track.session.ok ? track.session.pieces : [];
  const strides = horse ? strideMarks(pieces, gait => laneStride(horse, gait)) : [];
  return [
    ...(chosen ? figureWays(track, figures, seen) : [wayShape(chainsPath(seen.view, chains), false, seen)]),
    ...(chosen ? [headShape(chains, seen)] : []),
    ...(chosen ? aslantShapes(pieces, seen) : []),
    ...hoofShapes(figures === null ? strides : [], strides[0]?.strideM ?? 1, seen),
  ];
}

/** A session figure by figure, every other one in a second tone; where some are pointed at those stand out. */
function figureWays(track: ReckonedFigureTrack, pointed: readonly number[] | null, seen: Seen): Shape[] {
  const { session } = track;
  if (!session.ok) return [];
  const lookOf = (figure: number | null) => {
    if (pointed) return figure !== null && pointed.includes(figure) ? 'markedWay' : 'way';
    return figure === null ? 'way' : figure % 2 === 0 ? 'chosenWay' : 'secondWay';
  };
  const byFigure = new Map<number | null, Chain[]>();
  session.pieces.forEach((piece, index) => {
    if (piece.kind !== 'stretch') return;
    const figure = session.figureOf[index] ?? null;
    byFigure.set(figure, [...(byFigure.get(figure) ?? []), piece.chain]);
  });
  // What stands out lies over the others.
  const shapes = [...byFigure].map(([figure, chains]): Shape => {
    const look = lookOf(figure);
    const strokeM = seen.textM * (look === 'way' ? 0.1 : look === 'markedWay' ? 0.24 : 0.14);
    return { kind: 'path', d: chainsPath(seen.view, chains), look, strokeM };
  });
  const rank = ({ look }: Shape) => (look === 'markedWay' ? 2 : look === 'way' ? 0 : 1);
  return shapes.sort((a, b) => rank(a) - rank(b));
}

function wayShape(d: string, chosen: boolean, { textM }: Seen): Shape {
  return { kind: 'path', d, look: chosen ? 'chosenWay' : 'way', strokeM: textM * (chosen ? 0.14 : 0.1) };
}

/** Common practice, no source: from nose to tail a horse under its rider takes so much ground, metres. */
const BODY_M = 2.4;
const BODIES_EVERY_M = 3;

/** Where the horse goes aside: its body across its way, so that yielding in and yielding out are told apart by eye. */
function aslantShapes(pieces: readonly RidePiece[], { view, textM }: Seen): Shape[] {
  const d = pieces.flatMap(piece => {
    if (piece.kind !== 'stretch' || !piece.sideways) return [];
    const { bodyRad } = piece.sideways;
    return wayPoses([piece.chain], Math.min(BODIES_EVERY_M, piece.chain.lengthM)).map(({ at, headingRad }) => {
      const ends = [-BODY_M / 2, BODY_M / 2].map(alongM => view.toPaper(pointAlong(at, headingRad + bodyRad, alongM)));
      return linePath(ends[0]!, ends[1]!);
    });
  });
  return d.length === 0 ? [] : [{ kind: 'path', d: d.join(''), look: 'aslant', strokeM: textM * 0.3 }];
}

const HEADS_EVERY_M = 9;

/** Which way it is ridden: heads along the track, in one shape. */
function headShape(chains: readonly Chain[], { view, textM }: Seen): Shape {
  const sizeM = textM * 0.8;
  const heads = wayPoses(chains, HEADS_EVERY_M).map(pose => {
    const { at } = paperFrame(view, pose);
    return `M${at(-0.4 * sizeM, -0.34 * sizeM)}L${at(0.2 * sizeM, 0)}L${at(-0.4 * sizeM, 0.34 * sizeM)}`;
  });
  return { kind: 'path', d: heads.join(''), look: 'head', strokeM: sizeM * 0.2 };
}
