/** How long a fit, three composed courses and a picture from the saddle take. */
import {
  composeSteps,
  eyePicture,
  fitLayout,
  piecesOf,
  reckonLayout,
  riderCamera,
  type Fence,
  type Layout,
  type LayoutHorse,
} from '@/core';

const ROUNDS = 5;

/** Twelve fences on a large sand, each line a little off any count. */
const PLACES = [
  [6, 22, 0],
  [6, 41, 0],
  [20, 60, 105],
  [34, 48, 180],
  [34, 29, 180],
  [22, 14, 300],
  [10, 30, 25],
  [20, 49, 25],
  [26, 66, 90],
  [40, 50, 180],
  [40, 32, 180],
  [40, 14, 180],
] as const;

const horse = (index: number): LayoutHorse => {
  const normalM = 3.4 + index * 0.05;
  return {
    ...{ id: `h${index}`, name: `h${index}`, heightM: 1.55 + index * 0.03, type: 'all-round', level: 'novice' },
    strides: { 'course-canter': { shortM: normalM * 0.85, normalM, longM: normalM * 1.12 } },
  };
};

const fence = (index: number, [xM, yM, facingDeg]: (typeof PLACES)[number]): Fence => ({
  ...{ kind: 'fence', id: `f${index}`, name: null, form: 'vertical', at: { xM, yM } },
  ...{ headingRad: ((90 - facingDeg) * Math.PI) / 180, widthM: 3, heightM: 0.8, spreadM: 0, ridden: 'both-ways' },
  ...{ groundLineBeforeM: null, sideHeightM: null, filler: false, corner: null },
});

function course(): Layout {
  const items = PLACES.map((place, index) => fence(index, place));
  return {
    ...{
      name: 'bench',
      arena: { widthM: 46, lengthM: 80, letters: 'none' },
      fall: null,
      school: 'whole-stride',
      items,
    },
    tracks: [
      {
        ...{ kind: 'items', id: 'course', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: items.map(({ id }) => ({ item: id, reversed: false })),
        legs: items.slice(1).map(() => ({
          ...{ track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null },
        })),
      },
    ],
    horses: Array.from({ length: 6 }, (_, index) => horse(index)),
    kit: null,
  };
}

const median = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

function medianMs(task: (round: number) => void): number {
  return median(
    Array.from({ length: ROUNDS }, (_, round) => {
      const begun = performance.now();
      task(round);
      return performance.now() - begun;
    }),
  );
}

export type FitTimes = { fitMs: number; composeMs: number; eyeMs: number };

/** Medians: a fit of 12 fences for 6 horses, three courses of eight for three horses, a frame from the saddle of 12 fences. */
export function benchFit(): FitTimes {
  const layout = course();
  const pieces = piecesOf(layout, new Map(), []);
  const horseIds = layout.horses.map(({ id }) => id);
  const [reckoned] = reckonLayout(layout);
  const ridden = { track: layout.tracks[0]!, reckoned: reckoned! };
  const frames = 60;
  return {
    fitMs: medianMs(round => fitLayout(layout, { pieces, horseIds, seed: round + 1 })),
    composeMs: medianMs(round => {
      const wish = { fences: 8, heightM: 0.7, kit: null, standing: [], seed: round + 1 };
      const ground = {
        arena: { widthM: 35, lengthM: 65, letters: 'none' as const },
        fall: null,
        school: layout.school,
      };
      const steps = composeSteps({ ...wish, ...ground, horses: layout.horses.slice(0, 3) });
      for (let step = steps.next(); !step.done; step = steps.next());
    }),
    eyeMs:
      medianMs(() => {
        for (let frame = 0; frame < frames; frame += 1) {
          const alongM = (reckoned!.lengthM * frame) / frames;
          const camera = riderCamera(layout, ridden, alongM, { eyeM: 2.4, look: 'next', aspect: 1.6 });
          if (camera) eyePicture(camera, { arena: layout.arena, items: layout.items });
        }
      }) / frames,
  };
}
