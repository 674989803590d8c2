import { dayOfNumber, grouped, type DayPass } from '@/core';
import { and, asc, eq, gt, inArray } from 'drizzle-orm';
import type { RoanDatabase } from '../../database';
import { keptDays } from '../../schema';
import { questionsById } from '../questions';
import { passesBetween, type ReadPass, type YardClock } from '../reviewPasses';
import { keeperOf } from './findings';
import { groundsOf } from './grounds';
import { groundsOfKept, packKeptDay, unpackKeptDay, type KeptDay } from './keptDay';
import { changedDaysOf, DAY_MS, isKeptBy, type ChangedDay, type DayToKeep } from './keepDays';
import { madeBy } from './madeBy';

type Reader = Pick<RoanDatabase, 'select'>;

/** The days of a pair with their passes, in order; and how far the store was read. */
export type PairDays = { last: number; days: ReadonlyMap<string, readonly DayPass[]> };

const NOTHING: PairDays = { last: 0, days: new Map() };

/** So many changes at a time are read and kept: a tap never waits for more. */
const MOST_AT_ONCE = 15;

/**
 * The days of some pairs: those that did not change as they were kept, the others read anew, and kept behind the answer.
 * @param before - what was known of each pair
 * @returns null where nothing can be kept: then all of the record is read
 */
export async function pairDays(
  db: Reader,
  yardId: string,
  clock: YardClock,
  before: ReadonlyMap<string, PairDays | undefined>,
): Promise<Map<string, PairDays> | null> {
  const pairIds = [...before.keys()];
  const state = await ready(db, yardId, `${madeBy()} ${clock.timeZone}`);
  if (state === 'cannot') return null;
  const known = state === 'ready' ? before : new Map(pairIds.map(id => [id, undefined]));
  // In this order: what changes in between is looked at again the next time, and nothing is taken for unchanged that is not.
  const changed = await changedDaysOf(db, yardId, pairIds);
  const kept = await storedDays(db, yardId, known);
  if (!kept) {
    // What cannot be read is kept anew by whoever looks next.
    void keeperOf(db)?.({ what: 'unreadable', yardId }).catch(() => undefined);
    return null;
  }
  for (const [pairId, own] of grouped(changed, one => one.pairId)) {
    const days = new Map(kept.get(pairId)!.days);
    for (let first = 0; first < own.length; first += MOST_AT_ONCE) {
      const read = await readAnew(db, yardId, pairId, clock, own.slice(first, first + MOST_AT_ONCE));
      await othersTurn();
      for (const [day, passes] of read)
        if (passes) days.set(day, passes);
        else days.delete(day);
    }
    kept.set(pairId, { ...kept.get(pairId)!, days });
  }
  return kept;
}

/** What is read is put together without asking anybody: whoever taps has a turn in between. */
const othersTurn = () => new Promise<void>(resolve => setImmediate(resolve));

/** Whether what is kept is of this Roan and this clock; where it is not, it is begun anew. */
async function ready(db: Reader, yardId: string, made: string): Promise<'ready' | 'anew' | 'cannot'> {
  if (await isKeptBy(db, yardId, made)) return 'ready';
  const keep = keeperOf(db);
  if (!keep) return 'cannot';
  // Where it cannot be written, on a full disk, the record is read as it stands.
  return keep({ what: 'begun anew', yardId, made }).then(
    () => 'anew',
    () => 'cannot',
  );
}

type Row = { no: number; pairId: string; day: string; document: string };

/** What was kept, on top of what is known; null where a row cannot be read. */
async function storedDays(
  db: Reader,
  yardId: string,
  before: ReadonlyMap<string, PairDays | undefined>,
): Promise<Map<string, PairDays> | null> {
  const { no, pairId, day, document } = keptDays;
  const rows: Row[] = [];
  for (const [last, pairs] of grouped([...before], ([, known]) => String(known?.last ?? 0)))
    rows.push(
      ...(await db
        .select({ no, pairId, day, document })
        .from(keptDays)
        .where(
          and(
            ...[eq(keptDays.yardId, yardId), gt(no, Number(last))],
            inArray(
              pairId,
              pairs.map(([id]) => id),
            ),
          ),
        )
        .orderBy(asc(no))),
    );
  const read = await unpackRows(db, yardId, rows);
  if (!read) return null;
  const found = new Map<string, PairDays>();
  const byPair = grouped(rows, row => row.pairId);
  for (const [id, known = NOTHING] of before) {
    const own = byPair.get(id) ?? [];
    const days = new Map(known.days);
    for (const row of own) {
      const passes = read.get(row);
      if (passes) days.set(row.day, passes);
      else days.delete(row.day);
    }
    found.set(id, own.length === 0 ? known : { last: own[own.length - 1]!.no, days });
  }
  return found;
}

/** The passes of rows; null where one cannot be read. */
async function unpackRows(db: Reader, yardId: string, rows: readonly Row[]): Promise<Map<Row, DayPass[]> | null> {
  const documents = new Map<Row, KeptDay>();
  try {
    for (const row of rows) if (row.document !== '') documents.set(row, JSON.parse(row.document) as KeptDay);
    const over = [...documents.values()].flatMap(groundsOfKept);
    const groundOf = await groundsOf(db, yardId, over);
    const questions = await questionsById(
      db,
      yardId,
      over.flatMap(({ questionId }) => questionId ?? []),
    );
    return new Map([...documents].map(([row, kept]) => [row, unpackKeptDay(kept, row, groundOf, questions)]));
  } catch (error) {
    // No JSON, other than it was packed, or without something that is kept of a day.
    if (error instanceof SyntaxError || error instanceof RangeError || error instanceof TypeError) return null;
    throw error;
  }
}

/** In every yard of the world a day of UTC lies within the day of that date, the one before and the one after. */
const AROUND = [-1, 0, 1];

/** The days that changes of a pair may have changed, read anew and kept; null for a day without a pass. */
async function readAnew(
  db: Reader,
  yardId: string,
  pairId: string,
  clock: YardClock,
  changes: readonly ChangedDay[],
): Promise<Map<string, DayPass[] | null>> {
  const wanted = [...new Set(changes.flatMap(({ day }) => AROUND.map(by => day + by)))].sort((a, b) => a - b);
  const read: ReadPass[] = [];
  for (const [from, to] of runsOf(wanted))
    read.push(...(await passesBetween(db, yardId, pairId, clock, [(from - 1) * DAY_MS, (to + 2) * DAY_MS])));
  const byDay = grouped(read, ({ pass }) => pass.day);
  const days = wanted.map(dayOfNumber).map((day): DayToKeep => {
    const own = byDay.get(day);
    return { pairId, day, document: own ? JSON.stringify(packKeptDay(own)) : '' };
  });
  void keepBehind(db, yardId, changes, days);
  // They are taken as they are kept: what is read now and what is read after a start are the same.
  const rows = days.map((day): Row => ({ ...day, no: 0 }));
  const passes = await unpackRows(db, yardId, rows);
  if (!passes) throw new Error(`readAnew: what was packed of ${pairId} cannot be unpacked`);
  const found = new Map<string, DayPass[] | null>(rows.map(({ day }) => [day, null]));
  for (const [{ day }, own] of passes) found.set(day, own);
  return found;
}

/** Numbers in order as runs without a gap. */
function runsOf(numbers: readonly number[]): [first: number, last: number][] {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const run = runs.at(-1);
    if (run && number <= run[1] + 1) run[1] = number;
    else runs.push([number, number]);
  }
  return runs;
}

/** Keeps what was read, behind the answer. Where that fails it is read anew the next time. */
async function keepBehind(
  db: Reader,
  yardId: string,
  changes: readonly ChangedDay[],
  days: readonly DayToKeep[],
): Promise<void> {
  await keeperOf(db)?.({ what: 'days', yardId, changes, days }).catch(() => undefined);
}
