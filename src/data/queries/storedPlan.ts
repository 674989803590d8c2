import { rowSpacing, type Arena, type Plan, type PoleRow } from '@/core';
import { readPlan, upgradedPlan } from '@/files/planDocument';
import { DatabaseRefused } from '../databaseRefused';
import type { Horse } from './horses';

type OldRow = Parameters<Parameters<typeof upgradedPlan>[1]>[0];

/** How far apart a row of the old kind lies today: by hand, or by its horse's step. */
export function rowSpacingFor(horses: readonly Horse[]): (row: OldRow) => number {
  return row => {
    if (row.spacing.by === 'hand') return row.spacing.spacingM;
    const horse = horses.find(({ id }) => id === row.horseId);
    return horse
      ? rowSpacing({ gait: row.gait, raised: row.raised, spacing: row.spacing } as PoleRow, horse).spacingM
      : 1;
  };
}

/** Whether a plan is of the kind that was one row of poles: how far apart it lies hangs on its horse. */
export const isRowPlan = (document: unknown): boolean =>
  typeof document === 'object' && document !== null && 'rows' in document;

/** What was stored was parsed before it went in: a fault here is a fault of the file. */
export function storedPlan(document: unknown, arena: Arena, spacingOf: (row: OldRow) => number): Plan {
  const read = readPlan(upgradedPlan(document, spacingOf), arena);
  if (!read.ok) throw new DatabaseRefused(read.reason);
  return read.plan;
}
