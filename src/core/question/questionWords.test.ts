import { DEFAULT_LEG, type FigureTrack, type Layout } from '../layout/layout';
import { testFence, testLayout } from '../layout/testLayout';
import { AS_LAID_OUT } from './builtState';
import { questionKey, trackKey } from './questionKey';
import { questionWords } from './questionWords';
import type { Question } from './question';

const circle = (id: string, diameterM: number) => ({
  ...{ id, name: null, gait: null, parts: [] },
  figure: {
    kind: 'circle',
    start: { at: { xM: 5, yM: 5 }, headingRad: 0 },
    rein: 'left',
    diameterM,
    rounds: 1,
  } as const,
});
const FLAT: FigureTrack = {
  ...{ kind: 'figures', id: 'flat', name: 'warm-up', gait: 'trot', passes: 1 },
  figures: [circle('f', 20), circle('g', 10)],
};
const COURSE = testLayout([testFence('a', 10, 10, 0), testFence('b', 10, 31.6, 0)], { legs: [{ asked: 5 }] });
const LAYOUT: Layout = { ...COURSE, tracks: [{ ...COURSE.tracks[0]!, name: 'the line' }, FLAT] };
const words = (what: Question['what'], name: string | null = null) => questionWords(LAYOUT, { name, what });
const figures = (...figureIds: string[]): Question['what'] => ({ kind: 'figures', trackId: 'flat', figureIds });

test('a question is called by its name, else by its track, its figures or its stops', () => {
  expect(words({ kind: 'track', trackId: 'course' }, 'the last line')).toBe('the last line');
  expect(words({ kind: 'track', trackId: 'course' })).toBe('the line');
  expect(words(figures('g'))).toBe('10 m circle');
  expect(words(figures('f', 'g'))).toBe('warm-up');
  const over = { kind: 'figures' as const, trackId: 'flat', figureIds: ['f'] };
  expect(words({ kind: 'stage', exerciseId: 'e', stage: 0, over })).toBe('20 m circle');
  const through = ['b', 'a'].map(item => ({ item, reversed: false }));
  expect(words({ kind: 'made', through, legs: [DEFAULT_LEG] })).toBe('2, 1');
});

test('the same stops built alike are the same question; another height, count, way or gait is another', () => {
  const track = LAYOUT.tracks[0]!;
  if (track.kind !== 'items') throw new Error('over items');
  const key = (changes: Partial<typeof track> = {}, items = LAYOUT.items) =>
    questionKey({ items, tracks: [{ ...track, ...changes }] });
  expect(key({ name: 'another', passes: 3 })).toBe(key());
  const raisedBy = (m: number) =>
    LAYOUT.items.map(item => (item.kind === 'fence' ? { ...item, heightM: item.heightM + m } : item));
  expect(key({}, raisedBy(0.004))).toBe(key());
  const others = [
    key({}, raisedBy(0.05)),
    key({ gait: 'canter' }),
    key({ legs: [{ ...track.legs[0]!, asked: 6 }] }),
    key({ legs: [{ ...track.legs[0]!, asked: null }] }),
    key({ through: [track.through[0]!, { item: 'b', reversed: true }] }),
    key({ through: [...track.through].reverse() }),
  ];
  expect(new Set([key(), ...others]).size).toBe(others.length + 1);
  expect(questionKey({ items: [], tracks: [] })).toBe('');
  const flatKey = (of: FigureTrack) => questionKey({ items: [], tracks: [of] });
  expect(flatKey({ ...FLAT, name: 'x' })).toBe(flatKey(FLAT));
  expect(flatKey({ ...FLAT, gait: 'walk' })).not.toBe(flatKey(FLAT));
  expect(flatKey({ ...FLAT, figures: [FLAT.figures[0]!] })).not.toBe(flatKey(FLAT));
});

test('places are the same for the same track with the same left out, in whatever order that is said', () => {
  const key = (what: Question['what'], out: string[] = []) => trackKey({ what, state: { ...AS_LAID_OUT, out } });
  const track: Question['what'] = { kind: 'track', trackId: 'course' };
  expect(key({ kind: 'stage', exerciseId: 'e', stage: 2, over: { kind: 'track', trackId: 'course' } })).toBe(
    key(track),
  );
  expect(key(track, ['a', 'b'])).toBe(key(track, ['b', 'a']));
  expect(key(track, ['a'])).not.toBe(key(track));
  const made = (...stops: string[]): Question['what'] => ({
    ...{ kind: 'made', through: stops.map(item => ({ item, reversed: false })), legs: [] },
  });
  expect(key(made('a', 'b'))).not.toBe(key(made('b', 'a')));
});
