import { byItsLink } from '@/app/_server/access/rules';
import { answering, problemAnswer } from '@/app/_server/answering';
import { sharedLink } from '@/app/_server/access/sharedLink';
import { sendFilm } from '@/app/_server/sendFilm';
import { filmRider, findFilm } from '@/data/queries/videos';

type Context = { params: Promise<{ token: string; videoId: string }> };

/** A film of a rider's own, for whoever has the link to that rider's page. */
export const GET = answering(byItsLink, async (request: Request, { params }: Context) => {
  const { token, videoId } = await params;
  const gone = () => problemAnswer(404, 'There is no film at this address any more.');
  const shared = await sharedLink(token, Date.now());
  if (shared?.link.kind !== 'rider') return gone();
  const { db, yard, link } = shared;
  const film = await findFilm(db, yard.id, videoId);
  if (!film || film.removedAt !== null || (await filmRider(db, film)) !== link.subjectId) return gone();
  return sendFilm(request, film) ?? gone();
});
