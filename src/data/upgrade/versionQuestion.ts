import {
  AS_LAID_OUT,
  countsAsked,
  nearestWay,
  waysToRide,
  type Layout,
  type Question,
  type Rein,
  type RideDirection,
  type RideWay,
  type TrackOrFigures,
} from '@/core';

/** What used to be marked of a layout: its first track over poles and fences, else its figures. */
export function firstTrack({ tracks }: Layout): TrackOrFigures | null {
  const track = tracks.find(({ kind }) => kind === 'items') ?? tracks[0];
  if (!track) return null;
  if (track.kind === 'items') return { kind: 'track', trackId: track.id };
  return { kind: 'figures', trackId: track.id, figureIds: track.figures.map(({ id }) => id) };
}

/** A question over a track of a layout as it is planned, before it has an id. */
export function bareQuestion(over: TrackOrFigures, { tracks }: Layout): Omit<Question, 'id'> {
  const track = tracks.find(({ id }) => id === over.trackId)!;
  const asked = countsAsked({ tracks: [track] });
  return { name: null, what: over, state: AS_LAID_OUT, gait: track.gait, rein: null, asked };
}

/**
 * What was asked of a pass over a version from before questions were kept. Such a version was kept as its stage was built, so
 * the question builds nothing more.
 * @param id - where no stage of a lesson tells
 */
export function versionQuestion(
  layout: Layout,
  stage: { id: string; name: string; exercise: { id: string; stage: number } | null } | null,
  id: string,
): Question | null {
  const over = firstTrack(layout);
  if (!over) return null;
  const plain = bareQuestion(over, layout);
  if (!stage?.exercise) return { ...plain, id: stage?.id ?? id };
  const what = { kind: 'stage' as const, exerciseId: stage.exercise.id, stage: stage.exercise.stage, over };
  return { ...plain, id: stage.id, name: stage.name, what };
}

/**
 * The way that a pass can have been ridden: on a track that turns the rein says which way round it went; one that changes the
 * rein has none. The rein was tapped with each pass, the direction seldom, so the rein is believed.
 */
export function riddenWay(layout: Layout, question: Question, rein: Rein | null, direction: RideDirection): RideWay {
  const over = question.what.kind === 'stage' ? question.what.over : question.what;
  const track = over.kind === 'made' ? null : layout.tracks.find(({ id }) => id === over.trackId);
  if (!track) return { rein, direction };
  return nearestWay(waysToRide({ ...layout, tracks: [track] }), { rein, direction });
}
