import type { OpenDatabase } from '@/data/database';
import { keepChangedDays } from '@/data/queries/keepChangedDays';
import { listYards } from '@/data/queries/yards';
import { logFault } from './logFault';
import { yardClock } from './yardTime';

/** The first visitors come before it. */
const FIRST_MS = 3000;
/** Of a store of many yards each is looked at when somebody does. */
const MOST_YARDS = 20;

/** Once the server has answered its first visitors, what passes say is kept where it is not yet: after an update, all of it. */
export function keepDaysAtStart(database: OpenDatabase): void {
  setTimeout(
    () => void keepYards(database).catch((error: unknown) => logFault(error, 'What passes say could not be kept.')),
    FIRST_MS,
  ).unref();
}

async function keepYards(database: OpenDatabase): Promise<void> {
  for (const { id, timeZone } of (await listYards(database.db)).slice(0, MOST_YARDS))
    await keepChangedDays(database, id, yardClock(timeZone));
}
