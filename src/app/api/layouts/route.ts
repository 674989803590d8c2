import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../_server/access/rules';
import { planFault } from '@/app/_server/planFault';
import { requestBody } from '@/app/_server/requestBody';
import { yardContext } from '@/app/_server/yardContext';
import { findArena } from '@/data/queries/arenas';
import { addLayout } from '@/data/queries/layouts';
import { once } from '@/data/queries/saves';
import { LayoutCopy } from '@/files/layoutSave';
import { readPlan } from '@/files/planDocument';
import { gone } from '@/app/_server/refusal';

/** Keeps a layout as a new one: what a window does with its own version when another window saved first. */
export const POST = answering(may.instruct, async (request: Request) => {
  const sent = await requestBody(request, LayoutCopy);
  if (!sent.ok) return problemAnswer(sent.status, sent.problem);
  const { db, write, yard } = await yardContext();
  const arena = await findArena(db, yard.id, sent.body.arenaId);
  if (!arena) return problemAnswer(404, gone('arena'));
  const read = readPlan(sent.body.plan, arena);
  if (!read.ok) return problemAnswer(400, read.reason);
  const fault = await planFault(db, yard.id, arena, read.plan);
  if (fault) return problemAnswer(422, fault);
  const id = await write(tx =>
    once(tx, yard.id, sent.body.saveId, () =>
      addLayout(tx, yard.id, { name: sent.body.name, arenaId: arena.id, plan: read.plan }),
    ),
  );
  return Response.json({ id }, { status: 201 });
});
