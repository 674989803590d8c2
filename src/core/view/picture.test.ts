import { reckonLayout } from '../layout/reckonLayout';
import { testFence, testHorse, testLayout } from '../layout/testLayout';
import type { Camera } from './camera';
import { lookFacts } from './lookFacts';
import { lookWords } from './lookWords';
import { eyePicture, type Drawn } from './picture';
import { EYE_OVER_WITHERS_M, nextStop, riderCamera } from './riderEye';

const DEG = Math.PI / 180;
const ARENA = { widthM: 20, lengthM: 60, letters: '20x60' as const };
const EYE: Camera = {
  eye: { xM: 10, yM: 10, zM: 2.5 },
  headingRad: 90 * DEG,
  downRad: 0,
  wideRad: 60 * DEG,
  aspect: 1.5,
};
type DrawnFace = Extract<Drawn, { kind: 'face' }>;
const called = (id: string) => `fence ${id}`;
const facesOf = (drawn: readonly Drawn[], of: string) =>
  drawn.filter((one): one is DrawnFace => one.kind === 'face' && one.of === of);
/** How high the stand of a fence at one side looks, as a share of the picture. */
function standHigh(drawn: readonly Drawn[], of: string, side: 'left' | 'right'): number {
  const stands = facesOf(drawn, of).filter(({ tone }) => tone === 'stand');
  const x = (face: DrawnFace) => face.points.reduce((sum, point) => sum + point.x, 0) / face.points.length;
  const xs = stands.map(x);
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
  const ys = stands
    .filter(face => (side === 'left' ? x(face) < middle : x(face) > middle))
    .flatMap(({ points }) => points);
  return Math.max(...ys.map(({ y }) => y)) - Math.min(...ys.map(({ y }) => y));
}
const lookAt = (fence: ReturnType<typeof testFence>) => eyePicture(EYE, { arena: ARENA, items: [fence] }).drawn;

describe('a narrow fence ten metres on', () => {
  const narrow = { widthM: 2, heightM: 0.8 };

  it('met square has two like sides', () => {
    const drawn = lookAt(testFence('n', 10, 20, 0, { form: 'narrow', ...narrow }));
    expect(standHigh(drawn, 'n', 'left')).toBeCloseTo(standHigh(drawn, 'n', 'right'), 9);
  });

  it('met 20° off square looks so: its nearer stand is as much taller as it is nearer', () => {
    // Worked by hand: a stand's middle is 1.125 m out; sin 20° of that is 0.385 m nearer or farther of 10 m.
    const drawn = lookAt(testFence('n', 10, 20, 20, { form: 'narrow', ...narrow }));
    const [left, right] = [standHigh(drawn, 'n', 'left'), standHigh(drawn, 'n', 'right')];
    const [nearer, farther] = left > right ? [left, right] : [right, left];
    expect(nearer / farther).toBeGreaterThan(1.06);
    expect(nearer / farther).toBeLessThan(1.1);
    // A fence that is ridden a little to the right of straight on has its left end farther on.
    expect(right).toBeGreaterThan(left);
  });
});

it('paints what is nearer over what is farther', () => {
  const [near, far] = [testFence('near', 10, 18, 0), testFence('far', 10, 40, 0)];
  const { drawn } = eyePicture(EYE, { arena: ARENA, items: [near, far] });
  const last = (of: string) => drawn.findLastIndex(one => one.kind === 'face' && one.of === of);
  const first = (of: string) => drawn.findIndex(one => one.kind === 'face' && one.of === of);
  expect(last('far')).toBeLessThan(first('near'));
});

it('shows the letters on the walls that lie before the eye, C in the middle of the far one', () => {
  const words = eyePicture(EYE, { arena: ARENA, items: [] }).drawn.flatMap(one => (one.kind === 'word' ? [one] : []));
  expect(words.map(one => one.words).sort()).toEqual(['B', 'C', 'E', 'H', 'M', 'R', 'S']);
  expect(words.find(one => one.words === 'C')!.at.x).toBeCloseTo(0.5, 9);
  // What is twice as near is twice as large.
  expect(words.find(one => one.words === 'B')!.size / words.find(one => one.words === 'C')!.size).toBeCloseTo(
    50 / 20,
    6,
  );
});

it('has nothing of what stands behind', () => {
  const { drawn } = eyePicture(EYE, { arena: ARENA, items: [testFence('behind', 10, 5, 0)] });
  expect(facesOf(drawn, 'behind')).toEqual([]);
});

describe('the eye of a rider', () => {
  const line = testLayout([testFence('a', 10, 12, 0), testFence('b', 10, 30, 0)], {
    arena: ARENA,
    horses: [testHorse('H', 3.6)],
  });
  const ridden = (layout = line) => ({ track: layout.tracks[0]!, reckoned: reckonLayout(layout)[0]! });
  const wish = { eyeM: 1.6 + EYE_OVER_WITHERS_M, look: 'next' as const, aspect: 1.6 };

  it('is over the withers, on the track, straight before its first fence too', () => {
    const camera = riderCamera(line, ridden(), 8, wish)!;
    expect(camera.eye).toEqual({ xM: expect.closeTo(10, 9), yM: expect.closeTo(20, 9), zM: 2.45 });
    expect(riderCamera(line, ridden(), -6, wish)!.eye.yM).toBeCloseTo(6, 9);
    expect(nextStop(line, ridden(), -6)!.item.id).toBe('a');
    expect(nextStop(line, ridden(), 18)).toBeNull();
  });

  it('looks at the next fence on a turn, or straight on', () => {
    const turn = testLayout([testFence('a', 5, 12, 0), testFence('b', 15, 30, 180)], { arena: ARENA });
    const at = (look: 'next' | 'ahead') => riderCamera(turn, ridden(turn), 12, { ...wish, look })!.headingRad;
    const [next, ahead] = [at('next'), at('ahead')];
    expect(Math.abs(next - ahead)).toBeGreaterThan(10 * DEG);
    const eye = riderCamera(turn, ridden(turn), 12, wish)!.eye;
    expect(Math.cos(next - Math.atan2(30 - eye.yM, 15 - eye.xM))).toBeCloseTo(1, 9);
  });

  it('says what comes next, how it is met, and what draws the eye', () => {
    const plain = lookFacts(line, ridden(), 8)!;
    expect(plain.next).toMatchObject({ item: 'b', asideRad: 0, hiddenBy: null });
    expect(plain.next!.farM).toBeCloseTo(10, 9);
    expect(plain.next!.offSquareRad).toBeCloseTo(0, 9);
    expect(plain.drawsTheEye).toBeNull();
    // A fence that stands 20° turned, on a track that bends to meet it: straight on from beside its line is off square.
    const turned = testLayout([testFence('a', 10, 12, 0), testFence('b', 10, 30, 20, { form: 'narrow', widthM: 2 })], {
      arena: ARENA,
      legs: [{ track: 'direct' }],
    });
    expect(lookFacts(turned, ridden(turned), 0)!.next!.offSquareRad / DEG).toBeCloseTo(20, 6);
    // A large fence beside it, and one right before it.
    const beside = { ...turned, items: [...turned.items, testFence('big', 13, 27, 0, { form: 'oxer', heightM: 1.1 })] };
    expect(lookFacts(beside, ridden(turned), 8)!.drawsTheEye).toBe('big');
    const before = { ...turned, items: [...turned.items, testFence('wall', 10, 24, 0, { heightM: 1 })] };
    expect(lookFacts(before, ridden(turned), 8)!.next!.hiddenBy).toBe('wall');
    const words = lookWords(called, lookFacts(turned, ridden(turned), 0)!, m => `${m.toFixed(1)} m`);
    expect(words[0]).toMatch(/^Next: .* in 18.\d m, straight on\.$/);
    expect(words[1]).toMatch(/^Straight at it from here would meet it 20° off square; the track /);
    expect(lookWords(called, lookFacts(line, ridden(), 18)!, String)).toEqual(['Nothing more to ride at.']);
  });
});

test('on a track that goes nowhere there is nothing to look along', () => {
  const layout = testLayout([]);
  const empty = { kind: 'figures' as const, id: 'f', name: null, gait: 'trot' as const, passes: 1, figures: [] };
  const [reckoned] = reckonLayout({ ...layout, tracks: [empty] });
  const wish = { look: 'next', eyeM: 2.45, aspect: 1.5 } as const;
  expect(riderCamera(layout, { track: empty, reckoned: reckoned! }, 3, wish as never)).toBeNull();
});
