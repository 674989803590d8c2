import { isSetupCode } from './setupCode';
import { cameRight, tryAgainInMin } from './tries';

const from = { address: null as string | null };
jest.mock('next/headers', () => ({
  headers: async () => new Headers(from.address === null ? {} : { 'x-roan-address': from.address }),
}));

const tryTimes = async (times: number, name: (at: number) => string) => {
  const waits: (number | null)[] = [];
  for (let at = 0; at < times; at += 1) waits.push(await tryAgainInMin(name(at)));
  return waits;
};

test('ten tries from one place, whatever the name; then a wait of a quarter of an hour, from there alone', async () => {
  from.address = '10.0.0.1';
  const waits = await tryTimes(11, at => `name ${at}`);
  expect(waits.slice(0, 10)).toEqual(Array(10).fill(null));
  expect(waits[10]).toBeGreaterThan(0);
  expect(waits[10]).toBeLessThanOrEqual(15);
  from.address = '10.0.0.2';
  expect(await tryAgainInMin('name 3')).toBeNull();
});

test('twenty tries for one name, from wherever, however it is written', async () => {
  const waits: (number | null)[] = [];
  for (let place = 0; place < 21; place += 1) {
    from.address = `10.0.1.${place}`;
    waits.push(await tryAgainInMin(place % 2 ? ' Maud ' : 'maud'));
  }
  expect(waits.slice(0, 20)).toEqual(Array(20).fill(null));
  expect(waits[20]).toBeGreaterThan(0);
});

test('whoever came right begins anew; who shares a name with somebody else’s tries does too', async () => {
  from.address = '10.0.2.1';
  await tryTimes(9, () => 'Bas');
  await cameRight('bas ');
  expect(await tryTimes(10, () => 'Bas')).toEqual(Array(10).fill(null));
});

test('without a place that is known all are in one', async () => {
  from.address = null;
  const waits = await tryTimes(11, at => `somebody ${at}`);
  expect([waits[9], waits[10] === null]).toEqual([null, false]);
});

describe('the code of a first start', () => {
  afterEach(() => delete process.env.ROAN_SETUP_CODE);

  it('is that of the start, however it is typed, and no other', () => {
    process.env.ROAN_SETUP_CODE = 'oat hay rail';
    expect([isSetupCode(' Oat hay rail '), isSetupCode('oat hay'), isSetupCode('')]).toEqual([true, false, false]);
  });

  it('is none where the start made none: nothing is let in by an empty one', () => {
    expect([isSetupCode(''), isSetupCode('oat hay rail')]).toEqual([false, false]);
  });
});
