import { usualGroundLineM } from '../items/groundLine';
import type { Fence } from '../items/item';
import { NOWHERE, type Caution } from './caution';
import { ROUNDING } from './cautionLimits';
import { called, metres, metresBy, sentence, type CautionRule } from './cautionRule';

/** A ground line lies at most so far out, metres (practice): before a vertical 0.2 to 0.4 m, at an oxer close to its front. */
const FARTHEST_M = 0.6;
const OXER_FARTHEST_M = 0.3;

const farthestM = ({ form }: Fence) => (form === 'oxer' ? OXER_FARTHEST_M : FARTHEST_M);

/** A ground line so far out that it is a pole to jump by itself, or that makes an oxer wider. */
export const groundLineFar: CautionRule = {
  code: 'ground-line-far',
  find: context =>
    context.layout.items.flatMap((item): Caution[] => {
      if (item.kind !== 'fence' || item.groundLineBeforeM === null) return [];
      if (item.groundLineBeforeM <= farthestM(item) + ROUNDING) return [];
      return [
        {
          code: 'ground-line-far',
          level: 'warn',
          items: [item.id],
          place: NOWHERE,
          text: sentence(
            `The ground line of ${called(context, item.id)} lies ${metresBy(item.groundLineBeforeM, farthestM(item))} before its front; ${metres(farthestM(item))} is the most${item.form === 'oxer' ? ' at an oxer, and close in is usual' : ''}.`,
          ),
          mend: 'Bring it in.',
        },
      ];
    }),
  mends: ({ layout }, { items: [id] }) => {
    const fence = layout.items.find(item => item.id === id);
    if (fence?.kind !== 'fence') return [];
    const changes = { groundLineBeforeM: usualGroundLineM(fence.form) };
    return [[{ kind: 'change-fence' as const, item: fence.id, changes }]];
  },
};
