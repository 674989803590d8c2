'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { drawn } from '@/components/Sand/sandView';
import {
  laneStride,
  layoutLabels,
  strideMarks,
  type FigureTrack,
  type LayoutHorse,
  type ReckonedFigureTrack,
  type RidePiece,
} from '@/core';
import { useElementSize } from '@mantine/hooks';
import { useLive } from '../../_hand/liveShown';
import type { PlanControls } from '../../_state/usePlanEditor';
import classes from './Ribbon.module.css';
import { SEEN_PX } from './ribbonFrame';

type SessionRibbonProps = {
  controls: PlanControls;
  track: FigureTrack;
  reckoned: ReckonedFigureTrack;
  horses: readonly LayoutHorse[];
  horse: LayoutHorse | null;
  onHorse: (id: string) => void;
  walkedM: number | null;
};

const NAMES_PX = 104;
const HEAD_PX = 40;
const ROW_PX = 24;
const END_PX = 30;

/** Light where it is quiet, darker where it is fast: gaits are told by their names too. */
const GAIT_TONES: Record<string, string> = {
  walk: '#e8dfcc',
  trot: '#d9c9a8',
  canter: '#c6ae83',
  'course-canter': '#b3935f',
};

/** A session of figures unrolled: what is ridden in which gait, what is done on the spot, and each horse's strides. */
export function SessionRibbon({ controls, track, horses, horse, onHorse, walkedM, ...stands }: SessionRibbonProps) {
  const { format } = useLengths();
  const { ref, width } = useElementSize();
  const onItsWay = useLive(controls.live)
    ?.made()
    ?.shown.tracks.find(({ id }) => id === track.id);
  const reckoned = onItsWay?.kind === 'figures' ? onItsWay : stands.reckoned;
  const { session } = reckoned;
  if (!session.ok)
    return (
      <div ref={ref} className={classes.ribbon} role="alert">
        <p className={classes.session}>
          Figure {session.figure + 1} cannot be ridden here: {session.reason}
        </p>
      </div>
    );
  const pxPerM = Math.max(200, width - NAMES_PX - END_PX * 2) / Math.max(1, reckoned.lengthM);
  const x = (alongM: number) => drawn(NAMES_PX + END_PX + alongM * pxPerM);
  const heightPx = HEAD_PX + horses.length * ROW_PX + 6;
  return (
    <div ref={ref} className={classes.ribbon} style={{ maxHeight: SEEN_PX }} data-testid="ribbon">
      <svg
        width="100%"
        height={heightPx}
        role="group"
        aria-label={`${layoutLabels(controls.shown.resolved.layout).track(track.id)} unrolled, ${format(reckoned.lengthM)}`}
      >
        {bandsOf(session.pieces).map(({ fromM, toM, gait, words }, index) => (
          <g key={index}>
            <title>{`${words}, ${gait}, ${format(toM - fromM)}`}</title>
            <rect
              x={x(fromM)}
              y={4}
              width={Math.max(1, x(toM) - x(fromM))}
              height={HEAD_PX - 10}
              fill={GAIT_TONES[gait] ?? '#e4e6e9'}
              className={classes.band}
            />
            <text x={x(fromM) + 5} y={22} className={classes.bandName}>
              {fittingWords([`${gait} ${format(toM - fromM)}`, gait], x(toM) - x(fromM) - 8)}
            </text>
          </g>
        ))}
        {horses.map((row, index) => {
          const topPx = HEAD_PX + index * ROW_PX;
          const marks = strideMarks(session.pieces, gait => laneStride(row, gait));
          const chosen = row.id === horse?.id;
          return (
            <g key={row.id} className={classes.row} data-chosen={chosen || undefined} data-horse={row.name}>
              <g
                role="button"
                tabIndex={0}
                aria-label={`Show the strides of ${row.name}`}
                aria-pressed={chosen}
                className={classes.horse}
                onClick={() => onHorse(row.id)}
                onKeyDown={event => (event.key === 'Enter' || event.key === ' ') && onHorse(row.id)}
              >
                <rect x={0} y={topPx} width={NAMES_PX - 6} height={ROW_PX - 2} rx={3} />
                <text x={8} y={topPx + ROW_PX / 2} dy="0.35em">
                  {row.name}
                </text>
              </g>
              <path
                d={marks.map(({ alongM }) => `M${x(alongM)} ${topPx + 5}v${ROW_PX - 12}`).join('')}
                className={classes.arches}
                data-chosen={chosen || undefined}
                data-strides={marks.length}
              >
                <title>{`${marks.length} strides`}</title>
              </path>
            </g>
          );
        })}
        {walkedM !== null && (
          <line x1={x(walkedM)} x2={x(walkedM)} y1={2} y2={heightPx} className={classes.walkedLine} />
        )}
      </svg>
    </div>
  );
}

const LETTER_PX = 6.4;

/** The first of some words that there is room for. */
function fittingWords(words: readonly string[], roomPx: number): string {
  return words.find(one => one.length * LETTER_PX <= roomPx) ?? '';
}

type Band = { fromM: number; toM: number; gait: string; words: string };

/** Stretches in one gait that follow each other are one band; what is asked on them is in its words. */
function bandsOf(pieces: readonly RidePiece[]): Band[] {
  const bands: Band[] = [];
  let alongM = 0;
  for (const piece of pieces) {
    if (piece.kind === 'station') continue;
    const fromM = alongM;
    alongM += piece.chain.lengthM;
    const words = [
      `${piece.rein} rein`,
      ...(piece.sideways ? [piece.sideways.movement] : []),
      ...(piece.pace === 'normal' ? [] : [`${piece.pace} strides`]),
    ].join(', ');
    const last = bands[bands.length - 1];
    if (last && last.gait === piece.gait && last.words === words) last.toM = alongM;
    else bands.push({ fromM, toM: alongM, gait: piece.gait, words });
  }
  return bands;
}
