import { grouped, type ReviewPass } from '@/core';

type Words = { format: (lengthM: number) => string; dayName: (day: string) => string };

/** So many legs of a setting are written out. */
const MOST_LEGS = 3;

/** The settings that were ridden, by the version of their layout: when, and how far its legs lay. */
export function settingsOf(passes: readonly ReviewPass[], { format, dayName }: Words): Map<string, string> {
  const settings = new Map<string, string>();
  for (const [versionId, own] of grouped(passes, ({ layoutVersionId }) => layoutVersionId)) {
    const [first, last] = [own[0]!.day, own.at(-1)!.day];
    const legs = own[0]!.ground.legs.slice(0, MOST_LEGS).map(({ groundM }) => format(groundM));
    const days = first === last ? dayName(first) : `${dayName(first)} to ${dayName(last)}`;
    settings.set(versionId, legs.length === 0 ? days : `${days}: ${legs.join(', ')}`);
  }
  return settings;
}
