import { Hoof } from '@/components/Sand/Hoof';
import { paperFrame } from '@/components/Sand/paperFrame';
import { drawn, type SandView } from '@/components/Sand/sandView';
import { chainPath, chainsPath, wayPoses } from '@/components/Sand/trackPath';
import {
  chainsOf,
  laneStride,
  leadMarks,
  strideMarks,
  type Chain,
  type HoofMark,
  type ItemTrack,
  type Layout,
  type LayoutHorse,
  type Pose,
  type ReckonedFigureTrack,
  type ReckonedLeg,
  type ReckonedTrack,
  type RidePiece,
} from '@/core';
import { memo } from 'react';
import { legMarksOf } from '../_state/legMarksOf';
import type { LegPlace } from '../_state/selection';
import classes from './PlanSand.module.css';

type TrackLayerProps = {
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  /** The track that is looked at: its strides are shown. */
  chosenTrack: string | null;
  horse: LayoutHorse | null;
  view: SandView;
  textM: number;
  /** The leg that is selected, or pointed at. */
  marked: LegPlace | null;
  /** Which of the legs and sessions are drawn here. */
  isHere: (part: ReckonedLeg | ReckonedFigureTrack) => boolean;
};

/** Tracks with the way they are ridden, and on the chosen one the strides of the chosen horse. */
export function TrackLayer(props: TrackLayerProps) {
  const { layout, tracks, chosenTrack, horse, view, textM, marked, isHere } = props;
  return tracks.map((track, index) => {
    const planned = layout.tracks[index]!;
    const chosen = track.id === chosenTrack;
    return (
      <g key={track.id} data-track-drawn={track.id} data-chosen={chosen || undefined} className={classes.track}>
        {track.kind === 'items' &&
          planned.kind === 'items' &&
          track.legs.map(
            (leg, at) =>
              isHere(leg) && (
                <LegLayer
                  key={at}
                  {...{ layout, leg, view, textM, chosen }}
                  track={planned}
                  index={at}
                  horse={chosen ? (horse?.name ?? null) : null}
                  marked={marked?.track === track.id && marked.leg === at}
                />
              ),
          )}
        {track.kind === 'figures' && isHere(track) && (
          <SessionLayer {...{ track, view, textM, chosen }} horse={chosen ? horse : null} />
        )}
      </g>
    );
  });
}

type LegLayerProps = {
  layout: Layout;
  track: ItemTrack;
  index: number;
  leg: ReckonedLeg;
  view: SandView;
  textM: number;
  chosen: boolean;
  horse: string | null;
  marked: boolean;
};

/** A leg that was not touched is the same object: what else it shows is named here. */
const isSameLeg = (a: LegLayerProps, b: LegLayerProps) =>
  a.leg === b.leg &&
  a.view === b.view &&
  a.textM === b.textM &&
  a.chosen === b.chosen &&
  a.horse === b.horse &&
  a.marked === b.marked &&
  a.track.id === b.track.id;

const LegLayer = memo(function LegLayer({
  layout,
  track,
  index,
  leg,
  view,
  textM,
  chosen,
  horse,
  marked,
}: LegLayerProps) {
  const path = chainPath(view, leg.chain);
  const marks = horse === null ? [] : legMarksOf(layout, track, index, leg, horse);
  const strideM = leg.groundM / Math.max(1, marks.length);
  return (
    <>
      {marked && <path d={path} strokeWidth={textM * 0.3} className={classes.markedLeg} />}
      <path d={path} strokeWidth={textM * (chosen ? 0.14 : 0.1)} className={classes.way} />
      {chosen && <WayHeads chains={[leg.chain]} view={view} textM={textM} />}
      {chosen && isCanter(track.gait) && <Leads chain={leg.chain} view={view} textM={textM} />}
      <Hoofs marks={marks} strideM={strideM} view={view} textM={textM} />
      <path
        d={path}
        strokeWidth={Math.max(textM * 1.1, 0.5)}
        className={classes.legGrip}
        data-track={track.id}
        data-leg={index}
      />
    </>
  );
}, isSameLeg);

type SessionLayerProps = {
  track: ReckonedFigureTrack;
  view: SandView;
  textM: number;
  chosen: boolean;
  horse: LayoutHorse | null;
};

const SessionLayer = memo(function SessionLayer({ track, view, textM, chosen, horse }: SessionLayerProps) {
  const chains = chainsOf(track);
  const pieces = track.session.ok ? track.session.pieces : [];
  const strides = horse ? strideMarks(pieces, gait => laneStride(horse, gait)) : [];
  return (
    <>
      <path d={chainsPath(view, chains)} strokeWidth={textM * (chosen ? 0.14 : 0.1)} className={classes.way} />
      {chosen && <WayHeads chains={chains} view={view} textM={textM} />}
      {pieces.map((piece, index) => {
        const isTurn = piece.kind === 'stretch' && isCanter(piece.gait) && chosen;
        return isTurn && <Leads key={index} chain={piece.chain} view={view} textM={textM} />;
      })}
      <Stations pieces={pieces} view={view} textM={textM} />
      <Hoofs marks={strides} strideM={strides[0]?.strideM ?? 1} view={view} textM={textM} />
    </>
  );
});

/** What is done on the spot, in a word where it is done. */
function Stations({ pieces, view, textM }: { pieces: readonly RidePiece[]; view: SandView; textM: number }) {
  return pieces.map((piece, index) => {
    if (piece.kind !== 'station') return null;
    const { x, y } = view.toPaper(piece.pose.at);
    return (
      <g key={index} className={classes.station} data-station={piece.deed.kind}>
        <circle cx={x} cy={y} r={textM * 0.35} />
        <text x={x} y={y - textM} fontSize={textM * 0.75}>
          {piece.deed.kind.replaceAll('-', ' ')}
        </text>
      </g>
    );
  });
}

const isCanter = (gait: string) => gait.endsWith('canter');

const HEADS_EVERY_M = 9;

/** Which way it is ridden: heads along the track, in one shape. */
function WayHeads({ chains, view, textM }: { chains: readonly Chain[]; view: SandView; textM: number }) {
  const sizeM = textM * 0.8;
  const heads = wayPoses(chains, HEADS_EVERY_M).map(pose => {
    const { at } = paperFrame(view, pose);
    return `M${at(-0.4 * sizeM, -0.34 * sizeM)}L${at(0.2 * sizeM, 0)}L${at(-0.4 * sizeM, 0.34 * sizeM)}`;
  });
  return <path d={heads.join('')} strokeWidth={sizeM * 0.2} className={classes.head} />;
}

/** Which lead carries a turn, in words beside it. */
function Leads({ chain, view, textM }: { chain: Chain; view: SandView; textM: number }) {
  return leadMarks(chain).map(({ lead, pose }, index) => {
    const at = view.toPaper(beside(pose, (lead === 'left' ? 1 : -1) * textM * 1.1));
    return (
      <text key={index} x={at.x} y={at.y} dy="0.35em" fontSize={textM * 0.72} className={classes.lead}>
        {lead} lead
      </text>
    );
  });
}

/** So far to the left of a pose. */
function beside({ at, headingRad }: Pose, leftM: number) {
  return { xM: at.xM - leftM * Math.sin(headingRad), yM: at.yM + leftM * Math.cos(headingRad) };
}

/** A print is no longer than this share of the stride it ends. */
const PRINT_SHARE = 0.2;

type HoofsProps = {
  marks: readonly { kind?: HoofMark['kind']; pose: Pose }[];
  /** From one mark to the next, so that prints are no larger than what lies between them. */
  strideM: number;
  view: SandView;
  textM: number;
};

function Hoofs({ marks, strideM, view, textM }: HoofsProps) {
  const sizeM = drawn(Math.min(textM * 0.62, 0.5, strideM * PRINT_SHARE));
  return (
    <g aria-hidden="true">
      {marks.map(({ kind = 'stride', pose }, index) => (
        <Hoof key={index} {...{ pose, view, sizeM, kind }} />
      ))}
    </g>
  );
}
