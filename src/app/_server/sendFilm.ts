import 'server-only';
import { filmFile, isFilmType } from '@/data/films/filmFile';
import type { Film } from '@/data/queries/videos';
import { dataFolders } from './dataFolders';
import { sendFile } from './sendFile';

/** A film from the data folder, whole or a part of it; null where it is not there any more. */
export function sendFilm(request: Request, film: Film): Response | null {
  const type = isFilmType(film.mime) ? film.mime : 'application/octet-stream';
  return sendFile(request, { file: filmFile(dataFolders().videos, film.id), type, hash: film.sha256 });
}
