import { byItsLink } from '@/app/_server/access/rules';
import { answering, problemAnswer } from '@/app/_server/answering';
import { dataFolders } from '@/app/_server/dataFolders';
import { sendFile } from '@/app/_server/sendFile';
import { openedYard } from '@/app/_server/yardContext';
import { isToken } from '@/data/access/tokens';
import { filmFile, isFilmType } from '@/data/films/filmFile';
import { findShareLink } from '@/data/queries/shareLinks';
import { filmRider, findFilm } from '@/data/queries/videos';

type Context = { params: Promise<{ token: string; videoId: string }> };

/** A film of a rider's own, for whoever has the link to that rider's page. */
export const GET = answering(byItsLink, async (request: Request, { params }: Context) => {
  const { token, videoId } = await params;
  const gone = () => problemAnswer(404, 'There is no film at this address any more.');
  const { db, yard } = await openedYard();
  const link = isToken(token) ? await findShareLink(db, token, Date.now()) : null;
  if (link?.kind !== 'rider' || link.yardId !== yard.id) return gone();
  const film = await findFilm(db, yard.id, videoId);
  if (!film || film.removedAt !== null || (await filmRider(db, film)) !== link.subjectId) return gone();
  const type = isFilmType(film.mime) ? film.mime : 'application/octet-stream';
  return sendFile(request, { file: filmFile(dataFolders().videos, film.id), type, hash: film.sha256 }) ?? gone();
});
