import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { daysLater, instantOf } from '@/app/_server/yardTime';
import { dayShare, daysInMonth } from '@/core';
import { workByPair } from '@/data/queries/earlierWork';
import { listPairs } from '@/data/queries/pairs';
import { yardRules } from '@/data/queries/settings';

/** A pair's month: for each day that it worked, its efforts, the minutes on small circles, and how much of a day's work that is. */
export type MonthOfPair = {
  id: string;
  horse: string;
  rider: string;
  days: { day: number; efforts: number; circleMin: number; share: number }[];
};

/** The work of every pair in a month of the yard's calendar: ?month=2026-11. */
export const GET = answering(may.help, async (request: Request) => {
  const month = new URL(request.url).searchParams.get('month') ?? '';
  const [, year, of] = /^(\d{4})-(0[1-9]|1[0-2])$/.exec(month) ?? [];
  if (year === undefined || of === undefined) return problemAnswer(400, 'The month is written like 2026-11.');
  const { db, yard } = await yardContext();
  const firstMs = instantOf(`${month}-01T00:00`, yard.timeZone);
  if (firstMs === null) return problemAnswer(400, 'This month is none.');
  const days = daysInMonth(Number(year), Number(of));
  const daysMs = Array.from({ length: days + 1 }, (_, day) => daysLater(firstMs, day, yard.timeZone));
  const { limits } = await yardRules(db, yard.id);
  const done = await workByPair(db, yard.id, daysMs, Date.now());
  const pairs = (await listPairs(db, yard.id)).flatMap(({ id, horseName, riderName }): MonthOfPair[] => {
    const own = done.filter(({ pairId }) => pairId === id);
    if (own.length === 0) return [];
    return [
      {
        ...{ id, horse: horseName, rider: riderName },
        days: own
          .map(({ day, work }) => ({
            day: day + 1,
            efforts: work.lowEfforts + work.highEfforts,
            circleMin: work.smallCircleMin.left + work.smallCircleMin.right,
            share: dayShare(work, limits),
          }))
          .sort((a, b) => a.day - b.day),
      },
    ];
  });
  return Response.json({ pairs });
});
