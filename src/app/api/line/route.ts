import { answering, problemAnswer } from '@/app/_server/answering';
import { heavyBefore } from '@/app/_server/heavy/heavyWork';
import { ASKED_BY } from '@/files/askedBy';
import { may } from '../../_server/access/rules';

/** How many things that take long are done before what a page asked for: by the name that it gave it. */
export const GET = answering(may.read, (request: Request) => {
  const name = request.headers.get(ASKED_BY);
  if (!name) return problemAnswer(400, `Say by the header ${ASKED_BY} what was asked for.`);
  return Response.json({ before: heavyBefore(name) }, { headers: { 'cache-control': 'no-store' } });
});
