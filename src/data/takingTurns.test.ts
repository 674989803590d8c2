import { createClient } from '@libsql/client';
import { takingTurns } from './takingTurns';

/** The longest time that nobody else had a turn while much is read, milliseconds. */
async function longestWaitMs(client: ReturnType<typeof createClient>): Promise<number> {
  let [lastMs, longest] = [performance.now(), 0];
  const watch = setInterval(() => {
    longest = Math.max(longest, performance.now() - lastMs);
    lastMs = performance.now();
  }, 1);
  const beganMs = performance.now();
  // A question takes about a millisecond: half a second of questions.
  while (performance.now() - beganMs < 500)
    await client.execute(
      'with recursive n(i) as (select 1 union all select i + 1 from n where i < 3000) select sum(i) from n',
    );
  await new Promise(resolve => setTimeout(resolve, 5));
  clearInterval(watch);
  return longest;
}

test('whoever asks much lets others have their turn; without it nobody has one until the end', async () => {
  const plain = createClient({ url: ':memory:' });
  expect(await longestWaitMs(plain)).toBeGreaterThan(400);
  const fair = takingTurns(plain);
  expect(await longestWaitMs(fair)).toBeLessThan(250);
  const { rows } = await fair.execute({ sql: 'select ? as said', args: ['the same'] });
  expect(rows[0]!.said).toBe('the same');
  fair.close();
});
