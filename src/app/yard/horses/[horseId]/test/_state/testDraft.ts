import { USUAL_LANE_M, type Foot, type StrideEntryKey, type TestLane, type TestPace, type TestPass } from '@/core';
import type { StrideTestOnPaper } from '@/files/strideTestForm';

/** A test while it is ridden. It is kept on the device at every change, and sent when it is done. */
export type TestDraft = {
  id: string;
  entry: StrideEntryKey;
  lane: TestLane;
  stepperId: string | null;
  riderId: string | null;
  moment: StrideTestOnPaper['moment'];
  /** The foot that is counted. */
  foot: Foot;
  passes: TestPass[];
  /** The pass that is being counted. */
  pace: TestPace;
  count: number;
  /** Parts of a stride at its ends: behind the start, and before the finish. */
  behind: number | null;
  part: number | null;
  rhythm: number | null;
  roundness: number | null;
  balance: number | null;
  note: string;
};

export type DraftChange =
  | { kind: 'tap' }
  | { kind: 'untap' }
  | { kind: 'count'; count: number }
  | { kind: 'behind'; behind: number | null }
  | { kind: 'part'; part: number | null }
  | { kind: 'pace'; pace: TestPace }
  | { kind: 'keep'; voided: boolean }
  | { kind: 'start-again' }
  | { kind: 'remove'; index: number }
  | { kind: 'set'; changes: Partial<Omit<TestDraft, 'id' | 'passes' | 'count' | 'behind' | 'part' | 'pace'>> };

const MOST_STRIDES = 200;

export function newDraft(id: string, entry: StrideEntryKey): TestDraft {
  return {
    ...{
      id,
      entry,
      stepperId: null,
      riderId: null,
      moment: 'apart',
      foot: 'LF',
      passes: [],
      pace: 'normal',
      count: 0,
      behind: null,
      part: null,
    },
    ...{ rhythm: null, roundness: null, balance: null, note: '' },
    lane: { kind: 'taped', lengthM: USUAL_LANE_M },
  };
}

/** A draft as a device kept it, an older Roan's among them, which knew nothing of parts behind the start; null for none. */
export function keptDraft(stored: unknown): TestDraft | null {
  const kept = stored as Partial<TestDraft> | null;
  if (!kept || typeof kept.id !== 'string' || !Array.isArray(kept.passes)) return null;
  const passes = kept.passes.map(pass => ({ ...pass, behind: pass.behind ?? null }));
  return { ...newDraft(kept.id, kept.entry ?? 'trot'), ...kept, passes };
}

/** The draft after a change; what makes no sense leaves it as it was. */
export function changeDraft(draft: TestDraft, change: DraftChange): TestDraft {
  switch (change.kind) {
    case 'tap':
      return { ...draft, count: Math.min(MOST_STRIDES, draft.count + 1) };
    case 'untap':
      return { ...draft, count: Math.max(0, draft.count - 1) };
    case 'count':
      return Number.isInteger(change.count) && change.count >= 0 && change.count <= MOST_STRIDES
        ? { ...draft, count: change.count }
        : draft;
    case 'behind':
      return { ...draft, behind: change.behind };
    case 'part':
      return { ...draft, part: change.part };
    case 'pace':
      return { ...draft, pace: change.pace };
    case 'keep':
      return keepPass(draft, change.voided);
    case 'start-again':
      return { ...draft, count: 0, behind: null, part: null };
    case 'remove':
      return { ...draft, passes: draft.passes.filter((_, index) => index !== change.index) };
    case 'set':
      return { ...draft, ...change.changes };
  }
}

/** A void pass may have no count: it was broken off before the first stride in the lane. */
function keepPass(draft: TestDraft, voided: boolean): TestDraft {
  if (draft.count === 0 && !voided) return draft;
  const { pace, count, behind, part } = draft;
  return {
    ...draft,
    passes: [...draft.passes, { pace, count: Math.max(1, count), behind, part, voided }],
    count: 0,
    behind: null,
    part: null,
  };
}

/** The test as it is sent. */
export function draftOnPaper(draft: TestDraft, horseId: string, testedAtMs: number): StrideTestOnPaper {
  const { id, entry, lane, stepperId, riderId, moment, passes, rhythm, roundness, balance, note } = draft;
  return {
    ...{ id, horseId, entry, lane, riderId, moment, passes, rhythm, roundness, balance, note, testedAtMs },
    stepperId: lane.kind === 'steps' ? stepperId : null,
  };
}
