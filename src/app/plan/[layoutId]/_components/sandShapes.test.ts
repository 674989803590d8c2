import { sandView } from '@/components/Sand/sandView';
import type { PathShape, Shape, TextShape } from '@/components/Sand/shape';
import { headingFromFacing, moveThings, newItem, turnThings } from '@/core';
import { ARENA, LINE, MAYFLY, shows } from '../_state/testShown';
import { guideShapes } from '../_hand/guideShapes';
import { knobShapes, outlineShapes, viaShapes } from './handleShapes';
import { itemNaming, nameRuns } from './itemNaming';
import { sandLabels } from './sandLabels';
import { legShapes, legsOnSand, sessionShapes, type Seen } from './trackShapes';

// "Along" has A at the left: x on the paper is the distance from A, y that from the left long side.
const SEEN: Seen = { view: sandView(ARENA, 'along'), textM: 1.3 };
const format = (lengthM: number) => `${lengthM.toFixed(2)} m`;

const paths = (shapes: readonly Shape[]) => shapes.filter((shape): shape is PathShape => shape.kind === 'path');
const texts = (shapes: readonly Shape[]) => shapes.filter((shape): shape is TextShape => shape.kind === 'text');
const words = (shapes: readonly Shape[]) => texts(shapes).map(({ runs }) => runs.map(run => run.words).join(''));

/** The places that a path is written through. */
function placesOf({ d }: PathShape): { x: number; y: number }[] {
  const numbers = (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
  return Array.from({ length: numbers.length / 2 }, (_, at) => ({ x: numbers[at * 2]!, y: numbers[at * 2 + 1]! }));
}

/** The middle of a print: between its toe and its heels. */
function printAt(print: PathShape): { x: number; y: number } {
  const places = placesOf(print);
  const [left, toe, right] = [places[0]!, places[2]!, places[4]!];
  return { x: ((left.x + right.x) / 2 + toe.x) / 2, y: ((left.y + right.y) / 2 + toe.y) / 2 };
}

function line(plan = LINE) {
  const { resolved, tracks } = shows()(plan);
  const inSight = { layout: resolved.layout, tracks, chosenTrack: 'line', horse: MAYFLY, marked: null };
  return { resolved, tracks, legs: legsOnSand(inSight, 'line') };
}

// Common practice, no source: four strides of 3.6 m and half a stride at either end are 18 m.
test('four strides in 18 m are drawn where they fall, landing and take-off half a stride from the fences', () => {
  const [first] = line().legs;
  const prints = paths(legShapes(first!, SEEN)).filter(({ hoof }) => hoof !== undefined);
  expect(prints.map(({ hoof }) => hoof)).toEqual(['landing', 'stride', 'stride', 'stride', 'take-off']);
  prints.forEach((print, index) => {
    expect(printAt(print).x).toBeCloseTo(5 + 3.6 * (index + 0.5), 3);
    expect(printAt(print).y).toBeCloseTo(10, 3);
  });
});

test('toes point the way that is ridden', () => {
  const turned = {
    ...LINE,
    tracks: LINE.tracks.map(track => ({
      ...track,
      through: [...('through' in track ? track.through : [])].reverse().map(stop => ({ ...stop, reversed: true })),
    })),
  };
  const [there] = line().legs;
  const [back] = line(turned as typeof LINE).legs;
  const toeAhead = (leg: typeof there) => {
    const [print] = paths(legShapes(leg!, SEEN)).filter(({ hoof }) => hoof !== undefined);
    return placesOf(print!)[2]!.x - placesOf(print!)[0]!.x;
  };
  expect(toeAhead(there)).toBeGreaterThan(0);
  expect(toeAhead(back)).toBeLessThan(0);
});

test('a track that is not looked at has its line, and nothing on it', () => {
  const [first] = line().legs;
  const shapes = legShapes({ ...first!, chosen: false, horse: null }, SEEN);
  expect(shapes).toHaveLength(1);
  expect(placesOf(shapes[0] as PathShape)[0]).toEqual({ x: 5, y: 10 });
  // A leg that is pointed at lies on something wider.
  expect(
    paths(legShapes({ ...first!, chosen: false, horse: null, marked: true }, SEEN)).map(({ look }) => look),
  ).toEqual(['markedLeg', 'way']);
});

/** What is written of a plan, by what it is of. */
function written(plan: typeof LINE) {
  const { resolved, tracks } = shows()(plan);
  const naming = itemNaming(resolved, { chosenTrack: 'line', selection: { ids: [], leg: null }, lockedIds: [] });
  return sandLabels({ resolved, tracks, arena: ARENA, chosenTrack: 'line', naming, isHere: () => true }, SEEN);
}

test('the lead of a turn is marked inside it, the leading foot ahead; the next turn the same way has none', () => {
  // From up the centre line round to the left: the second fence stands across the arena, the third faces back.
  const items = LINE.items.map(item => {
    if (item.id === 'ash') return { ...item, at: { xM: 16, yM: 5 } };
    if (item.id === 'birch') return { ...item, at: { xM: 10, yM: 16 }, headingRad: Math.PI };
    return item.id === 'elm' ? { ...item, at: { xM: 3, yM: 8 }, headingRad: -Math.PI / 2 } : item;
  });
  const leads = written({ ...LINE, items } as typeof LINE).flatMap(({ shapes }) =>
    paths(shapes).filter(({ look }) => look === 'lead'),
  );
  expect(leads.map(({ lead }) => lead)).toEqual(['left']);
  const places = placesOf(leads[0]!);
  const [leading, other] = [places.slice(0, 5), places.slice(5)];
  const middle = (of: typeof places) =>
    of.reduce((sum, { x, y }) => ({ x: sum.x + x / 5, y: sum.y + y / 5 }), { x: 0, y: 0 });
  // Left of the way lies at smaller x on the sand, which is smaller y on this paper.
  expect(middle(leading).y).toBeLessThan(middle(other).y);
});

test('a session that cannot be ridden is drawn without a way', () => {
  const broken = { kind: 'figures', id: 'x', name: null, lengthM: 0, smallestRadiusM: null, measure: null } as const;
  const shapes = sessionShapes(
    { ...broken, session: { ok: false, figure: 0, reason: 'no room' } } as never,
    { chosen: true, horse: MAYFLY },
    SEEN,
  );
  expect(paths(shapes).every(({ d }) => d === '')).toBe(true);
});

test('what is dragged is measured to the nearer walls and to its nearest neighbour', () => {
  const { layout } = shows()(LINE).resolved;
  // 3 m across and 4 m along from where the pole lies: 5 m away.
  const items = layout.items.map(item => (item.id === 'ash' ? { ...item, at: { xM: 6, yM: 7 } } : item));
  const drag = { item: 'ash', guides: [], words: 'easy four for Mayfly' };
  const told = words(
    guideShapes({ drag, layout: { ...layout, items }, arena: ARENA, ids: ['ash'], format, taken: [] }, SEEN),
  );
  expect(told).toEqual([
    'easy four for Mayfly',
    '6.00 m from left long side',
    '7.00 m from near short side',
    // Nobody called it anything, and nothing goes over it.
    '5.00 m to pole A',
  ]);
});

test('at the other end it is measured from there', () => {
  const { layout } = shows()(LINE).resolved;
  const items = layout.items.map(item => (item.id === 'elm' ? { ...item, at: { xM: 18, yM: 58 } } : item));
  const drag = { item: 'elm', guides: [], words: null };
  const told = words(
    guideShapes({ drag, layout: { ...layout, items }, arena: ARENA, ids: ['elm'], format, taken: [] }, SEEN),
  );
  expect(told.slice(0, 2)).toEqual(['2.00 m from right long side', '2.00 m from far short side']);
  expect(
    guideShapes({ drag: { ...drag, item: 'gone' }, layout, arena: ARENA, ids: [], format, taken: [] }, SEEN),
  ).toEqual([]);
});

test('an outline lies 30 cm round what an item covers, however it is turned', () => {
  const pole = newItem('pole', 'p', { xM: 10, yM: 20 }, headingFromFacing(0));
  const turned = newItem('pole', 'p', { xM: 10, yM: 20 }, headingFromFacing(30));
  const sides = (item: typeof pole) => {
    const [a, b, c] = placesOf(outlineShapes([item], SEEN.view, 'selected')[0]!);
    return [Math.hypot(a!.x - b!.x, a!.y - b!.y), Math.hypot(b!.x - c!.x, b!.y - c!.y)].sort(
      (one, other) => one - other,
    );
  };
  const lengthM = 'lengthM' in pole ? pole.lengthM : NaN;
  expect(sides(pole)[1]).toBeCloseTo(lengthM + 0.6, 3);
  expect(sides(turned)[0]).toBeCloseTo(sides(pole)[0]!, 3);
  expect(sides(turned)[1]).toBeCloseTo(sides(pole)[1]!, 3);
});

test('the knob stands ahead of what is selected, the way it is ridden', () => {
  const { items } = shows()(LINE).resolved.layout;
  const ash = items.find(({ id }) => id === 'ash')!;
  const arm = paths(knobShapes(ash.at, [ash], SEEN))[0]!;
  const [from, to] = placesOf(arm);
  expect(from).toEqual({ x: 5, y: 10 });
  expect(to!.x).toBeGreaterThan(7);
  expect(to!.y).toBeCloseTo(10, 6);
  // Turned a quarter to the left it stands towards the left side.
  const { resolved } = shows()(turnThings(LINE, ['ash'], Math.PI / 2, ash.at));
  const left = resolved.layout.items.find(({ id }) => id === 'ash')!;
  expect(placesOf(paths(knobShapes(left.at, [left], SEEN))[0]!)[1]!.y).toBeLessThan(8);
  expect(knobShapes(null, [ash], SEEN)).toEqual([]);
});

test('a selected leg is taken hold of in its middle, or where it goes through', () => {
  const shown = shows()(LINE);
  const selection = { ids: [], leg: { track: 'line', leg: 0 } };
  const middleOf = (shapes: Shape[]) => {
    const places = placesOf(paths(shapes).find(({ rail }) => rail)!);
    return {
      x: places.reduce((sum, { x }) => sum + x, 0) / places.length,
      y: places.reduce((sum, { y }) => sum + y, 0) / places.length,
    };
  };
  const at = middleOf(viaShapes(shown, selection, SEEN));
  expect(at.x).toBeCloseTo(14, 3);
  expect(at.y).toBeCloseTo(10, 3);
  const legs = [{ ...('legs' in LINE.tracks[0]! ? LINE.tracks[0].legs[0]! : {}), track: { via: { xM: 13, yM: 15 } } }];
  const through = shows()({
    ...LINE,
    tracks: LINE.tracks.map(track =>
      'legs' in track ? { ...track, legs: [legs[0] as never, track.legs[1]!] } : track,
    ),
  });
  const via = middleOf(viaShapes(through, selection, SEEN));
  expect(via.x).toBeCloseTo(15, 3);
  expect(via.y).toBeCloseTo(13, 3);
  expect(viaShapes(shown, { ids: [], leg: null }, SEEN)).toEqual([]);
});

test('a number and the name that somebody gave it; what lies there locked says so', () => {
  const naming = { number: '1', label: 'ash', selected: false, locked: false };
  const said = (of: typeof naming | { number: null; label: string | null; selected: boolean; locked: boolean }) =>
    nameRuns(of)
      .map(run => run.words)
      .join('');
  expect(said(naming)).toBe('1 ash');
  expect(said({ ...naming, locked: true })).toBe('1 ash (locked)');
  expect(said({ ...naming, label: null as never })).toBe('1');
  expect(said({ ...naming, number: null, label: 'A' })).toBe('A');
  expect(said({ ...naming, number: null, label: null })).toBe('');
});

test('what helps is silent until it is selected, and what nobody rides has a letter', () => {
  const items = [...LINE.items, newItem('cone', 'cone', { xM: 15, yM: 3 }, 0)];
  const { resolved } = shows()({ ...LINE, items });
  const label = (id: string, ids: string[]) =>
    itemNaming(resolved, { chosenTrack: 'line', selection: { ids, leg: null }, lockedIds: [] })(
      resolved.layout.items.find(item => item.id === id)!,
    ).label;
  expect(label('pole 1', [])).toBe('A');
  expect(label('cone', [])).toBeNull();
  expect(label('cone', ['cone'])).toBe('B');
});

test('a fence moved half a metre on has its prints moved with it', () => {
  const moved = moveThings(LINE, ['birch'], { xM: 0, yM: 0.5 });
  const [first, second] = line(moved).legs;
  const strides = (leg: typeof first) =>
    paths(legShapes(leg!, SEEN))
      .filter(({ hoof }) => hoof !== undefined)
      .map(print => printAt(print).x);
  // 18.5 m and 17.5 m, in five parts each.
  strides(first).forEach((x, index) => expect(x).toBeCloseTo(5 + 3.7 * (index + 0.5), 3));
  strides(second).forEach((x, index) => expect(x).toBeCloseTo(23.5 + 3.5 * (index + 0.5), 3));
});
