import path from 'node:path';
import { dataFolder } from '@/data/dataFolder';

export type DataFolders = {
  videos: string;
  backups: string;
  /** What is on its way in. */
  incoming: string;
  /** Where backups are kept once more (ROAN_BACKUP_FOLDER); null for nowhere. */
  second: string | null;
};

/** Where films and backups lie, beside the database. */
export function dataFolders(): DataFolders {
  const folder = dataFolder();
  const second = process.env.ROAN_BACKUP_FOLDER;
  return {
    ...{ videos: path.join(folder, 'videos'), backups: path.join(folder, 'backups') },
    incoming: path.join(folder, 'incoming'),
    second: second ? path.resolve(/* turbopackIgnore: true */ process.cwd(), second) : null,
  };
}
