import type { Layout, PlannedTrack } from '../layout/layout';
import type { Item } from '../items/item';
import { isRaised } from '../items/pole';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedTrack } from '../layout/reckonedTrack';
import { minutesOnSmallCircles } from '../layout/smallCircles';
import { gaitSpeedMPerMin } from '../figures/gaitSpeed';
import type { Rein } from '../track/rein';
import { SMALL_CIRCLE_M } from '../layout/smallCircles';

/** What a thing that is ridden over is to a horse. */
export type StopWork = 'low effort' | 'high effort' | 'raised' | 'none';

export type CircleMinutes = Record<Rein, number>;

/**
 * What riding a question once is to a horse, piece by piece, so that of a pass only what was ridden is counted. Minutes on
 * circles of 10 m and less are by rein as drawn.
 */
export type QuestionWork = {
  /** Along its track; none on the flat. */
  stops: StopWork[];
  /** On circles back to the same stop, leg by leg. */
  legCircles: CircleMinutes[];
  /** Of all its figures. */
  figureCircles: CircleMinutes;
};

/** Common practice, no source: from here on an effort is a high one. */
export const HIGH_FROM_M = 0.9;

const NO_MINUTES: CircleMinutes = { left: 0, right: 0 };

/** The work of the one track of an asked layout. */
export function questionWork(asked: Layout, highFromM = HIGH_FROM_M): QuestionWork {
  const track = asked.tracks[0];
  if (!track) return { stops: [], legCircles: [], figureCircles: NO_MINUTES };
  // No horse's reading is asked for.
  const [reckoned] = reckonLayout({ ...asked, tracks: [track], horses: [] });
  return trackWork(asked.items, track, reckoned!, highFromM);
}

/** The work of a track that is reckoned already. */
export function trackWork(
  items: Layout['items'],
  track: PlannedTrack,
  reckoned: ReckonedTrack,
  highFromM = HIGH_FROM_M,
): QuestionWork {
  if (track.kind === 'figures')
    return { stops: [], legCircles: [], figureCircles: minutesOnSmallCircles(track, reckoned) };
  const legs = reckoned.kind === 'items' ? reckoned.legs : [];
  return {
    stops: track.through.map(({ item: id }) =>
      stopWork(
        items.find(item => item.id === id),
        highFromM,
      ),
    ),
    legCircles: track.legs.map(({ circle }, index) => {
      if (!circle || circle.radiusM > SMALL_CIRCLE_M / 2 + 1e-6) return NO_MINUTES;
      return { ...NO_MINUTES, [circle.rein]: legs[index]!.trackM / gaitSpeedMPerMin(track.gait) };
    }),
    figureCircles: NO_MINUTES,
  };
}

function stopWork(item: Item | undefined, highFromM: number): StopWork {
  if (item?.kind === 'fence') return item.heightM < highFromM ? 'low effort' : 'high effort';
  return item?.kind === 'pole' && isRaised(item.raised) ? 'raised' : 'none';
}
