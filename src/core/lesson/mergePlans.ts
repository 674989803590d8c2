import type { LessonPlan, LessonStage } from './lesson';

/** What two people made of one plan: everything that only one of them changed, and of what both did, what was saved last. */
export type MergedPlan = {
  plan: LessonPlan;
  /** What both changed, in sentences: what stands, and what the other one had said. */
  both: string[];
};

type Field = Exclude<keyof LessonStage, 'id'>;
const FIELDS: readonly [Field, string][] = [
  ['name', 'name'],
  ['layoutId', 'layout'],
  ['questions', 'questions'],
  ['focus', 'one thing to think of'],
  ['seat', 'seat'],
  ['eachRein', 'times on each rein'],
  ['minutes', 'minutes'],
  ['policy', 'way after a failure'],
  ['stop', 'rule for when it is enough'],
  ['riderMarks', 'things watched in the rider'],
];

/** @param base - what `mine` was made from; `theirs` is what has been saved since */
export function mergePlans(base: LessonPlan, mine: LessonPlan, theirs: LessonPlan): MergedPlan {
  const both: string[] = [];
  const breakEveryMin = mine.breakEveryMin === base.breakEveryMin ? theirs.breakEveryMin : mine.breakEveryMin;
  if (theirs.breakEveryMin !== base.breakEveryMin && theirs.breakEveryMin !== breakEveryMin)
    both.push(`The minutes between walk breaks were changed meanwhile to “${theirs.breakEveryMin}”; yours stand.`);
  return {
    plan: { breakEveryMin, pairIds: mergeIds(base.pairIds, mine.pairIds, theirs.pairIds), stages: mergeStages() },
    both,
  };

  function mergeStages(): LessonStage[] {
    const find = (plan: LessonPlan, id: string) => plan.stages.find(stage => stage.id === id);
    const kept = mine.stages.flatMap((stage): LessonStage[] => {
      const [before, other] = [find(base, stage.id), find(theirs, stage.id)];
      if (!before) return [stage];
      if (other) return [mergeStage(before, stage, other, both)];
      if (same(before, stage)) return [];
      both.push(`“${stage.name}” was taken out meanwhile; since you changed it, it stays.`);
      return [stage];
    });
    const added = theirs.stages.filter(({ id }) => !find(base, id));
    const changedMeanwhile = theirs.stages.filter(stage => {
      const before = find(base, stage.id);
      const isGone = before && !find(mine, stage.id) && !same(before, stage);
      if (isGone) both.push(`“${stage.name}” was changed meanwhile; it stays, although you took it out.`);
      return isGone;
    });
    return [...kept, ...changedMeanwhile, ...added];
  }
}

function mergeStage(base: LessonStage, mine: LessonStage, theirs: LessonStage, both: string[]): LessonStage {
  const merged: LessonStage = { ...mine };
  for (const [field, words] of FIELDS) {
    if (same(theirs[field], base[field]) || same(theirs[field], mine[field])) continue;
    if (same(mine[field], base[field])) Object.assign(merged, { [field]: theirs[field] });
    else both.push(`The ${words} of “${mine.name}” was changed meanwhile${toWords(theirs[field])}; yours stands.`);
  }
  return merged;
}

const toWords = (value: unknown) => (typeof value === 'string' || typeof value === 'number' ? ` to “${value}”` : '');

/** Who came and who went on either side; in my order. */
function mergeIds(base: readonly string[], mine: readonly string[], theirs: readonly string[]): string[] {
  const gone = base.filter(id => !theirs.includes(id));
  const come = theirs.filter(id => !base.includes(id) && !mine.includes(id));
  return [...mine.filter(id => !gone.includes(id)), ...come];
}

/** Whether two values say the same, whatever the order of their keys. */
function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, own]) => [key, sorted(own)]),
  );
}

/** What is different between two plans, in words: as it was, and as it is; null where nothing is. */
export function planDifference(
  before: LessonPlan,
  after: LessonPlan,
  pairOf: (pairId: string) => string,
): { was: string; to: string } | null {
  const was: string[] = [];
  const to: string[] = [];
  for (const id of before.pairIds) if (!after.pairIds.includes(id)) was.push(`with ${pairOf(id)}`);
  for (const id of after.pairIds) if (!before.pairIds.includes(id)) to.push(`with ${pairOf(id)}`);
  for (const stage of before.stages)
    if (!after.stages.some(({ id }) => id === stage.id)) was.push(`with “${stage.name}”`);
  for (const stage of after.stages) {
    const old = before.stages.find(({ id }) => id === stage.id);
    if (!old) to.push(`with “${stage.name}”`);
    else
      for (const [field, words] of FIELDS) {
        if (same(old[field], stage[field])) continue;
        was.push(`${words} of “${old.name}”${ofWords(old[field])}`);
        to.push(`${words} of “${stage.name}”${ofWords(stage[field])}`);
      }
  }
  if (before.breakEveryMin !== after.breakEveryMin) {
    was.push(`a walk break every ${before.breakEveryMin} min`);
    to.push(`a walk break every ${after.breakEveryMin} min`);
  }
  if (was.length + to.length === 0) return null;
  return { was: was.join('; ') || 'without', to: to.join('; ') || 'without' };
}

const ofWords = (value: unknown) => (typeof value === 'string' || typeof value === 'number' ? ` “${value}”` : '');
