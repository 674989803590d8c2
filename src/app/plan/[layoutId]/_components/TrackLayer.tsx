import { Hoof } from '@/components/Sand/Hoof';
import { drawn, paperDegrees, type SandView } from '@/components/Sand/sandView';
import { chainPath, chainsPath, wayMarks } from '@/components/Sand/trackPath';
import {
  chainsOf,
  distanceCaseOf,
  laneStride,
  leadMarks,
  legMarks,
  strideMarks,
  type HoofMark,
  type Layout,
  type LayoutHorse,
  type Pose,
  type ReckonedTrack,
} from '@/core';
import { memo } from 'react';
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
};

/** Tracks with the way they are ridden, and on the chosen one the strides of the chosen horse. */
export function TrackLayer({ layout, tracks, chosenTrack, horse, view, textM, marked }: TrackLayerProps) {
  return tracks.map((track, index) => {
    const chosen = track.id === chosenTrack;
    const chains = chainsOf(track);
    return (
      <g key={track.id} data-track-drawn={track.id} data-chosen={chosen || undefined} className={classes.track}>
        <path d={chainsPath(view, chains)} strokeWidth={textM * (chosen ? 0.14 : 0.1)} className={classes.way} />
        {track.kind === 'items' && marked?.track === track.id && track.legs[marked.leg] && (
          <path
            d={chainPath(view, track.legs[marked.leg]!.chain)}
            strokeWidth={textM * 0.3}
            className={classes.markedLeg}
          />
        )}
        {chosen && (
          <>
            <WayHeads track={track} view={view} textM={textM} />
            {isCanter(track, layout.tracks[index]!.gait) && <Leads track={track} view={view} textM={textM} />}
            {horse && <Hoofs marks={marksOf(layout, index, track, horse)} view={view} textM={textM} />}
          </>
        )}
        {track.kind === 'items' &&
          track.legs.map(({ chain }, leg) => (
            <path
              key={leg}
              d={chainPath(view, chain)}
              strokeWidth={Math.max(textM * 1.1, 0.5)}
              className={classes.legGrip}
              data-track={track.id}
              data-leg={leg}
            />
          ))}
      </g>
    );
  });
}

function isCanter(track: ReckonedTrack, gait: string): boolean {
  return track.kind === 'items' ? gait.endsWith('canter') : gait === 'canter';
}

const HEADS_EVERY_M = 9;

function WayHeads({ track, view, textM }: { track: ReckonedTrack; view: SandView; textM: number }) {
  return wayMarks(view, chainsOf(track), HEADS_EVERY_M).map(({ x, y, degrees }, index) => (
    <path
      key={index}
      d="M-0.4 -0.34L0.2 0L-0.4 0.34"
      transform={`translate(${x} ${y}) rotate(${degrees}) scale(${drawn(textM * 0.8)})`}
      className={classes.head}
    />
  ));
}

/** Which lead carries a turn, in words beside it. */
function Leads({ track, view, textM }: { track: ReckonedTrack; view: SandView; textM: number }) {
  const chains = track.kind === 'items' ? chainsOf(track) : [];
  return chains.flatMap((chain, leg) =>
    leadMarks(chain).map(({ lead, pose }, index) => {
      const side = lead === 'left' ? 1 : -1;
      const at = view.toPaper(beside(pose, side * textM * 1.1));
      return (
        <text key={`${leg}-${index}`} x={at.x} y={at.y} dy="0.35em" fontSize={textM * 0.72} className={classes.lead}>
          {lead} lead
        </text>
      );
    }),
  );
}

/** So far to the left of a pose. */
function beside({ at, headingRad }: Pose, leftM: number) {
  return { xM: at.xM - leftM * Math.sin(headingRad), yM: at.yM + leftM * Math.cos(headingRad) };
}

/** `strideM`: from this mark to the next, so that prints are no larger than what lies between them. */
type Mark = Pick<HoofMark, 'kind' | 'pose'> & { strideM: number };

/** Where a horse's strides fall on a track: between its items, or along a session of figures. */
function marksOf(layout: Layout, index: number, track: ReckonedTrack, horse: LayoutHorse): Mark[] {
  const planned = layout.tracks[index]!;
  if (track.kind === 'figures' || planned.kind === 'figures') {
    const pieces = track.kind === 'figures' && track.session.ok ? track.session.pieces : [];
    return strideMarks(pieces, gait => laneStride(horse, gait)).map(({ pose, strideM }) => ({
      ...{ kind: 'stride', pose, strideM },
    }));
  }
  return track.legs.flatMap((leg, at) => {
    const reading = leg.readings.find(one => one.horse === horse.name);
    const marks = reading ? legMarks(leg, distanceCaseOf(layout, planned, at), reading) : [];
    const strideM = leg.groundM / Math.max(1, marks.length);
    return marks.map(({ kind, pose }) => ({ kind, pose, strideM }));
  });
}

/** A print is no longer than this share of the stride it ends. */
const PRINT_SHARE = 0.2;

const Hoofs = memo(function Hoofs({ marks, view, textM }: { marks: readonly Mark[]; view: SandView; textM: number }) {
  return (
    <g aria-hidden="true" data-hoofs={marks.length}>
      {marks.map(({ kind, pose, strideM }, index) => {
        const { x, y } = view.toPaper(pose.at);
        return (
          <Hoof
            key={index}
            x={x}
            y={y}
            degrees={paperDegrees(view, pose.headingRad)}
            sizeM={drawn(Math.min(textM * 0.62, 0.5, strideM * PRINT_SHARE))}
            kind={kind}
          />
        );
      })}
    </g>
  );
});
