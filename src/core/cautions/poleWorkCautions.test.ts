import type { Arena } from '../arena/arena';
import { layOutPoleRow } from '../exercises/layOutPoleRow';
import type { PoleGait, PoleRow } from '../exercises/poleRow';
import { rowRoomCautions } from './poleWorkCautions';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const FLAT = { leftM: 0, rightM: 0 };

function codes(gait: PoleGait, yM: number) {
  const row: PoleRow = {
    kind: 'pole-row',
    id: 'row',
    gait,
    centre: { xM: 10, yM },
    headingRad: Math.PI / 2,
    poleLengthM: 3,
    raised: [FLAT, FLAT, FLAT],
    spacing: { by: 'horse' },
  };
  return rowRoomCautions(ARENA, layOutPoleRow(row, 3), gait).map(caution => caution.code);
}

// Common practice, no source: 11 m to come in on and to pull up, at canter. The row is 6 m long.
test.each([
  { yM: 14, expected: [] },
  { yM: 13.9, expected: ['run-up-short'] },
  { yM: 26, expected: [] },
  { yM: 26.1, expected: ['landing-short'] },
])('canter poles with their middle at $yM m: $expected', ({ yM, expected }) =>
  expect(codes('canter', yM)).toEqual(expected),
);

test('trot poles ask for no such room', () => expect(codes('trot', 5)).toEqual([]));
