/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { lineLayout, lineQuestion, testHorse } from '@/components/testing/testLine';
import { applyEvent, EMPTY_LOG, type LessonState, type PassMark, type RecordEvent, type RecordLog } from '@/core';
import { countedSaying, useTestLesson } from '../../_state/testLesson';
import type { BoardProps } from './boardProps';
import { LessonRecordBoard } from './LessonRecordBoard';

const DAY_MS = Date.UTC(2026, 10, 3, 16, 30);
const says: { now: () => ReturnType<ReturnType<typeof countedSaying>>; log: RecordLog } = {
  ...{ now: countedSaying(), log: EMPTY_LOG },
};
jest.mock('@/app/ride/saying', () => ({ saying: () => says.now() }));
jest.mock('../../_state/useLesson', () => ({ useLesson: () => useTestLesson(says.now, says.log) }));
jest.mock('../../run/_state/useVersions', () => ({ useVersions: (layouts: unknown) => layouts }));
jest.mock('@/components/sync/Delivery', () => ({ Delivery: () => null }));
jest.mock('../../_components/ArchiveLesson', () => ({ ArchiveLesson: () => null }));

const HORSE = testHorse('Quill');
const LAYOUT = lineLayout({ horses: [HORSE] });
const QUESTION = lineQuestion('q', 4);
const pass = (id: string, pairId: string, afterMin: number, stageId: string | null = 'line'): RecordEvent => ({
  ...{ type: 'pass', id: `e-${id}`, by: null },
  pass: {
    ...{ id, pairId, layoutVersionId: 'v', lessonId: 'lesson', stageId, stage: stageId ?? 'Before' },
    ...{ question: QUESTION, rein: null, direction: 'as-drawn', riddenAtMs: DAY_MS + afterMin * 60_000 },
  },
});
const down = (passId: string): RecordEvent => ({
  ...{ type: 'mark', id: `e-${passId}-d`, passId, atMs: DAY_MS, by: null },
  mark: { id: `${passId}-d`, kind: 'fence', place: 2, outcome: 'down' } as PassMark,
});

function board(events: readonly RecordEvent[], changes: Partial<BoardProps> = {}) {
  says.log = events.reduce(applyEvent, EMPTY_LOG);
  renderInRoan(
    <LessonRecordBoard
      {...{ lessonId: 'lesson', state: 'ended' as LessonState, over: '18:15', sinceMs: null, isPast: true }}
      {...{ isItsDay: false, first: { number: 1, log: {} as never }, openPassId: null, layouts: { v: LAYOUT } }}
      pairs={[
        { id: 'quill', name: 'Quill with Ode', strides: HORSE },
        { id: 'moth', name: 'Moth with Ines', strides: HORSE },
      ]}
      stages={[
        { id: 'warm', name: 'Warm up', questions: [] },
        { id: 'line', name: 'The line', questions: [QUESTION] },
      ]}
      rules={{ faults: [], riderMarks: [] } as never}
      homeFacingDeg={null}
      timeZone="UTC"
      {...changes}
    />,
  );
}
const stage = (name: string) => within(screen.getByRole('region', { name }));

beforeEach(() => {
  says.now = countedSaying();
});

test('passes stand by the stage that they were ridden in, each with who, when and what went wrong', () => {
  board([pass('one', 'quill', 0), down('one'), pass('two', 'moth', 3), pass('old', 'quill', -20, null)]);
  expect(screen.getAllByRole('heading', { level: 2 }).map(one => one.textContent)).toEqual(
    expect.arrayContaining(['The line', 'Before']),
  );
  expect(screen.queryByRole('region', { name: 'Warm up' })).toBeNull();
  const rows = stage('The line')
    .getAllByRole('listitem')
    .map(one => one.textContent);
  expect(rows[0]).toMatch(/^Quill with Ode, 16:30: .*down/);
  expect(rows[1]).toMatch(/^Moth with Ines, 16:33: .*nothing to mark/);
});

test('a pass is put right where it stands, and what was taken back is apart', () => {
  board([pass('one', 'quill', 0), pass('two', 'moth', 3)]);
  fireEvent.click(stage('The line').getAllByRole('button', { name: 'Put right' })[0]!);
  fireEvent.click(screen.getByRole('button', { name: 'Take this pass back' }));
  expect(stage('Taken back').getAllByRole('listitem')).toHaveLength(1);
  expect(stage('The line').getAllByRole('listitem')).toHaveLength(1);
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('region', { name: 'A pass put right' })).toBeNull();
  expect(screen.getByRole('region', { name: 'The lesson' }).textContent).toContain('1 pass counts');
});

test('what was recorded a day later says so', () => {
  board([{ ...pass('late', 'quill', 0), saidAtMs: DAY_MS + 24 * 3_600_000 } as RecordEvent]);
  expect(stage('The line').getByText(/written down 4 Nov 2026, 16:30/)).toBeTruthy();
});

test('a lesson of before is added to by its own page; one that runs is gone on with and ended', () => {
  board([pass('one', 'quill', 0)]);
  expect(screen.getByRole('link', { name: 'Add passes afterwards' }).getAttribute('href')).toBe(
    '/ride/lessons/lesson/run?write=1',
  );
  expect(screen.queryByRole('button', { name: 'End the lesson' })).toBeNull();
  document.body.replaceChildren();
  board([pass('one', 'quill', 0)], { state: 'running', isPast: false, isItsDay: true });
  expect(screen.getByRole('link', { name: 'Go on teaching' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'End the lesson' }));
  expect(screen.queryByRole('button', { name: 'End the lesson' })).toBeNull();
});

test('an empty record says so, and what was changed can be taken along', () => {
  board([]);
  expect(screen.getByText('Nothing is in this record yet.')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'What was changed (CSV)' }).getAttribute('href')).toBe(
    '/api/lessons/lesson/changes',
  );
});
