import type { RideWay } from '@/core';

/** A way of riding a question in words: "Left rein", "Right rein, the other way round", "As drawn". */
export function wayWords({ rein, direction }: RideWay): string {
  const turned = { 'as-drawn': '', 'other-way': 'the other way round', mirrored: 'its mirror image' }[direction];
  if (rein === null) return turned === '' ? 'As drawn' : 'The other way round';
  const onRein = rein === 'left' ? 'Left rein' : 'Right rein';
  return turned === '' ? onRein : `${onRein}, ${turned}`;
}
