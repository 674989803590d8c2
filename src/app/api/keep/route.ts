import { answering } from '@/app/_server/answering';
import { pagesToKeep } from '@/app/_server/pagesToKeep';
import { yardContext } from '@/app/_server/yardContext';
import { may } from '../../_server/access/rules';

/** Which pages this device keeps for when the server cannot be reached. */
export const GET = answering(may.read, async () => {
  const { db, yard, who } = await yardContext(may.read);
  return Response.json(await pagesToKeep(db, yard, who, Date.now()), { headers: { 'cache-control': 'no-store' } });
});
