import { carryItem, carryTrack, type Carry } from '../exercises/carry';
import { mirroredPlace } from '../geometry/frame';
import { isRidden } from '../items/item';
import type { FigureTrack, ItemTrack, Layout, PlannedTrack } from '../layout/layout';
import { keptOf } from '../layout/layoutEdit';
import type { TrackGait } from '../layout/trackGait';
import type { RideDirection } from '../record/rideDirection';
import { builtLayout } from './builtLayout';
import type { Question, TrackOrFigures } from './question';

/**
 * A layout as a question asks it: built in its state, with the one track that is ridden, in its gait and with its counts.
 * Names, readings, judgement, work and drawings of what is ridden all come from it.
 * @param direction - ridden on the mirror image, everything lies on the other side of the centre line
 * @returns null where the layout does not have what the question goes over
 */
export function askedLayout(layout: Layout, question: Question, direction: RideDirection = 'as-drawn'): Layout | null {
  const built = builtLayout(layout, question.state);
  const track = trackAsked(built, question);
  if (!track) return null;
  const asked = { ...built, tracks: [track] };
  return direction === 'mirrored' ? mirrored(asked) : asked;
}

function trackAsked(built: Layout, { id, name, what, gait, asked }: Question): PlannedTrack | null {
  const track =
    what.kind === 'made'
      ? madeTrack(built, {
          ...{ kind: 'items', id, name, gait, course: null, passes: 1 },
          ...{ through: what.through, legs: what.legs },
        })
      : trackOver(built, what.kind === 'stage' ? what.over : what);
  if (!track) return null;
  if (track.kind === 'figures') return { ...track, gait, figures: inGait(track, gait) };
  // Where no counts are said, those of the layout hold; so they do where something was taken off the sand since, and nobody can
  // say which leg a count was meant for.
  if (asked.length === 0 || asked.length > track.legs.length) return { ...track, gait };
  return { ...track, gait, legs: track.legs.map((leg, index) => ({ ...leg, asked: asked[index] ?? null })) };
}

/** Figures of one gait are asked in the question's; a session of several gaits is ridden in its own. */
function inGait({ figures, gait: ofTrack }: FigureTrack, gait: TrackGait): FigureTrack['figures'] {
  const gaits = new Set(figures.map(one => one.gait ?? ofTrack));
  return gaits.size > 1 ? figures : figures.map(one => (one.gait === gait ? one : { ...one, gait }));
}

function trackOver({ tracks }: Layout, over: TrackOrFigures): PlannedTrack | null {
  const track = tracks.find(({ id }) => id === over.trackId);
  if (!track) return null;
  if (over.kind === 'track') return track;
  if (track.kind !== 'figures') return null;
  const figures = track.figures.filter(({ id }) => over.figureIds.includes(id));
  return figures.length === 0 ? null : { ...track, figures };
}

/** A track over stops that were chosen, without those that are not there. */
function madeTrack({ items }: Layout, { kind, id, name, gait, course, passes, through, legs }: ItemTrack) {
  const there = new Set(items.filter(isRidden).map(item => item.id));
  const track: ItemTrack = { kind, id, name, gait, course, passes, through, legs };
  const kept = keptOf(track, ({ item }) => there.has(item));
  return kept.through.length === 0 ? null : kept;
}

/** The mirror image in the centre line of the arena. */
function mirrored(layout: Layout): Layout {
  const { widthM } = layout.arena;
  const carry: Carry = {
    point: ({ xM, yM }) => ({ xM: widthM - xM, yM }),
    pose: pose => mirroredPlace(widthM, pose),
    swaps: true,
  };
  return {
    ...layout,
    items: layout.items.map(item => carryItem(item, carry)),
    tracks: layout.tracks.map(track => carryTrack(track, carry)),
  };
}
