import { layOutExercise } from '../exercises/layOutExercise';
import { SHELF } from '../exercises/shelf';
import type { LayoutHorse } from '../layout/layout';
import { EMPTY_PLAN, type Plan } from '../plan/plan';
import { resolvePlan } from '../plan/layOutPlaced';
import { setStages } from './setStages';

const ARENA = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
const HORSE: LayoutHorse = {
  ...{ id: 'h', name: 'Fen', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} },
};

function planOf(...kinds: string[]) {
  const exercises = kinds.map((kind, index) => {
    const recipe = SHELF.find(one => one.kind === kind)!;
    const ground = { arena: ARENA, school: 'whole-stride' as const, horses: [HORSE] };
    const { params, place } = layOutExercise(recipe, ground, { rein: 'left' });
    return {
      ...{ id: `e${index}`, name: null, kind, rein: 'left' as const, params, place },
      ...{ horseIds: null, session: null },
    };
  });
  const plan: Plan = { ...EMPTY_PLAN, groupIds: ['h'], exercises };
  return resolvePlan(plan, { name: 'one', arena: ARENA, fall: null, kit: null, horses: [HORSE] });
}

test('a grid is set stage by stage: fewer fences first, and nothing stands elsewhere than it is drawn', () => {
  const resolved = planOf('grid');
  const stages = setStages(resolved);
  expect(stages.length).toBeGreaterThanOrEqual(3);
  const fences = stages.map(({ layout }) => layout.items.filter(({ kind }) => kind === 'fence').length);
  expect(fences[0]).toBeLessThan(fences.at(-1)!);
  const drawn = new Map(resolved.layout.items.map(({ id, at }) => [id, at]));
  for (const { layout } of stages) for (const { id, at } of layout.items) expect(at).toEqual(drawn.get(id));
  // No two are built alike, and each has a key of its own.
  expect(new Set(stages.map(({ layout }) => JSON.stringify(layout.items))).size).toBe(stages.length);
  expect(new Set(stages.map(({ key }) => key)).size).toBe(stages.length);
});

test('of two exercises a stage says whose it is, and the other stands as drawn', () => {
  const resolved = planOf('grid', 'trot-poles');
  const stage = setStages(resolved).find(({ key }) => key === 'e0.0')!;
  expect(stage.name).toContain(': ');
  const other = (items: typeof resolved.layout.items) => items.filter(({ id }) => id.startsWith('e1'));
  expect(other(stage.layout.items)).toEqual(other(resolved.layout.items));
});

test('a plan without exercises has none', () => {
  expect(setStages(planOf())).toEqual([]);
});

test('the counts of a stage are asked on the track of its own exercise, and what is built as drawn says so', () => {
  const resolved = planOf('two-fences-on-circle', 'trot-poles');
  const stages = setStages(resolved).filter(({ key }) => key.startsWith('e0.'));
  const asked = stages.map(({ layout }) =>
    layout.tracks.map(track => (track.kind === 'items' ? track.legs.map(leg => leg.asked) : [])),
  );
  const counted = asked.at(-1)!;
  expect(counted[0]!.every(count => typeof count === 'number' && count === counted[0]![0])).toBe(true);
  // As poles none is asked; the row beside has none of its own.
  expect(asked[0]![0]).toEqual([null, null]);
  expect(new Set(counted[1])).toEqual(new Set([null]));
  expect(stages.map(({ isAsDrawn }) => isAsDrawn)).toEqual([...stages.slice(1).map(() => false), true]);
});
