import type { PointM } from '../geometry/pointM';
import type { Pole } from './pole';

export type FenceForm = 'cross-rail' | 'vertical' | 'oxer' | 'triple-bar' | 'wall' | 'narrow' | 'corner';

export const FENCE_FORMS: readonly FenceForm[] = [
  'cross-rail',
  'vertical',
  'oxer',
  'triple-bar',
  'wall',
  'narrow',
  'corner',
];

/** A fence. `headingRad` is the way it is ridden from its front; `spreadM` runs that way, `widthM` across it. */
export type Fence = {
  kind: 'fence';
  id: string;
  name: string | null;
  form: FenceForm;
  at: PointM;
  headingRad: number;
  widthM: number;
  heightM: number;
  spreadM: number;
  ridden: 'one-way' | 'both-ways';
  /** A pole on the ground, so far before the front; null for none. Negative is behind the front: false. */
  groundLineBeforeM: number | null;
  /** The height at the stands of a cross-rail, whose `heightM` is at its middle; null where it is not known. */
  sideHeightM: number | null;
  filler: boolean;
  /** How a corner stands and where it is ridden; null for every other form. */
  corner: CornerShape | null;
};

/**
 * A corner: its front and back rails meet at the flag on the narrow end, as ridden from its front. `spreadM` is the spread
 * over its middle; over the aim, so far from the flag, it is narrower in proportion. Without an aim it is ridden in the
 * middle.
 */
export type CornerShape = { narrowEnd: 'left' | 'right'; aimFromFlagM: number | null };

/** A pole that guides, lying along `headingRad` or leaning on a fence. */
export type GuideRail = {
  kind: 'guide';
  id: string;
  name: string | null;
  at: PointM;
  headingRad: number;
  lengthM: number;
};

export type Cone = { kind: 'cone'; id: string; name: string | null; at: PointM };
export type Block = { kind: 'block'; id: string; name: string | null; at: PointM; heightM: number };
/** Something to look or ride at: a flag, a sight mark, a helper. */
export type Marker = { kind: 'marker'; id: string; name: string | null; at: PointM };

/**
 * Everything that lies or stands on the sand. An `id` is made once, means nothing and is never shown; a `name` is what
 * somebody gave, null where nobody did.
 */
export type Item = Pole | Fence | GuideRail | Cone | Block | Marker;

/** What is ridden over. */
export type RiddenItem = Pole | Fence;

export function isRidden(item: Item): item is RiddenItem {
  return item.kind === 'pole' || item.kind === 'fence';
}
