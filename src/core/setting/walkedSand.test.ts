import type { Arena } from '../arena/arena';
import { reckonLayout } from '../layout/reckonLayout';
import { walkedSand, type WalkedLine } from './walkedSand';

const ARENA: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const idOf = (index: number) => `p${index + 1}`;
const line = (more: Partial<WalkedLine> = {}): WalkedLine => ({
  ...{ from: 'near', fromLeftHandM: 10 },
  pieces: [
    { gapM: 12, choice: 'vertical' },
    { gapM: 18, choice: 'oxer' },
    { gapM: 14.4, choice: 'vertical' },
  ],
  ...more,
});

test('what was walked from rail to rail is the ground that is reckoned', () => {
  const walked = walkedSand(ARENA, line(), idOf);
  if (!walked.ok) throw new Error(walked.reason);
  const { items, track } = walked;
  expect(items[0]!.at).toEqual({ xM: 10, yM: expect.closeTo(12, 9) });
  const layout = {
    ...{ name: 'sand', arena: ARENA, fall: null, school: 'whole-stride' as const, horses: [], kit: null },
    ...{ items, tracks: [track!] },
  };
  const [reckoned] = reckonLayout(layout);
  const grounds = reckoned!.kind === 'items' ? reckoned!.legs.map(({ groundM }) => groundM) : [];
  expect(grounds).toEqual([expect.closeTo(18, 6), expect.closeTo(14.4, 6)]);
});

test.each([
  ['near', 6, { xM: 6, yM: 12 }],
  ['far', 6, { xM: 14, yM: 48 }],
  ['left', 6, { xM: 12, yM: 54 }],
  ['right', 6, { xM: 8, yM: 6 }],
] as const)('from the %s wall, the wall on the left hand 6 m away', (from, fromLeftHandM, at) => {
  const walked = walkedSand(ARENA, line({ from, fromLeftHandM, pieces: [{ gapM: 12, choice: 'pole' }] }), idOf);
  expect(walked.ok && walked.items[0]!.at).toEqual({ xM: expect.closeTo(at.xM, 9), yM: expect.closeTo(at.yM, 9) });
});

test.each([
  [line({ fromLeftHandM: 25 }), null, 'does not run over the sand'],
  [
    line({
      pieces: [
        { gapM: 12, choice: 'pole' },
        { gapM: 0, choice: 'pole' },
      ],
    }),
    1,
    'Walk to it',
  ],
  [line({ pieces: [{ gapM: 70, choice: 'vertical' }] }), 0, 'outside the arena'],
  [line({ fromLeftHandM: 0.5, pieces: [{ gapM: 12, choice: 'vertical' }] }), 0, 'outside the arena'],
])('what cannot be is said, with the piece it is about (%#)', (walk, piece, words) => {
  expect(walkedSand(ARENA, walk, idOf)).toMatchObject({ ok: false, piece, reason: expect.stringContaining(words) });
});
