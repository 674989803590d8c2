import type { StrideEntryKey } from '../horse/strideEntry';
import type { TestLane } from './strideTest';

/** A test that may be one half of a day: before schooling, or after it. */
export type DayTest = {
  entry: StrideEntryKey;
  lane: TestLane;
  stepperId: string | null;
  moment: 'before' | 'after' | 'apart';
  /** The day in the yard, as it is written. */
  day: string;
};

/** The two halves of one day in one gait. */
export type BeforeAfter<Test> = { before: Test; after: Test };

/**
 * Tests before and after schooling on one day, gait by gait, the latest day first. Only what compares: taped lanes with each
 * other, a lane of own steps with the same one of the same person.
 * @param tests - of one horse, earliest first
 */
export function beforeAfterOf<Test extends DayTest>(tests: readonly Test[]): BeforeAfter<Test>[] {
  return tests
    .flatMap((after, index) => {
      if (after.moment !== 'after') return [];
      const before = tests
        .slice(0, index)
        .findLast(test => test.moment === 'before' && test.day === after.day && isLike(test, after));
      return before ? [{ before, after }] : [];
    })
    .reverse();
}

function isLike(a: DayTest, b: DayTest): boolean {
  if (a.entry !== b.entry || a.lane.kind !== b.lane.kind) return false;
  if (a.lane.kind === 'taped' || b.lane.kind === 'taped') return true;
  return a.lane.steps === b.lane.steps && a.stepperId === b.stepperId;
}
