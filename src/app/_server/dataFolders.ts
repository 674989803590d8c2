import path from 'node:path';
import { dataFolder } from '@/data/dataFolder';

/** Where films and backups lie, beside the database. */
export function dataFolders(): { videos: string; backups: string } {
  const folder = dataFolder();
  return { videos: path.join(folder, 'videos'), backups: path.join(folder, 'backups') };
}
