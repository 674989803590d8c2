import { seedDemo } from './demo/seedDemo';
import type { Fill } from './testDatabase';

/** For tests: the demo yard as it is at a time, with a season of lessons behind it or without; made once for all tests of a run. */
export const demoAt = (nowMs: number, season: 'season' | 'no season' = 'no season'): Fill =>
  Object.assign(
    async (...[database]: Parameters<Fill>) => void (await seedDemo(database, nowMs, season === 'season')),
    {
      once: `demo-${nowMs}-${season.replace(' ', '-')}`,
    },
  );
