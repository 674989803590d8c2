import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../_server/access/rules';
import { sendFilm } from '@/app/_server/sendFilm';
import { yardContext } from '@/app/_server/yardContext';
import { mayReadPair } from '@/app/_server/access/ownPair';
import { filmRider, findFilm } from '@/data/queries/videos';

/** A film from the data folder, whole or a part of it: a player asks for parts to go to and fro. */
export const GET = answering(
  may.read,
  async (request: Request, { params }: { params: Promise<{ videoId: string }> }) => {
    const { videoId } = await params;
    const { db, yard, who } = await yardContext();
    const film = await findFilm(db, yard.id, videoId);
    const gone = () => problemAnswer(404, 'This film is not in the data folder any more.');
    if (!film || film.removedAt !== null) return gone();
    if (!mayReadPair(who, { riderId: (await filmRider(db, film)) ?? '' })) return gone();
    return sendFilm(request, film) ?? gone();
  },
);
