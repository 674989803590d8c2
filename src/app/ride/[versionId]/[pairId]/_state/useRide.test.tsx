/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { EMPTY_LOG, type Question, type RecordEvent, type RideWay, type TappedMark } from '@/core';
import { useRide } from './useRide';

const sent: RecordEvent[] = [];
jest.mock('@/components/sync/useBox', () => ({
  useBox: () => ({
    ...{ ready: true, unsent: [], waits: { state: 'sent', count: 0 } },
    add: (events: RecordEvent[]) => void sent.push(...events),
  }),
}));
const NOW_MS = 1_800_000_000_000;
let said = 0;
jest.mock('@/app/ride/saying', () => ({
  saying: () => ({ atMs: Date.now() + (said += 10), by: null, newId: () => `n${(said += 1)}` }),
}));

const question = (id: string, trackId: string): Question => ({
  ...{ id, name: null, what: { kind: 'track', trackId }, gait: 'trot', rein: null, asked: [] },
  state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} },
});
const WAYS: RideWay[] = [
  { rein: 'left', direction: 'as-drawn' },
  { rein: 'right', direction: 'other-way' },
];
const hit = (place: number): TappedMark => ({ kind: 'hit', place });

function open(first: Parameters<typeof useRide>[0]['first'] = EMPTY_LOG) {
  const view = renderHook(() =>
    useRide({
      ...{ pairId: 'quill', layoutVersionId: 'v', stage: 'Poles', question: question('q', 'row'), ways: WAYS, first },
    }),
  );
  const ride = () => view.result.current;
  const does = (what: (now: ReturnType<typeof ride>) => unknown) => act(() => void what(ride()));
  return { ride, does };
}
const kinds = (ride: ReturnType<typeof useRide>) => ride.passes.map(({ marks }) => marks.map(({ kind }) => kind));

beforeEach(() => {
  sent.length = 0;
  said = 0;
  jest.useFakeTimers({ now: NOW_MS });
});
afterEach(() => jest.useRealTimers());

test('the first mark begins a pass of no lesson, the next go to it, and all are sent in their order', () => {
  const { ride, does } = open();
  does(now => now.mark(hit(1)));
  does(now => now.mark(hit(2)));
  does(now => now.endPass());
  expect(kinds(ride())).toEqual([['hit', 'hit']]);
  expect(sent.map(({ type }) => type)).toEqual(['pass', 'mark', 'mark']);
  expect(sent[0]).toMatchObject({ pass: { lessonId: null, pairId: 'quill', stage: 'Poles', rein: 'left' } });
});

test('a pass with nothing to mark is recorded too, and one whose count was not said yet has it', () => {
  const { ride, does } = open();
  does(now => now.endPass());
  does(now => now.endPass([{ kind: 'strides', place: 1, count: 3 } as TappedMark]));
  expect(kinds(ride())).toEqual([[], ['strides']]);
});

test('a mark is taken back by itself, a tap undone with its pass, and done again', () => {
  const { ride, does } = open();
  does(now => now.mark(hit(1)));
  does(now => now.unmark(now.open!.marks[0]!.id));
  expect(kinds(ride())).toEqual([[]]);
  does(now => now.reverse(now.history.undo.at(-1)!));
  expect(kinds(ride())).toEqual([['hit']]);
  does(now => now.reverse(now.history.undo.at(-1)!));
  expect(kinds(ride())).toEqual([]);
  does(now => now.reverse(now.history.redo.at(-1)!));
  expect(kinds(ride())).toEqual([['hit']]);
});

test('the way that is chosen is that of the pass that is open, and of the next', () => {
  const { ride, does } = open();
  does(now => now.mark(hit(1)));
  does(now => now.steer(WAYS[1]!));
  expect(ride().passes[0]).toMatchObject(WAYS[1]!);
  does(now => now.endPass());
  does(now => now.endPass());
  expect(ride().passes.map(({ rein }) => rein)).toEqual(['right', 'right']);
});

test('an earlier pass is opened again and marked', () => {
  const { ride, does } = open();
  does(now => now.mark(hit(1)));
  does(now => now.endPass());
  does(now => now.endPass());
  const round = ride().round;
  does(now => now.reopen(now.passes[0]!.id));
  expect(ride().round).toBe(round + 1);
  does(now => now.mark(hit(2)));
  expect(kinds(ride())).toEqual([['hit', 'hit'], []]);
});

test('what was ridden over something else is not shown, and what was ridden yesterday is not undone', () => {
  const logged = (id: string, trackId: string, riddenAtMs: number) => ({
    ...{ by: null, saidAtMs: riddenAtMs, counts: true, marks: [] },
    pass: {
      ...{ id, pairId: 'quill', layoutVersionId: 'v', lessonId: null, stageId: null, stage: 'Poles', riddenAtMs },
      ...{ question: question('q', trackId), rein: 'left' as const, direction: 'as-drawn' as const },
    },
  });
  const passes = [
    logged('yesterday', 'row', NOW_MS - 24 * 3_600_000),
    logged('beside', 'circle', NOW_MS - 60_000),
    logged('now', 'row', NOW_MS - 60_000),
  ];
  const { ride } = open({ ...EMPTY_LOG, passes });
  expect(ride().passes.map(({ id }) => id)).toEqual(['yesterday', 'now']);
  expect(ride().history.undo).toHaveLength(1);
});
