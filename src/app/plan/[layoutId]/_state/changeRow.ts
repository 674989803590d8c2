import {
  keepRowInside,
  MAX_ROW_POLES,
  MIN_ROW_POLES,
  normaliseRad,
  rowSpacing,
  type Arena,
  type HorseProfile,
  type PointM,
  type PoleGait,
  type RaisedEnds,
  type RowSpacing,
} from '@/core';
import type { PlannedRow } from '@/files/planDocument';

/** One thing a person does to a row. */
export type RowChange =
  | { kind: 'move'; centre: PointM }
  | { kind: 'turn'; headingRad: number }
  | { kind: 'count'; count: number }
  | { kind: 'gait'; gait: PoleGait }
  | { kind: 'horse'; horseId: string }
  | { kind: 'pole-length'; poleLengthM: number }
  | { kind: 'raise'; raised: RaisedEnds[] }
  | { kind: 'spacing'; spacing: RowSpacing };

export type RowContext = { arena: Arena; horses: readonly (HorseProfile & { id: string; name: string })[] };

export type ChangedRow = { ok: true; row: PlannedRow } | { ok: false; reason: string };

const ON_THE_GROUND: RaisedEnds = { leftM: 0, rightM: 0 };

/** The row after a change, moved inside where it would stick out; or why it cannot be. The old row stays as it was. */
export function changeRow(row: PlannedRow, change: RowChange, { arena, horses }: RowContext): ChangedRow {
  const changed = apply(row, change);
  const horse = horses.find(({ id }) => id === changed.horseId);
  if (!horse) return { ok: false, reason: 'This horse is not in the yard any more: choose another.' };
  const kept = keepRowInside(arena, changed, rowSpacing(changed, horse).spacingM);
  if (!kept.ok) return kept;
  return { ok: true, row: { ...changed, centre: kept.row.centre } };
}

function apply(row: PlannedRow, change: RowChange): PlannedRow {
  switch (change.kind) {
    case 'move':
      return { ...row, centre: change.centre };
    case 'turn':
      return { ...row, headingRad: normaliseRad(change.headingRad) };
    case 'count':
      return { ...row, raised: resized(row.raised, change.count) };
    // A spacing set by hand was set for that horse at that gait: another starts from its own step.
    case 'gait':
      return { ...row, gait: change.gait, spacing: { by: 'horse' } };
    case 'horse':
      return { ...row, horseId: change.horseId, spacing: { by: 'horse' } };
    case 'pole-length':
      return { ...row, poleLengthM: change.poleLengthM };
    case 'raise':
      return { ...row, raised: change.raised };
    case 'spacing':
      return { ...row, spacing: change.spacing };
  }
}

function resized(raised: RaisedEnds[], count: number): RaisedEnds[] {
  if (!(Number.isInteger(count) && count >= MIN_ROW_POLES && count <= MAX_ROW_POLES))
    throw new RangeError(`changeRow: count ${count}`);
  return Array.from({ length: count }, (_, index) => raised[index] ?? ON_THE_GROUND);
}
