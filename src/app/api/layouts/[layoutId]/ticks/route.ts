import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { askedAfter } from '@/app/_server/askedAfter';
import { requestBody } from '@/app/_server/requestBody';
import { yardContext } from '@/app/_server/yardContext';
import { isLayout } from '@/data/queries/layouts';
import { addTicks, listTicks } from '@/data/queries/settingTicks';
import type { TicksAnswer } from '@/files/settingTick';
import { SettingTicks } from '@/files/settingTicksSent';
import { gone } from '@/app/_server/refusal';

type Params = { params: Promise<{ layoutId: string }> };

const noLayout = () => problemAnswer(404, gone('layout'));
const answer = (body: TicksAnswer) => Response.json(body);

/** Which pieces stand: what other devices ticked too, or, after the number of an earlier answer, what changed since. */
export const GET = answering(may.help, async (request: Request, { params }: Params) => {
  const { layoutId } = await params;
  const { db, yard } = await yardContext();
  if (!(await isLayout(db, yard.id, layoutId))) return noLayout();
  return answer(await listTicks(db, yard.id, layoutId, askedAfter(request)));
});

/** Takes taps in and says what stands now. Sent again, a tap counts once; 4xx says that it will never be taken. */
export const POST = answering(may.help, async (request: Request, { params }: Params) => {
  const { layoutId } = await params;
  const sent = await requestBody(request, SettingTicks);
  if (!sent.ok) return problemAnswer(sent.status, sent.problem);
  const { db, write, yard } = await yardContext();
  if (!(await isLayout(db, yard.id, layoutId))) return noLayout();
  await write(tx =>
    addTicks(tx, yard.id, layoutId, sent.body.ticks, { nowMs: Date.now(), sentAtMs: sent.body.sentAtMs }),
  );
  return answer(await listTicks(db, yard.id, layoutId, sent.body.after));
});
