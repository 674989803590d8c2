import { placeLabels, type LabelWish } from './placeLabels';

const wish = (...places: [number, number][]): LabelWish => ({
  ...{ widthM: 2, heightM: 1 },
  places: places.map(([x, y]) => ({ x, y })),
});
const NONE = { shapes: [], points: [], everyM: 0.4 };

test('the first place that is free is taken, in the order of the wishes', () => {
  expect(placeLabels([wish([0, 0]), wish([0, 0], [1, 0.5], [0, 1.1])], NONE)).toEqual([
    { x: 0, y: 0 },
    { x: 0, y: 1.1 },
  ]);
});

test('a shape is in the way where it is, not where its box is', () => {
  // A thin bar from corner to corner of a square of 10 m.
  const bar = [
    { x: 0, y: 0 },
    { x: 0.1, y: 0 },
    { x: 10, y: 9.9 },
    { x: 10, y: 10 },
  ];
  expect(placeLabels([wish([8, 2])], { ...NONE, shapes: [bar] })).toEqual([{ x: 8, y: 2 }]);
  expect(placeLabels([wish([5, 5.3], [5, 8])], { ...NONE, shapes: [bar] })).toEqual([{ x: 5, y: 8 }]);
});

test('a line runs between its points too', () => {
  const points = [0, 0.4, 0.8, 1.2].map(x => ({ x, y: 0.65 }));
  // The lower edge lies at 0.5: nearer to the line than half of what lies between two points.
  expect(placeLabels([wish([0.6, 0], [0.6, -0.2])], { ...NONE, points })).toEqual([{ x: 0.6, y: -0.2 }]);
});

test('where no place is free there is no label', () => {
  expect(placeLabels([wish([0, 0]), wish([0.5, 0])], NONE)).toEqual([{ x: 0, y: 0 }, null]);
  expect(placeLabels([wish()], NONE)).toEqual([null]);
});

test('places left of and above the origin count as any others', () => {
  const points = [{ x: -3, y: -3 }];
  expect(placeLabels([wish([-3, -3], [-3, -5])], { ...NONE, points })).toEqual([{ x: -3, y: -5 }]);
});
