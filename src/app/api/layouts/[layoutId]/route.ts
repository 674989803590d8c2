import { answering, problemAnswer } from '@/app/_server/answering';
import { entered } from '../../../_server/access/entered';
import { may } from '../../../_server/access/rules';
import { planFault } from '@/app/_server/planFault';
import { requestBody } from '@/app/_server/requestBody';
import { roan } from '@/data/roan';
import { arenaOfLayout, saveLayout } from '@/data/queries/layouts';
import { once } from '@/data/queries/saves';
import { LayoutSave, type LayoutSaveAnswer } from '@/files/layoutSave';
import { readPlan } from '@/files/planDocument';
import { gone } from '@/app/_server/refusal';

const answer = (status: number, body: LayoutSaveAnswer) => Response.json(body, { status });

/** Saves a layout; a save that was edited from an older revision is refused and changes nothing. */
export const PUT = answering(
  may.instruct,
  async (request: Request, { params }: { params: Promise<{ layoutId: string }> }) => {
    const { layoutId } = await params;
    const sent = await requestBody(request, LayoutSave);
    if (!sent.ok) return problemAnswer(sent.status, sent.problem);
    // A desk saves again and again while it draws: only what the save needs is asked for.
    const [{ yardId }, { db, write }] = [await entered(), await roan()];
    const arena = await arenaOfLayout(db, yardId, layoutId);
    if (!arena) return problemAnswer(404, gone('layout'));
    const read = readPlan(sent.body.plan, arena);
    if (!read.ok) return problemAnswer(400, read.reason);
    const fault = await planFault(db, yardId, arena, read.plan);
    if (fault) return problemAnswer(422, fault);
    const { baseRevision, name, saveId } = sent.body;
    const outcome = await write(tx =>
      once(tx, yardId, saveId, () =>
        saveLayout(tx, yardId, { layoutId, baseRevision, name, plan: read.plan }, Date.now()),
      ),
    );
    if (outcome.kind === 'missing') return problemAnswer(404, gone('layout'));
    if (outcome.kind === 'stale') return answer(409, { kind: 'stale', theirRevision: outcome.theirs.revision });
    return answer(200, outcome);
  },
);
