import { answering } from '@/app/_server/answering';
import { byItsLink } from '@/app/_server/access/rules';
import { roan } from '@/data/roan';
import { sql } from 'drizzle-orm';

/** Whether this Roan answers, and its database too: for whatever watches over it. Says nothing of the yard. */
export const GET = answering(byItsLink, async () => {
  const startedAtMs = performance.now();
  const { db } = await roan();
  await db.run(sql`select 1`);
  const databaseMs = Math.round((performance.now() - startedAtMs) * 10) / 10;
  return Response.json(
    { ok: true, databaseMs, upS: Math.round(process.uptime()) },
    { headers: { 'cache-control': 'no-store' } },
  );
});
