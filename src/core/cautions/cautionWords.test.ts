import { reckonLayout } from '../layout/reckonLayout';
import { metresBy } from './cautionRule';
import { layoutCautions } from './layoutCautions';
import { CAUTION_CASES, fence, line } from './testCases';

/**
 * How grave each is, and the numbers in its words: those that were put into the case, or worked by hand from them. A stride is
 * 3.66 m, an arena 40 × 70 m.
 */
const TOLD: [code: string, name: string, level: 'stop' | 'warn' | 'note', numbers: string[]][] = [
  ['too-tight', 'a count below the shortest', 'stop', ['4 asked']],
  ['too-far', 'a count above the longest', 'stop', ['4 asked']],
  ['between', 'no count comfortable', 'warn', ['between two and three']],
  ['uneven-row', 'gaps 4 cm apart', 'warn', ['4 cm']],
  ['gait-poles', 'three poles in a running walk', 'warn', ['3 poles']],
  ['gait-poles', 'two poles a step apart', 'warn', ['1.79 m', '2.40 m']],
  ['combination-length', 'one stride in 6.9 m', 'note', ['6.9 m', '7 to 12 m', '7 m apart']],
  ['combination-length', 'two strides in 12.1 m', 'note', ['12.1 m', '7 to 12 m', '12 m apart']],
  ['wall-near', 'a stand', 'warn', ['1.19 m', '1.2 m']],
  ['wall-near', 'the line over a short fence', 'warn', ['1.99 m', '2 m']],
  ['run-up-short', 'before the first', 'warn', ['10.9 m', '11 m']],
  ['landing-short', 'behind the last', 'warn', ['10.9 m', '11 m']],
  ['landing-short', 'out of a trot', 'warn', ['5.9 m', '6 m']],
  ['not-straight', 'a narrow fence', 'warn', ['21.9 m', '6 strides', '22.0 m']],
  // A wide line keeps two strides straight before its second.
  ['not-straight', 'a corner after a turn', 'warn', ['7.3 m', '22.0 m']],
  ['not-straight', 'a last turn under 8 m', 'note', ['7.9 m']],
  ['cannot-be-ridden', 'a novice at course canter', 'stop', ['5.3 m', '5.4 m']],
  ['cannot-be-ridden', 'a green one, 8 m', 'stop', ['7.9 m', '8.0 m']],
  ['cannot-be-ridden', 'an advanced one, at canter, 3 m', 'stop', ['2.9 m', '3.0 m']],
  ['tight-turn', 'at walk, 1.5 m', 'warn', ['1.4 m', '1.5 m']],
  ['tight-turn', 'a volte at trot, 8 m', 'warn', ['3.95 m', '4.0 m']],
  ['against-slope', 'a turn that falls outwards', 'warn', ['10 m']],
  ['against-slope', 'downhill at the wall', 'warn', ['16.4 m', '16.5 m']],
  ['placing-pole', 'too near', 'stop', ['2.3 m', '2.7 m']],
  ['placing-pole', 'too far', 'stop', ['3.1 m', '2.7 m']],
  ['too-many-efforts', '60 low ones', 'warn', ['60 jumping efforts', '60 low', '30 from 0.9 m']],
  ['too-many-efforts', '30 at 0.9 m', 'warn', ['30 jumping efforts']],
  // 22 rounds of 10 m at 220 m a minute; 28 of them.
  ['small-circle-long', 'rounds', 'warn', ['3.1 minutes', '3 are']],
  ['small-circle-long', 'passes', 'warn', ['4.0 minutes']],
  ['leg-yield-steep', 'over 40°', 'warn', ['40°']],
  ['kit-short', 'a pole too many', 'warn', ['lacks 1 pole for']],
  ['kit-short', 'fillers and cups', 'warn', ['2 cups, 1 filler for']],
  ['beside-the-line', 'a stand of another fence', 'warn', ['1.19 m', '1.2 m']],
  // The pillar is 0.6 m wide and stands 1.49 m beside the line.
  ['thing-near', 'a pillar beside the line', 'warn', ['1.19 m', '1.2 m']],
  ['in-the-landing', 'a loose pole behind a fence', 'stop', ['3 m']],
  ['landing-pole-near', 'a landing pole', 'warn', ['2.4 m', '2.5 m', 'about 3 m']],
  ['ground-line-far', 'before a vertical', 'warn', ['0.61 m', '0.60 m']],
  ['ground-line-far', 'before an oxer', 'warn', ['0.40 m', '0.30 m']],
];

test.each(TOLD)('%s, %s: is a %s, and says %j', (code, name, level, numbers) => {
  const { raises } = CAUTION_CASES.find(one => one.code === code && one.name === name)!;
  const found = layoutCautions(raises, reckonLayout(raises)).find(one => one.code === code)!;
  expect(found.level).toBe(level);
  for (const number of numbers) expect(`${found.text} ${found.mend}`).toContain(number);
});

test('what stops is told as a stop: nobody rides at a false ground line, from behind, off the sand, or through a fence', () => {
  const stops = ['too-tight', 'too-far', 'cannot-be-ridden', 'off-arena', 'one-way-from-behind', 'false-ground-line'];
  for (const { code, raises } of CAUTION_CASES) {
    const found = layoutCautions(raises, reckonLayout(raises)).find(one => one.code === code)!;
    if (stops.includes(code)) expect([code, found.level]).toEqual([code, 'stop']);
    expect(found.items.every(id => raises.items.some(item => item.id === id))).toBe(true);
    expect(found.place.track === null || raises.tracks.some(({ id }) => id === found.place.track)).toBe(true);
  }
});

test('beside its limit a length is told to the centimetre, on its own side of it', () => {
  expect(metresBy(10.94, 11)).toBe('10.9 m');
  expect(metresBy(10.96, 11)).toBe('10.96 m');
  expect(metresBy(10.9999, 11)).toBe('10.99 m');
  expect(metresBy(11.0001, 11)).toBe('11.01 m');
  // What is a whole centimetre but for rounding: 1.49 − 0.3.
  expect(metresBy(1.49 - 0.3, 1.2)).toBe('1.19 m');
  expect(metresBy(1.1 + 0.11, 1.2)).toBe('1.21 m');
  expect(metresBy(0.45, 0.6)).toBe('0.45 m');
});

test('each item that is at fault is told by itself', () => {
  const layout = line([fence('alder', 1, 30), fence('birch', 39, 40)]);
  const near = layoutCautions(layout, reckonLayout(layout)).filter(
    ({ code }) => code === 'wall-near' || code === 'off-arena',
  );
  expect(new Set(near.flatMap(({ items }) => items))).toEqual(new Set(['alder', 'birch']));
});
