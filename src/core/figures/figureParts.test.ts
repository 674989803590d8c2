import { chainEnd } from '../geometry/chain';
import { figureParts } from './figureParts';
import { transitionsAsked } from './transitionsAsked';
import type { PlannedFigure } from './figure';

const ARENA = { widthM: 20, lengthM: 60, letters: 'none' as const };
const planned = (figure: PlannedFigure['figure'], parts: PlannedFigure['parts'] = []): PlannedFigure => ({
  ...{ id: 'f', name: null, figure, gait: null, parts },
});
const start = { at: { xM: 10, yM: 0 }, headingRad: 0 };

// A fact of the trade, no source: each loop of a serpentine takes its share of the length and is on the other rein.
test('a serpentine is marked loop by loop, each as far up the sand as its share', () => {
  const serpentine = { kind: 'serpentine', start, rein: 'left', loops: 3, lengthM: 60, widthM: 20 } as const;
  const loops = figureParts(ARENA, planned(serpentine), 'trot');
  expect(loops.map(({ part, words }) => `${part} ${words}`)).toEqual([
    ...['1 the first loop', '2 the second loop', '3 the third loop'],
  ]);
  // A loop that is yielded out of stays one loop.
  expect(figureParts(ARENA, planned({ ...serpentine, yieldM: 2 }), 'trot')).toEqual(loops);
  loops.forEach(({ chain }, i) => expect(chainEnd(chain).at.yM).toBeCloseTo(20 * (i + 1), 6));
});

test('an eight has two circles, and a circle no parts', () => {
  const eight = planned({ kind: 'eight', start, rein: 'left', firstDiameterM: 10, secondDiameterM: 20, times: 1 });
  expect(figureParts(ARENA, eight, 'trot').map(({ words }) => words)).toEqual([
    'the first circle',
    'the second circle',
  ]);
  expect(
    figureParts(ARENA, planned({ kind: 'circle', start, rein: 'left', diameterM: 20, rounds: 1 }), 'trot'),
  ).toEqual([]);
});

test('walk, trot, walk, trot, canter are four changes of gait, each where it is asked', () => {
  const along = (fromM: number, toM: number, gait: 'walk' | 'trot' | 'canter') => ({ fromM, toM, gait });
  const line = planned(
    { kind: 'straight', start: { at: { xM: 10, yM: 5 }, headingRad: Math.PI / 2 }, rein: 'left', lengthM: 50 },
    [along(0, 6, 'walk'), along(6, 20, 'trot'), along(20, 26, 'walk'), along(26, 36, 'trot'), along(36, 50, 'canter')],
  );
  const changes = transitionsAsked(ARENA, { figures: [line], gait: 'walk' });
  expect(changes.map(({ place, from, to }) => `${place} ${from} ${to}`)).toEqual([
    '1 walk trot',
    '2 trot walk',
    '3 walk trot',
    '4 trot canter',
  ]);
  expect(changes.map(({ pose }) => pose.at.yM)).toEqual([11, 25, 31, 41].map(yM => expect.closeTo(yM, 6)));
});
