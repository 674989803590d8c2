import type { DayPass } from './reviewPass';
import { riderWorkDone } from './riderWork';

const MIN = 60_000;

const pass = (day: string, atMin: number, stageId: string | null, layoutVersionId = 'seat 1', isVoid = false) =>
  ({
    day,
    stageId,
    layoutVersionId,
    isVoid,
    riddenAtMs: Number(day.slice(-2)) * 24 * 60 * MIN + atMin * MIN,
  }) as DayPass;

const layoutOf = (version: string) => version.split(' ')[0]!;

it('adds up what was ridden at stages that watch the rider, layout by layout, the latest first', () => {
  const passes = [
    // Two stages of one day: 2 and 2 minutes, and one by itself.
    ...[pass('2026-04-01', 0, 'walk'), pass('2026-04-01', 2, 'walk'), pass('2026-04-01', 4, 'trot')],
    // Another version of the same layout, a week later: 3 and 3.
    ...[pass('2026-04-08', 0, 'trot', 'seat 2'), pass('2026-04-08', 3, 'trot', 'seat 2')],
    pass('2026-04-20', 0, 'hands', 'rein 1'),
    // Given up, not of the rider, or by itself.
    pass('2026-04-21', 0, 'trot', 'seat 2', true),
    pass('2026-04-21', 5, 'course', 'course 1'),
    pass('2026-04-21', 9, null, 'seat 2'),
  ];
  expect(riderWorkDone(passes, new Set(['walk', 'trot', 'hands']), layoutOf)).toEqual([
    { layoutId: 'rein', minutes: 1, passes: 1, days: 1, lastDay: '2026-04-20' },
    { layoutId: 'seat', minutes: 4 + 1 + 6, passes: 5, days: 2, lastDay: '2026-04-08' },
  ]);
});

it('says nothing where the rider was never watched', () => {
  expect(riderWorkDone([pass('2026-04-01', 0, 'walk')], new Set(), layoutOf)).toEqual([]);
});
