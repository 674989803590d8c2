import type { FitMove } from '@/core';

/** How a piece is moved, as it is ridden. */
export function moveWords({ alongM, leftM, turnRad }: FitMove, format: (lengthM: number) => string): string {
  const turnDeg = Math.round((turnRad * 180) / Math.PI);
  return [
    alongM !== 0 && `${format(Math.abs(alongM))} ${alongM > 0 ? 'forward' : 'back'}`,
    leftM !== 0 && `${format(Math.abs(leftM))} to the ${leftM > 0 ? 'left' : 'right'}`,
    turnDeg !== 0 && `turned ${Math.abs(turnDeg)}° to the ${turnDeg > 0 ? 'left' : 'right'}`,
  ]
    .filter(words => words !== false)
    .join(', ');
}
