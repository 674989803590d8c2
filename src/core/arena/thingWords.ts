import type { ArenaThing, ArenaThingKind } from './arena';

const WORDS: Record<ArenaThingKind, string> = {
  pillar: 'the pillar',
  tree: 'the tree',
  gate: 'the gate',
  'mounting-block': 'the mounting block',
  other: 'what stands there',
};

/** What stands on a sand, in a sentence: by its name where somebody gave one. */
export function thingWords({ kind, name }: Pick<ArenaThing, 'kind' | 'name'>): string {
  return name ?? WORDS[kind];
}
