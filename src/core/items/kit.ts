import { assertNever } from '../assertNever';
import type { Fence, Item } from './item';
import { isRaised } from './pole';

/** Pieces of kit, by what they are called in the store. */
export type Kit = {
  poles: number;
  /** Single stands; a pair is two. */
  stands: number;
  cups: number;
  blocks: number;
  cones: number;
  fillers: number;
  markers: number;
};

/** What a yard has, by kind; a kind that was never counted is unknown, and missing here. */
export type KitAtHand = Partial<Kit>;

const NOTHING: Kit = { poles: 0, stands: 0, cups: 0, blocks: 0, cones: 0, fillers: 0, markers: 0 };

/** What an item takes out of the store (common practice, no source; rails by the height of the front). */
export function kitOf(item: Item): Kit {
  switch (item.kind) {
    case 'pole': {
      const blocks = isRaised(item.raised) ? Number(item.raised.leftM > 0) + Number(item.raised.rightM > 0) : 0;
      return { ...NOTHING, poles: 1, blocks };
    }
    case 'fence':
      return fenceKit(item);
    case 'guide':
      return { ...NOTHING, poles: 1 };
    case 'cone':
      return { ...NOTHING, cones: 1 };
    case 'block':
      return { ...NOTHING, blocks: 1 };
    case 'marker':
      return { ...NOTHING, markers: 1 };
    default:
      return assertNever(item);
  }
}

/** All the kit of a layout. */
export function kitOfAll(items: readonly Item[]): Kit {
  return items.reduce<Kit>((sum, item) => addKit(sum, kitOf(item)), NOTHING);
}

/** Whether things want more than there is; a kind that was never counted is unknown, not none. */
export function isShortOf(items: readonly Item[], atHand: KitAtHand): boolean {
  const needed = kitOfAll(items);
  return (Object.keys(atHand) as (keyof Kit)[]).some(kind => needed[kind] > (atHand[kind] ?? Infinity));
}

function addKit(a: Kit, b: Kit): Kit {
  return {
    poles: a.poles + b.poles,
    stands: a.stands + b.stands,
    cups: a.cups + b.cups,
    blocks: a.blocks + b.blocks,
    cones: a.cones + b.cones,
    fillers: a.fillers + b.fillers,
    markers: a.markers + b.markers,
  };
}

function fenceKit(fence: Fence): Kit {
  const { rails, stands } = railsAndStands(fence);
  const groundLine = fence.groundLineBeforeM === null ? 0 : 1;
  const fillers = (fence.filler ? 1 : 0) + (fence.form === 'wall' ? 1 : 0);
  return { ...NOTHING, poles: rails + groundLine, stands, cups: rails * 2, fillers };
}

function frontRails(heightM: number): number {
  if (heightM < 0.5) return 1;
  return heightM < 0.9 ? 2 : 3;
}

function railsAndStands({ form, heightM }: Fence): { rails: number; stands: number } {
  switch (form) {
    case 'cross-rail':
      return { rails: 2, stands: 2 };
    case 'vertical':
    case 'narrow':
      return { rails: frontRails(heightM), stands: 2 };
    case 'oxer':
      return { rails: frontRails(heightM) + 1, stands: 4 };
    case 'triple-bar':
      return { rails: 3, stands: 6 };
    case 'wall':
      return { rails: 1, stands: 2 };
    case 'corner':
      return { rails: frontRails(heightM) + 1, stands: 3 };
    default:
      return assertNever(form);
  }
}
