import { AS_LAID_OUT, newItem, type Layout, type PassMark, type PassRecord, type Question } from '@/core';
import type { LayoutVersion } from '@/data/queries/layoutVersions';
import { riddenRows, rowReview } from './reviewFigures';

const SPACING_M = 1.4;
const poles = [0, 1, 2, 3].map(index =>
  newItem('pole', `p${index}`, { xM: 10, yM: 10 + index * SPACING_M }, Math.PI / 2),
);
const layout: Layout = {
  ...{
    name: 'row',
    arena: { widthM: 20, lengthM: 40, letters: 'none' },
    fall: null,
    school: 'whole-stride',
    horses: [],
    kit: null,
  },
  items: poles,
  tracks: [
    {
      ...{ kind: 'items', id: 'row', name: null, gait: 'trot', course: null, passes: 1 },
      through: poles.map(({ id }) => ({ item: id, reversed: false })),
      legs: [1, 2, 3].map(() => ({
        track: 'natural',
        setting: 'poles',
        approach: 'canter',
        asked: null,
        circle: null,
      })),
    },
  ],
};
const VERSIONS = new Map([['v', { id: 'v', layoutId: 'l', name: 'row', layout } as unknown as LayoutVersion]]);

const ROW: Question = {
  ...{ id: 'q', name: null, what: { kind: 'track', trackId: 'row' }, gait: 'trot', rein: null, asked: [] },
  state: AS_LAID_OUT,
};

/** A pass whose foot gains so much of a gap from gap to gap, in the order in which they are ridden. */
function pass(id: string, day: string, otherWay: boolean, gain: number): PassRecord {
  const marks = [0, 1, 2].map((ridden): PassMark => {
    const place = otherWay ? 3 - ridden : ridden + 1;
    return { id: `${id} ${ridden}`, kind: 'footfall', place, fraction: 0.5 + gain * (ridden - 1) };
  });
  return {
    ...{ id, pairId: 'a', layoutVersionId: 'v', lessonId: null, stage: 's', rein: otherWay ? 'right' : 'left', marks },
    ...{ stageId: null, question: ROW },
    ...{ direction: otherWay ? 'other-way' : 'as-drawn', riddenAtMs: Date.parse(`${day}T10:00:00Z`) },
  };
}

const rowReviews = (passes: PassRecord[]) =>
  riddenRows(passes, VERSIONS).map(row =>
    rowReview(
      row,
      passes.filter(({ id }) => row.passIds.includes(id)),
      'UTC',
    ),
  );

test('a row ridden the other way says the same of the spacing', () => {
  const says = (...otherWays: boolean[]) =>
    rowReviews(otherWays.map((otherWay, i) => pass(String(i), '2026-05-01', otherWay, 0.05)))[0]!.suggestion;
  // The step is 5 % longer than the spacing: 7 cm wider.
  for (const suggestion of [says(false, false), says(true, true), says(false, true)]) {
    expect(suggestion).toMatchObject({ kind: 'open', passes: 2 });
    expect(suggestion.kind === 'open' && suggestion.changeM).toBeCloseTo(0.07, 6);
  }
});

test('what to try rests on the last day, the passes on all of them', () => {
  const [review] = rowReviews([pass('a', '2026-04-01', false, 0.05), pass('b', '2026-05-01', false, -0.05)]);
  expect(review).toMatchObject({ poles: 4, gait: 'trot', lastDay: '1 May 2026' });
  expect(review!.spacingM).toBeCloseTo(SPACING_M, 9);
  expect(review!.passes).toHaveLength(2);
  expect(review!.suggestion).toMatchObject({ kind: 'close', passes: 1 });
  expect(rowReviews([])).toEqual([]);
});
