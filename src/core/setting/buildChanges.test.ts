import type { Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { testFence } from '../layout/testLayout';
import { buildChanges } from './buildChanges';

const fence = (id: string, changes: Parameters<typeof testFence>[4] = {}) => testFence(id, 10, 20, 0, changes);
const pole = (id: string) => newItem('pole', id, { xM: 5, yM: 5 }, 0);
const told = (from: Item[], to: Item[]) =>
  buildChanges(from, to).map(({ items, from: was, to: is, kit }) => ({
    items,
    was: was && (was.kind === 'fence' ? was.form : was.kind),
    is: is && (is.kind === 'fence' ? is.form : is.kind),
    poles: kit.poles,
  }));

test('what is done alike is told together, with what it takes of all of them', () => {
  const [low, high] = [
    ['a', 'b'].map(id => fence(id, { form: 'cross-rail', groundLineBeforeM: null })),
    ['a', 'b'].map(id => fence(id, { form: 'oxer', spreadM: 0.8, groundLineBeforeM: null })),
  ];
  const [change, ...others] = told(low!, high!);
  expect(others).toEqual([]);
  expect(change).toMatchObject({ items: ['a', 'b'], was: 'cross-rail', is: 'oxer' });
  expect(change!.poles).toBe(told([low![0]!], [high![0]!])[0]!.poles * 2);
});

test('another height is another thing to do; another place, name or heading is none', () => {
  const raised = told(
    [fence('a', { heightM: 0.6 }), fence('b', { heightM: 0.6 })],
    [fence('a', { heightM: 0.7 }), fence('b', { heightM: 0.8 })],
  );
  expect(raised.map(({ items }) => items)).toEqual([['a'], ['b']]);
  const moved = { ...fence('a'), at: { xM: 1, yM: 1 }, name: 'the wall', headingRad: 3 };
  expect(told([fence('a')], [moved])).toEqual([]);
});

test('what comes and what goes: kit that it takes, and kit that comes free', () => {
  expect(told([], [pole('p'), pole('q')])).toEqual([{ items: ['p', 'q'], was: null, is: 'pole', poles: 2 }]);
  expect(told([pole('p')], [])).toEqual([{ items: ['p'], was: 'pole', is: null, poles: -1 }]);
  expect(told([pole('p')], [pole('p')])).toEqual([]);
});
