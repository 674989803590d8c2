import type { Layout } from '../layout/layout';
import { layoutWork } from '../layout/layoutWork';
import { reckonLayout } from '../layout/reckonLayout';
import { askedLayout } from '../question/askedLayout';
import type { Question } from '../question/question';
import { hasReins, waysToRide } from '../question/waysToRide';

/** What a question takes when it is ridden once: fences and poles one pair after the other, figures all together. */
export type RideTime = { rideMin: number; hasReins: boolean; together: boolean };

/** Common practice, no source: coming round, a word to the rider, the next one gets ready. */
const ROUND_MIN = 0.5;

/** Common practice, no source: to say what comes, and to look at it together. */
const TELLING_MIN = 2;

/** No stage is planned shorter, nor by itself longer (common practice, no source: longer and they stand in the cold). */
const LEAST_MIN = 3;
const MOST_MIN = 25;

/** How long one ride of a question takes at the usual speeds; null where the layout does not have it. */
export function rideTime(layout: Layout, question: Question): RideTime | null {
  const asked = askedLayout({ ...layout, horses: [] }, question);
  const track = asked?.tracks[0];
  if (!asked || !track) return null;
  const [work] = layoutWork(asked, reckonLayout(asked));
  return {
    rideMin: work!.minutes,
    hasReins: hasReins(waysToRide(asked)),
    together: track.kind === 'figures',
  };
}

/**
 * The minutes that a stage needs, whole ones: each question so often on each rein it has, for so many pairs.
 * @param eachRein - how often on each rein, or in all where the track changes it
 * @param eachMin - minutes from one pass to the next as they were last time; null where nobody knows
 */
export function stageMinutes(
  rides: readonly RideTime[],
  eachRein: number,
  pairs: number,
  eachMin: number | null = null,
): number {
  const ridden = rides.reduce((sum, { rideMin, hasReins: onBoth, together }) => {
    const times = eachRein * (onBoth ? 2 : 1) * (together ? 1 : Math.max(1, pairs));
    return sum + times * believed(eachMin, rideMin + ROUND_MIN);
  }, 0);
  return Math.min(MOST_MIN, Math.max(LEAST_MIN, Math.ceil(ridden + TELLING_MIN)));
}

/** What a pass took last time, as far as that is believable: a lesson with long talks in it says nothing of the next one. */
function believed(eachMin: number | null, reckonedMin: number): number {
  if (eachMin === null) return reckonedMin;
  return Math.min(Math.max(eachMin, reckonedMin / 2), reckonedMin * 2);
}
