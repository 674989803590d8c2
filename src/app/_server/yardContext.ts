import 'server-only';
import { cache } from 'react';
import { lengthUnit } from '@/data/queries/settings';
import { currentYard } from '@/data/queries/yards';
import { roan } from '@/data/roan';

/** The database, the yard it belongs to and the unit that yard reads in: once for each request. */
export const yardContext = cache(async () => {
  const database = await roan();
  const yard = await currentYard(database);
  return { db: database.db, write: database.write, yard, unit: await lengthUnit(database.db, yard.id) };
});
