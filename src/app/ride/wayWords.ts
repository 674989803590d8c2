import type { RideWay } from '@/core';

/** How something is ridden otherwise than as drawn; empty as drawn. */
export function turnWords({ direction }: Pick<RideWay, 'direction'>): string {
  return { 'as-drawn': '', 'other-way': 'the other way round', mirrored: 'its mirror image' }[direction];
}

/** A way of riding a question in words: "Left rein", "Right rein, the other way round", "As drawn". */
export function wayWords(way: RideWay): string {
  const { rein } = way;
  const turned = turnWords(way);
  if (rein === null) return turned === '' ? 'As drawn' : 'The other way round';
  const onRein = rein === 'left' ? 'Left rein' : 'Right rein';
  return turned === '' ? onRein : `${onRein}, ${turned}`;
}
