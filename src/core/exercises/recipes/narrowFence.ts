import type { Cone, Marker } from '../../items/item';
import { ridingDepthM } from '../../items/footprint';
import type { ExerciseGround, Guidance, Recipe } from '../exercise';
import { ahead, fenceAt, stage, stridesOf, trackThrough, usualHeights, type Heights } from './parts';

type Params = Heights & { form: 'narrow' | 'corner'; widthM: number; aimFromFlagM: number; guides: boolean };

function guidance(form: 'narrow' | 'corner'): Guidance {
  const title = form === 'narrow' ? 'A narrow fence' : 'A corner';
  return {
    title: `${title} with aim, sight mark and approach markers`,
    purposes: ['accuracy', 'straightness', 'confidence'],
    level: form === 'narrow' ? 'novice' : 'advanced',
    knowFirst:
      form === 'narrow'
        ? ['A single fence straight over its middle']
        : ['A narrow fence on both reins', 'An oxer ridden at an angle'],
    repetitions: { eachRein: 4, stop: { when: 'first clear improvement' } },
    failure: 'stand and look',
    watchHorse: ['Straight for six strides', 'Both ears on the fence', 'Crosses the aim, not beside it'],
    watchRider: [
      'Chooses the aim before the turn',
      'Rides at the sight mark, not at the rail',
      'Both legs, both reins',
    ],
    stand: 'Head-on, at the sight mark, to see the line.',
    faults: [
      { fault: 'It runs out to the side of the flag', remedy: 'Aim farther from the flag; a guide rail on that side.' },
      { fault: 'The line drifts', remedy: 'Back to the markers alone, in trot, until it is straight.' },
    ],
    cautions: [
      'Somebody is on the ground whenever fences are jumped.',
      form === 'corner'
        ? 'Nearer to the flag invites a run-out, farther is a wider spread.'
        : 'Guides come away once it is safe.',
    ],
  };
}

/** Strides before the fence at which the approach is marked, and half the width of each gate, metres (practice). */
const GATES = [
  { strides: 6, halfM: 1.2 },
  { strides: 4, halfM: 1 },
  { strides: 2, halfM: 0.9 },
];
const SIGHT_MARK_M = 8;
/** Common practice, no source: on a corner about so far from the flag. */
const AIM_M = 0.9;

function recipe(form: 'narrow' | 'corner'): Recipe<Params> {
  return {
    kind: form === 'narrow' ? 'narrow-fence' : 'corner-fence',
    guidance: guidance(form),
    wishes: ground =>
      (form === 'narrow' ? [1.8, 1.5, 1.2] : [2.6, 2.2]).map(widthM => ({
        form,
        widthM,
        aimFromFlagM: form === 'corner' ? AIM_M : widthM / 2,
        guides: true,
        ...usualHeights(ground),
      })),
    // The frame begins where six straight strides do; the fence is far enough from the wall behind it to land.
    place: ground => ({ at: { xM: ground.arena.widthM / 2, yM: entryM(ground) }, headingRad: Math.PI / 2 }),
    layOut,
  };
}

/** Room for the fence itself and to land behind it, metres; and for the first gate before the wall. */
const LANDING_M = 12;
const FIRST_GATE_M = 0.3;

/** How far from the near wall the six strides begin: a little before the middle, since the fence wants room behind it. */
function entryM(ground: ExerciseGround): number {
  const restM = ground.arena.lengthM - straightM(ground);
  return Math.max(FIRST_GATE_M, Math.min(restM / 2 - 3, restM - LANDING_M));
}

function straightM(ground: ExerciseGround): number {
  return GATES[0]!.strides * longestM(ground);
}

function longestM(ground: ExerciseGround): number {
  return Math.max(...stridesOf(ground, 'course-canter', 'course').map(({ normalM }) => normalM));
}

function layOut(ground: ExerciseGround, { form, widthM, aimFromFlagM, guides, heightM }: Params) {
  const corner = form === 'corner' ? { narrowEnd: 'left' as const, aimFromFlagM } : null;
  // The line runs over the aim: the middle of a corner lies away from its flag.
  const asideM = form === 'corner' ? -(widthM / 2 - aimFromFlagM) : 0;
  const bare = fenceAt('fence', form, ahead(0), {
    ...{ heightM, widthM, corner, spreadM: form === 'corner' ? 0.6 : 0 },
    ridden: 'one-way',
  });
  const frontM = straightM(ground);
  const fence = { ...bare, at: { xM: frontM + ridingDepthM(bare) / 2, yM: asideM } };
  const gates = GATES.flatMap(({ strides, halfM }) =>
    ([1, -1] as const).map((side): Cone => ({
      ...{ kind: 'cone', id: `gate-${strides}-${side === 1 ? 'left' : 'right'}`, name: null },
      at: { xM: frontM - strides * longestM(ground), yM: side * halfM },
    })),
  );
  const sight: Marker = { kind: 'marker', id: 'sight-mark', name: null, at: { xM: frontM + SIGHT_MARK_M, yM: 0 } };
  const rail = (side: 1 | -1) => ({
    ...{ kind: 'guide' as const, id: `rail-${side === 1 ? 'left' : 'right'}`, name: null, lengthM: 2, headingRad: 0 },
    at: { xM: frontM - 1.2, yM: side === 1 ? asideM + widthM / 2 : asideM - widthM / 2 },
  });
  return {
    items: [fence, ...gates, sight, ...(guides ? [rail(1), rail(-1)] : [])],
    tracks: [trackThrough('line', 'course-canter', ['fence'], {}, guidance(form).repetitions.eachRein)],
    stages: [
      stage('As a pole, between the rails', 'Straight from marker to marker', 'half-seat', { set: { asPoles: 'all' } }),
      stage('With guide rails', 'Eyes on the sight mark', 'half-seat'),
      stage('Without guide rails', 'The aim before the turn', 'half-seat', { set: { guides: false } }),
    ],
    stand: { xM: frontM + SIGHT_MARK_M + 1, yM: 0 },
    facts: [
      { what: 'aim from the flag', horse: null, lengthM: aimFromFlagM },
      { what: 'straight before the fence', horse: null, lengthM: frontM },
      { what: 'sight mark beyond the fence', horse: null, lengthM: SIGHT_MARK_M },
      ...GATES.map(({ strides, halfM }) => ({
        what: `most off the line at ${strides} strides`,
        horse: null,
        lengthM: halfM,
      })),
    ],
  };
}

export const narrowFence = recipe('narrow');
export const cornerFence = recipe('corner');
