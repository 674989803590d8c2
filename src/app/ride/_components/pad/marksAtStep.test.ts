import type { PadStep, PassMark } from '@/core';
import { marksAtStep } from './marksAtStep';
import { countsStrides, legAfter, legNumber, stepsOfLine } from './padLegs';
import type { RunTrack } from '@/app/ride/askedRide';

const AT = { xM: 0, yM: 0 };
const fence = (place: number): PadStep => ({
  ...{ kind: 'fence', place, item: `f${place}`, label: String(place), words: `fence ${place}`, at: AT },
});
const pole = (place: number) => ({ ...fence(place), kind: 'pole', lies: true }) as PadStep;
const transition = (place: number, alongM: number) =>
  ({ kind: 'transition', place, from: 'trot', to: 'canter', alongM, label: '', words: '', at: AT }) as PadStep;
const figure = (place: number, part: number | null) =>
  ({
    kind: 'figure',
    place,
    part,
    alongM: 10,
    gait: 'trot',
    aside: null,
    label: '',
    words: '',
    at: AT,
  }) as unknown as PadStep;
const marks = (...said: object[]) => said.map((one, id) => ({ id: String(id), ...one }) as PassMark);

describe('what was said of where one is, in the room of a key', () => {
  it.each([
    { said: { kind: 'fence', place: 2, outcome: 'run-out left' }, words: 'run-out left' },
    { said: { kind: 'lead', place: 2, lead: 'left' }, words: 'left lead' },
    { said: { kind: 'lead', place: 2, lead: 'cross-canter' }, words: 'cross-canter' },
    { said: { kind: 'take-off', place: 2, where: 'deep' }, words: 'deep' },
    { said: { kind: 'landing', place: 2, where: 'long' }, words: 'landed long' },
    { said: { kind: 'aim', place: 2, off: 'right' }, words: 'off right' },
    { said: { kind: 'fault', place: 2, fault: 'broke gait' }, words: 'broke gait' },
    { said: { kind: 'gait', from: 2, ridden: 'trot' }, words: 'trot' },
    { said: { kind: 'strides', place: 2, count: 5 }, words: '' },
    { said: { kind: 'quality', value: 3 }, words: '' },
    { said: { kind: 'fence', place: 1, outcome: 'down' }, words: '' },
  ])('$words', ({ said, words }) => {
    expect(marksAtStep(marks(said), fence(2))).toBe(words);
  });

  it('is told once, all of it, in the order it was said', () => {
    const said = marks(
      { kind: 'hit', place: 1 },
      { kind: 'footfall', place: 1, fraction: 0.5 },
      { kind: 'hit', place: 1 },
    );
    expect(marksAtStep(said, pole(1)).split(', ')).toHaveLength(2);
    expect(marksAtStep(said, pole(1))).toMatch(/^hit, /);
  });

  it('is of its part of a figure, and of its place along it', () => {
    const said = marks(
      { kind: 'figure', place: 1, part: 2, point: 'bend', kept: false },
      { kind: 'figure', place: 1, point: 'rhythm', kept: true },
      { kind: 'slip', place: 1, part: 2, from: 'left leg' },
      { kind: 'gait', fromM: 10, ridden: 'canter' },
    );
    expect(marksAtStep(said, figure(1, 2))).toBe('bend lost, off left leg, canter');
    expect(marksAtStep(said, figure(1, null))).toBe('rhythm, canter');
    expect(marksAtStep(said, transition(1, 12))).toBe('');
    expect(marksAtStep(said, transition(1, 10))).toBe('canter');
  });

  it('is how a transition went', () => {
    expect(marksAtStep(marks({ kind: 'transition', place: 3, how: 'late' }), transition(3, 5))).toBe('late');
    expect(marksAtStep(marks({ kind: 'transition', place: 4, how: 'late' }), transition(3, 5))).toBe('');
  });
});

describe('the legs of a pad', () => {
  const leg = (likely: number, betweenPoles = false, asked: number | null = null) => ({ likely, betweenPoles, asked });
  const track = (...legs: object[]) => ({ legs }) as unknown as RunTrack;

  it.each([
    { of: track(leg(0, true), leg(1, true)), counted: false },
    { of: track(leg(0, true), leg(2, true)), counted: true },
    { of: track(leg(1, true, 3)), counted: true },
    { of: track(leg(1)), counted: true },
    { of: null, counted: false },
  ])('strides are counted where there are two between poles, or any between fences: $counted', ({ of, counted }) => {
    expect(countsStrides(of)).toBe(counted);
  });

  it('keep the number they are drawn with, ridden either way', () => {
    const steps = [fence(3), fence(2), fence(1)];
    expect([0, 1, 2].map(at => legNumber(steps, at))).toEqual([2, 1, null]);
    expect(legAfter(steps, track(leg(5), leg(6)), 0)).toMatchObject({ likely: 6 });
    expect(legAfter(steps, null, 0)).toBeNull();
    expect(legNumber([fence(1), transition(1, 4)], 0)).toBeNull();
  });

  it('are those of the line where only a line was ridden', () => {
    const steps = [fence(1), fence(2), fence(3), fence(4)];
    expect(stepsOfLine(steps, marks({ kind: 'line', from: 2, to: 3 }))).toEqual([steps[1], steps[2]]);
    expect(stepsOfLine(steps, [])).toBe(steps);
  });
});
