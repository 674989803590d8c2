import { dayNumber } from '../words/calendarDay';
import { NO_WORK } from '../work/passWork';
import { USUAL_WORK_LIMITS } from '../work/workCounts';
import { overloads, seasonWeeks, withLessonMoved, type SeasonEntry } from './season';

const monday = dayNumber('2026-11-16');
const entry = (day: number, efforts: number, changes: Partial<SeasonEntry> = {}): SeasonEntry => ({
  ...{ pairId: 'p', horseId: 'h', lessonId: `l${day}`, day: monday + day, kinds: [efforts > 0 ? 'fences' : 'flat'] },
  ...{ work: { ...NO_WORK, lowEfforts: efforts }, reins: { left: 3, right: 2 }, isPlanned: false, ...changes },
});

test('a week has its days of work, its reins and its rest; a day of two lessons is one day', () => {
  const weeks = seasonWeeks(
    [entry(1, 20), entry(1, 10, { lessonId: 'x', kinds: ['poles'] }), entry(6, 0), entry(7, 30, { isPlanned: true })],
    'p',
    monday,
    2,
    USUAL_WORK_LIMITS,
  );
  expect(weeks.map(({ restDays, reins }) => [restDays, reins.left, reins.right])).toEqual([
    [5, 9, 6],
    [6, 3, 2],
  ]);
  expect(weeks[0]!.days[0]).toMatchObject({ kinds: ['poles', 'fences'], efforts: 30, share: 0.5, isPlanned: false });
  const both = entry(0, 0, { work: { ...NO_WORK, lowEfforts: 8, highEfforts: 5 } });
  expect(seasonWeeks([both], 'p', monday, 1, USUAL_WORK_LIMITS)[0]!.days[0]!.efforts).toBe(13);
  expect(weeks[1]!.days[0]).toMatchObject({ isPlanned: true });
});

// Two jumping days in seven and 60 low efforts a day (common practice).
describe('what is too much is seen before it comes', () => {
  const said = (entries: SeasonEntry[]) => overloads(entries, USUAL_WORK_LIMITS).map(({ day }) => day - monday);
  test('three jumping days in seven, at the third of them, whoever rides the horse', () => {
    expect(said([entry(0, 10), entry(3, 10), entry(6, 10, { pairId: 'q', isPlanned: true })])).toEqual([6]);
    expect(said([entry(0, 10), entry(3, 10), entry(7, 10)])).toEqual([]);
    expect(said([entry(0, 10), entry(3, 10), entry(6, 10, { horseId: 'other' })])).toEqual([]);
    expect(said([entry(0, 10), entry(3, 10), entry(6, 0)])).toEqual([]);
  });
  test('a day that is full, with what is planned for it', () => {
    expect(said([entry(2, 40), entry(2, 20, { lessonId: 'x', isPlanned: true })])).toEqual([2]);
    expect(said([entry(2, 40), entry(2, 19, { lessonId: 'x', isPlanned: true })])).toEqual([]);
  });
  test('a lesson moved away mends it; what was ridden stays where it was', () => {
    const entries = [entry(0, 10), entry(3, 10), entry(6, 10, { isPlanned: true })];
    expect(said(withLessonMoved(entries, 'l6', 1))).toEqual([]);
    expect(said(withLessonMoved(entries, 'l3', 10))).toEqual([6]);
  });
});
