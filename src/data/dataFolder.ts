import path from 'node:path';
import { DEFAULT_DATABASE_URL, filePathOf } from './openDatabase';

const databaseUrl = () => process.env.ROAN_DATABASE_URL ?? DEFAULT_DATABASE_URL;

/** Whether the database is on a libSQL server, where other Roans may use it too. */
export function isOnServer(url = databaseUrl()): boolean {
  return filePathOf(url) === null;
}

/**
 * The folder where a database file lies, and all that belongs to it. Beside a libSQL server it is ROAN_DATA_FOLDER, which all
 * Roans of the store have to reach for its films; ./data where that is not said.
 */
export function dataFolder(url = databaseUrl(), said = process.env.ROAN_DATA_FOLDER): string {
  const filePath = filePathOf(url);
  return filePath === null
    ? path.resolve(/* turbopackIgnore: true */ process.cwd(), said || 'data')
    : path.dirname(filePath);
}
