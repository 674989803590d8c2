import { answering, problemAnswer } from '@/app/_server/answering';
import { dataFolders } from '@/app/_server/dataFolders';
import { sendFile } from '@/app/_server/sendFile';
import { yardContext } from '@/app/_server/yardContext';
import { filmFile, isFilmType } from '@/data/films/filmFile';
import { findFilm } from '@/data/queries/videos';

/** A film from the data folder, whole or a part of it: a player asks for parts to go to and fro. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ videoId: string }> }) => {
  const { videoId } = await params;
  const { db, yard } = await yardContext();
  const film = await findFilm(db, yard.id, videoId);
  const gone = () => problemAnswer(404, 'This film is not in the data folder any more.');
  if (!film || film.removedAt !== null) return gone();
  const file = filmFile(dataFolders().videos, film.id);
  const type = isFilmType(film.mime) ? film.mime : 'application/octet-stream';
  return sendFile(request, { file, type, hash: film.sha256 }) ?? gone();
});
