import { testQuestion } from '../question/testQuestion';
import { changedAfterwards } from './changedAfterwards';
import type { RecordChange } from './recordChange';
import { EMPTY_LOG, type RecordLog } from './recordLog';

const HOUR_MS = 3600 * 1000;
const LOG: RecordLog = {
  ...EMPTY_LOG,
  passes: [
    {
      ...{ saidAtMs: 0, by: null, counts: true },
      pass: {
        ...{ id: 'p', pairId: 'a', layoutVersionId: 'v', lessonId: 'l', stageId: 's', stage: 's', riddenAtMs: 0 },
        ...{ question: testQuestion('row'), rein: 'left', direction: 'as-drawn' },
      },
      marks: [{ saidAtMs: 5, by: null, counts: true, mark: { id: 'm', kind: 'hit', place: 1 } }],
    },
  ],
};
const own = (id: string, atMs: number) => ({ id, from: [], atMs, by: null, undoes: null });
const takenBack = (of: 'p' | 'm', atMs: number): RecordChange => ({
  ...{ ...own(`${of}${atMs}`, atMs), of, what: 'counts', was: true, to: false },
  on: of === 'p' ? 'pass' : 'mark',
});
const found = (log: RecordLog) => changedAfterwards(log).map(({ id }) => id);

test('what is taken back while it is ridden is no correction; an hour later, or once the lesson is over, it is one', () => {
  const changes = [takenBack('m', 20_000), takenBack('p', 2 * HOUR_MS)];
  expect(found({ ...LOG, changes })).toEqual([`p${2 * HOUR_MS}`]);
  expect(found({ ...LOG, changes, endedAtMs: 10_000 })).toEqual(['m20000', `p${2 * HOUR_MS}`]);
});

test('what is done to the lesson itself is always told; a pass that is dated back too', () => {
  const archived: RecordChange = { ...own('a', 1), on: 'lesson', of: 'l', what: 'archived', was: false, to: true };
  const dated: RecordChange = { ...own('d', 9000), on: 'pass', of: 'p', what: 'time', was: 8000, to: -24 * HOUR_MS };
  expect(found({ ...LOG, changes: [archived, dated] })).toEqual(['a', 'd']);
});
