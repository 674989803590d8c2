import {
  meanQuality,
  USUAL_LANE_M,
  type Foot,
  type StrideEntryKey,
  type TestLane,
  type TestPace,
  type TestPass,
  type TestQuality,
} from '@/core';
import type { StrideTestOnPaper } from '@/files/strideTestForm';

/** One column of the sheet, a test of its own: one horse, gait, lane, rider and moment of the day. */
export type TestColumn = {
  id: string;
  /** Whose strides; null for the horse whose sheet it is. */
  horseId: string | null;
  entry: StrideEntryKey;
  lane: TestLane;
  stepperId: string | null;
  riderId: string | null;
  moment: StrideTestOnPaper['moment'];
  passes: TestPass[];
  note: string;
};

/** A sheet of tests while they are ridden. It is kept on the device at every change, and sent when it is done. */
export type TestDraft = TestColumn & {
  /** The columns that are not counted in now. */
  others: TestColumn[];
  /** As it was before each change that can be taken back, the last one last. */
  undo: Omit<TestDraft, 'undo'>[];
  /** The foot that is counted. */
  foot: Foot;
  /** The pass that is being counted. */
  pace: TestPace;
  count: number;
  /** Parts of a stride at its ends: behind the start, and before the finish. */
  behind: number | null;
  part: number | null;
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
  | { kind: 'judge'; index: number; quality: Partial<TestQuality> }
  | { kind: 'column'; id: string }
  | { kind: 'drop' }
  | { kind: 'undo' }
  | { kind: 'set'; changes: Partial<Omit<TestColumn, 'id' | 'passes'> & { foot: Foot }> };

const MOST_STRIDES = 200;

export function newDraft(id: string, entry: StrideEntryKey): TestDraft {
  return {
    ...{
      id,
      horseId: null,
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
    ...{ note: '', others: [], undo: [] },
    lane: { kind: 'taped', lengthM: USUAL_LANE_M },
  };
}

/** A draft as a device kept it, an older Roan's among them, which knew nothing of parts behind the start; null for none. */
export function keptDraft(stored: unknown): TestDraft | null {
  const kept = stored as Partial<TestDraft> | null;
  if (!kept || typeof kept.id !== 'string' || !Array.isArray(kept.passes)) return null;
  const passes = kept.passes.map(pass => ({ ...pass, behind: pass.behind ?? null }));
  const { others = [], undo = [] } = kept;
  const whole = others.map(column => ({ ...column, horseId: column.horseId ?? null }));
  return { ...newDraft(kept.id, kept.entry ?? 'trot'), ...kept, passes, others: whole, undo };
}

/** So many changes can be taken back. */
const MOST_UNDONE = 20;
const CAN_BE_UNDONE: readonly DraftChange['kind'][] = ['keep', 'remove', 'judge', 'start-again', 'drop'];

/**
 * The draft after a change; what makes no sense leaves it as it was.
 * @param freshId - an id for a column that begins with it
 */
export function changeDraft(draft: TestDraft, change: DraftChange, freshId: string): TestDraft {
  if (change.kind === 'undo') {
    const before = draft.undo.at(-1);
    return before ? { ...before, undo: draft.undo.slice(0, -1) } : draft;
  }
  const next = changed(draft, change, freshId);
  const losesCount = draft.count > 0 && next.count === 0;
  if (next === draft || !(CAN_BE_UNDONE.includes(change.kind) || losesCount)) return next;
  const { undo, ...before } = draft;
  return { ...next, undo: [...undo, before].slice(-MOST_UNDONE) };
}

function changed(draft: TestDraft, change: Exclude<DraftChange, { kind: 'undo' }>, freshId: string): TestDraft {
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
      // What is counted is never relabelled: a pace is chosen before the first tap.
      return draft.count > 0 ? draft : { ...draft, pace: change.pace };
    case 'keep':
      return keepPass(draft, change.voided);
    case 'start-again':
      return { ...draft, count: 0, behind: null, part: null };
    case 'remove':
      return { ...draft, passes: draft.passes.filter((_, index) => index !== change.index) };
    case 'judge':
      return { ...draft, passes: withPass(draft, change.index, change.quality) };
    case 'column':
      return toColumn(draft, change.id);
    case 'drop':
      return {
        ...newDraft(freshId, draft.entry),
        horseId: draft.horseId,
        ...{ lane: draft.lane, stepperId: draft.stepperId, riderId: draft.riderId, foot: draft.foot, undo: draft.undo },
      };
    case 'set':
      return withSettings(draft, change.changes, freshId);
  }
}

const withPass = ({ passes }: TestDraft, index: number, more: Partial<TestPass>) =>
  passes.map((pass, at) => (at === index ? { ...pass, ...more } : pass));

const columnOf = ({ id, horseId, entry, lane, stepperId, riderId, moment, passes, note }: TestColumn): TestColumn => ({
  ...{ id, horseId, entry, lane, stepperId, riderId, moment, passes, note },
});

/** Every column of a sheet, in the order begun. */
export function columnsOf(draft: TestDraft): TestColumn[] {
  return [...draft.others, columnOf(draft)].filter(({ passes, id }) => passes.length > 0 || id === draft.id);
}

const isAlike = (a: TestColumn, b: TestColumn) =>
  a.horseId === b.horseId &&
  a.entry === b.entry &&
  a.moment === b.moment &&
  a.riderId === b.riderId &&
  JSON.stringify([a.lane, a.stepperId]) === JSON.stringify([b.lane, b.stepperId]);

/**
 * What was counted is never relabelled: another gait, lane, rider or moment goes on in the column that has them, or in one of
 * its own.
 */
function withSettings(
  draft: TestDraft,
  { foot, note, ...labels }: Extract<DraftChange, { kind: 'set' }>['changes'],
  freshId: string,
): TestDraft {
  const own = { ...draft, foot: foot ?? draft.foot, note: note ?? draft.note };
  const wanted = { ...columnOf(own), ...labels };
  if (isAlike(wanted, own)) return own;
  const there = draft.others.find(column => isAlike(column, wanted));
  if (there) return toColumn(own, there.id);
  if (own.passes.length === 0) return { ...own, ...labels, ...NOTHING_COUNTED, pace: own.pace };
  const begun = { ...wanted, id: freshId, passes: [], note: '' };
  return { ...own, ...begun, others: [...own.others, columnOf(own)], ...NOTHING_COUNTED };
}

const NOTHING_COUNTED = { pace: 'normal', count: 0, behind: null, part: null } as const;

function toColumn(draft: TestDraft, id: string): TestDraft {
  const there = draft.others.find(column => column.id === id);
  if (!there) return draft;
  const rest = draft.others.filter(column => column.id !== id);
  const others = draft.passes.length > 0 ? [...rest, columnOf(draft)] : rest;
  return { ...draft, ...there, others, ...NOTHING_COUNTED };
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

/**
 * A column as it is sent, a test by itself.
 * @param sheetHorseId - the horse whose sheet it is
 */
export function columnOnPaper(column: TestColumn, sheetHorseId: string, testedAtMs: number): StrideTestOnPaper {
  const { id, entry, lane, stepperId, riderId, moment, passes, note } = column;
  const horseId = column.horseId ?? sheetHorseId;
  const whole = (score: number | null) => (score === null ? null : Math.round(score));
  const { rhythm, roundness, balance } = meanQuality(passes);
  return {
    ...{ id, horseId, entry, lane, riderId, moment, note, testedAtMs },
    passes: passes.map(pass => ({
      ...pass,
      ...{ rhythm: pass.rhythm ?? null, roundness: pass.roundness ?? null, balance: pass.balance ?? null },
    })),
    ...{ rhythm: whole(rhythm), roundness: whole(roundness), balance: whole(balance) },
    stepperId: lane.kind === 'steps' ? stepperId : null,
  };
}
