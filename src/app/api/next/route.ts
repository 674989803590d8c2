import { answering, problemAnswer } from '@/app/_server/answering';
import { suggestMaterial } from '@/app/_server/suggestMaterial';
import { yardContext } from '@/app/_server/yardContext';
import { instantOf } from '@/app/_server/yardTime';
import { present } from '@/data/present';
import { listPairs } from '@/data/queries/pairs';
import { z } from 'zod';
import { may } from '../../_server/access/rules';
import { gone, Id } from '@/app/_server/refusal';

const Asked = z.object({
  arena: Id,
  /** By the yard's own clock. */
  at: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/),
  minutes: z.coerce.number().int().min(5).max(240),
  pairs: z
    .string()
    .transform(ids => ids.split(',').filter(Boolean))
    .pipe(z.array(Id).min(1).max(12)),
  /** `each`: one suggestion for each pair by itself; left out, several for all of them together. */
  each: z.literal('1').optional(),
});

/** How many suggestions pairs that ride together are given. */
const TOGETHER = 5;

/** What suggestions are made from: ?pairs=…&arena=…&at=2026-11-04T17:30&minutes=50. */
export const GET = answering(may.instruct, async (request: Request) => {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return problemAnswer(400, 'Say for which pairs (twelve at most), where, when and how long.');
  const { db, yard } = await yardContext();
  const { arena: arenaId, at, minutes, pairs, each } = asked.data;
  const startsAtMs = instantOf(at, yard.timeZone);
  if (startsAtMs === null) return problemAnswer(400, 'This is no day and time.');
  const there = new Set(present(await listPairs(db, yard.id)).map(({ id }) => id));
  const riding = pairs.filter(id => there.has(id));
  if (riding.length === 0) return problemAnswer(404, 'None of these pairs is in the yard any more.');
  const wishes = each ? riding.map(id => ({ pairIds: [id], most: 1 })) : [{ pairIds: riding, most: TOGETHER }];
  const material = await suggestMaterial(db, yard, { arenaId, startsAtMs, minutes, wishes }, Date.now());
  return material ? Response.json(material) : problemAnswer(404, gone('arena'));
});
