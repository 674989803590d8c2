import { randomUUID } from 'node:crypto';
import { defaultStride, type HorseLevel, type HorseType, type Rein, type StrideEntryKey } from '@/core';
import { and, eq, isNull } from 'drizzle-orm';
import { inBatches, putRows } from '../manyRows';
import { horses, strideRanges } from '../schema';
import type { Transaction } from '../database';
import { keepFormers } from './formerStates';
import { findHorse, type Horse } from './horses';

export type HorseDetails = {
  id?: string;
  name: string;
  heightM: number;
  type: HorseType;
  bornYear: number | null;
  level: HorseLevel;
  stiffSide: Rein | null;
  notes: string;
  /** Normal strides as typed; null for "as practice has it". Entries left out stay as they are. */
  normalStridesM: Partial<Record<StrideEntryKey, number | null>>;
};

/** A horse as it shall be, and as it is now: null where it is new. */
export type HorseChange = { details: HorseDetails; before: Horse | null };

/** Adds a horse, or changes the one named by its id; typed strides become dated entries of its profile. */
export async function saveHorse(tx: Transaction, yardId: string, details: HorseDetails): Promise<string> {
  const before = details.id === undefined ? null : await findHorse(tx, yardId, details.id);
  if (details.id !== undefined && !before) return details.id;
  const [id] = await saveHorses(tx, yardId, [{ details, before }]);
  return id!;
}

/** As `saveHorse`, of many in a few statements. @returns their ids, in the order given */
export async function saveHorses(tx: Transaction, yardId: string, changes: readonly HorseChange[]): Promise<string[]> {
  const saved = changes.map(({ details, before }) => ({ id: before?.id ?? randomUUID(), details, before }));
  await keepFormers(
    tx,
    yardId,
    'horse',
    saved.flatMap(({ id, details, before }) =>
      before && (before.heightM !== details.heightM || before.type !== details.type)
        ? [{ subjectId: id, was: { heightM: before.heightM, type: before.type } }]
        : [],
    ),
  );
  const rows = saved.map(({ id, details: { name, heightM, type, bornYear, level, stiffSide, notes } }) => ({
    ...{ id, name, heightM, type, bornYear, level, stiffSide, notes },
  }));
  await putRows(tx, horses, yardId, rows);
  await saveTypedStrides(
    tx,
    yardId,
    saved.flatMap(({ id, details, before }) => changedStrides(id, details, before)),
  );
  return saved.map(({ id }) => id);
}

type TypedStride = {
  horseId: string;
  entry: StrideEntryKey;
  /** Null where what was typed is taken back. */
  normalM: number | null;
  /** How far the stride can be changed, as shares of the normal one. */
  share: { short: number; long: number };
};

function changedStrides(horseId: string, details: HorseDetails, before: Horse | null): TypedStride[] {
  const entries = Object.entries(details.normalStridesM) as [StrideEntryKey, number | null | undefined][];
  return entries.flatMap(([entry, normalM]) => {
    const known = before?.strides[entry];
    const typedM = known?.source === 'typed' ? known.normalM : null;
    if (normalM === undefined || normalM === typedM) return [];
    // How far the stride can be changed is practice's until it is tested: in proportion to the typed normal.
    const usual = known ?? defaultStride(entry, details.heightM, details.type);
    const share = usual
      ? { short: usual.shortM / usual.normalM, long: usual.longM / usual.normalM }
      : { short: 1, long: 1 };
    return [{ horseId, entry, normalM, share }];
  });
}

async function saveTypedStrides(tx: Transaction, yardId: string, strides: readonly TypedStride[]): Promise<void> {
  for (const { horseId, entry, normalM } of strides) if (normalM === null) await takeBackTyped(tx, horseId, entry);
  const typed = strides.flatMap(({ horseId, entry, normalM, share }) =>
    normalM === null
      ? []
      : [
          {
            ...{ id: randomUUID(), yardId, horseId, entry, normalM, source: 'typed' as const },
            ...{ shortM: normalM * share.short, longM: normalM * share.long },
          },
        ],
  );
  await inBatches(typed, some => tx.insert(strideRanges).values(some));
}

async function takeBackTyped(tx: Transaction, horseId: string, entry: StrideEntryKey): Promise<void> {
  await tx
    .update(strideRanges)
    .set({ withdrawnAt: new Date() })
    .where(
      and(
        ...[eq(strideRanges.horseId, horseId), eq(strideRanges.entry, entry)],
        ...[eq(strideRanges.source, 'typed'), isNull(strideRanges.withdrawnAt)],
      ),
    );
}
