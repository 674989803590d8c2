import type { Fence, FenceForm, Item } from '../items/item';
import type { Pole } from '../items/pole';

/** How the pieces of a layout are built for a question, by item id. What is not named stands as it was laid out. */
export type BuiltState = {
  /** Left out: not there, or not ridden. */
  out: readonly string[];
  /** Fences that lie as poles on the ground. */
  asPole: readonly string[];
  /** How high both ends of a pole are raised, metres. */
  raisedM: Readonly<Record<string, number>>;
  /** How high a fence stands, metres. */
  heightM: Readonly<Record<string, number>>;
  /** What a fence is built as. */
  form: Readonly<Record<string, FenceForm>>;
};

export const AS_LAID_OUT: BuiltState = { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} };

/** Common practice, no source: heights go up and down by a hole. */
export const HOLE_M = 0.05;

/** One state over another: what the second says of a piece counts. A fence with a height of its own is no pole. */
export function overState(below: BuiltState, above: BuiltState): BuiltState {
  const stands = (id: string) => id in above.heightM && !above.asPole.includes(id);
  return {
    out: [...new Set([...below.out, ...above.out])],
    asPole: [...new Set([...below.asPole.filter(id => !stands(id)), ...above.asPole])],
    raisedM: { ...below.raisedM, ...above.raisedM },
    heightM: { ...below.heightM, ...above.heightM },
    form: { ...below.form, ...above.form },
  };
}

/** An item as it is built in a state; null where it is left out. */
export function builtItem(item: Item, state: BuiltState): Item | null {
  if (state.out.includes(item.id)) return null;
  if (item.kind === 'pole') {
    const raisedM = state.raisedM[item.id];
    return raisedM === undefined ? item : { ...item, raised: { leftM: raisedM, rightM: raisedM } };
  }
  if (item.kind !== 'fence') return item;
  if (state.asPole.includes(item.id)) return asPole(item);
  const [form, heightM] = [state.form[item.id], state.heightM[item.id]];
  return form === undefined && heightM === undefined ? item : builtAs(item, form ?? item.form, heightM ?? item.heightM);
}

function asPole({ id, name, at, headingRad, widthM }: Fence): Pole {
  return { kind: 'pole', id, name, at, headingRad, lengthM: widthM, raised: { leftM: 0, rightM: 0 } };
}

/** Another form keeps its place; a spread belongs to the forms that have one. */
function builtAs(fence: Fence, form: FenceForm, heightM: number): Fence {
  const spreads = form === 'oxer' || form === 'triple-bar' || form === 'corner';
  return {
    ...{ ...fence, form, heightM },
    spreadM: spreads ? fence.spreadM : 0,
    sideHeightM: form === 'cross-rail' ? sideHeightM(fence, heightM) : null,
    corner: form === 'corner' ? fence.corner : null,
  };
}

/** The sides of a cross-rail go up and down with its middle. */
function sideHeightM(fence: Fence, heightM: number): number {
  if (fence.form !== 'cross-rail' || fence.sideHeightM === null) return heightM * 2;
  return fence.sideHeightM + heightM - fence.heightM;
}
