import { countsThatCanBe, tapsFromFirst, tapStride, type TapRun } from './strideTaps';

const START: TapRun = { step: 0, tapsMs: [] };

/** Taps a row of instants, milliseconds, on a line of two legs of so many strides. */
function tapAll(atMs: readonly number[], counts = { from: 4, to: 7 }) {
  let run = START;
  const ended: TapRun[] = [];
  for (const ms of atMs) {
    const step = tapStride(run, ms, counts, run.step < 1);
    run = step.run;
    if (step.ended) ended.push(step.ended);
  }
  return { run, ended };
}

const every = (fromMs: number, strides: number, eachMs = 600) =>
  Array.from({ length: strides }, (_, i) => fromMs + i * eachMs);

test('the pause of a jump ends a leg, and the tap after it is the first of the next', () => {
  const { run, ended } = tapAll([...every(0, 5), ...every(2400 + 1500, 4)]);
  expect(ended.map(({ step, tapsMs }) => [step, tapsMs.length])).toEqual([[0, 5]]);
  expect(run).toMatchObject({ step: 1 });
  expect(run.tapsMs).toHaveLength(4);
});

test('a pause where the leg cannot be over yet is a stride that was missed', () => {
  const { run, ended } = tapAll([...every(0, 3), ...every(1200 + 1400, 2)]);
  expect(ended).toEqual([]);
  expect(run.tapsMs).toHaveLength(5);
});

test('an unsteady thumb ends nothing, and behind the last leg there is none', () => {
  expect(tapAll([0, 560, 1240, 1790, 2450, 3020]).ended).toEqual([]);
  const { run } = tapAll([...every(0, 5), ...every(3900, 5), ...every(3900 + 2400 + 1600, 1)]);
  expect(run).toMatchObject({ step: 1 });
  expect(run.tapsMs).toHaveLength(6);
});

// Common practice, no source: a leg of 14 m between fences is three canter strides.
test.each([
  [3, null, { from: 2, to: 4 }],
  [6, null, { from: 4, to: 9 }],
  [1, null, { from: 0, to: 2 }],
  [0, null, { from: 0, to: 1 }],
  [3, 5, { from: 2, to: 5 }],
])('on a leg of %i likely strides, %s asked, these can be', (likely, asked, counts) => {
  expect(countsThatCanBe(likely, asked)).toEqual(counts);
});

test('no likely count is impossible', () => {
  expect(() => countsThatCanBe(NaN, null)).toThrow(RangeError);
});

test('taps are kept from the first on, in order though a clock went back', () => {
  expect(tapsFromFirst([1000.4, 1600, 1500, 2300.6])).toEqual([0, 600, 600, 1300]);
  expect(tapsFromFirst([])).toEqual([]);
});
