import type { Arena } from '../arena/arena';
import type { Fall } from '../arena/fall';
import type { ExerciseGround, ExerciseParams, Guidance, LaidExercise } from '../exercises/exercise';
import type { Item } from '../items/item';
import { isRidden } from '../items/item';
import type { KitAtHand } from '../items/kit';
import type { FigureTrack, Layout, LayoutHorse, PlannedTrack } from '../layout/layout';
import { keptOf } from '../layout/layoutEdit';
import type { PlacedRecipe, Plan, PlanHorse } from './plan';

/** What a plan lies on and is made for. */
export type PlanGround = {
  name: string;
  arena: Arena;
  fall: Fall | null;
  kit: KitAtHand | null;
  /** How far a horse leans into a turn, as layouts have it. */
  leanRad?: number | null;
  /** Every horse that the plan may name. */
  horses: readonly PlanHorse[];
};

/**
 * `params`: all that it asks, with what is left as usual; `can`: whether its distances can be typed, and whether it can have one piece
 * more.
 */
export type ResolvedExercise = {
  placed: PlacedRecipe;
  guidance: Guidance;
  laid: LaidExercise;
  params: ExerciseParams;
  can: ExerciseCan;
};

export type ExerciseCan = { type: boolean; grow: boolean };

export type LaidOut =
  | { ok: true; guidance: Guidance; laid: LaidExercise; params: ExerciseParams; can: ExerciseCan }
  | { ok: false; reason: string };

/**
 * Lays out one exercise of a plan. Null where that is not known yet: a page may have the shelf a moment later than the
 * plan, and then what was there before stays.
 */
export type LayOut = (placed: PlacedRecipe, ground: ExerciseGround) => LaidOut | null;

export type ResolvedPlan = {
  layout: Layout;
  exercises: ResolvedExercise[];
  /** The exercise that an item or a track belongs to; what was laid by hand is not in it. */
  ownerOf: ReadonlyMap<string, string>;
  /** Exercises that could not be laid out, and why. */
  faults: { id: string; reason: string }[];
};

/** For whom an exercise is laid out when nobody is named (common practice, no source: a middling horse). */
export const USUAL_HORSE: LayoutHorse = {
  id: 'usual',
  name: 'a horse of 160 cm',
  heightM: 1.6,
  type: 'all-round',
  level: 'novice',
  strides: {},
};

/** The horses of the group, in its order; those that left the yard are left out. */
export function groupOf(plan: Plan, horses: readonly PlanHorse[]): PlanHorse[] {
  return plan.groupIds.flatMap(id => horses.find(horse => horse.id === id) ?? []);
}

type Entry = { placed: PlacedRecipe; ground: ExerciseGround; horses: string; made: Made };

/**
 * Makes layouts from plans. It remembers each exercise as it was last laid out, so that moving one fence does not lay out
 * all the others again; the layout is the same with and without what it remembers.
 */
export function planResolver(layOut: LayOut): (plan: Plan, ground: PlanGround) => ResolvedPlan {
  let known = new Map<string, Entry>();
  let lastGroup: { ids: Plan['groupIds']; of: readonly PlanHorse[]; group: PlanHorse[]; horses: LayoutHorse[] } | null =
    null;
  return (plan, ground) => {
    const next: typeof known = new Map();
    if (lastGroup?.ids !== plan.groupIds || lastGroup.of !== ground.horses) {
      const found = groupOf(plan, ground.horses);
      lastGroup = { ids: plan.groupIds, of: ground.horses, group: found, horses: toldApart(found) };
    }
    const { group, horses } = lastGroup;
    const made = plan.exercises.map(placed => {
      const on = exerciseGround(plan, placed, ground, group);
      const before = known.get(placed.id);
      const entry = entryFor(placed, on, before, layOut);
      next.set(placed.id, entry);
      return entry.made;
    });
    known = next;
    return assembled(plan, ground, horses, made);
  };
}

function entryFor(placed: PlacedRecipe, ground: ExerciseGround, before: Entry | undefined, layOut: LayOut): Entry {
  const horses = JSON.stringify(ground.horses);
  const same =
    before?.placed === placed &&
    before.horses === horses &&
    before.ground.arena === ground.arena &&
    before.ground.school === ground.school;
  if (before && same) return before;
  const laidOut = layOut(placed, ground);
  if (!laidOut && before) return before;
  return { placed, ground, horses, made: madeOf(placed, laidOut) };
}

function madeOf(placed: PlacedRecipe, laidOut: LaidOut | null): Made {
  if (!laidOut) return { ok: false, id: placed.id, reason: 'The shelf is not open yet.' };
  if (!laidOut.ok) return { ok: false, id: placed.id, reason: laidOut.reason };
  const { guidance, laid, params, can } = laidOut;
  return { ok: true, exercise: { placed, guidance, laid: ownIds(placed, laid), params, can } };
}

/** What an exercise of a plan is laid out for. */
export function exerciseGround(
  plan: Plan,
  placed: Pick<PlacedRecipe, 'horseIds'>,
  { arena, horses }: Pick<PlanGround, 'arena' | 'horses'>,
  group: readonly PlanHorse[] = groupOf(plan, horses),
): ExerciseGround {
  const own = placed.horseIds?.flatMap(id => horses.find(horse => horse.id === id) ?? []) ?? [];
  const wanted = own.length > 0 ? own : group;
  return { arena, school: plan.school, horses: wanted.length > 0 ? wanted : [USUAL_HORSE] };
}

/** Horses of one name are told apart by their height. */
function toldApart(horses: readonly PlanHorse[]): LayoutHorse[] {
  return horses.map(horse =>
    horses.some(({ id, name }) => id !== horse.id && name === horse.name)
      ? { ...horse, name: `${horse.name} (${Math.round(horse.heightM * 100)} cm)` }
      : horse,
  );
}

type Made = { ok: true; exercise: ResolvedExercise } | { ok: false; id: string; reason: string };

/** Ids that no other exercise has: the same for the same part however often it is laid out. */
function ownIds(placed: PlacedRecipe, laid: LaidExercise): LaidExercise {
  const own = (id: string) => `${placed.id} ${id}`;
  // An exercise that is one track has one id for both.
  const trackId = (id: string) => (laid.tracks.length === 1 ? placed.id : own(id));
  return {
    ...laid,
    items: laid.items.map(item => ({ ...item, id: own(item.id) })),
    tracks: laid.tracks.map(track =>
      track.kind === 'figures'
        ? {
            ...track,
            id: trackId(track.id),
            figures: track.figures.map(figure => ({ ...figure, id: own(figure.id) })),
          }
        : {
            ...track,
            id: trackId(track.id),
            through: track.through.map(stop => ({ ...stop, item: own(stop.item) })),
          },
    ),
    stages: laid.stages.map(stage => ({
      ...stage,
      set: {
        ...stage.set,
        only: stage.set.only?.map(own) ?? null,
        asPoles: typeof stage.set.asPoles === 'string' ? stage.set.asPoles : stage.set.asPoles.map(own),
      },
    })),
  };
}

function assembled(plan: Plan, ground: PlanGround, horses: LayoutHorse[], made: readonly Made[]): ResolvedPlan {
  const exercises = withTrackNames(made.flatMap(one => (one.ok ? [one.exercise] : [])));
  const items = [...plan.items, ...exercises.flatMap(({ laid }) => laid.items)];
  const tracks = [...plan.tracks.flatMap(track => present(track, items)), ...exerciseTracks(exercises)];
  const ownerOf = new Map<string, string>();
  for (const { placed, laid } of exercises)
    for (const { id } of [...laid.items, ...(placed.session === null ? laid.tracks : [])]) ownerOf.set(id, placed.id);
  const { name, arena, fall, kit } = ground;
  const lean = ground.leanRad === undefined ? {} : { leanRad: ground.leanRad };
  return {
    layout: { name, arena, fall, kit, ...lean, school: plan.school, items, tracks, horses },
    exercises,
    ownerOf,
    faults: made.flatMap(one => (one.ok ? [] : [{ id: one.id, reason: one.reason }])),
  };
}

/** What an exercise is called: by its name, else its title, numbered where the plan has several of it. */
export function exerciseLabel(exercises: readonly Pick<ResolvedExercise, 'placed' | 'guidance'>[], id: string): string {
  const found = exercises.find(({ placed }) => placed.id === id);
  if (!found) return 'exercise';
  if (found.placed.name !== null) return found.placed.name;
  const { title } = found.guidance;
  const alike = exercises.filter(({ placed, guidance }) => placed.name === null && guidance.title === title);
  return alike.length > 1 ? `${title} ${alike.indexOf(found) + 1}` : title;
}

/** The track of an exercise is called what the exercise is called. */
function withTrackNames(exercises: readonly ResolvedExercise[]): ResolvedExercise[] {
  return exercises.map(exercise => withTrackName(exercise, exerciseLabel(exercises, exercise.placed.id)));
}

const namedBefore = new WeakMap<ResolvedExercise, ResolvedExercise>();

/** The same object for the same exercise and name, so that what was reckoned of it holds. */
function withTrackName(exercise: ResolvedExercise, name: string): ResolvedExercise {
  const before = namedBefore.get(exercise);
  if (before && before.laid.tracks.every(track => track.name === name)) return before;
  const { laid } = exercise;
  const now = { ...exercise, laid: { ...laid, tracks: laid.tracks.map(track => ({ ...track, name })) } };
  namedBefore.set(exercise, now);
  return now;
}

/** A track by hand over what is there: an item that its exercise no longer has is skipped. */
function present(track: PlannedTrack, items: readonly Item[]): PlannedTrack[] {
  if (track.kind === 'figures') return [track];
  const there = new Set(items.filter(isRidden).map(({ id }) => id));
  if (track.through.every(({ item }) => there.has(item))) return [track];
  const kept = keptOf(track, ({ item }) => there.has(item));
  return kept.through.length === 0 ? [] : [kept];
}

/** Figures of one session become one track, in the order in which they were put there. */
function exerciseTracks(exercises: readonly ResolvedExercise[]): PlannedTrack[] {
  const tracks: PlannedTrack[] = [];
  for (const { placed, laid } of exercises)
    for (const track of laid.tracks) {
      const session = track.kind === 'figures' ? placed.session : null;
      const begun = session === null ? undefined : tracks.find(({ id }) => id === session);
      if (begun?.kind === 'figures' && track.kind === 'figures') begun.figures.push(...ownGait(track));
      else if (session !== null && track.kind === 'figures')
        tracks.push({ ...track, id: session, name: null, figures: [...ownGait(track)] });
      else tracks.push(track);
    }
  return tracks;
}

/** Remembered by track, so that a session of the same figures is the same session. */
const gaited = new WeakMap<FigureTrack, FigureTrack['figures']>();

/** The figures of a track, each with the gait it is ridden in: the session may be in another. */
function ownGait(track: FigureTrack): FigureTrack['figures'] {
  const known = gaited.get(track);
  if (known) return known;
  const figures = track.figures.map(planned => ({ ...planned, gait: planned.gait ?? track.gait }));
  gaited.set(track, figures);
  return figures;
}
