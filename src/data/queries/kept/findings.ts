import { eq } from 'drizzle-orm';
import { oneForAll } from '../../oneForAll';
import { keptBy, keptGrounds, keptSums } from '../../schema';
import type { Transaction, WriteQueue } from '../../database';
import { writerOf } from '../../writerOf';
import { seeSession } from '../access';
import { findLayout } from '../layouts';
import { keepVersion } from '../layoutVersions';
import { seeShareLink } from '../shareLinks';
import { keepAnew, keepDays, type ChangedDay, type DayToKeep } from './keepDays';

/**
 * What was found out while something was read, and is kept behind the answer: nothing is lost without it, it is found out again. It is
 * plain data, since the thread that makes pages has the one that takes taps write it.
 */
export type Finding = { yardId: string } & (
  | { what: 'grounds'; madeBy: string; grounds: readonly { name: string; document: string }[] }
  | { what: 'days'; changes: readonly ChangedDay[]; days: readonly DayToKeep[] }
  /** What is kept is another Roan's, or of another clock: it is begun anew. */
  | { what: 'begun anew'; made: string }
  /** What is kept cannot be read. */
  | { what: 'unreadable' }
  | { what: 'sums'; name: string; stands: string; document: string }
  | { what: 'session seen'; sessionId: string; atMs: number }
  | { what: 'link read'; linkId: string; atMs: number }
  /** A layout that is about to be ridden has no version as it stands. */
  | { what: 'as it stands'; layoutId: string }
);

export type Keep = (finding: Finding) => Promise<void>;

const elsewhere = oneForAll('who keeps what is found out', () => new WeakMap<object, Keep>());

/** Says who keeps what is found out while this is read. */
export function keptThrough(db: object, keep: Keep): void {
  elsewhere.set(db, keep);
}

/** Who keeps what is found out while something is read; nobody where it is only read, as in a worker, or within a write. */
export function keeperOf(db: object): Keep | undefined {
  const write = writerOf(db);
  return elsewhere.get(db) ?? (write && (finding => keepFinding(write, finding)));
}

async function keepFinding(write: WriteQueue, finding: Finding): Promise<void> {
  const { yardId } = finding;
  switch (finding.what) {
    case 'grounds':
      return write(tx => keepGrounds(tx, finding));
    case 'days':
      return keepDays(write, yardId, finding.changes, finding.days);
    case 'begun anew':
      return write(tx => keepAnew(tx, yardId, finding.made));
    case 'unreadable':
      return write(async tx => void (await tx.delete(keptBy).where(eq(keptBy.yardId, yardId))));
    case 'sums':
      return write(tx => keepSums(tx, finding));
    case 'session seen':
      return write(tx => seeSession(tx, yardId, finding.sessionId, finding.atMs));
    case 'link read':
      return write(tx => seeShareLink(tx, yardId, finding.linkId, finding.atMs));
    case 'as it stands':
      return write(tx => keepAsRidden(tx, yardId, finding.layoutId));
  }
}

async function keepAsRidden(tx: Transaction, yardId: string, layoutId: string): Promise<void> {
  const layout = await findLayout(tx, yardId, layoutId);
  if (layout) await keepVersion(tx, yardId, layout, 'ridden');
}

async function keepGrounds(tx: Transaction, { yardId, madeBy, grounds }: Finding & { what: 'grounds' }): Promise<void> {
  for (const { name, document } of grounds)
    await tx
      .insert(keptGrounds)
      .values({ yardId, name, madeBy, document })
      .onConflictDoUpdate({ target: [keptGrounds.yardId, keptGrounds.name], set: { madeBy, document } });
}

async function keepSums(
  tx: Transaction,
  { yardId, name, stands, document }: Finding & { what: 'sums' },
): Promise<void> {
  await tx
    .insert(keptSums)
    .values({ yardId, name, stands, document })
    .onConflictDoUpdate({ target: [keptSums.yardId, keptSums.name], set: { stands, document } });
}
