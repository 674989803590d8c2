import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../_server/access/rules';
import { dataFolders } from '@/app/_server/dataFolders';
import { sendFile } from '@/app/_server/sendFile';
import { yardContext } from '@/app/_server/yardContext';
import { filmFile, isFilmType } from '@/data/films/filmFile';
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
    const file = filmFile(dataFolders().videos, film.id);
    const type = isFilmType(film.mime) ? film.mime : 'application/octet-stream';
    return sendFile(request, { file, type, hash: film.sha256 }) ?? gone();
  },
);
