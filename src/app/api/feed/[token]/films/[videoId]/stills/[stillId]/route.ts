import { byItsLink } from '@/app/_server/access/rules';
import { sharedLink } from '@/app/_server/access/sharedLink';
import { answering, problemAnswer } from '@/app/_server/answering';
import { sendPicture } from '@/app/_server/sendPicture';
import { findStill } from '@/data/queries/filmStills';
import { filmRider, findFilm } from '@/data/queries/videos';

type Context = { params: Promise<{ token: string; videoId: string; stillId: string }> };

/** A picture out of a rider's own film, for whoever has the link to that rider's page. */
export const GET = answering(byItsLink, async (_: Request, { params }: Context) => {
  const { token, videoId, stillId } = await params;
  const gone = () => problemAnswer(404, 'There is no picture at this address any more.');
  const shared = await sharedLink(token, Date.now());
  if (shared?.link.kind !== 'rider') return gone();
  const { db, yard, link } = shared;
  const film = await findFilm(db, yard.id, videoId);
  if (!film || film.answeredAt === null || (await filmRider(db, film)) !== link.subjectId) return gone();
  const still = await findStill(db, yard.id, videoId, stillId);
  return still ? sendPicture(still) : gone();
});
