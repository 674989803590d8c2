import fc from 'fast-check';
import { figureTrackOf, leavesPose } from './testFigures';
import { aheadOnWallM, BY_LENGTH, FIGURE_LETTERS, placeOptions, placePose, USUAL_PLACE } from './figureLetters';
import { findRecipe } from './shelf';
import { paramSpecs } from './exerciseParams';

/**
 * FEI Dressage Rules, plan of the arena (from memory), written out by hand: metres from the left wall and from A's side, on
 * 20 × 60 and 20 × 40 m.
 */
const LETTERS = {
  '20x60': {
    ...{ A: [10, 0], F: [20, 6], P: [20, 18], B: [20, 30], R: [20, 42], M: [20, 54], C: [10, 60] },
    ...{ H: [0, 54], S: [0, 42], E: [0, 30], V: [0, 18], K: [0, 6] },
    ...{ D: [10, 6], L: [10, 18], X: [10, 30], I: [10, 42], G: [10, 54] },
  },
  '20x40': {
    ...{ A: [10, 0], F: [20, 6], B: [20, 20], M: [20, 34], C: [10, 40], H: [0, 34], E: [0, 20], K: [0, 6] },
    ...{ D: [10, 6], X: [10, 20], G: [10, 34] },
  },
} as const;
const ARENAS = {
  '20x60': { widthM: 20, lengthM: 60, letters: '20x60' },
  '20x40': { widthM: 20, lengthM: 40, letters: '20x40' },
} as const;
const FIELD = { widthM: 31, lengthM: 47, letters: 'none' } as const;
const MM = 0.001;

const placeOf = (letters: '20x60' | '20x40', letter: string) =>
  (LETTERS[letters] as unknown as Readonly<Record<string, readonly [number, number]>>)[letter] ?? null;

describe.each(['20x60', '20x40'] as const)('in an arena of %s m', letters => {
  const arena = ARENAS[letters];

  test.each(Object.entries(FIGURE_LETTERS).filter(([, { own, anchor }]) => !own && anchor !== 'deed'))(
    '%s begins at every letter it may begin at, to a millimetre',
    (kind, { from }) => {
      for (const letter of from) {
        const place = placeOf(letters, letter);
        if (!place) continue;
        const { start } = figureTrackOf(arena, kind, { from: letter }).figures[0]!.figure;
        expect(Math.hypot(start.at.xM - place[0], start.at.yM - place[1])).toBeLessThan(MM);
      }
    },
  );

  test.each(['D', 'X', 'L', 'K', 'V'])('a leg-yield from %s arrives at each letter ahead of it', from => {
    const leaves = placeOf(letters, from);
    if (!leaves) return;
    for (const [arrives, letter] of [
      ['F or K', 'F'],
      ['P or V', 'P'],
      ['B or E', 'B'],
      ['R or S', 'R'],
      ['M or H', 'M'],
    ] as const) {
      const place = placeOf(letters, letter);
      if (!place || place[1] <= leaves[1]) continue;
      const track = figureTrackOf(arena, 'leg-yield', { from, arrives });
      const line = track.figures.findIndex(({ figure }) => figure.kind === 'sideways');
      const { start } = track.figures[line]!.figure;
      expect(Math.hypot(start.at.xM - leaves[0], start.at.yM - leaves[1])).toBeLessThan(MM);
      const end = leavesPose(arena, track, line).at;
      expect(Math.hypot(end.xM - place[0], end.yM - place[1])).toBeLessThan(MM);
    }
  });

  test.each(['F', 'B', 'P'])('a half-pass from %s ends at each letter ahead of it', from => {
    const leaves = placeOf(letters, from);
    if (!leaves) return;
    for (const to of ['D', 'L', 'X', 'I', 'G', 'V', 'E', 'S', 'H']) {
      const place = placeOf(letters, to);
      if (!place || place[1] <= leaves[1]) continue;
      const track = figureTrackOf(arena, 'half-pass', { from, to });
      const end = leavesPose(arena, track, 0).at;
      expect(Math.hypot(end.xM - place[0], end.yM - place[1])).toBeLessThan(MM);
    }
  });

  test('a change of rein runs from letter to letter', () => {
    const ends = [
      ['F', 'H'],
      ['F', 'E'],
      ['H', 'F'],
      ['H', 'B'],
    ] as const;
    for (const [from, to] of ends) {
      const track = figureTrackOf(arena, 'change-rein', { from, to });
      const { start } = track.figures[0]!.figure;
      const end = leavesPose(arena, track, 0).at;
      const [a, b] = [placeOf(letters, from)!, placeOf(letters, to)!];
      expect(Math.hypot(start.at.xM - a[0], start.at.yM - a[1])).toBeLessThan(MM);
      expect(Math.hypot(end.xM - b[0], end.yM - b[1])).toBeLessThan(MM);
    }
  });

  test('along a wall a figure is as long as from its first letter to its last', () => {
    const track = figureTrackOf(arena, 'shoulder-in', { from: 'F', to: 'M' });
    const [f, m] = [placeOf(letters, 'F')!, placeOf(letters, 'M')!];
    expect(leavesPose(arena, track, 0).at.yM).toBeCloseTo(m[1], 9);
    expect(aheadOnWallM(arena, 'F', 'M')).toBeCloseTo(m[1] - f[1], 9);
    // On the left rein one does not come from M to F, nor from one wall to another.
    expect(aheadOnWallM(arena, 'M', 'F')).toBeNull();
    expect(aheadOnWallM(arena, 'F', 'H')).toBeNull();
    expect(() => figureTrackOf(arena, 'shoulder-in', { from: 'M', to: 'F' })).toThrow(RangeError);
  });
});

test('ridden on the other rein every figure is the mirror image, to a micrometre', () => {
  const kind = fc.constantFrom(...Object.keys(FIGURE_LETTERS));
  const arena = fc.constantFrom(ARENAS['20x60'], ARENAS['20x40'], FIELD);
  const share = fc.double({ min: 0, max: 0.999, noNaN: true });
  fc.assert(
    fc.property(kind, arena, share, (one, on, at) => {
      const spec = paramSpecs(one, findRecipe(one)!.wishes(groundLike(on))[0]!).find(({ key }) => key === 'from');
      const options = spec?.kind === 'choice' ? spec.options : [USUAL_PLACE];
      const from = options[Math.floor(at * options.length)]!;
      let left, right;
      try {
        left = figureTrackOf(on, one, { from }, 'left');
        right = figureTrackOf(on, one, { from }, 'right');
      } catch (error) {
        expect(error).toBeInstanceOf(RangeError);
        return;
      }
      left.figures.forEach((_, index) => {
        const [a, b] = [leavesPose(on, left, index), leavesPose(on, right, index)];
        expect(Math.abs(a.at.xM + b.at.xM - on.widthM)).toBeLessThan(1e-6);
        expect(Math.abs(a.at.yM - b.at.yM)).toBeLessThan(1e-6);
      });
    }),
    { numRuns: 200 },
  );
});

const groundLike = (arena: Parameters<typeof placePose>[0]) => ({
  ...{ arena, school: 'whole-stride' as const },
  horses: [{ id: 'h', name: 'h', heightM: 1.6, type: 'all-round' as const, level: 'novice' as const, strides: {} }],
});

test('letters are offered as they are called on the rein, and only where the arena has them', () => {
  const options = [USUAL_PLACE, ...FIGURE_LETTERS.circle!.from];
  const offered = (arena: typeof FIELD | (typeof ARENAS)['20x40'], rein: 'left' | 'right') =>
    placeOptions('circle', 'from', options, { arena, rein, from: USUAL_PLACE }).map(({ label }) => label);
  expect(offered(ARENAS['20x40'], 'left')).toEqual([USUAL_PLACE, 'A', 'F', 'B', 'M', 'C', 'H', 'E', 'K']);
  expect(offered(ARENAS['20x40'], 'right')).toEqual([USUAL_PLACE, 'A', 'K', 'E', 'H', 'C', 'M', 'B', 'F']);
  expect(offered(FIELD, 'left')).toEqual([
    ...[USUAL_PLACE, 'middle of the near short side', 'middle of the right long side'],
    ...['middle of the far short side', 'middle of the left long side'],
  ]);
  const ends = placeOptions('shoulder-in', 'to', [BY_LENGTH, ...FIGURE_LETTERS['shoulder-in']!.to!], {
    ...{ arena: ARENAS['20x60'], rein: 'left', from: 'P' },
  });
  expect(ends.map(({ label }) => label)).toEqual([BY_LENGTH, 'B', 'R', 'M']);
  // From F across the arena one comes to what lies ahead on another line, not back to K.
  const across = placeOptions('change-rein', 'to', [BY_LENGTH, ...FIGURE_LETTERS['change-rein']!.to!], {
    ...{ arena: ARENAS['20x40'], rein: 'left', from: 'F' },
  });
  expect(across.map(({ label }) => label)).toEqual([BY_LENGTH, 'C', 'H', 'E']);
});

test('a figure that counts no rounds of its own is ridden so many times, one after the other', () => {
  const figures = (kind: string, times: number) => figureTrackOf(ARENAS['20x60'], kind, { times }).figures;
  expect(figures('serpentine', 3).map(({ figure }) => figure.kind)).toEqual(['serpentine', 'serpentine', 'serpentine']);
  expect(new Set(figures('serpentine', 3).map(({ id }) => id)).size).toBe(3);
  // An eight and a spiral count their own.
  expect(figures('figure-of-eight', 3)).toHaveLength(1);
  expect(figures('spiral', 2)).toHaveLength(1);
});
