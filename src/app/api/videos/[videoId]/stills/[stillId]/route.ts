import { mayReadPair } from '@/app/_server/access/ownPair';
import { answering, problemAnswer } from '@/app/_server/answering';
import { sendPicture } from '@/app/_server/sendPicture';
import { yardContext } from '@/app/_server/yardContext';
import { findStill, removeStill } from '@/data/queries/filmStills';
import { filmRider, findFilm } from '@/data/queries/videos';
import { may } from '../../../../../_server/access/rules';

type Context = { params: Promise<{ videoId: string; stillId: string }> };

/** A picture out of a film: for a rider of their own, once it was answered. */
export const GET = answering(may.read, async (_: Request, { params }: Context) => {
  const { videoId, stillId } = await params;
  const { db, yard, who } = await yardContext();
  const film = await findFilm(db, yard.id, videoId);
  const gone = () => problemAnswer(404, 'There is no picture at this address any more.');
  if (!film || !mayReadPair(who, { riderId: (await filmRider(db, film)) ?? '' })) return gone();
  if (!who.open && who.role === 'rider' && film.answeredAt === null) return gone();
  const still = await findStill(db, yard.id, videoId, stillId);
  return still ? sendPicture(still) : gone();
});

export const DELETE = answering(may.instruct, async (_: Request, { params }: Context) => {
  const { videoId, stillId } = await params;
  const { write, yard } = await yardContext();
  await write(tx => removeStill(tx, yard.id, videoId, stillId));
  return Response.json({ removed: true });
});
