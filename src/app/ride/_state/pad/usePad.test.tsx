/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { RunTrack } from '@/app/ride/askedRide';
import type { PadStep, PassMark, TappedMark } from '@/core';
import { usePad } from './usePad';

const AT = { xM: 0, yM: 0 };
const fence = (place: number): PadStep => ({
  ...{ kind: 'fence', place, item: `f${place}`, label: String(place), words: `fence ${place}`, at: AT },
});
const leg = (from: number, likely: number, asked: number | null = null): RunTrack['legs'][number] => ({
  ...{ from: `fence ${from}`, to: `fence ${from + 1}`, groundM: 21, asked, likely, betweenPoles: false },
  ...{ zeroIs: 'bounce', words: null },
});
const TRACK = { legs: [leg(1, 5), leg(2, 6, 6)] } as RunTrack;
const STEPS = [fence(1), fence(2), fence(3)];

/** A pad whose marks are kept as they are said, as a lesson keeps them. */
function open(steps: readonly PadStep[] = STEPS, track: RunTrack | null = TRACK) {
  let marks: PassMark[] = [];
  const said: TappedMark[][] = [];
  const view = renderHook(
    ({ passKey }: { passKey: string }) =>
      usePad({
        ...{ steps, track, passKey, marks, ready: true },
        onMarks: batch => {
          said.push([...batch]);
          marks = [...marks, ...batch.map((one, i) => ({ id: `${said.length} ${i}`, ...one }) as PassMark)];
        },
        onUnmark: id => {
          marks = marks.filter(mark => mark.id !== id);
        },
      }),
    { initialProps: { passKey: 'one' } },
  );
  const pad = () => view.result.current;
  const tap = (times: number, eachMs = 600) => {
    for (let i = 0; i < times; i += 1)
      act(() => {
        jest.setSystemTime(Date.now() + eachMs);
        pad().tap();
      });
  };
  const press = (of: (step: PadStep | null) => TappedMark, at?: 'here' | 'left') => act(() => pad().mark(of, at));
  return { pad, tap, press, said, marks: () => marks, next: (passKey: string) => view.rerender({ passKey }) };
}
const down = (step: PadStep | null): TappedMark => ({ kind: 'fence', place: step!.place, outcome: 'down' });
const lead = (step: PadStep | null): TappedMark => ({ kind: 'lead', place: step!.place, lead: 'left' });

beforeEach(() => jest.useFakeTimers({ now: 1_000_000 }));
afterEach(() => jest.useRealTimers());

test('strides are counted from the first fence on, and said when the next one is tapped', () => {
  const { pad, tap, said } = open();
  expect(pad().step?.words).toBe('fence 1');
  tap(5);
  expect(said).toEqual([]);
  expect(pad().run?.tapsMs).toHaveLength(5);
  act(() => pad().choose(1));
  expect(said).toEqual([[{ kind: 'strides', place: 1, count: 5, tapsMs: [0, 600, 1200, 1800, 2400] }]]);
  expect(pad().step?.words).toBe('fence 2');
});

test('what happens while strides are counted is of the fence that they lead to; a lead is of the one left', () => {
  const { pad, tap, press, said } = open();
  tap(2);
  press(lead, 'left');
  expect(said.at(-1)).toEqual([{ kind: 'lead', place: 1, lead: 'left' }]);
  // The count goes on.
  tap(3);
  press(down);
  expect(said.at(-1)).toEqual([
    expect.objectContaining({ kind: 'strides', place: 1, count: 5 }),
    { kind: 'fence', place: 2, outcome: 'down' },
  ]);
  expect(pad().step?.words).toBe('fence 2');
  tap(1);
  expect(pad().run?.step).toBe(1);
});

test('the pause of a jump says the count, and goes on with the next leg', () => {
  const { pad, tap, said } = open();
  tap(5);
  tap(1, 1500);
  expect(said).toEqual([[expect.objectContaining({ place: 1, count: 5 })]]);
  expect(pad().run).toMatchObject({ step: 1 });
});

test('an undo takes one stride back, and none is left of a count of none', () => {
  const { pad, tap } = open();
  tap(2);
  act(() => pad().untap());
  expect(pad().run?.tapsMs).toHaveLength(1);
  act(() => pad().untap());
  expect(pad().run).toBeNull();
  expect(pad().pending()).toEqual([]);
});

test('whoever ends the pass has what was counted; the next pass begins at its first fence', () => {
  const { pad, tap, next } = open();
  act(() => pad().choose(1));
  tap(6);
  expect(pad().pending()).toEqual([expect.objectContaining({ kind: 'strides', place: 2, count: 6 })]);
  next('two');
  expect(pad().run).toBeNull();
  expect(pad().step?.words).toBe('fence 1');
});

test('a key that says what is said takes it back', () => {
  const { press, marks } = open();
  press(down);
  expect(marks()).toHaveLength(1);
  press(down);
  expect(marks()).toEqual([]);
});

test('ridden the other way the last fence comes first, and legs keep the numbers they are drawn with', () => {
  const { pad, tap } = open([...STEPS].reverse());
  expect(pad().step?.words).toBe('fence 3');
  tap(6);
  expect(pad().pending()).toEqual([expect.objectContaining({ place: 2, count: 6 })]);
});

test('each transition is marked where it is, with the trot steps before it, and the next one follows', () => {
  const change = (place: number, from: 'walk' | 'trot', to: 'trot' | 'canter'): PadStep => ({
    ...{ kind: 'transition', place, from, to, alongM: 0, label: String(place), words: `${from} to ${to}`, at: AT },
  });
  const { pad, tap, press, said } = open([change(1, 'walk', 'trot'), change(2, 'trot', 'canter')], null);
  const how = (word: 'prompt' | 'wrong lead') => (step: PadStep | null) =>
    ({ ...{ kind: 'transition', place: step!.place, how: word, trotSteps: null }, to: 'canter' }) as TappedMark;
  press(how('prompt'));
  expect(pad().step?.words).toBe('trot to canter');
  tap(3);
  press(how('wrong lead'));
  expect(said.at(-1)).toEqual([expect.objectContaining({ place: 2, how: 'wrong lead', trotSteps: 3 })]);
});

test('poles of a row are not counted stride by stride, and nothing is chosen before one is', () => {
  const pole = (place: number) => ({ ...fence(place), kind: 'pole', lies: true }) as PadStep;
  const row = { legs: [{ ...leg(1, 0), betweenPoles: true }] } as RunTrack;
  const { pad } = open([pole(1), pole(2)], row);
  expect(pad().counted).toBe(false);
  expect(pad().step).toBeNull();
});
