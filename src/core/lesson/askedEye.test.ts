import { testFence, testHorse, testLayout } from '../layout/testLayout';
import type { Question } from '../question/question';
import { askedEye } from './askedEye';
import { askedToShow } from './askedToShow';

const LINE = testLayout([testFence('a', 10, 20, 0), testFence('b', 10, 38, 0)], {
  arena: { widthM: 20, lengthM: 60, letters: '20x60' },
});
const ASKED = {
  ...{
    id: 'line',
    name: null,
    what: { kind: 'track', trackId: 'course' },
    gait: 'course-canter',
    rein: null,
    asked: [4],
  },
  state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} },
} as unknown as Question;

it('is seen from the horse it is told for, twelve metres before the first fence, with the numbers over the fences', () => {
  const pony = testHorse('Pip', 3.2, 1.3);
  const high = testHorse('Tall', 3.6, 1.75);
  const [fromPony, fromHigh] = [pony, high].map(horse => askedEye(askedToShow(LINE, ASKED, horse)!, 2)!);
  expect(fromPony!.label).toBe('From the saddle, 12 m before fence 1');
  expect([fromPony!.heightM, fromHigh!.heightM]).toEqual([1.3, 1.75]);
  const words = fromPony!.picture.drawn.flatMap(one => (one.kind === 'word' ? [one.words] : []));
  expect(words).toEqual(expect.arrayContaining(['1', '2', 'C']));
  // From higher up the sand before the fence lies lower in the picture.
  const foot = (eye: typeof fromPony) =>
    Math.max(
      ...eye!.picture.drawn.flatMap(one => (one.kind === 'face' && one.of === 'a' ? one.points.map(({ y }) => y) : [])),
    );
  expect(foot(fromHigh)).toBeGreaterThan(foot(fromPony));
});

it('is nothing for what leads nowhere', () => {
  const one = { ...ASKED, asked: [] } as Question;
  const alone = testLayout([testFence('a', 10, 20, 0)]);
  const show = askedToShow(alone, one, null);
  expect(show === null ? null : askedEye(show, 2)).toBeNull();
});
