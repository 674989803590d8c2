import { testQuestion } from '../question/testQuestion';
import { doubledPasses } from './doubledPasses';
import type { LoggedPass } from './recordLog';

const pass = (id: string, by: string | null, atMs: number, changes: object = {}): LoggedPass => ({
  ...{ by, saidAtMs: atMs, counts: true, marks: [], ...changes },
  pass: {
    ...{ id, pairId: 'juniper', layoutVersionId: 'v', lessonId: 'l', stageId: 's', stage: 's' },
    ...{ question: testQuestion('row'), rein: 'left', direction: 'as-drawn', riddenAtMs: atMs },
    ...changes,
  },
});
const found = (...passes: LoggedPass[]) => doubledPasses({ passes }).map(both => both.map(one => one.pass.id));

test('one pass that two people recorded is told; what one person tapped twice, or what lies apart, is not', () => {
  expect(found(pass('a', 'Mira', 0), pass('b', 'Tam', 8000))).toEqual([['a', 'b']]);
  expect(found(pass('b', 'Tam', 8000), pass('a', 'Mira', 0))).toEqual([['a', 'b']]);
  expect(found(pass('a', 'Mira', 0), pass('b', 'Mira', 8000))).toEqual([]);
  expect(found(pass('a', 'Mira', 0), pass('b', 'Tam', 60_000))).toEqual([]);
  expect(found(pass('a', 'Mira', 0), pass('b', 'Tam', 8000, { pairId: 'alder' }))).toEqual([]);
  expect(found(pass('a', 'Mira', 0), pass('b', 'Tam', 8000, { question: testQuestion('line') }))).toEqual([]);
  expect(found(pass('a', 'Mira', 0), { ...pass('b', 'Tam', 8000), counts: false })).toEqual([]);
});
