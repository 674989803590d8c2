import { howMany } from '../words/howMany';
import type { Item } from '../items/item';
import { kitOfAll, type Kit } from '../items/kit';
import { isRaised } from '../items/pole';
import { isRiddenAnywhere } from '../layout/isRiddenAnywhere';
import type { Layout } from '../layout/layout';
import { applyEdits, type LayoutEdit } from '../layout/layoutEdit';
import { NOWHERE } from './caution';
import type { CautionRule } from './cautionRule';

const PIECES = ['poles', 'stands', 'cups', 'blocks', 'cones', 'fillers', 'markers'] as const;

/** What a layout takes more of than the yard has; a kind that was never counted is unknown, and lacks nothing. */
function missing({ items, kit }: Layout): Partial<Kit> {
  if (!kit) return {};
  const taken = kitOfAll(items);
  return Object.fromEntries(
    PIECES.flatMap(piece => {
      const had = kit[piece];
      return had !== undefined && taken[piece] > had ? [[piece, taken[piece] - had]] : [];
    }),
  );
}

/** A layout that takes more than the yard has. */
export const kitShort: CautionRule = {
  code: 'kit-short',
  find: ({ layout }) => {
    const lacks = Object.entries(missing(layout));
    if (lacks.length === 0) return [];
    return [
      {
        code: 'kit-short',
        level: 'warn',
        items: [],
        place: NOWHERE,
        text: `The yard lacks ${lacks.map(([piece, count]) => howMany(count, piece.slice(0, -1))).join(', ')} for this layout.`,
        mend: 'Build it plainer, or leave something out.',
      },
    ];
  },
  mends: function* ({ layout }): Generator<LayoutEdit[]> {
    const edits: LayoutEdit[] = [];
    let plainer = layout;
    // What costs the exercise least goes first; the last things placed go before the first.
    for (const edit of sheddings(layout)) {
      const lacks = missing(plainer);
      if (Object.keys(lacks).length === 0) break;
      const without = applyEdits(plainer, [edit]);
      const lackedThen = missing(without);
      if (!PIECES.some(piece => (lackedThen[piece] ?? 0) < (lacks[piece] ?? 0))) continue;
      edits.push(edit);
      plainer = without;
    }
    yield edits;
  },
};

/**
 * Everything that can be left out, the dearest to the exercise last: fillers, ground lines, height, markers, loose poles.
 * What is ridden is never taken away.
 */
function* sheddings({ items, tracks }: Layout): Generator<LayoutEdit> {
  const lastFirst = [...items].reverse();
  const fences = lastFirst.filter(item => item.kind === 'fence');
  for (const { id, filler } of fences) if (filler) yield { kind: 'change-fence', item: id, changes: { filler: false } };
  for (const { id, groundLineBeforeM } of fences)
    if (groundLineBeforeM !== null) yield { kind: 'change-fence', item: id, changes: { groundLineBeforeM: null } };
  for (const item of lastFirst)
    if (item.kind === 'pole' && isRaised(item.raised))
      yield { kind: 'raise-pole', item: item.id, raised: { leftM: 0, rightM: 0 } };
  for (const heightM of [0.8, 0.45])
    for (const fence of fences)
      if (fence.heightM > heightM) yield { kind: 'change-fence', item: fence.id, changes: { heightM } };
  const order: Item['kind'][] = ['marker', 'cone', 'block', 'guide', 'pole', 'fence'];
  for (const kind of order)
    for (const item of lastFirst)
      if (item.kind === kind && !isRiddenAnywhere({ tracks }, item.id)) yield { kind: 'remove-item', item: item.id };
}
