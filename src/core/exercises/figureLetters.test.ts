import type { Arena } from '../arena/arena';
import type { ExerciseParams } from './exercise';
import { figureTrackOf, leavesPose } from './testFigures';
import {
  aheadOnWallM,
  BY_LENGTH,
  FIGURE_LETTERS,
  placeOptions,
  USUAL_PLACE,
  withEndsAhead,
  type PlaceKey,
} from './figureLetters';
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

const EVERY_ARENA = [ARENAS['20x60'], ARENAS['20x40'], FIELD, { widthM: 15, lengthM: 30, letters: 'none' }] as const;

/** Each exercise as it is once a beginning was chosen, and then each end, of those that are offered on the left rein. */
function* everyChoice(kind: string, arena: Arena): Generator<ExerciseParams> {
  const wish = findRecipe(kind)!.wishes(groundLike(arena))[0]!;
  const specs = paramSpecs(kind, wish);
  const offered = (key: PlaceKey, from: string) => {
    const spec = specs.find(one => one.key === key);
    const options = spec?.kind === 'choice' ? spec.options : [];
    return placeOptions(kind, key, options, { arena, rein: 'left', from }).map(({ value }) => value);
  };
  for (const from of offered('from', USUAL_PLACE)) {
    yield withEndsAhead(kind, { ...wish, from }, { arena, rein: 'left' });
    for (const to of offered('to', from)) yield { ...wish, from, to };
    for (const arrives of offered('arrives', from)) yield { ...wish, from, arrives };
  }
}

describe.each(Object.keys(FIGURE_LETTERS))('%s', kind => {
  test.each(EVERY_ARENA)('between all places that are offered it is ridden: $widthM × $lengthM', arena => {
    for (const params of everyChoice(kind, arena)) {
      const track = figureTrackOf(arena, kind, params);
      track.figures.forEach((_, index) => expect(leavesPose(arena, track, index)).toBeDefined());
    }
  });

  test.each(EVERY_ARENA)('on the other rein it is the mirror image, to a micrometre: $widthM × $lengthM', arena => {
    for (const params of everyChoice(kind, arena)) {
      const [left, right] = (['left', 'right'] as const).map(rein => figureTrackOf(arena, kind, params, rein));
      left!.figures.forEach((_, index) => {
        const [a, b] = [leavesPose(arena, left!, index), leavesPose(arena, right!, index)];
        expect(Math.abs(a.at.xM + b.at.xM - arena.widthM)).toBeLessThan(1e-6);
        expect(Math.abs(a.at.yM - b.at.yM)).toBeLessThan(1e-6);
      });
    }
  });
});

describe('an end that was chosen, once another beginning is', () => {
  const at = (kind: string, params: ExerciseParams) =>
    withEndsAhead(kind, params, { arena: ARENAS['20x60'], rein: 'left' });

  test('stays where it lies ahead still', () => {
    expect(at('leg-yield', { from: 'D', arrives: 'B or E' })).toEqual({ from: 'D', arrives: 'B or E' });
    expect(at('shoulder-in', { from: 'P', to: 'R' })).toEqual({ from: 'P', to: 'R' });
    expect(at('change-rein', { from: 'F', to: 'E' }).to).toBe('E');
  });

  test('becomes the next ahead, where sideways work comes to one', () => {
    expect(at('leg-yield', { from: 'X', arrives: 'B or E' }).arrives).toBe('R or S');
    expect(at('leg-yield', { from: 'G', arrives: 'B or E' }).arrives).toBe('where it comes');
  });

  test('becomes as far as it says, where it lies behind', () => {
    expect(at('shoulder-in', { from: 'R', to: 'B' }).to).toBe(BY_LENGTH);
    expect(at('half-pass', { from: 'R', to: 'X' }).to).toBe(BY_LENGTH);
    expect(at('change-rein', { from: 'M', to: 'E' }).to).toBe(BY_LENGTH);
  });
});

const groundLike = (arena: Arena) => ({
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
