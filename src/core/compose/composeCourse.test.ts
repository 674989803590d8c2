import type { Arena } from '../arena/arena';
import { layoutCautions } from '../cautions/layoutCautions';
import { kitOfAll } from '../items/kit';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { testFence, testHorse } from '../layout/testLayout';
import { seededRandom } from '../statistics/seededRandom';
import { composeCourses, composeSteps, courseDifference, LEAST_DIFFERENCE, type ComposeWish } from './composeCourse';
import { often } from '../../../scripts/lib/often';

const wishOf = (changes: Partial<ComposeWish>): ComposeWish => ({
  ...{ arena: { widthM: 35, lengthM: 65, letters: 'none' }, horses: [testHorse('H', 3.6)], school: 'whole-stride' },
  ...{ fall: null, fences: 6, heightM: 0.7, kit: null, standing: [], seed: 1 },
  ...changes,
});

/** A yard and a sand by chance: one to three horses not too unlike, sand of every usual size, with a pillar or a cut corner. */
function seededWish(seed: number): ComposeWish {
  const random = seededRandom(seed);
  const widthM = 22 + Math.round(random() * 18);
  const lengthM = 44 + Math.round(random() * 26);
  const normalM = 3.3 + random() * 0.4;
  const box: Arena = { widthM, lengthM, letters: 'none' };
  const arena: Arena =
    seed % 5 === 0
      ? { ...box, standing: [{ kind: 'pillar', name: null, at: { xM: widthM / 2, yM: lengthM / 3 }, radiusM: 0.3 }] }
      : seed % 5 === 1
        ? {
            ...box,
            outline: [
              { xM: 0, yM: 0 },
              { xM: widthM, yM: 0 },
              { xM: widthM, yM: lengthM - 8 },
              { xM: widthM - 6, yM: lengthM },
              { xM: 0, yM: lengthM },
            ],
          }
        : box;
  return wishOf({
    ...{ arena, seed, fences: 4 + (seed % 3) },
    horses: Array.from({ length: 1 + (seed % 3) }, (_, at) => testHorse(`h${at}`, normalM + at * 0.06)),
  });
}

it('proposes three courses that differ, none of them cautioned, with their counts as asked, on seeded yards and sands', () => {
  const yards = often(20, 60);
  let all = 0;
  for (let seed = 1; seed <= yards; seed += 1) {
    const wish = seededWish(seed);
    const proposals = composeCourses(wish);
    if (proposals.length === 3) all += 1;
    proposals.forEach(({ layout }, index) => {
      const tracks = reckonLayout(layout);
      expect(layoutCautions(layout, tracks).filter(({ level }) => level !== 'note')).toEqual([]);
      const [track] = tracks as [ReckonedItemTrack];
      // No caution says that a horse which can does; here each can.
      for (const leg of track.legs)
        for (const { asked } of leg.readings)
          if (asked) expect(['short', 'quiet', 'easy', 'forward', 'long']).toContain(asked.word);
      for (const other of proposals.slice(0, index))
        expect(courseDifference(other.layout, layout)).toBeGreaterThanOrEqual(LEAST_DIFFERENCE);
    });
  }
  // On the smallest sands three courses are not always to be had.
  expect(all).toBeGreaterThan(0.9 * yards);
}, 300_000);

it('has a start and a finish, lines in asked counts, and a change of rein', () => {
  const [best] = composeCourses(wishOf({ fences: 8 }));
  const [track] = best!.layout.tracks;
  expect(track!.kind === 'items' && track!.course).toMatchObject({ startM: 10, finishM: 10 });
  expect(track!.kind === 'items' && track!.through).toHaveLength(8);
  expect(track!.kind === 'items' && track!.legs.filter(({ asked }) => asked !== null).length).toBeGreaterThan(1);
  expect(best!.changesOfRein).toBeGreaterThan(0);
});

it('keeps to the kit there is', () => {
  const kit = { stands: 12, poles: 18 };
  const proposals = composeCourses(wishOf({ kit, fences: 5 }));
  expect(proposals.length).toBeGreaterThan(0);
  for (const { layout } of proposals) {
    const needed = kitOfAll(layout.items);
    expect(needed.stands).toBeLessThanOrEqual(kit.stands);
    expect(needed.poles).toBeLessThanOrEqual(kit.poles);
  }
  expect(composeCourses(wishOf({ kit: { stands: 4 }, fences: 5 }))).toEqual([]);
});

it('counts what is carried from where fences stand already', () => {
  const standing = [testFence('s', 8, 20, 0), testFence('t', 26, 40, 180)];
  const [best] = composeCourses(wishOf({ standing }));
  expect(best!.carriedM).toBeGreaterThan(0);
  expect(composeCourses(wishOf({}))[0]!.carriedM).toBe(0);
});

it('is the same for the same seed, and gives what it has to whoever stops it', () => {
  const [a, b] = [composeCourses(wishOf({ seed: 5 })), composeCourses(wishOf({ seed: 5 }))];
  expect(a).toEqual(b);
  let share = 0;
  for (const step of composeSteps(wishOf({ seed: 5 }))) {
    expect(step.share).toBeGreaterThanOrEqual(share);
    expect(step.proposals.length).toBeLessThanOrEqual(3);
    share = step.share;
  }
});

// Worked by hand: of four fences two stand at other places, one is ridden the other way.
it('measures how two courses differ', () => {
  const [p, q] = [
    [testFence('a', 5, 10, 0), testFence('b', 5, 30, 0), testFence('c', 20, 40, 180), testFence('d', 20, 20, 180)],
    [testFence('a', 5, 14, 0), testFence('b', 15, 30, 0), testFence('c', 20, 40, 0), testFence('d', 5, 20, 180)],
  ].map(items => ({ items })) as unknown as Parameters<typeof courseDifference>;
  expect(courseDifference(p, p)).toBe(0);
  expect(courseDifference(p, q)).toBe(0.75);
});
