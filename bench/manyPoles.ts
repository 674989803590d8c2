import { EMPTY_PLAN, seededRandom, type Arena, type Plan } from '@/core';

/** So many poles, each lying anywhere on the sand: the same every time. */
export function manyPoles({ widthM, lengthM }: Pick<Arena, 'widthM' | 'lengthM'>, pieces: number): Plan {
  const random = seededRandom(pieces);
  const items = Array.from({ length: pieces }, (_, at) => ({
    ...{ kind: 'pole' as const, id: `pole ${at}`, name: null, lengthM: 3, raised: { leftM: 0, rightM: 0 } },
    at: { xM: 2 + random() * (widthM - 4), yM: 2 + random() * (lengthM - 4) },
    headingRad: random() * 2 * Math.PI,
  }));
  return { ...EMPTY_PLAN, items };
}
