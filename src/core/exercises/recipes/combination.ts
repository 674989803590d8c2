import { ridingDepthM } from '../../items/footprint';
import type { Fence } from '../../items/item';
import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import { withLength } from '../withLength';
import { ahead, fenceAt, groundFor, quarterLine, stage, trackThrough, usualHeights, type Heights } from './parts';

/** `first` and `second` are the strides of the gaps, second 0 is a double; `gapsM`: typed gaps, 0 for what the count wants. */
type Params = Heights & { first: number; second: number; gapsM: readonly number[] };

const GUIDANCE: Guidance = {
  title: 'A double or a treble',
  purposes: ['accuracy', 'rhythm', 'confidence'],
  level: 'novice',
  knowFirst: ['A grid', 'A related line'],
  repetitions: { eachRein: 3, stop: { when: 'first clear improvement' } },
  failure: 'lower only what failed',
  watchHorse: ['Jumps out as it jumped in', 'One length of stride inside'],
  watchRider: ['Rides to the last part, not to the first', 'Quiet between the parts'],
  stand: 'Side-on, level with the middle.',
  faults: [
    { fault: 'It stops at the second part', remedy: 'That part alone lower, then the whole again.' },
    { fault: 'It gets too close to the way out', remedy: 'A quieter way in before the distance is changed.' },
  ],
  cautions: [
    'Somebody is on the ground whenever fences are jumped.',
    'An oxer that is not parallel is never ridden from its back.',
  ],
};

/** Doubles and trebles as they are set on a course. */
export const combination: Recipe<Params> = {
  kind: 'combination',
  guidance: GUIDANCE,
  wishes: ground =>
    [
      { first: 1, second: 2 },
      { first: 1, second: 1 },
      { first: 2, second: 0 },
      { first: 1, second: 0 },
    ].map(one => ({ ...one, gapsM: [], ...usualHeights(ground) })),
  place: (ground, params) => quarterLine(ground, lastOf(parts(ground, params)).at.xM),
  layOut: (ground, params) => {
    const fences = parts(ground, params);
    const ids = fences.map(({ id }) => id);
    const asked = [params.first, params.second].slice(0, fences.length - 1);
    return {
      items: fences,
      tracks: [
        trackThrough(
          'combination',
          'course-canter',
          ids,
          asked.map(count => ({ setting: 'course' as const, asked: count })),
          GUIDANCE.repetitions.eachRein,
        ),
      ],
      stages: [
        stage('The first part alone', 'A straight, quiet way in', 'half-seat', { set: { only: [ids[0]!] } }),
        stage('All as cross-rails', 'Over every middle', 'half-seat', { set: { form: 'cross-rail' } }),
        stage('As it stands', 'Ride to the way out', 'half-seat'),
      ],
      stand: { xM: lastOf(fences).at.xM / 2, yM: 7 },
      facts: asked.map((_, index) => ({
        what: `inside, part ${index + 1} to part ${index + 2}`,
        horse: null,
        lengthM:
          fences[index + 1]!.at.xM -
          fences[index]!.at.xM -
          (ridingDepthM(fences[index]!) + ridingDepthM(fences[index + 1]!)) / 2,
      })),
    };
  },
  typed: (params, leg, groundM) => ({ ...params, gapsM: withLength(params.gapsM, leg, groundM) }),
  oneMore: params => (params.second > 0 ? params : { ...params, second: 1 }),
};

const lastOf = (fences: readonly Fence[]) => fences[fences.length - 1]!;

/** A vertical in, and an oxer as the last part. The middle of a treble is a vertical. */
function parts(ground: ExerciseGround, { first, second, gapsM, heightM }: Params): Fence[] {
  const counts = second > 0 ? [first, second] : [first];
  const fences = [fenceAt('part-1', 'vertical', ahead(0), { heightM })];
  counts.forEach((strides, index) => {
    const from = lastOf(fences);
    const isLast = index === counts.length - 1;
    const id = `part-${index + 2}`;
    const next = isLast
      ? fenceAt(id, 'oxer', ahead(0), { heightM, spreadM: heightM, ridden: 'one-way' })
      : fenceAt(id, 'vertical', ahead(0), { heightM });
    const reckonedM = groundFor(ground, strides, { gait: 'course-canter', setting: 'course', from, to: next });
    const groundM = gapsM[index] || reckonedM;
    const atM = from.at.xM + (ridingDepthM(from) + ridingDepthM(next)) / 2 + groundM;
    fences.push({ ...next, at: { xM: atM, yM: 0 } });
  });
  return fences;
}
