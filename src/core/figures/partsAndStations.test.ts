import { chainOf } from '../geometry/chain';
import { applyParts } from './applyParts';
import type { FigurePart } from './figure';
import { stationAt, stationSeconds } from './rideStation';
import type { Stretch } from './stretch';

const HERE = { at: { xM: 10, yM: 20 }, headingRad: Math.PI / 2 };
const STRETCH = {
  ...{ kind: 'stretch', gait: 'trot', rein: 'left', pace: null, sideways: null, counterBend: false, rest: null },
  chain: chainOf(HERE, [{ kind: 'straight', lengthM: 30 }]),
} as unknown as Stretch;
const HALT = stationAt(HERE, 'left', { kind: 'halt', seconds: 4 });
const cut = (...parts: FigurePart[]) => {
  const ride = applyParts([STRETCH, HALT, STRETCH], parts);
  if (!ride.ok) return ride.reason;
  return ride.pieces.map(piece =>
    piece.kind === 'stretch' ? [Math.round(piece.chain.lengthM * 1000) / 1000, piece.gait, piece.pace] : piece.kind,
  );
};

test('a figure is cut where something else is asked, across what is done on the spot', () => {
  expect(cut()).toEqual([[30, 'trot', null], 'station', [30, 'trot', null]]);
  expect(cut({ fromM: 10, toM: 40, gait: 'canter' })).toEqual([
    [10, 'trot', null],
    [20, 'canter', null],
    'station',
    [10, 'canter', null],
    [20, 'trot', null],
  ]);
});

test('where parts overlap the later one has the last word, and each says only what it says', () => {
  expect(cut({ fromM: 0, toM: 20, gait: 'canter' }, { fromM: 10, toM: 30, pace: 'long' })).toEqual([
    ...[[10, 'canter', null], [10, 'canter', 'long'], [10, 'trot', 'long'], 'station', [30, 'trot', null]],
  ]);
  expect(cut({ fromM: 0, toM: 30, gait: 'canter' }, { fromM: 10, toM: 20, gait: 'walk' }).slice(0, 3)).toEqual([
    ...[
      [10, 'canter', null],
      [10, 'walk', null],
      [10, 'canter', null],
    ],
  ]);
});

test('a part that reaches from end to end cuts nothing off, and one that does not lie on it is told', () => {
  expect(cut({ fromM: 0, toM: 60, gait: 'walk' })).toEqual([[30, 'walk', null], 'station', [30, 'walk', null]]);
  expect(cut({ fromM: 50, toM: 61, gait: 'walk' })).toBe(
    'A part from 50 to 61 m does not lie on the figure, which is 60.00 m long.',
  );
  for (const [fromM, toM] of [
    [-1, 10],
    [20, 20],
    [30, 20],
    [Number.NaN, 20],
  ] as const)
    expect(cut({ fromM, toM, gait: 'walk' })).toMatch(/does not lie on the figure/);
});

// Common practice, no source: a step back is 0.6 m, one aside 0.4 m.
test.each([
  ['a halt leaves it where it is', { kind: 'halt', seconds: 4 }, [10, 20, 90], 4],
  ['flexions too', { kind: 'flexions', eachSide: 3 }, [10, 20, 90], 24],
  ['half a turn turns it', { kind: 'turn-on-forehand', turnRad: Math.PI }, [10, 20, 270], 8],
  ['a quarter of one to the right', { kind: 'turn-on-haunches', turnRad: -Math.PI / 2 }, [10, 20, 0], 4],
  ['four steps back', { kind: 'rein-back', steps: 4 }, [10, 17.6, 90], 4],
  ['three steps to the left', { kind: 'side-pass', steps: 3, towards: 'left' }, [8.8, 20, 90], 4.5],
  ['three to the right', { kind: 'side-pass', steps: 3, towards: 'right' }, [11.2, 20, 90], 4.5],
] as const)('%s', (_, deed, [xM, yM, deg], seconds) => {
  const { leaves } = stationAt(HERE, 'left', deed);
  expect([leaves.at.xM, leaves.at.yM]).toEqual([expect.closeTo(xM, 9), expect.closeTo(yM, 9)]);
  expect((leaves.headingRad * 180) / Math.PI).toBeCloseTo(deg, 9);
  expect(stationSeconds(deed)).toBeCloseTo(seconds, 9);
});
