import { openDatabase } from '@/data/openDatabase';
import { listArenas } from '@/data/queries/arenas';
import { pairRecord } from '@/data/queries/pairRecord';
import { listPairs } from '@/data/queries/pairs';
import { dayPasses } from '@/data/queries/dayPasses';
import { sandRecord } from '@/data/queries/sandRecord';
import { currentYard } from '@/data/queries/yards';
import { sql } from 'drizzle-orm';
import {
  strideReviews,
  askedReview,
  faultCounts,
  reinReview,
  legReviews,
  tempoReviews,
  riddenDays,
  reinClaims,
  qualityClaims,
  sandMap,
  visitsOf,
  spotsOf,
} from '@/core';
const CLOCK = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };
const WORDS = { horse: 'x', format: String, formatChange: String, entryName: String, dayName: String };
const t = async (n: string, f: () => unknown) => {
  const a = performance.now();
  const v = await f();
  console.log(n, (performance.now() - a).toFixed(0));
  return v;
};
void (async () => {
  const database = await openDatabase(process.argv[2]!);
  const yard = await currentYard(database);
  const pairs = await listPairs(database.db, yard.id);
  const pair = pairs[0]!;
  const ps = (await t('passes of pair', () => dayPasses(database.db, yard.id, { pairIds: [pair.id] }, CLOCK))) as any[];
  console.log(ps.length);
  await t('strides', () => strideReviews(ps, () => 3.5));
  await t('asked', () => askedReview(ps, () => 3.5));
  await t('faults', () => faultCounts(ps));
  await t('reins', () => reinReview(ps));
  await t('legs', () => legReviews(ps, () => 3.5));
  await t('tempos', () => tempoReviews(ps));
  await t('days', () => riddenDays(ps));
  await t('reinClaims', () => reinClaims(ps, WORDS));
  await t('quality', () => qualityClaims(ps, WORDS));
  await t('pairRecord', () => pairRecord(database.db, yard.id, pair, CLOCK, WORDS));
  const all = (await t('all passes', () => dayPasses(database.db, yard.id, 'all', CLOCK))) as any[];
  console.log(all.length);
  for (const arena of await listArenas(database.db, yard.id)) {
    const own = (await t('passes of sand', () =>
      dayPasses(database.db, yard.id, { arenaId: arena.id }, CLOCK),
    )) as any[];
    const v = (await t('visits', () => visitsOf(own))) as any[];
    console.log(own.length, v.length);
    await t('map', () => sandMap(v));
    await t('spots', () => spotsOf(own));
    await t('sandRecord', () => sandRecord(database.db, yard.id, arena, CLOCK));
  }
  await database.write.idle();
  console.log(
    await database.db.all(sql.raw('select count(*) as n, sum(length(document)) as l from kept_days')),
    await database.db.all(sql.raw('select count(*) as n from changed_days')),
  );
  await database.close();
})();
