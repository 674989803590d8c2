import type { TappedMark } from '../record/passMark';
import { riddenLegs, riddenShown } from './riddenLegs';
import { passMaker } from './testPasses';

const strides = (count: number): TappedMark => ({ kind: 'strides', place: 1, count });
const LEGS = [{ from: 'heron', to: 'willow', asked: null }];

test('counts are told by what the leg lies between, as far as it lay, pair by pair', () => {
  const pass = passMaker();
  const legs = riddenLegs([
    pass({ pairId: 'quill' }, strides(4)),
    pass({ pairId: 'quill' }, strides(4)),
    pass({ pairId: 'quill' }, strides(5)),
    pass({ pairId: 'quill' }, strides(9), { kind: 'void' }),
    pass({ pairId: 'barley' }),
    pass({ pairId: 'quill', version: 'w', groundM: 18.6 }, strides(5)),
  ]);
  expect(legs).toEqual([
    {
      ...{ fromId: 'heron', toId: 'willow', groundM: 18.1, pairId: 'quill' },
      counts: [
        { count: 4, times: 2 },
        { count: 5, times: 1 },
      ],
    },
    { fromId: 'heron', toId: 'willow', groundM: 18.6, pairId: 'quill', counts: [{ count: 5, times: 1 }] },
  ]);
});

test('a lesson is shown by its legs and its reins; the last word on a count holds', () => {
  const pass = passMaker();
  const shown = riddenShown(
    [
      pass({ rein: 'left' }, strides(4), strides(5)),
      pass({ rein: 'left' }, { kind: 'fence', place: 2, outcome: 'down' }),
      pass({ rein: 'right' }, strides(4)),
      pass({ rein: 'right' }, { kind: 'void' }),
    ],
    () => LEGS,
  );
  expect(shown.clean).toEqual({ left: { of: 2, hits: 1 }, right: { of: 1, hits: 1 } });
  expect(shown.legs).toEqual([
    {
      ...{ key: 'heron willow ', name: 'heron to willow', asked: null },
      counts: [
        { count: 4, times: 1 },
        { count: 5, times: 1 },
      ],
    },
  ]);
  expect(riddenShown([], () => LEGS)).toEqual({
    legs: [],
    clean: { left: { of: 0, hits: 0 }, right: { of: 0, hits: 0 } },
  });
});
