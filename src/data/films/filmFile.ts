import path from 'node:path';
import { DatabaseRefused } from '../databaseRefused';

/** A name that is a file's own everywhere: no folder, no way up. */
const SAFE = /^[A-Za-z0-9][A-Za-z0-9_-]{0,79}$/;
const FILM_TYPE = /^video\/[\w.+-]{1,60}$/;

export const isSafeName = (name: string): boolean => SAFE.test(name);

/** Whether something calls itself a film: only as one it is served again. */
export const isFilmType = (mime: string): boolean => FILM_TYPE.test(mime);

/**
 * Where a film lies in its folder.
 * @throws {DatabaseRefused} where its id could name anything else
 */
export function filmFile(folder: string, id: string): string {
  if (!isSafeName(id)) throw new DatabaseRefused('This film has an id that no file may be called by.');
  return path.join(folder, id);
}
