import type { Item } from '../items/item';

export const DISCLAIMER = 'Roan does not replace a qualified instructor, your federation’s rules or a vet.';

const ALWAYS = ['Helmet and proper footwear, every time.'];

const OVER_POLES = [
  'No loose pole where a horse can step on it and roll it: block or dig in what lies alone.',
  'A pole that a horse keeps hitting comes down or out.',
];

const OVER_FENCES = [
  'Somebody is on the ground whenever fences are jumped.',
  'Empty cups off the stands.',
  'No green pair at a distance that is called too tight, too far or between.',
];

const STOP = 'Stop at signs of pain, tiredness or unevenness, and ask a vet.';

/** What always holds for work like this, shown wherever it is planned, set or ridden (common practice, no source). */
export function usualCautions(items: readonly Pick<Item, 'kind'>[]): string[] {
  return [
    ...ALWAYS,
    ...(items.some(({ kind }) => kind === 'fence') ? OVER_FENCES : []),
    ...(items.some(({ kind }) => kind === 'pole' || kind === 'guide') ? OVER_POLES : []),
    STOP,
  ];
}
