import type { Fence } from '../items/item';
import type { Layout } from '../layout/layout';
import { NOWHERE } from './caution';
import { called, sentence, type CautionContext, type CautionRule } from './cautionRule';

/** Common practice, no source: out before a vertical, in against the front rail of everything else. */
const OUT_M = 0.3;

function riddenFromBehind(layout: Layout, id: string): boolean {
  return layout.tracks.some(
    track => track.kind === 'items' && track.through.some(({ item, reversed }) => item === id && reversed),
  );
}

/** A ground line behind the front is false; so is the one before it once the fence is ridden from behind. */
function whyFalse(context: CautionContext, { id, groundLineBeforeM }: Fence): string | null {
  if (groundLineBeforeM === null) return null;
  if (groundLineBeforeM < 0)
    return `The ground line of ${called(context, id)} lies behind its front: a horse takes off too near.`;
  return groundLineBeforeM > 0 && riddenFromBehind(context.layout, id)
    ? `${sentence(called(context, id))} is ridden from behind too, and from there its ground line is false.`
    : null;
}

export const falseGroundLine: CautionRule = {
  code: 'false-ground-line',
  find: context =>
    context.layout.items.flatMap(item => {
      const text = item.kind === 'fence' ? whyFalse(context, item) : null;
      if (text === null) return [];
      return [
        {
          code: 'false-ground-line' as const,
          level: 'stop' as const,
          items: [item.id],
          place: NOWHERE,
          text,
          mend: 'Pull it out in front, or take it away; nobody rides at a false ground line.',
        },
      ];
    }),
  mends: ({ layout }, { items: [id] }) => {
    const fence = layout.items.find(item => item.id === id);
    if (fence?.kind !== 'fence') return [];
    const beforeM = fence.form === 'vertical' ? OUT_M : 0;
    return [beforeM, null].map(groundLineBeforeM => [
      { kind: 'change-fence' as const, item: fence.id, changes: { groundLineBeforeM } },
    ]);
  },
};
