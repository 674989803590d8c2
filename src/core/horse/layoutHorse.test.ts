import { layoutHorse } from './layoutHorse';

const own = { shortM: 3, normalM: 3.5, longM: 3.9 };
const profile = { id: 'h', name: 'Sorrel', level: 'novice' as const, heightM: 1.6 };

test('a horse stands by itself in a layout: what was tested, and what practice has for its height where nothing was', () => {
  const horse = layoutHorse({
    ...profile,
    type: 'all-round',
    strides: { 'course-canter': { ...own, spread: 0.05 } } as never,
  });
  expect(horse).toMatchObject({ id: 'h', name: 'Sorrel', heightM: 1.6, type: 'all-round', level: 'novice' });
  expect(horse.strides['course-canter']).toEqual({ ...own, spread: 0.05 });
  expect(horse.strides['trot-poles']).toBeDefined();
  expect(horse.strides['trot-poles']).not.toHaveProperty('spread');
  // A taller horse has a longer step (common practice, no source).
  const tall = layoutHorse({ ...profile, heightM: 1.75, type: 'all-round', strides: {} });
  expect(tall.strides['trot-poles']!.normalM).toBeGreaterThan(horse.strides['trot-poles']!.normalM);
});

test('a gait that nobody entered and practice has no stride for is left out', () =>
  expect(layoutHorse({ ...profile, type: 'gaited', strides: {} }).strides).not.toHaveProperty('fox-trot'));

test('no horse is three metres high', () =>
  expect(() => layoutHorse({ ...profile, heightM: 3, type: 'all-round', strides: {} })).toThrow(RangeError));
