'use client';

import { useLatest } from '@/components/useLatest';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { drawn } from '@/components/Sand/sandView';
import {
  type FigureTrack,
  figureWords,
  gaitWord,
  laneStride,
  type LayoutHorse,
  layoutLabels,
  type ReckonedFigureTrack,
  type SessionBand,
  sessionBands,
  type StrideMark,
  strideMarks,
} from '@/core';
import { useElementSize } from '@mantine/hooks';
import { useLive } from '../../_hand/liveShown';
import type { PlanControls } from '../../_state/usePlanEditor';
import { HorseNames } from './HorseNames';
import classes from './Ribbon.module.css';
import { alongPx, contentPx, scaled, SEEN_PX, stopsPx, type RibbonFrame } from './ribbonFrame';

type SessionRibbonProps = {
  controls: PlanControls;
  track: FigureTrack;
  reckoned: ReckonedFigureTrack;
  horses: readonly LayoutHorse[];
  horse: LayoutHorse | null;
  onHorse: (id: string) => void;
  walkedM: number | null;
};

/** Names of figures, gaits, reins and paces above; a row for each horse below. */
const FIGURES_PX = 18;
const GAIT_PX = 20;
const REIN_PX = 18;
const HEAD_PX = FIGURES_PX + GAIT_PX + REIN_PX + 4;
const ROW_PX = 30;
/** A letter of 12 pixels, about; and the least that a part of a session says: its gait and its rein. */
const LETTER_PX = 6.6;
const LEAST_PX = 78;

/** A session of figures unrolled: each figure by its name, its gaits, reins and paces as bands, and each horse's strides in them. */
export function SessionRibbon(props: SessionRibbonProps) {
  const { controls, track, horses, horse, walkedM } = props;
  const { format, say } = useLengths();
  const { ref, width } = useElementSize();
  const latest = useLatest(props);
  const onItsWay = useLive(controls.live)
    ?.made()
    ?.shown.tracks.find(({ id }) => id === track.id);
  const reckoned = onItsWay?.kind === 'figures' ? onItsWay : props.reckoned;
  const { session } = reckoned;
  if (!session.ok)
    return (
      <div ref={ref} className={classes.ribbon} data-lit="" role="alert">
        <p className={classes.session}>
          Figure {session.figure + 1} cannot be ridden here: {session.reason}
        </p>
      </div>
    );
  const bands = sessionBands(session);
  const names = track.figures.map(figure => say(figureWords(figure)));
  const lengthsM = bands.map(({ fromM, toM }) => toM - fromM);
  const heightPx = HEAD_PX + horses.length * ROW_PX + 6;
  const frame: RibbonFrame = {
    ...{ widthPx: Math.floor(width), heightPx },
    ...scaled(Math.floor(width), lengthsM, leastWidths(bands, names)),
  };
  const edges = stopsPx(frame, lengthsM).map(drawn);
  return (
    <div ref={ref} className={classes.ribbon} data-lit="" style={{ maxHeight: SEEN_PX }} data-testid="ribbon">
      <div
        className={classes.strip}
        style={{ height: heightPx, width: contentPx(frame, lengthsM) }}
        role="group"
        aria-label={`${layoutLabels(controls.shown.resolved.layout).track(track.id)} unrolled, ${format(reckoned.lengthM)}`}
      >
        <HorseNames {...{ horses, heightPx, latest, headPx: HEAD_PX, rowPx: ROW_PX }} chosen={horse?.id ?? null} />
        <svg width="100%" height={heightPx} className={classes.bands}>
          <FigureNames {...{ bands, names, edges }} />
          {bands.map((band, index) => (
            <Band key={index} band={band} fromPx={edges[index]!} toPx={edges[index + 1]!} lengthM={lengthsM[index]!} />
          ))}
          {horses.map((row, index) => (
            <StrideRow
              key={row.id}
              topPx={HEAD_PX + index * ROW_PX}
              marks={strideMarks(session.pieces, gait => laneStride(row, gait))}
              isChosen={row.id === horse?.id}
              name={row.name}
              {...{ bands, edges, frame, lengthsM }}
            />
          ))}
          {walkedM !== null && (
            <line
              x1={drawn(alongPx(frame, lengthsM, walkedM))}
              x2={drawn(alongPx(frame, lengthsM, walkedM))}
              y1={2}
              y2={heightPx}
              className={classes.walkedLine}
            />
          )}
        </svg>
      </div>
    </div>
  );
}

/** What each band needs for its words; the name of a figure has room over all of its bands. */
function leastWidths(bands: readonly SessionBand[], names: readonly string[]): number[] {
  return bands.map(({ figure, asked }) => {
    const own = bands.filter(band => band.figure === figure).length;
    const namePx = figure === null ? 0 : ((names[figure] ?? '').length * LETTER_PX + 14) / own;
    return Math.ceil(Math.max(LEAST_PX, namePx, (asked ?? '').length * LETTER_PX + 12));
  });
}

type NamesProps = { bands: readonly SessionBand[]; names: readonly string[]; edges: readonly number[] };

/** Each figure by its name, from where it begins to where it ends. */
function FigureNames({ bands, names, edges }: NamesProps) {
  return names.map((name, figure) => {
    const first = bands.findIndex(band => band.figure === figure);
    if (first < 0) return null;
    const last = bands.findLastIndex(band => band.figure === figure);
    const [fromPx, toPx] = [edges[first]!, edges[last + 1]!];
    return (
      <g key={figure} data-figure={name}>
        <path d={`M${fromPx} ${FIGURES_PX}V2H${toPx}V${FIGURES_PX}`} className={classes.figureBracket} />
        <text x={fromPx + 5} y={FIGURES_PX - 4} className={classes.figureName}>
          {name}
        </text>
      </g>
    );
  });
}

type BandProps = { band: SessionBand; fromPx: number; toPx: number; lengthM: number };

/** Gait and length on one line, rein and pace under it; each gait has its tone, and each rein leans its own way. */
function Band({ band, fromPx, toPx, lengthM }: BandProps) {
  const { format, say } = useLengths();
  const { figure, gait, rein, pace, asked } = band;
  const gaitWords = gait === null ? '' : say(gaitWord(gait));
  const whole = `${gaitWords} ${format(lengthM)}`;
  const isWhole = whole.length * LETTER_PX + 10 <= toPx - fromPx;
  const under = [...(pace === 'normal' ? [] : [`${pace} strides`]), ...(asked === null ? [] : [asked])].join(', ');
  const reinWords = `${rein} rein`;
  const both = under === '' ? reinWords : `${reinWords}, ${under}`;
  const isBoth = both.length * LETTER_PX + 10 <= toPx - fromPx;
  const midPx = FIGURES_PX + GAIT_PX;
  return (
    <g className={classes.band} data-gait={gait ?? 'spot'} data-rein={rein} data-way={figure === null || undefined}>
      <title>{[whole, both].join(', ')}</title>
      <rect x={fromPx} y={FIGURES_PX} width={Math.max(1, toPx - fromPx)} height={GAIT_PX} data-part="gait" />
      <rect x={fromPx} y={midPx} width={Math.max(1, toPx - fromPx)} height={REIN_PX} data-part="rein" />
      {band.bodyRad !== null && <path d={aslantPath(fromPx, toPx, band.bodyRad)} className={classes.aslant} />}
      <text x={fromPx + 5} y={FIGURES_PX + 14}>
        {gait === null ? asked : isWhole ? whole : gaitWords}
      </text>
      {gait !== null && (
        <text x={fromPx + 5} y={midPx + 13} data-part="rein">
          {isBoth ? both : under === '' ? rein : under}
        </text>
      )}
    </g>
  );
}

const ASLANT_PX = 14;

/** Strokes that lean as the body does: to the left of its way up, to the right down. */
function aslantPath(fromPx: number, toPx: number, bodyRad: number): string {
  const [topPx, lowPx] = [FIGURES_PX + GAIT_PX - 5, FIGURES_PX + GAIT_PX - 1];
  const strokes = Math.max(1, Math.floor((toPx - fromPx - 4) / ASLANT_PX));
  return Array.from({ length: strokes }, (_, index) => {
    const x = drawn(fromPx + 4 + index * ASLANT_PX);
    return bodyRad > 0 ? `M${x} ${lowPx}L${x + 8} ${topPx}` : `M${x} ${topPx}L${x + 8} ${lowPx}`;
  }).join('');
}

type StrideRowProps = {
  topPx: number;
  marks: readonly StrideMark[];
  isChosen: boolean;
  name: string;
  bands: readonly SessionBand[];
  edges: readonly number[];
  lengthsM: readonly number[];
  frame: RibbonFrame;
};

/** Nearer than this strides cannot be told apart: they are counted. */
const APART_PX = 7;

/** A horse's strides: how many in each band, and each as an arch where there is room to see it. */
function StrideRow({ topPx, marks, isChosen, name, bands, edges, lengthsM, frame }: StrideRowProps) {
  const groundPx = topPx + ROW_PX - 5;
  return (
    <g className={classes.row} data-chosen={isChosen || undefined} data-horse={name} data-strides={marks.length}>
      {bands.map((band, index) => {
        const own = marks.filter(({ piece }) => band.pieces.includes(piece));
        if (own.length === 0) return null;
        const [fromPx, toPx] = [edges[index]!, edges[index + 1]!];
        const feetPx = own.map(({ alongM }) => drawn(alongPx(frame, lengthsM, alongM)));
        const isSeen = (toPx - fromPx) / own.length >= APART_PX;
        return (
          <g key={index}>
            <path
              d={isSeen ? archesPath(feetPx, toPx, groundPx) : `M${fromPx + 2} ${groundPx}H${toPx - 2}`}
              className={classes.arches}
            />
            <text x={fromPx + 5} y={topPx + 13} className={classes.strideCount}>
              {own.length} {own.length === 1 ? 'stride' : 'strides'}
            </text>
          </g>
        );
      })}
    </g>
  );
}

function archesPath(feetPx: readonly number[], endPx: number, groundPx: number): string {
  return feetPx
    .map((fromPx, index) => {
      const toPx = feetPx[index + 1] ?? endPx;
      return `M${fromPx} ${groundPx}Q${drawn((fromPx + toPx) / 2)} ${groundPx - 11} ${toPx} ${groundPx}`;
    })
    .join('');
}
