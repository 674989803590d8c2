import { seededNormal, seededRandom } from '../statistics/seededRandom';
import type { RiddenLeg } from './ground';
import type { ReviewPass } from './reviewPass';
import { turnClaim, turnReview } from './turnReview';

const RULE = { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'bounce', keepsFixed: false } as const;
const SHARE = 0.79;

/** A leg of which so much is ridden on a turn that leaves 0.79 of the stride. */
const leg = (straightM: number, turnM: number): RiddenLeg => ({
  ...{ from: 'a', to: 'b', groundM: straightM + turnM, countedM: straightM + turnM / SHARE },
  ...{ turnShare: turnM > 0 ? SHARE : 1, rule: RULE, entry: 'course-canter', asked: null, betweenPoles: false },
});
const LEGS = [leg(18.1, 0), leg(21.7, 0), leg(14.9, 0), leg(8, 12), leg(6.5, 16), leg(9, 9.5)];

/** Horses whose turns cost so many times what the rule says, ridden and counted. */
function season(times: number, random: () => number): ReviewPass[] {
  return ['h1', 'h2', 'h3', 'h4'].flatMap((horseId, horse) =>
    Array.from({ length: 14 }, (_, pass) => {
      const strideM = (3.4 + 0.1 * horse) * (1 + 0.02 * seededNormal(random));
      const marks = LEGS.map(({ groundM, countedM }, place) => {
        const rodeM = groundM + times * (countedM - groundM);
        const nowM = strideM * (1 + 0.03 * seededNormal(random));
        return { kind: 'strides', place: place + 1, count: Math.round(rodeM / nowM - 1) };
      });
      return {
        pairId: horseId,
        day: `2026-05-${pass + 1}`,
        isVoid: false,
        marks,
        ground: { legs: LEGS },
      } as unknown as ReviewPass;
    }),
  );
}

const thought = () => 3.5;

test.each([0, 1, 2])('horses that pay %d times the rule are found out', times => {
  const random = seededRandom(31 + times);
  let held = 0;
  const ROUNDS = 30;
  for (let round = 0; round < ROUNDS; round += 1) {
    const found = turnReview(season(times, random), String, thought, 20)!;
    expect(found).toMatchObject({ passes: 56, counts: 168, horses: 4 });
    if (found.low <= times && times <= found.high) held += 1;
  }
  expect(held / ROUNDS).toBeGreaterThanOrEqual(0.9);
});

test('it says so in a sentence only where the record contradicts the rule, and names a lean that would not', () => {
  const asTheRule = turnReview(season(1, seededRandom(5)), String, thought, 20)!;
  expect(turnClaim(asTheRule)).toBeNull();
  const more = turnReview(season(2, seededRandom(6)), String, thought, 20)!;
  expect(turnClaim(more)!.text).toMatch(/cost your horses more stride than the rule says: \d\.\d times as much/);
  // The less a horse leans, the more a turn costs it.
  expect(more.leanDeg!).toBeLessThan(20);
  const less = turnReview(season(0, seededRandom(7)), String, thought, 20)!;
  expect(turnClaim(less)!.text).toMatch(/less stride/);
});

test('a few passes say nothing, nor do straights alone', () => {
  expect(turnReview(season(1, seededRandom(8)).slice(0, 7), String, thought, 20)).toBeNull();
  const straights = season(1, seededRandom(9)).map(pass => ({ ...pass, marks: pass.marks.slice(0, 3) }));
  expect(turnReview(straights, String, thought, 20)).toBeNull();
  expect(turnReview(season(1, seededRandom(10)), String, () => null, 20)).toBeNull();
});
