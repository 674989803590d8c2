import type { LaidExercise, Stage } from '../exercises/exercise';
import type { FenceForm } from '../items/item';
import { isRidden } from '../items/item';
import type { BuiltState } from './builtState';

/** How the pieces of an exercise are built at one of its stages. */
export function stageState({ items }: Pick<LaidExercise, 'items'>, { set }: Pick<Stage, 'set'>): BuiltState {
  const isOut = (item: LaidExercise['items'][number]) =>
    (item.kind === 'guide' && !set.guides) || (isRidden(item) && set.only !== null && !set.only.includes(item.id));
  const out = items.filter(isOut).map(({ id }) => id);
  const fences = items.filter(({ id, kind }) => kind === 'fence' && !out.includes(id)).map(({ id }) => id);
  const asPole = fences.filter(id => set.asPoles === 'all' || (set.asPoles !== 'none' && set.asPoles.includes(id)));
  const standing = fences.filter(id => !asPole.includes(id));
  const poles = items.filter(({ id, kind }) => kind === 'pole' && !out.includes(id)).map(({ id }) => id);
  const each = <Value>(ids: readonly string[], value: Value | null): Record<string, Value> =>
    value === null ? {} : Object.fromEntries(ids.map(id => [id, value]));
  return {
    ...{ out, asPole, raisedM: each(poles, set.raisedM), heightM: each(standing, set.heightM) },
    form: each<FenceForm>(standing, set.form),
  };
}
