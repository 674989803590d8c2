import { planFault } from '@/app/_server/planFault';
import { requestBody } from '@/app/_server/requestBody';
import { yardContext } from '@/app/_server/yardContext';
import { DatabaseRefused } from '@/data/databaseRefused';
import { findArena } from '@/data/queries/arenas';
import { addLayout } from '@/data/queries/layouts';
import { LayoutCopy } from '@/files/layoutSave';
import { readPlan } from '@/files/planDocument';

/** Keeps a layout as a new one: what a window does with its own version when another window saved first. */
export async function POST(request: Request) {
  const sent = await requestBody(request, LayoutCopy);
  if (!sent.ok) return Response.json({ problem: sent.problem }, { status: 400 });
  try {
    const { db, write, yard } = await yardContext();
    const arena = await findArena(db, yard.id, sent.body.arenaId);
    if (!arena) return Response.json({ problem: 'This arena is not in the yard any more.' }, { status: 404 });
    const read = readPlan(sent.body.plan, arena);
    if (!read.ok) return Response.json({ problem: read.reason }, { status: 400 });
    const fault = await planFault(db, yard.id, arena, read.plan);
    if (fault) return Response.json({ problem: fault }, { status: 422 });
    const id = await write(tx => addLayout(tx, yard.id, { name: sent.body.name, arenaId: arena.id, plan: read.plan }));
    return Response.json({ id }, { status: 201 });
  } catch (error) {
    if (error instanceof DatabaseRefused) return Response.json({ problem: error.message }, { status: 503 });
    throw error;
  }
}
