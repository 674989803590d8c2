import type { PlannedFigure } from '../figures/figure';
import type { Fence } from '../items/item';
import { DEFAULT_LEG, type ItemTrack, type Layout } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { newItem } from '../plan/newItem';
import { passWork } from '../work/passWork';
import { questionWork } from '../work/questionWork';
import { askedLayout } from './askedLayout';
import { AS_LAID_OUT, overState } from './builtState';
import { questionKey, trackKey } from './questionKey';
import { questionWords } from './questionWords';
import { testQuestion } from './testQuestion';

const UP = Math.PI / 2;
const fence = (id: string, yM: number, changes: Partial<Fence> = {}) =>
  ({ ...newItem('vertical', id, { xM: 8, yM }, UP), ...changes }) as Fence;
const track = (id: string, through: string[], changes: Partial<ItemTrack> = {}): ItemTrack => ({
  ...{ kind: 'items', id, name: null, gait: 'course-canter', course: null, passes: 1 },
  through: through.map(item => ({ item, reversed: false })),
  legs: through.slice(1).map(() => DEFAULT_LEG),
  ...changes,
});
const figure = (id: string, diameterM: number, rounds: number): PlannedFigure => ({
  ...{ id, name: null, gait: null, parts: [] },
  figure: { kind: 'circle', start: { at: { xM: 3, yM: 30 }, headingRad: UP }, rein: 'left', diameterM, rounds },
});

const LAYOUT: Layout = {
  ...{ name: 'l', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
  items: [fence('a', 10), fence('b', 22), fence('c', 34), newItem('pole', 'p', { xM: 8, yM: 46 }, UP)],
  tracks: [
    track('two', ['a', 'b']),
    track('three', ['a', 'b', 'c'], { legs: [{ ...DEFAULT_LEG, asked: 2 }, DEFAULT_LEG] }),
    track('four', ['a', 'b', 'c', 'p']),
    {
      ...{ kind: 'figures', id: 'flat', name: null, gait: 'trot', passes: 1 },
      figures: [figure('wide', 20, 1), figure('small', 10, 2)],
    },
  ],
  ...{ horses: [], kit: null },
};

const efforts = (asked: Layout) => passWork({ marks: [], direction: 'as-drawn' }, questionWork(asked)).lowEfforts;

test('several tracks over the same fences are several questions, and each counts its own efforts', () => {
  const each = ['two', 'three', 'four'].map(id => efforts(askedLayout(LAYOUT, testQuestion(id))!));
  expect(each).toEqual([2, 3, 3]);
  expect(askedLayout(LAYOUT, testQuestion('two'))!.tracks).toHaveLength(1);
  expect(askedLayout(LAYOUT, testQuestion('nowhere'))).toBeNull();
});

test('a figure carries its own minutes on small circles, not those of the whole session', () => {
  const of = (...figureIds: string[]) =>
    askedLayout(LAYOUT, testQuestion('flat', { gait: 'trot', what: { kind: 'figures', trackId: 'flat', figureIds } }));
  const minutes = (asked: Layout | null) => questionWork(asked!).figureCircles.left;
  // Two rounds of a 10 m circle at 220 m a minute (common practice, no source).
  expect(minutes(of('small'))).toBeCloseTo((2 * Math.PI * 10) / 220, 3);
  expect(minutes(of('wide'))).toBe(0);
  expect(minutes(of('wide', 'small'))).toBeCloseTo(minutes(of('small')), 9);
  expect(of('gone')).toBeNull();
});

test('the mirror image lies on the other side, and left is right on it', () => {
  const asked = askedLayout(LAYOUT, testQuestion('two'), 'mirrored')!;
  expect(asked.items.map(({ at }) => at.xM)).toEqual([12, 12, 12, 12]);
  const flat = testQuestion('flat', { gait: 'trot', what: { kind: 'figures', trackId: 'flat', figureIds: ['small'] } });
  const [session] = askedLayout(LAYOUT, flat, 'mirrored')!.tracks;
  expect(session?.kind === 'figures' && session.figures[0]!.figure.rein).toBe('right');
});

test('what is left out is gone from the track, and the legs on both sides of it are one', () => {
  const state = { ...AS_LAID_OUT, out: ['b'] };
  const asked = askedLayout(LAYOUT, testQuestion('three', { state }))!;
  const [three] = asked.tracks;
  expect(three?.kind === 'items' && three.through.map(({ item }) => item)).toEqual(['a', 'c']);
  const [reckoned] = reckonLayout(asked);
  expect(reckoned?.kind === 'items' && reckoned.legs[0]!.trackM).toBeCloseTo(24, 9);
});

test('a fence as a pole is no effort, a pole between poles is a distance of poles, and a height is a height', () => {
  const asPole = askedLayout(LAYOUT, testQuestion('four', { state: { ...AS_LAID_OUT, asPole: ['c'] } }))!;
  expect(efforts(asPole)).toBe(2);
  const [four] = asPole.tracks;
  expect(four?.kind === 'items' && four.legs.map(({ setting }) => setting)).toEqual(['course', 'course', 'poles']);
  const high = askedLayout(LAYOUT, testQuestion('two', { state: { ...AS_LAID_OUT, heightM: { b: 0.95 } } }))!;
  expect(questionWork(high).stops).toEqual(['low effort', 'high effort']);
  // A height said above takes the pole below away.
  const both = overState({ ...AS_LAID_OUT, asPole: ['b', 'c'] }, { ...AS_LAID_OUT, heightM: { b: 0.5 } });
  expect(both.asPole).toEqual(['c']);
});

test('counts that are said take the place of those of the layout; without any those hold', () => {
  const counts = (asked: (number | null)[]) => {
    const [three] = askedLayout(LAYOUT, testQuestion('three', { asked }))!.tracks;
    return three?.kind === 'items' ? three.legs.map(leg => leg.asked) : [];
  };
  expect(counts([])).toEqual([2, null]);
  expect(counts([3, 1])).toEqual([3, 1]);
  expect(counts([null, null])).toEqual([null, null]);
  // Said for three legs where there are two by now: they are meant for other legs.
  expect(counts([5, 4, 3])).toEqual([2, null]);
});

test('a question over stops in order rides them, without those that are gone', () => {
  const through = ['c', 'a', 'b'].map(item => ({ item, reversed: false }));
  const what = { kind: 'made' as const, through, legs: [DEFAULT_LEG, DEFAULT_LEG] };
  const stops = (state = AS_LAID_OUT) => {
    const [made] = askedLayout(LAYOUT, testQuestion('new', { what, state }))!.tracks;
    return made?.kind === 'items' ? made.through.map(({ item }) => item) : [];
  };
  expect(stops()).toEqual(['c', 'a', 'b']);
  expect(stops({ ...AS_LAID_OUT, out: ['a'] })).toEqual(['c', 'b']);
  expect(questionWords(LAYOUT, { name: null, what })).toBe('3, 1, 2');
  expect(questionWords(LAYOUT, { name: 'the long way', what })).toBe('the long way');
});

describe('what tells one question from another', () => {
  const key = (changes: Parameters<typeof testQuestion>[1] = {}, layout = LAYOUT, id = 'three') =>
    questionKey(askedLayout(layout, testQuestion(id, changes))!);

  test('the same stops built alike, whatever it is called and wherever they stand', () => {
    const moved = { ...LAYOUT, items: LAYOUT.items.map(item => ({ ...item, at: { ...item.at, xM: 9 } })) };
    expect(key({ id: 'another', name: 'called' })).toBe(key());
    expect(key({}, moved)).toBe(key());
  });

  test('other counts, heights, gaits and stops are other questions', () => {
    const others = [
      key({ asked: [3, null] }),
      key({ state: { ...AS_LAID_OUT, heightM: { a: 1 } } }),
      key({ state: { ...AS_LAID_OUT, out: ['c'] } }),
      key({ gait: 'canter' }),
      key({}, LAYOUT, 'four'),
    ];
    expect(new Set([key(), ...others]).size).toBe(6);
  });

  test('places are the same for the same track with the same things left out', () => {
    const out = { ...AS_LAID_OUT, out: ['b', 'a'] };
    expect(trackKey(testQuestion('three', { state: out }))).toBe(
      trackKey(testQuestion('three', { state: { ...out, out: ['a', 'b'] }, asked: [4] })),
    );
    expect(trackKey(testQuestion('three', { state: out }))).not.toBe(trackKey(testQuestion('three')));
  });
});

test('a question over what nothing of is left is none, and figures that are gone are left out of what is asked', () => {
  const figures = (...figureIds: string[]) =>
    askedLayout(LAYOUT, testQuestion('flat', { gait: 'trot', what: { kind: 'figures', trackId: 'flat', figureIds } }));
  const [track] = figures('small', 'gone')!.tracks;
  expect(track!.kind === 'figures' && track!.figures.map(({ id }) => id)).toEqual(['small']);
  const over = (...stops: string[]) => {
    const through = stops.map(item => ({ item, reversed: false }));
    const legs = stops.slice(1).map(() => DEFAULT_LEG);
    return askedLayout(LAYOUT, testQuestion('made', { what: { kind: 'made', through, legs } }));
  };
  expect(over('a', 'gone', 'c')?.tracks[0]).toMatchObject({ through: [{ item: 'a' }, { item: 'c' }] });
  expect(over('gone')).toBeNull();
});
