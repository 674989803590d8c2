import { arenaLetters } from '../arena/arenaLetters';
import { arenaLines } from '../arena/arenaLines';
import type { Arena } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import type { Item } from '../items/item';

/** What a dragged thing was drawn to, to be shown while it is dragged. */
export type SnapGuide =
  | { kind: 'line'; words: string; from: PointM; to: PointM }
  | { kind: 'ring'; words: string; centre: PointM; radiusM: number };

/** A guide is met to the half centimetre. */
const ON_GUIDE_M = 0.005;

/** Whether a place lies on a guide. */
export function isOnGuide(guide: SnapGuide, at: PointM): boolean {
  if (guide.kind === 'ring') return Math.abs(distanceM(at, guide.centre) - guide.radiusM) <= ON_GUIDE_M;
  const { from, to } = guide;
  const [alongX, alongY] = [to.xM - from.xM, to.yM - from.yM];
  const crossed = alongX * (at.yM - from.yM) - alongY * (at.xM - from.xM);
  return Math.abs(crossed) <= ON_GUIDE_M * Math.hypot(alongX, alongY);
}

export type Snapped = { at: PointM; guides: SnapGuide[] };

export type SnapScene = {
  arena: Arena;
  others: readonly Item[];
  /** What another item is called. */
  labelOf: (itemId: string) => string;
  reachM: number;
};

/** Common practice, no source: the circles that are ridden most. */
const RING_RADII_M = [10, 7.5, 5];
const CM = 100;

type Pull = { value: number; guide: SnapGuide };

/**
 * Draws a place to the lines and letters of the arena, to the lines of other items, and else to the usual circles; what is
 * near nothing lies on the whole centimetre.
 */
export function snapPlace(at: PointM, scene: SnapScene): Snapped {
  const x = nearest(at.xM, acrossPulls(scene), scene.reachM);
  const y = nearest(at.yM, alongPulls(scene), scene.reachM);
  if (x || y) {
    const to = { xM: x?.value ?? rounded(at.xM), yM: y?.value ?? rounded(at.yM) };
    return { at: to, guides: [x, y].flatMap(pull => (pull ? [pull.guide] : [])) };
  }
  return slantedLine(at, scene) ?? ring(at, scene) ?? { at: { xM: rounded(at.xM), yM: rounded(at.yM) }, guides: [] };
}

const rounded = (valueM: number) => Math.round(valueM * CM) / CM;

function nearest(value: number, pulls: readonly Pull[], reachM: number): Pull | null {
  let best: Pull | null = null;
  for (const pull of pulls) {
    const awayM = Math.abs(pull.value - value);
    if (awayM <= reachM && (best === null || awayM < Math.abs(best.value - value))) best = pull;
  }
  return best;
}

/** Lines along the arena: its own, and those through other items. */
function acrossPulls({ arena, others, labelOf }: SnapScene): Pull[] {
  const line = (xM: number, words: string): Pull => ({
    value: xM,
    guide: { kind: 'line', words, from: { xM, yM: 0 }, to: { xM, yM: arena.lengthM } },
  });
  const own = arenaLines(arena).flatMap(({ name, from, to }) => (from.xM === to.xM ? [line(from.xM, name)] : []));
  return [...own, ...others.map(({ id, at }) => line(at.xM, `in line with ${labelOf(id)}`))];
}

/** Lines across the arena: its own, from letter to letter, and those through other items. */
function alongPulls({ arena, others, labelOf }: SnapScene): Pull[] {
  const line = (yM: number, words: string): Pull => ({
    value: yM,
    guide: { kind: 'line', words, from: { xM: 0, yM }, to: { xM: arena.widthM, yM } },
  });
  const own = arenaLines(arena).flatMap(({ name, from, to }) => (from.yM === to.yM ? [line(from.yM, name)] : []));
  const letters = arenaLetters(arena).flatMap(({ letter, at }) =>
    at.yM > 0 && at.yM < arena.lengthM ? [line(at.yM, `level with ${letter}`)] : [],
  );
  return [...own, ...letters, ...others.map(({ id, at }) => line(at.yM, `level with ${labelOf(id)}`))];
}

const SLANT_RAD = 0.02;

/** The line straight ahead of another item that is not square to the arena. */
function slantedLine(at: PointM, { others, labelOf, reachM, arena }: SnapScene): Snapped | null {
  for (const item of others) {
    if (!('headingRad' in item)) continue;
    const [cos, sin] = [Math.cos(item.headingRad), Math.sin(item.headingRad)];
    if (Math.min(Math.abs(cos), Math.abs(sin)) < SLANT_RAD) continue;
    const aheadM = (at.xM - item.at.xM) * cos + (at.yM - item.at.yM) * sin;
    const on = { xM: item.at.xM + aheadM * cos, yM: item.at.yM + aheadM * sin };
    if (distanceM(on, at) > reachM) continue;
    const reach = arena.widthM + arena.lengthM;
    const from = { xM: item.at.xM - reach * cos, yM: item.at.yM - reach * sin };
    const to = { xM: item.at.xM + reach * cos, yM: item.at.yM + reach * sin };
    return { at: on, guides: [{ kind: 'line', words: `straight from ${labelOf(item.id)}`, from, to }] };
  }
  return null;
}

/** The circles in the middle and at both ends of the arena. */
function ring(at: PointM, { arena, reachM }: SnapScene): Snapped | null {
  const xM = arena.widthM / 2;
  for (const radiusM of RING_RADII_M.filter(radius => radius <= xM + 1e-9))
    for (const yM of [radiusM, arena.lengthM / 2, arena.lengthM - radiusM]) {
      const centre = { xM, yM };
      const awayM = distanceM(centre, at);
      if (awayM === 0 || Math.abs(awayM - radiusM) > reachM) continue;
      const share = radiusM / awayM;
      const on = { xM: xM + (at.xM - xM) * share, yM: yM + (at.yM - yM) * share };
      return { at: on, guides: [{ kind: 'ring', words: `on the ${2 * radiusM} m circle`, centre, radiusM }] };
    }
  return null;
}
