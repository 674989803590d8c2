import { sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import {
  chainsOf,
  EMPTY_PLAN,
  footprintCorners,
  isRidden,
  placeExercise,
  poseAt,
  reckonLayout,
  resolvePlan,
  SHELF,
  type Arena,
  type PlanGround,
} from '@/core';
import { MAYFLY } from '../_state/testShown';
import { itemNaming } from './itemNaming';
import { sandLabels } from './sandLabels';

const ARENAS: Arena[] = [
  { widthM: 20, lengthM: 40, letters: '20x40' },
  { widthM: 20, lengthM: 60, letters: '20x60' },
  { widthM: 35, lengthM: 60, letters: 'none' },
];
/** The whole sand, halfway in, and near. */
const ZOOMS = [1, 0.5, 0.2];

type Box = { left: number; right: number; top: number; bottom: number };

/** What a label covers: its letters by the width of a digit of the font, and a print by its places. */
function boxOf(shapes: readonly Shape[]): Box {
  const [shape] = shapes;
  if (shape?.kind === 'text') {
    const half = (shape.runs.reduce((sum, { words }) => sum + words.length, 0) * 0.6 * shape.sizeM) / 2;
    // Digits and capitals are about 0.7 of the size high.
    return {
      left: shape.x - half,
      right: shape.x + half,
      top: shape.y - 0.36 * shape.sizeM,
      bottom: shape.y + 0.36 * shape.sizeM,
    };
  }
  const numbers = ((shape as { d: string }).d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
  const [xs, ys] = [numbers.filter((_, at) => at % 2 === 0), numbers.filter((_, at) => at % 2 === 1)];
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

const overlap = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
const isIn = ({ left, right, top, bottom }: Box, { x, y }: { x: number; y: number }) =>
  x > left && x < right && y > top && y < bottom;

/** Points all over a shape with four corners, a hand's breadth from each other. */
function pointsOver(corners: { x: number; y: number }[]): { x: number; y: number }[] {
  const [a, b, c, d] = corners as [
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
  ];
  const steps = Array.from({ length: 31 }, (_, step) => step / 30);
  const on = (from: { x: number; y: number }, to: { x: number; y: number }, at: number) => ({
    x: from.x + (to.x - from.x) * at,
    y: from.y + (to.y - from.y) * at,
  });
  return steps.flatMap(down => steps.map(along => on(on(a, b, down), on(d, c, down), along)));
}

describe.each(ARENAS)('$widthM × $lengthM, letters $letters', arena => {
  const ground: PlanGround = { name: '', arena, fall: null, kit: null, horses: [MAYFLY] };
  test.each(SHELF.map(recipe => [recipe.kind, recipe] as const))('%s', (_, recipe) => {
    const plan = { ...EMPTY_PLAN, groupIds: [MAYFLY.id] };
    const placed = placeExercise(plan, ground, { id: 'e', recipe, rein: 'left', horseIds: null, session: null });
    const resolved = resolvePlan(placed.plan, ground);
    const tracks = reckonLayout(resolved.layout);
    const chosenTrack = resolved.layout.tracks[0]!.id;
    const naming = itemNaming(resolved, { chosenTrack, selection: { ids: [], leg: null }, lockedIds: [] });
    const view = sandView(arena, 'along');
    const things = resolved.layout.items.map(item => pointsOver(footprintCorners(item).map(view.toPaper)));
    const ways = tracks.flatMap(track =>
      chainsOf(track).flatMap(chain =>
        Array.from({ length: Math.ceil(chain.lengthM / 0.05) + 1 }, (__, step) =>
          view.toPaper(poseAt(chain, Math.min(chain.lengthM, step * 0.05)).at),
        ),
      ),
    );
    for (const zoom of ZOOMS) {
      const seen = { view, textM: sandTextM(arena) * zoom };
      const labels = sandLabels({ resolved, tracks, arena, chosenTrack, naming, isHere: () => true }, seen);
      const boxes = labels.map(({ shapes }) => boxOf(shapes));
      boxes.forEach((box, index) => {
        expect(boxes.slice(index + 1).filter(other => overlap(box, other))).toEqual([]);
        expect(things.filter(points => points.some(point => isIn(box, point)))).toEqual([]);
        expect(ways.filter(point => isIn(box, point))).toEqual([]);
      });
      // Nothing that is ridden goes without its number.
      const named = new Set(labels.map(({ of }) => of));
      const numbered = resolved.layout.items.filter(item => isRidden(item) && naming(item).number !== null);
      expect(numbered.filter(item => !named.has(item))).toEqual([]);
    }
  });
});
