import type { Fence, Item } from '../items/item';
import { isRidden } from '../items/item';
import type { Pole } from '../items/pole';
import { applyEdits } from '../layout/layoutEdit';
import type { ItemTrack, Layout, PlannedTrack } from '../layout/layout';
import type { ExerciseGround, LaidExercise, Stage, StageSet } from './exercise';

/** An exercise at one of its stages as a layout: to be reckoned, judged, set and written. */
export function stageLayout(name: string, exercise: LaidExercise, ground: ExerciseGround, stage: Stage): Layout {
  const layout: Layout = {
    ...{ name, arena: ground.arena, fall: null, school: ground.school, horses: [...ground.horses], kit: null },
    items: exercise.items.map(item => itemAtStage(item, stage.set)).filter(item => item !== null),
    tracks: exercise.tracks,
  };
  const left = new Set(layout.items.map(({ id }) => id));
  const out = exercise.items.filter(({ id }) => !left.has(id) && exercise.tracks.some(track => ridesOver(track, id)));
  const built = applyEdits(
    layout,
    out.map(({ id }) => ({ kind: 'remove-item', item: id })),
  );
  return { ...built, tracks: built.tracks.map((track, index) => trackAtStage(track, index, built.items, stage)) };
}

function ridesOver(track: PlannedTrack, id: string): boolean {
  return track.kind === 'items' && track.through.some(({ item }) => item === id);
}

function itemAtStage(item: Item, set: StageSet): Item | null {
  if (item.kind === 'guide' && !set.guides) return null;
  if (isRidden(item) && set.only && !set.only.includes(item.id)) return null;
  if (item.kind === 'pole')
    return set.raisedM === null ? item : { ...item, raised: { leftM: set.raisedM, rightM: set.raisedM } };
  if (item.kind !== 'fence') return item;
  if (set.asPoles === 'all' || (set.asPoles !== 'none' && set.asPoles.includes(item.id))) return asPole(item);
  return builtAs(item, set);
}

function asPole({ id, name, at, headingRad, widthM }: Fence): Pole {
  return { kind: 'pole', id, name, at, headingRad, lengthM: widthM, raised: { leftM: 0, rightM: 0 } };
}

/** Another form keeps its place; a spread belongs to the forms that have one. */
function builtAs(fence: Fence, { form, heightM }: StageSet): Fence {
  const built = { ...fence, form: form ?? fence.form, heightM: heightM ?? fence.heightM };
  const spreads = built.form === 'oxer' || built.form === 'triple-bar' || built.form === 'corner';
  return {
    ...built,
    spreadM: spreads ? built.spreadM : 0,
    sideHeightM: built.form === 'cross-rail' ? (built.sideHeightM ?? built.heightM * 2) : null,
    corner: built.form === 'corner' ? built.corner : null,
  };
}

function trackAtStage(track: PlannedTrack, index: number, items: readonly Item[], stage: Stage): PlannedTrack {
  const gait = stage.gait ?? track.gait;
  if (track.kind === 'figures') return { ...track, gait };
  const isPole = (id: string) => items.some(item => item.id === id && item.kind === 'pole');
  const legs: ItemTrack['legs'] = track.legs.map((leg, at) => ({
    ...leg,
    setting: isPole(track.through[at]!.item) && isPole(track.through[at + 1]!.item) ? 'poles' : leg.setting,
    asked: index === 0 && stage.asked ? (stage.asked[at] ?? null) : leg.asked,
  }));
  return { ...track, gait, legs };
}
