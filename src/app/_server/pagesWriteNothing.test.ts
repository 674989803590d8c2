import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

/**
 * Pages are made by a thread that only reads (docs/decisions.md, "Nobody waits"): what one of them wrote by itself would fail there, a
 * minute after the start and on no machine of a developer. What a page has to keep goes through `keeperOf`.
 */
const WRITES_ELSEWHERE: Record<string, string> = {
  '_server/access/firstPassphrase.ts': 'at the start',
  '_server/access/sessionCookie.ts': 'on a server alone, where each Roan writes by itself',
  '_server/chooseUnit.ts': 'an action',
  '_server/goalSeries.ts': 'by actions',
  '_server/keepBackups.ts': 'at the start',
  '_server/serverClock.ts': 'at the start, and by an action',
};

const APP = path.resolve('src/app');

test('nothing that a page is made of writes to the store', () => {
  const files = readdirSync(APP, { recursive: true, encoding: 'utf8' }).filter(
    file => /\.tsx?$/.test(file) && !/\.test\.|^api\/|(^|\/)\w*[aA]ctions\.ts$/.test(file),
  );
  expect(files.length).toBeGreaterThan(300);
  const writes = files.filter(file =>
    /\bwrite\(\s*(async\s*)?\(?tx\b/.test(readFileSync(path.join(APP, file), 'utf8')),
  );
  expect(writes.sort()).toEqual(Object.keys(WRITES_ELSEWHERE).sort());
});
