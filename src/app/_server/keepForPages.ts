import type { OpenDatabase } from '@/data/database';
import { keeperOf, type Keep } from '@/data/queries/kept/findings';

const holder = globalThis as typeof globalThis & { roanKeep?: Keep };

/** Has what the thread that makes pages found out written here (`scripts/lib/pagesBeside.mjs`): whoever takes the taps writes alone. */
export function keepForPages({ db }: OpenDatabase): void {
  holder.roanKeep = keeperOf(db);
}
