import type { Arena } from '../arena/arena';
import type { Fence, Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { arenaPoints, atWall, fromWall, knownPointName } from './knownPoint';
import { pieceAtEnds, pieceEnds } from './pieceEnds';
import { angleBetween, isGoodPull, measuresOf, tapesMeet, tellingWall, type Placing } from './placing';
import type { PlannedTrack } from '../layout/layout';
import { settingSheet, type MeasureBy } from './settingSheet';
import { checkWords, pegLines, pieceLines, pieceNotes, sheetLabels } from './settingWords';

const LONG: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const FIELD: Arena = { widthM: 35, lengthM: 60, letters: 'none' };
const UP = Math.PI / 2;
const cm = (lengthM: number) => `${Math.round(lengthM * 100)} cm`;

function said(arena: Arena, items: Item[], measureBy: MeasureBy = 'walls', tracks: PlannedTrack[] = []) {
  const sheet = settingSheet({ arena, items, tracks }, { measureBy, from: { xM: arena.widthM / 2, yM: 0 } });
  const lengthOf = (id: string) => sheet.measures.find(measure => measure.id === id)!.lengthM;
  const numberOf = (id: string) => String(sheet.pieces.find(({ item }) => item.id === id)!.number);
  return {
    sheet,
    pegs: sheet.pegs.map(peg => pegLines(arena, peg, lengthOf).map(({ words, measure }) => [words, lengthOf(measure)])),
    pieces: sheet.pieces.map(piece => ({
      id: piece.item.id,
      lines: pieceLines(arena, piece, numberOf, lengthOf).map(({ words }) => words),
      notes: pieceNotes(arena, piece, cm),
      check: piece.checks.map(check => checkWords(arena, check, piece, numberOf, cm)),
    })),
  };
}

const pole = (id: string, xM: number, yM: number, headingRad = UP): Item => ({
  ...(newItem('pole', id, { xM, yM }, headingRad) as Extract<Item, { kind: 'pole' }>),
  lengthM: 3,
});

test('corners are called after the letter beside them, or by where they are', () => {
  const names = (arena: Arena) =>
    arenaPoints(arena)
      .filter(({ point }) => point.kind === 'corner')
      .map(({ point }) => knownPointName(arena, point));
  expect(names(LONG)).toEqual(['the K corner', 'the F corner', 'the H corner', 'the M corner']);
  expect(names(FIELD)).toEqual([
    'the near left corner',
    'the near right corner',
    'the far left corner',
    'the far right corner',
  ]);
  // A, C and the ten letters of the long sides; those of the centre line are not on the ground.
  expect(arenaPoints(LONG)).toHaveLength(4 + 12);
});

test.each(['left', 'right', 'near', 'far'] as const)('in from the %s wall and along it, and back', wall => {
  const at = { xM: 6, yM: 17 };
  expect(atWall(LONG, wall, fromWall(LONG, wall, at))).toEqual(at);
});

test('where two tapes meet: 3 and 4 over 5 is a right angle', () => {
  const [a, b] = tapesMeet({ at: { xM: 0, yM: 0 }, lengthM: 3 }, { at: { xM: 5, yM: 0 }, lengthM: 4 });
  // 9 / 5 along and 12 / 5 off: the height of the triangle of 3, 4 and 5.
  expect([a.xM, Math.abs(a.yM), b.xM, Math.abs(b.yM)].map(value => Number(value.toFixed(9)))).toEqual([
    1.8, 2.4, 1.8, 2.4,
  ]);
  expect(angleBetween(a, { xM: 0, yM: 0 }, { xM: 5, yM: 0 })).toBeCloseTo(Math.PI / 2, 9);
  expect(tellingWall(LONG, { xM: 1.8, yM: 2.4 }, { xM: 1.8, yM: -2.4 })).toBe('far');
});

test('tapes that do not reach each other meet where they come nearest', () => {
  const [a, b] = tapesMeet({ at: { xM: 0, yM: 0 }, lengthM: 1 }, { at: { xM: 5, yM: 0 }, lengthM: 2 });
  expect(a).toEqual(b);
  expect(a.yM).toBeCloseTo(0, 9);
  expect(a.xM).toBeGreaterThan(1);
  expect(a.xM).toBeLessThan(3);
});

// Common practice, no source: 30° is as flat as tapes may meet.
test.each([
  [29, false],
  [31, true],
  [90, true],
  [149, true],
  [151, false],
])('tapes at %i° meet well: %s', (degrees, good) => expect(isGoodPull((degrees * Math.PI) / 180)).toBe(good));

test.each(['pole', 'guide', 'oxer', 'corner', 'cone'] as const)('a %s stands where its ends put it', choice => {
  const item = newItem(choice, 'x', { xM: 7, yM: 9 }, 0.7);
  const again = pieceAtEnds(
    item,
    pieceEnds(item).map(({ at }) => at),
  );
  expect(again.at.xM).toBeCloseTo(7, 9);
  expect(again.at.yM).toBeCloseTo(9, 9);
  if ('headingRad' in again && 'headingRad' in item)
    expect(Math.cos(again.headingRad - item.headingRad)).toBeCloseTo(1, 9);
});

test('the ends of an oxer are those of its front', () => {
  const oxer = { ...(newItem('oxer', 'o', { xM: 10, yM: 20 }, UP) as Fence), widthM: 4, spreadM: 1 };
  const [left, right] = pieceEnds(oxer);
  expect(left).toMatchObject({ end: 'left' });
  expect(left!.at.xM).toBeCloseTo(8, 9);
  expect(left!.at.yM).toBeCloseTo(19.5, 9);
  expect(right!.at.xM).toBeCloseTo(12, 9);
});

test('a row is set first and last, the rest along the tape between them', () => {
  const { pieces } = said(LONG, [pole('a', 5, 20), pole('b', 5, 21.3), pole('c', 5, 22.6)]);
  expect(pieces.map(({ id }) => id)).toEqual(['a', 'c', 'b']);
  expect(pieces[0]!.lines).toEqual([
    'Both ends: along the E long side, from V towards E',
    'Left end: square in from the E long side',
    'Right end: square in from the E long side',
  ]);
  expect(pieces[2]!.lines).toEqual(['Both ends: along the tape from 1 towards 2, like end to like end']);
  expect(pieces[2]!.check[0]).toMatch(/^(left|right) end to (the (left|right) end of \d|[A-Z])$/);
});

/** Poles on the spokes of a circle of 8 m about a point. */
function onCircle(centre: { xM: number; yM: number }, degrees: number[]): Item[] {
  return degrees.map((deg, i) => {
    const spoke = (deg * Math.PI) / 180;
    const at = { xM: centre.xM + 8 * Math.cos(spoke), yM: centre.yM + 8 * Math.sin(spoke) };
    return pole(`s${i + 1}`, at.xM, at.yM, spoke + UP);
  });
}

test('an arc is set by a rope from its middle', () => {
  const { pegs, pieces } = said(LONG, onCircle({ xM: 10, yM: 30 }, [0, 30, 60]));
  // Level with E or B, ten metres in.
  expect(pegs).toHaveLength(1);
  expect(pegs[0]![0]![0]).toMatch(/^Level with [EB] on the [EB] long side$/);
  expect(pegs[0]![1]![1]).toBeCloseTo(10, 9);
  const roped = pieces.filter(({ lines }) => lines.some(line => line.includes('rope from peg 1')));
  expect(roped).toHaveLength(2);
  expect(roped[0]!.lines).toHaveLength(4);
  expect(roped[0]!.notes[0]).toMatch(/^They meet on the side of the .* side\.$/);
});

test.each([
  ['off the sand', { xM: -2, yM: 30 }, [-30, 0, 30], []],
  ['under another piece', { xM: 10, yM: 30 }, [-30, 0, 30], [pole('middle', 10, 30)]],
] as const)('where its middle is %s, by the chord and its offset', (_, centre, degrees, more) => {
  const { pegs, pieces } = said(LONG, [...onCircle(centre, [...degrees]), ...more]);
  expect(pegs).toEqual([]);
  const between = pieces.find(({ id }) => id === 's2')!;
  expect(between.lines.some(line => line.includes('square off that tape to its'))).toBe(true);
});

test('a fence says which way it is ridden and what stands behind its front', () => {
  const oxer = { ...(newItem('oxer', 'o', { xM: 10, yM: 20 }, UP) as Fence), ridden: 'one-way' as const };
  const [piece] = said(LONG, [oxer]).pieces;
  expect(piece!.notes).toContain('Its front is ridden towards C, and only that way.');
  expect(piece!.notes).toContain(`Measured at its front; the back rail stands ${cm(oxer.spreadM)} behind.`);
  const corner = newItem('corner', 'k', { xM: 10, yM: 40 }, UP) as Fence;
  const notes = said(LONG, [{ ...corner, groundLineBeforeM: -0.2 }]).pieces[0]!.notes.join(' ');
  expect(notes).toContain(`The rails meet at its ${corner.corner?.narrowEnd ?? 'left'} end`);
  expect(notes).toContain('false ground line');
});

test('with two tapes: from points that give a good angle', () => {
  const { sheet, pieces } = said(LONG, [pole('a', 6, 25, 0.4)], 'tapes');
  expect(pieces[0]!.lines.every(line => /^(Left|Right) end: tape from /.test(line))).toBe(true);
  for (const { placing } of sheet.pieces[0]!.points)
    expect(placing.how === 'pulls' && isGoodPull(placing.angleRad)).toBe(true);
});

test('far from every wall of a wide field, two tapes are surer than squaring off', () => {
  const [piece] = said({ ...FIELD, lengthM: 40 }, [pole('a', 17.5, 20)]).pieces;
  expect(piece!.lines[0]).toContain('tape from');
});

/** A track over pieces in this order. */
const over = (id: string, ...items: string[]): PlannedTrack => ({
  ...{ kind: 'items', id, name: null, gait: 'course-canter', course: null, passes: 1 },
  through: items.map(item => ({ item, reversed: false })),
  legs: items.slice(1).map(() => ({
    ...{ track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null },
  })),
});
const upright = (id: string, xM: number, yM: number): Item => ({
  ...(newItem('vertical', id, { xM, yM }, UP) as Fence),
  ...{ widthM: 3, groundLineBeforeM: null },
});

test('along the line: the first from the walls, the next by its gap from the one before, in the order ridden', () => {
  const items = [upright('c', 10, 46), upright('a', 10, 10), upright('b', 10, 28)];
  const { sheet, pieces } = said(LONG, items, 'line', [over('course', 'a', 'b', 'c')]);
  expect(sheet.pieces.map(({ item }) => item.id)).toEqual(['a', 'b', 'c']);
  expect(pieces[1]!.lines[0]).toMatch(/^On from 1, along the .+ long side towards the (H|M) corner$/);
  expect(sheet.measures.find(({ id }) => id === 'b|gap')!.lengthM).toBeCloseTo(18);
  expect(sheet.measures.find(({ id }) => id === 'c|gap')!.lengthM).toBeCloseTo(18);
  expect(sheet.pieces[2]!.hangsOn).toMatchObject([{ kind: 'end', item: 'b' }, { item: 'b' }]);
});

test('a rail that helps a fence is measured from its own fence, behind it or before', () => {
  const rail = (yM: number): Item => ({
    ...(newItem('guide', `rail ${yM}`, { xM: 9, yM }, UP) as Extract<Item, { kind: 'guide' }>),
    lengthM: 3,
  });
  const { pieces } = said(LONG, [rail(32), upright('a', 10, 30), rail(27)], 'line', [over('line', 'a')]);
  // Half a metre in from the left end: the fence reaches from 8.5 to 11.5 m.
  expect(pieces[1]!.lines).toEqual([
    'Both ends: in from the left end of 1, along its front',
    'Back end: square behind the front of 1',
    'Front end: square behind the front of 1',
  ]);
  expect(pieces[2]!.lines[1]).toBe('Back end: square before the front of 1');
});

test('pieces are called by their numbers in the course; a number that is there twice says which track it is of', () => {
  const items = [upright('b', 10, 28), upright('a', 10, 10), upright('x', 5, 20)];
  const one = sheetLabels({ items, tracks: [over('course', 'a', 'b')] });
  expect([one('a'), one('b'), one('x')]).toEqual(['1', '2', 'A']);
  const back = sheetLabels({ items, tracks: [over('course', 'a', 'b', 'a')] });
  expect([back('a'), back('b')]).toEqual(['1·3', '2']);
  const two = sheetLabels({ items, tracks: [over('first', 'a', 'b'), over('second', 'x')] });
  expect(two('b')).toBe('2');
  expect(two('a')).not.toBe(two('x'));
});

test('in a line at an angle to the walls a fence is walked on from the one before, from its back rail where it has one', () => {
  const rad = (70 * Math.PI) / 180;
  const along = (id: string, onM: number, changes: Partial<Fence> = {}): Item => ({
    ...(newItem('vertical', id, { xM: 8 + onM * Math.cos(rad), yM: 20 + onM * Math.sin(rad) }, rad) as Fence),
    ...changes,
  });
  const wordsOf = (first: Item) =>
    said(LONG, [first, along('b', 9)], 'line', [over('line', 'a', 'b')]).pieces[1]!.lines;
  expect(wordsOf(along('a', 0))).toEqual([
    expect.stringMatching(/^On from 1 towards the M corner, end to like end$/),
    expect.stringMatching(/^Left end: square in from the B long side$/),
    expect.stringMatching(/^Right end: square in from the B long side$/),
  ]);
  expect(wordsOf(along('a', 0, { form: 'oxer', spreadM: 1 }))[0]).toBe(
    'On from the back rail of 1 towards the M corner, end to like end',
  );
});

test('every way of placing says which measures it needs', () => {
  const at = { kind: 'corner', wall: 'left', end: 'near' } as never;
  const measured = (placing: object) => measuresOf(placing as Placing);
  expect(measured({ how: 'wall', along: 'a', inwards: 'b' })).toEqual(['a', 'b']);
  expect(measured({ how: 'swing', gap: 'a', inwards: 'b' })).toEqual(['a', 'b']);
  expect(measured({ how: 'line', along: 'a', off: null })).toEqual(['a']);
  expect(measured({ how: 'line', along: 'a', off: { measure: 'b', side: 'left' } })).toEqual(['a', 'b']);
  expect(measured({ how: 'pulls', first: { from: at, measure: 'a' }, second: { from: at, measure: 'b' } })).toEqual([
    'a',
    'b',
  ]);
});
