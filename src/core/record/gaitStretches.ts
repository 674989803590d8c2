import type { GaitStretch } from '../figures/sessionGaits';
import type { TrackGait } from '../layout/trackGait';
import type { PassMark } from './passMark';

/** A stretch of a pass: the gait that was asked there, and the one that was ridden. Metres from the beginning of its track. */
export type RiddenStretch = { asked: TrackGait; ridden: TrackGait; fromM: number; toM: number };

/**
 * The gaits of a pass, stretch by stretch, asked against ridden: together they are as long as its track. What nobody marked was
 * ridden as it was asked; a gait that was marked holds until the next mark, or until another gait is asked.
 * @param asked - the gaits that were asked, without gaps
 * @param stopsM - how far along the track each stop is; none where it is ridden on the flat
 */
export function gaitStretches(
  asked: readonly GaitStretch[],
  stopsM: readonly number[],
  marks: readonly PassMark[],
): RiddenStretch[] {
  const lengthM = asked.at(-1)?.toM ?? 0;
  const said = marks
    .flatMap(mark => (mark.kind === 'gait' ? [{ gait: mark.ridden, ...placeOf(mark, stopsM, lengthM) }] : []))
    // What is said of the whole gives way to what is said of a place.
    .sort((a, b) => a.atM - b.atM || Number(b.isWhole) - Number(a.isWhole));
  return asked.flatMap(stretch => {
    const within = said.filter(({ atM, isWhole }) => isWhole || (atM >= stretch.fromM - SAME_M && atM < stretch.toM));
    const cuts = [...new Set([stretch.fromM, ...within.map(({ atM }) => Math.max(atM, stretch.fromM)), stretch.toM])];
    return cuts
      .slice(0, -1)
      .map((fromM, index) => {
        const before = within.filter(({ atM, isWhole }) => isWhole || atM <= fromM + SAME_M);
        return { asked: stretch.gait, ridden: before.at(-1)?.gait ?? stretch.gait, fromM, toM: cuts[index + 1]! };
      })
      .filter(({ fromM, toM }) => toM > fromM);
  });
}

/** Places that are the same. */
const SAME_M = 1e-6;

function placeOf(
  { from, fromM }: Extract<PassMark, { kind: 'gait' }>,
  stopsM: readonly number[],
  lengthM: number,
): { atM: number; isWhole: boolean } {
  if (fromM !== undefined) return { atM: Math.min(fromM, lengthM), isWhole: false };
  if (from === undefined) return { atM: 0, isWhole: true };
  return { atM: stopsM[from - 1] ?? lengthM, isWhole: false };
}
