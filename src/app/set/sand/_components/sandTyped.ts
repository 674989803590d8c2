import { WALKED_CHOICES, WALKED_FROM } from '@/files/sandForm';

/** What is typed of a line that is walked, as it is typed. */
export type SandTyped = {
  name: string;
  arenaId: string;
  walkerId: string;
  horseIds: string[];
  from: (typeof WALKED_FROM)[number];
  aside: string;
  pieces: { key: string; gap: string; choice: (typeof WALKED_CHOICES)[number] }[];
};

export const NOTHING_WALKED: SandTyped = {
  ...{ name: '', arenaId: '', walkerId: '', horseIds: [], from: 'near', aside: '' },
  pieces: [{ key: 'first', gap: '', choice: 'vertical' }],
};

/** What a device kept of it; null where it is not that. */
export function keptSand(kept: unknown): SandTyped | null {
  if (typeof kept !== 'object' || kept === null) return null;
  const { name, arenaId, walkerId, horseIds, from, aside, pieces } = kept as Record<string, unknown>;
  const texts = [name, arenaId, walkerId, aside];
  const known = WALKED_FROM.find(wall => wall === from);
  if (!texts.every(text => typeof text === 'string') || !known || !Array.isArray(horseIds) || !Array.isArray(pieces))
    return null;
  const whole = pieces.flatMap((piece: unknown) => {
    const { key, gap, choice } = (piece ?? {}) as Record<string, unknown>;
    const stands = WALKED_CHOICES.find(one => one === choice);
    return typeof key === 'string' && typeof gap === 'string' && stands ? [{ key, gap, choice: stands }] : [];
  });
  if (whole.length === 0) return null;
  const [nameText, arenaText, walkerText, asideText] = texts as string[];
  return {
    ...{ name: nameText!, arenaId: arenaText!, walkerId: walkerText!, aside: asideText! },
    ...{ horseIds: horseIds.filter(id => typeof id === 'string'), from: known, pieces: whole },
  };
}
