import type { Arena } from '@/core';
import type { PlannedRow } from '@/files/planDocument';
import fc from 'fast-check';
import { changeRow, type RowChange, type RowContext } from './changeRow';
import { commit, redo, startHistory, undo } from './history';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const FLAT = { leftM: 0, rightM: 0 };
const CONTEXT: RowContext = {
  arena: ARENA,
  horses: [
    { id: 'medium', name: 'Medium', heightM: 1.6, type: 'all-round', strides: {} },
    { id: 'pony', name: 'Pony', heightM: 1.27, type: 'pony', strides: {} },
  ],
};
const ROW: PlannedRow = {
  kind: 'pole-row',
  id: 'row',
  horseId: 'medium',
  gait: 'trot',
  centre: { xM: 5, yM: 20 },
  headingRad: Math.PI / 2,
  poleLengthM: 3,
  raised: [FLAT, FLAT, FLAT, FLAT],
  spacing: { by: 'hand', spacingM: 1.3 },
};

const changed = (change: RowChange) => {
  const result = changeRow(ROW, change, CONTEXT);
  if (!result.ok) throw new Error(result.reason);
  return result.row;
};

test('another horse, or another gait, starts from its own step again', () => {
  expect(changed({ kind: 'horse', horseId: 'pony' }).spacing).toEqual({ by: 'horse' });
  expect(changed({ kind: 'gait', gait: 'walk' }).spacing).toEqual({ by: 'horse' });
});

test('poles added lie on the ground, poles taken away leave the others as they were', () => {
  const up = { leftM: 0.15, rightM: 0 };
  const raised = changed({ kind: 'raise', raised: [FLAT, up, FLAT, FLAT] });
  const more = changeRow(raised, { kind: 'count', count: 6 }, CONTEXT);
  expect(more.ok && more.row.raised).toEqual([FLAT, up, FLAT, FLAT, FLAT, FLAT]);
  const fewer = changeRow(raised, { kind: 'count', count: 2 }, CONTEXT);
  expect(fewer.ok && fewer.row.raised).toEqual([FLAT, up]);
});

test('a row dragged over the wall stops at it', () => {
  // Poles 3 m long along x: the centre stays 1.5 m from the long side.
  expect(changed({ kind: 'move', centre: { xM: -4, yM: 20 } }).centre.xM).toBeCloseTo(1.5, 9);
});

test('a turn that does not fit is refused with the reason, and the row stays', () => {
  const long: PlannedRow = { ...ROW, gait: 'canter', raised: Array(12).fill(FLAT), spacing: { by: 'horse' } };
  expect(changeRow(long, { kind: 'turn', headingRad: 0 }, CONTEXT)).toEqual({
    ok: false,
    reason: expect.stringContaining('does not fit'),
  });
});

test('a horse that has left the yard is named as the reason', () => {
  expect(changeRow(ROW, { kind: 'horse', horseId: 'gone' }, CONTEXT)).toMatchObject({ ok: false });
});

test('undo takes back any number of steps, and redo brings all of them again', () => {
  fc.assert(
    fc.property(fc.array(fc.integer(), { minLength: 1, maxLength: 30 }), steps => {
      // Boxed, so that equal numbers are still different states.
      const states = steps.map(value => ({ value }));
      const full = states.reduce(commit, startHistory({ value: -1 }));
      const back = states.reduce(history => undo(history), full);
      expect(back.present).toEqual({ value: -1 });
      expect(undo(back)).toBe(back);
      expect(states.reduce(history => redo(history), back).present).toBe(full.present);
    }),
  );
});

test('a new step forgets what was undone', () => {
  const history = commit(undo(commit(startHistory('a'), 'b')), 'c');
  expect(redo(history)).toBe(history);
  expect(undo(history).present).toBe('a');
});
