import type { LegBoardShown } from '@/components/pictures/LegBoardPicture';
import { mostRidden } from '@/components/pictures/CountDiscs';

/** So many names are written at a leg; the board under it has all. */
const MOST_NAMES = 3;

/** Leg by leg, who rode which count most often: “5: Quill, Fern”. */
export function countsByPair(
  { legs, rows }: Pick<LegBoardShown, 'legs' | 'rows'>,
  nameOf: (pairId: string) => string,
): string[][] {
  return legs.map((_, leg) => {
    const byCount = new Map<number, string[]>();
    for (const { pairId, cells } of rows) {
      const count = mostRidden(cells[leg]?.ridden ?? []);
      if (count !== null) byCount.set(count, [...(byCount.get(count) ?? []), nameOf(pairId)]);
    }
    const counted = [...byCount.values()].reduce((sum, names) => sum + names.length, 0);
    return [...byCount]
      .sort(([a], [b]) => a - b)
      .map(([count, names]) => `${count}: ${names.length === counted && counted > 1 ? 'all' : namesIn(names)}`);
  });
}

function namesIn(names: readonly string[]): string {
  const more = names.length - MOST_NAMES;
  return more > 0 ? `${names.slice(0, MOST_NAMES).join(', ')} and ${more} more` : names.join(', ');
}
