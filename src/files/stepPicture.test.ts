import {
  layOutExercise,
  newItem,
  settingSheet,
  sheetLabels,
  SHELF,
  type Layout,
  type LayoutHorse,
  type PlannedTrack,
} from '@/core';
import { printedSheet } from './printedSheet';
import { stepPicture, type StepPicture } from './stepPicture';
import { stepSvg } from './layoutSvg';

const UP = Math.PI / 2;
const HORSE: LayoutHorse = {
  ...{ id: 'h', name: 'Fen', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} },
};
const course = (layout: Omit<Layout, 'name' | 'fall' | 'school' | 'horses' | 'kit'>): Layout => ({
  ...{ name: 'one', fall: null, school: 'whole-stride', horses: [], kit: null, ...layout },
});

function pictures(layout: Layout, measureBy: 'line' | 'walls' = 'line') {
  const sheet = settingSheet(layout, { measureBy, from: { xM: 10, yM: 0 } });
  const printed = printedSheet(layout, sheet, { unit: 'm', stepM: null });
  const numberOf = sheetLabels(layout);
  const of = (sets: 'pegs' | 'pieces') =>
    sheet[sets].map((set, index) => stepPicture(layout, sheet, { set, lines: printed[sets][index]!.lines, numberOf }));
  return { printed, steps: [...of('pegs'), ...of('pieces')], lines: [...printed.pegs, ...printed.pieces] };
}

const texts = ({ shapes }: StepPicture) => shapes.flatMap(shape => (shape.kind === 'text' ? [shape] : []));
const through = (...ids: string[]) => ids.map(item => ({ item, reversed: false }));
/** The numbers of a path. */
const numbersOf = (d: string) => [...d.matchAll(/-?\d+\.\d+/g)].map(Number);

/** Two verticals on the centre line of a long arena, and the line over them. */
const twoFences = (atM: readonly number[], headingRad: number) =>
  course({
    arena: { widthM: 20, lengthM: 60, letters: '20x60' },
    items: atM.map((yM, i) => newItem('vertical', `f${i + 1}`, { xM: 10, yM }, headingRad)),
    tracks: [
      {
        ...{ kind: 'items', id: 'l', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: through('f1', 'f2'),
        legs: [{ track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null }],
      } as PlannedTrack,
    ],
  });

test('a gap of 18 m is drawn from one fence to the next, with its number, and the person looks along it', () => {
  const layout = twoFences([15, 33], UP);
  const second = pictures(layout).steps[1]!;
  const label = texts(second).find(({ text }) => text === '18.00 m')!;
  // A at the left: 15 m up is 15 m to the right, so that the middle of the gap is at 24, beside its line.
  expect(label.x).toBeCloseTo(24, 0);
  const paths = second.shapes.flatMap(shape => (shape.kind === 'path' ? [shape.d] : []));
  expect(paths.some(d => /^M15\.000 \S+L33\.000 \S+$/.test(d))).toBe(true);
  expect(texts(second).map(({ text }) => text)).toEqual(expect.arrayContaining(['1', '2']));

  // Somebody stands where the pull begins and looks to its end, to the right: a nose before the head, shoulders square to it.
  const lineY = numbersOf(paths.find(d => /^M15\.000 \S+L33\.000/.test(d))!)[1]!;
  const [shoulders, head, nose] = [
    paths.find(
      d => /^M15\.000 \S+L15\.000 \S+$/.test(d) && Math.abs(numbersOf(d)[1]! + numbersOf(d)[3]! - 2 * lineY) < 0.01,
    )!,
    paths.find(d => d.includes('A') && Math.abs(numbersOf(d)[0]! - 15) < 1)!,
    paths.find(d => /^M\S+ \S+L\S+ \S+L\S+ \S+Z$/.test(d) && Math.abs(numbersOf(d)[0]! - 15) < 1)!,
  ].map(numbersOf) as [number[], number[], number[]];
  const radiusM = 15 - head[0]!;
  expect(Math.abs(shoulders[1]! - lineY)).toBeGreaterThan(1.3 * radiusM);
  expect(Math.abs(shoulders[1]! - lineY)).toBeLessThan(2.5 * radiusM);
  const [backX, backY, tipX, tipY, otherX, otherY] = nose as [number, number, number, number, number, number];
  expect(tipY).toBeCloseTo(lineY, 2);
  expect(tipX - 15).toBeGreaterThan(1.5 * radiusM);
  expect(tipX - 15).toBeLessThan(2.5 * radiusM);
  // It grows out of the head, as wide to one side as to the other.
  for (const [x, y] of [
    [backX, backY],
    [otherX, otherY],
  ] as const)
    expect(Math.hypot(x - 15, y - lineY)).toBeCloseTo(radiusM, 2);
  expect(backX).toBeCloseTo(otherX, 2);
  expect(backY + otherY).toBeCloseTo(2 * lineY, 2);
  expect(Math.abs(backY - lineY)).toBeGreaterThan(0.2 * radiusM);
});

test.each([
  ['along the arena', twoFences([15, 33], UP)],
  ['back', twoFences([33, 15], -UP)],
  ['across it and askew', twoFences([15, 33], UP + 0.4)],
])('a tape that is pulled %s has a head at its end, and pointing there', (_, layout) => {
  const second = pictures(layout).steps[1]!;
  const sizeM = Math.max(...texts(second).map(text => text.sizeM));
  const paths = second.shapes.flatMap(shape => (shape.kind === 'path' ? [shape] : []));
  const filled = paths.filter(({ fill }) => fill === '#000').map(({ d }) => d);
  const tapes = paths.filter(({ d, stroke, strokeM }) => {
    const isLine = /^M-?\d+\.\d{3} -?\d+\.\d{3}L-?\d+\.\d{3} -?\d+\.\d{3}$/.test(d) && stroke === '#000';
    return isLine && strokeM > 0.05 * sizeM && strokeM < 0.3 * sizeM;
  });
  const long = tapes
    .map(({ d }) => numbersOf(d))
    .filter(([ax, ay, bx, by]) => Math.hypot(bx! - ax!, by! - ay!) > sizeM);
  expect(long.length).toBeGreaterThan(1);
  for (const [ax, ay, tipX, tipY] of long as [number, number, number, number][]) {
    // Its two other corners lie behind the tip by less than a letter, as far to one side as to the other; slimmer than it is long.
    const isHead = (d: string) => {
      const [oneX, oneY, hereX, hereY, otherX, otherY] = numbersOf(d) as [
        number,
        number,
        number,
        number,
        number,
        number,
      ];
      if (Math.hypot(hereX - tipX, hereY - tipY) > 0.002) return false;
      const [backX, backY] = [tipX - (oneX + otherX) / 2, tipY - (oneY + otherY) / 2];
      const [longM, wideM] = [Math.hypot(backX, backY), Math.hypot(oneX - otherX, oneY - otherY)];
      const along = (backX * (tipX - ax) + backY * (tipY - ay)) / (longM * Math.hypot(tipX - ax, tipY - ay));
      return along > 0.99 && longM > 0.4 * sizeM && longM < sizeM && wideM > 0.1 * sizeM && wideM < longM;
    };
    expect(filled.filter(d => /^M\S+ \S+L\S+ \S+L\S+ \S+Z$/.test(d)).some(isHead)).toBe(true);
  }
});

test('a tape shorter than a letter is a line without a head; whoever pulls it has a black nose', () => {
  const layout = course({
    arena: { widthM: 20, lengthM: 40, letters: '20x40' },
    items: [27, 26.6].map((at, i) => newItem('pole', `p${i + 1}`, { xM: 15, yM: at }, -UP)),
    tracks: [],
  });
  const paths = pictures(layout).steps[1]!.shapes.flatMap(shape => (shape.kind === 'path' ? [shape] : []));
  const short = paths.filter(({ d, stroke }) => {
    const [ax, ay, bx, by] = numbersOf(d);
    return (
      /^M\S+ \S+L\S+ \S+$/.test(d) && stroke === '#000' && Math.abs(Math.hypot(bx! - ax!, by! - ay!) - 0.4) < 0.002
    );
  });
  expect(short.length).toBeGreaterThan(0);
  const triangles = paths.filter(({ d }) => /^M\S+ \S+L\S+ \S+L\S+ \S+Z$/.test(d));
  const [, , endX, endY] = numbersOf(short[0]!.d);
  // What has its head there comes from the wall, square to it.
  const tips = triangles
    .map(({ d }) => numbersOf(d))
    .filter(([, , x, y]) => Math.hypot(x! - endX!, y! - endY!) < 0.002);
  for (const [oneX, , , , otherX] of tips) expect((oneX! + otherX!) / 2).toBeCloseTo(endX!, 2);
  expect(triangles.map(({ fill }) => fill)).toEqual(triangles.map(() => '#000'));
  expect(triangles.length).toBeGreaterThan(0);
});

test('whoever pulls the tape back towards A looks that way', () => {
  const layout = twoFences([33, 15], -UP);
  const shapes = pictures(layout).steps[1]!.shapes.flatMap(shape => (shape.kind === 'path' ? [shape] : []));
  const head = numbersOf(shapes.find(({ d }) => d.includes('A') && Math.abs(numbersOf(d)[0]! - 33) < 1)!.d);
  const nose = numbersOf(
    shapes.find(({ d }) => /^M\S+ \S+L\S+ \S+L\S+ \S+Z$/.test(d) && Math.abs(numbersOf(d)[0]! - 33) < 1)!.d,
  );
  const radiusM = 33 - head[0]!;
  expect(nose[2]).toBeLessThan(33 - radiusM);
  // Shoulders are seen under the head: a stroke, and not as thick as the head is wide.
  const shoulders = shapes.find(
    ({ d }) => /^M33\.000 \S+L33\.000 \S+$/.test(d) && numbersOf(d)[1] !== numbersOf(d)[3],
  )!;
  expect(shoulders.stroke).toBe('#000');
  expect(shoulders.strokeM).toBeGreaterThan(0.5 * radiusM);
  expect(shoulders.strokeM).toBeLessThan(2 * radiusM);
});

test('a gap too short for its words has them beside the poles, not over them', () => {
  const yM = [27, 26.37];
  const layout = course({
    arena: { widthM: 20, lengthM: 40, letters: '20x40' },
    items: yM.map((at, i) => newItem('pole', `p${i + 1}`, { xM: 15, yM: at }, -UP)),
    tracks: [],
  });
  const second = pictures(layout).steps[1]!;
  const label = texts(second).find(({ text }) => /^0\.6\d m$/.test(text))!;
  // The poles lie across, 3 to 3.5 m long about the middle of the line; the words are about half their letters wide.
  const halfM = (label.text.length * label.sizeM * 0.5) / 2;
  const onPaper = { left: Math.min(...yM) - 0.05, right: Math.max(...yM) + 0.05, top: 15 - 1.7, bottom: 15 + 1.7 };
  const isBeside =
    label.x + halfM < onPaper.left ||
    label.x - halfM > onPaper.right ||
    label.y + label.sizeM / 2 < onPaper.top ||
    label.y - label.sizeM / 2 > onPaper.bottom;
  expect(isBeside).toBe(true);
});

test('in every picture of every exercise each free length stands once, inside it, and on no other', () => {
  const arena = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
  for (const recipe of SHELF) {
    const { exercise } = layOutExercise(recipe, { arena, school: 'whole-stride', horses: [HORSE] }, { rein: 'left' });
    if (exercise.items.length === 0) continue;
    const { steps, lines } = pictures(course({ arena, items: exercise.items, tracks: exercise.tracks }));
    steps.forEach((picture, index) => {
      const wanted = lines[index]!.lines.filter(({ follows, rounded }) => !follows && rounded !== '');
      const { x, y, widthM, heightM } = picture.box;
      const lengths = texts(picture).filter(({ text }) => / m$/.test(text));
      expect(lengths.map(({ text }) => text).sort()).toEqual(wanted.map(({ rounded }) => rounded).sort());
      for (const one of lengths) {
        expect([recipe.kind, one.x > x && one.x < x + widthM, one.y > y && one.y < y + heightM]).toEqual([
          ...[recipe.kind, true, true],
        ]);
      }
    });
  }
});

test('as a file by itself', () => {
  const layout = course({
    arena: { widthM: 20, lengthM: 40, letters: 'none' },
    items: [newItem('cone', 'c', { xM: 5, yM: 10 }, 0)],
    tracks: [],
  });
  const svg = stepSvg(pictures(layout, 'walls').steps[0]!);
  expect(svg).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg" viewBox="[-\d. ]+"/);
  expect(svg).toContain('>10.00 m</text>');
  expect(svg).toContain('>5.00 m</text>');
});
