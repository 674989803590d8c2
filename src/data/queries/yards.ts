import { randomUUID } from 'node:crypto';
import { asc } from 'drizzle-orm';
import type { OpenDatabase } from '../openDatabase';
import { yards } from '../schema';

export type Yard = { id: string; name: string; timeZone: string };

/** The yard of this database; an empty database gets one, named plainly, so that there is a place to begin. */
export async function currentYard({ db, write }: OpenDatabase): Promise<Yard> {
  return (
    (await firstYard(db)) ??
    write(async tx => {
      const already = await firstYard(tx);
      if (already) return already;
      const yard = {
        id: randomUUID(),
        name: 'My yard',
        timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
      };
      await tx.insert(yards).values(yard);
      return yard;
    })
  );
}

async function firstYard(db: Pick<OpenDatabase['db'], 'select'>): Promise<Yard | null> {
  const [yard] = await db
    .select({ id: yards.id, name: yards.name, timeZone: yards.timeZone })
    .from(yards)
    .orderBy(asc(yards.createdAt), asc(yards.id))
    .limit(1);
  return yard ?? null;
}
