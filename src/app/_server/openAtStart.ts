import { DatabaseRefused } from '@/data/databaseRefused';
import { currentYard } from '@/data/queries/yards';
import { roan } from '@/data/roan';
import { keepBackups } from './keepBackups';

/** Opens the database before the first request; a server that cannot is ended with the reason. */
export async function openAtStart(): Promise<void> {
  try {
    await currentYard(await roan());
    keepBackups();
  } catch (error) {
    console.error(error instanceof DatabaseRefused ? error.message : error);
    process.exit(1);
  }
}
