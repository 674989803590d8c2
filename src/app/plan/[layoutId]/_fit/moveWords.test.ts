import { moveWords } from './moveWords';

const format = (lengthM: number) => `${lengthM.toFixed(2)} m`;
const DEG = Math.PI / 180;

it.each([
  [{ alongM: 0.75, leftM: 0, turnRad: 0 }, '0.75 m forward'],
  [{ alongM: -0.05, leftM: 0.1, turnRad: 0 }, '0.05 m back, 0.10 m to the left'],
  [{ alongM: 0, leftM: -1, turnRad: -7 * DEG }, '1.00 m to the right, turned 7° to the right'],
  [{ alongM: 0, leftM: 0, turnRad: 3 * DEG }, 'turned 3° to the left'],
])('%j is %s', (move, words) => expect(moveWords(move, format)).toBe(words));
