import type { PointM } from '../geometry/pointM';
import { FENCE_FORMS, type FenceForm, type Item } from '../items/item';

/** What can be laid down by hand. */
export type ItemChoice = 'pole' | 'raised pole' | FenceForm | 'guide' | 'cone' | 'block' | 'marker';

export const ITEM_CHOICES: readonly ItemChoice[] = [
  'pole',
  'raised pole',
  ...FENCE_FORMS,
  'guide',
  'cone',
  'block',
  'marker',
];

/** Common practice, no source: what an item is like when it is carried out, before anybody changes it. */
const POLE_M = 3;
const FENCE_WIDTH_M = 3;
const NARROW_WIDTH_M = 1.5;
const HEIGHT_M = 0.6;
const RAISED_M = 0.15;
const SPREAD_M: Partial<Record<FenceForm, number>> = { oxer: 0.6, 'triple-bar': 0.9, corner: 0.6 };

/** A new item at its place, facing the way it is ridden. */
export function newItem(choice: ItemChoice, id: string, at: PointM, headingRad: number): Item {
  switch (choice) {
    case 'pole':
    case 'raised pole': {
      const raisedM = choice === 'pole' ? 0 : RAISED_M;
      return {
        kind: 'pole',
        id,
        name: null,
        at,
        headingRad,
        lengthM: POLE_M,
        raised: { leftM: raisedM, rightM: raisedM },
      };
    }
    case 'guide':
      return { kind: 'guide', id, name: null, at, headingRad, lengthM: POLE_M };
    case 'cone':
    case 'marker':
      return { kind: choice, id, name: null, at };
    case 'block':
      return { kind: 'block', id, name: null, at, heightM: RAISED_M };
    default:
      return {
        ...{ kind: 'fence', id, name: null, form: choice, at, headingRad },
        widthM: choice === 'narrow' ? NARROW_WIDTH_M : FENCE_WIDTH_M,
        heightM: HEIGHT_M,
        spreadM: SPREAD_M[choice] ?? 0,
        // What has a lower front than back is ridden from its front alone.
        ridden: choice === 'triple-bar' || choice === 'corner' ? 'one-way' : 'both-ways',
        groundLineBeforeM: null,
        sideHeightM: choice === 'cross-rail' ? HEIGHT_M * 2 : null,
        filler: choice === 'wall',
        corner: choice === 'corner' ? { narrowEnd: 'left', aimFromFlagM: null } : null,
      };
  }
}
