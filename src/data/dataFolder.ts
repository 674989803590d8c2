import path from 'node:path';
import { DEFAULT_DATABASE_URL, filePathOf } from './openDatabase';

/** The folder where a database file lies, and all that belongs to it; ./data beside a libSQL server. */
export function dataFolder(url = process.env.ROAN_DATABASE_URL ?? DEFAULT_DATABASE_URL): string {
  const filePath = filePathOf(url);
  return filePath === null ? path.resolve(process.cwd(), 'data') : path.dirname(filePath);
}
