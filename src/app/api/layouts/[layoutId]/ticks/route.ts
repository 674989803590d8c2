import { requestBody } from '@/app/_server/requestBody';
import { yardContext } from '@/app/_server/yardContext';
import { DatabaseRefused } from '@/data/databaseRefused';
import { findLayout } from '@/data/queries/layouts';
import { addTicks, listTicks } from '@/data/queries/settingTicks';
import type { TicksAnswer } from '@/files/settingTick';
import { SettingTicks } from '@/files/settingTicksSent';

type Params = { params: Promise<{ layoutId: string }> };

const answer = (status: number, body: TicksAnswer) => Response.json(body, { status });
const refused = (status: number, problem: string) => answer(status, { kind: 'refused', problem });

/** Which pieces stand: what other devices ticked too. */
export async function GET(_: Request, { params }: Params) {
  const { layoutId } = await params;
  const { db, yard } = await yardContext();
  return answer(200, { kind: 'taken', ticks: await listTicks(db, yard.id, layoutId) });
}

/** Takes taps in and says what stands now. Sent again, a tap counts once; 422 says that it will never be taken. */
export async function POST(request: Request, { params }: Params) {
  const { layoutId } = await params;
  const sent = await requestBody(request, SettingTicks);
  if (!sent.ok) return refused(422, sent.problem);
  try {
    const { db, write, yard } = await yardContext();
    if (!(await findLayout(db, yard.id, layoutId))) return refused(422, 'This layout is not in the yard any more.');
    await write(tx => addTicks(tx, yard.id, layoutId, sent.body.ticks));
    return answer(200, { kind: 'taken', ticks: await listTicks(db, yard.id, layoutId) });
  } catch (error) {
    if (error instanceof DatabaseRefused) return refused(503, error.message);
    throw error;
  }
}
