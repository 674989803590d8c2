import { Shapes } from '@/components/Sand/Shapes';
import { chainPath } from '@/components/Sand/trackPath';
import type { LayoutHorse, ReckonedFigureTrack, ReckonedLeg, RidePiece } from '@/core';
import { memo } from 'react';
import classes from './PlanSand.module.css';
import { legShapes, legsOnSand, sessionShapes, type InSight, type LegOnSand, type Seen } from './trackShapes';

type TrackLayerProps = Seen &
  InSight & {
    /** Which of the legs and sessions are drawn here. */
    isHere: (part: ReckonedLeg | ReckonedFigureTrack) => boolean;
  };

/** Tracks with the way they are ridden, and on the chosen one the strides of the chosen horse. */
export function TrackLayer({ isHere, ...props }: TrackLayerProps) {
  const { tracks, chosenTrack, horse, view, textM } = props;
  return tracks.map(track => {
    const chosen = track.id === chosenTrack;
    return (
      <g key={track.id} data-track-drawn={track.id} data-chosen={chosen || undefined} className={classes.track}>
        {track.kind === 'items' &&
          legsOnSand(props, track.id).map(
            on => isHere(on.leg) && <LegLayer key={on.index} {...on} view={view} textM={textM} />,
          )}
        {track.kind === 'figures' && isHere(track) && (
          <SessionLayer
            {...{ track, view, textM, chosen }}
            horse={chosen ? horse : null}
            figures={chosen ? (props.figures ?? null) : null}
          />
        )}
      </g>
    );
  });
}

type LegLayerProps = LegOnSand & Seen;

/** A leg that was not touched is the same object: what else it shows is named here. */
const isSameLeg = (a: LegLayerProps, b: LegLayerProps) =>
  a.leg === b.leg &&
  a.view === b.view &&
  a.textM === b.textM &&
  a.chosen === b.chosen &&
  a.horse === b.horse &&
  a.marked === b.marked &&
  a.track.id === b.track.id;

const LegLayer = memo(function LegLayer(props: LegLayerProps) {
  const { track, index, leg, view, textM } = props;
  return (
    <>
      <Shapes shapes={legShapes(props, props)} />
      <path
        d={chainPath(view, leg.chain)}
        strokeWidth={Math.max(textM * 1.1, 0.5)}
        className={classes.legGrip}
        data-track={track.id}
        data-leg={index}
      />
    </>
  );
}, isSameLeg);

type SessionLayerProps = Seen & {
  track: ReckonedFigureTrack;
  chosen: boolean;
  horse: LayoutHorse | null;
  figures: readonly number[] | null;
};

const SessionLayer = memo(function SessionLayer({ track, chosen, horse, figures, ...seen }: SessionLayerProps) {
  return (
    <>
      <Shapes shapes={sessionShapes(track, { chosen, horse, figures }, seen)} />
      <Stations pieces={track.session.ok ? track.session.pieces : []} {...seen} />
    </>
  );
});

/** What is done on the spot, in a word where it is done. */
function Stations({ pieces, view, textM }: { pieces: readonly RidePiece[] } & Seen) {
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
