/** @jest-environment jsdom */
import { renderInRoan } from '@/components/testing/renderInRoan';
import { dayNumber, sumWork, USUAL_RULES, type SeasonEntry } from '@/core';
import { DndContext } from '@dnd-kit/core';
import { screen } from '@testing-library/react';
import type { SeasonData } from '../seasonData';
import { PairStrip } from './PairStrip';

const today = dayNumber('2026-12-01');
const lesson = (id: string, name: string, day: number) => ({
  id,
  name,
  day,
  time: '10:30',
  pairs: 'Quill',
  revision: 1,
});
const entry = (lessonId: string, day: number, isPlanned = true): SeasonEntry => ({
  ...{ pairId: 'p', horseId: 'h', lessonId, day, kinds: ['poles'], isPlanned, work: sumWork([]) },
  reins: { left: 0, right: 0 },
});
const pair = { id: 'p', horseId: 'h', horse: 'Quill', rider: 'Wren' };
const season: SeasonData = {
  ...{ today, firstDay: today - 15, weeks: 6, limits: USUAL_RULES.limits, pairs: [pair], entries: [] },
  coming: [lesson('bend', 'The bend', today + 1), lesson('line', 'The line', today + 1)],
};

const px = parseFloat;

/** What lies where on the strip of a pair, px. */
function marks(...entries: SeasonEntry[]) {
  const { unmount } = renderInRoan(
    <DndContext>
      <PairStrip {...{ pair, season, entries }} loads={[]} busy={false} />
    </DndContext>,
  );
  const found = screen.queryAllByRole('button').map(mark => {
    const { left, top, height } = mark.style;
    return { name: mark.getAttribute('aria-label'), leftPx: px(left), topPx: px(top), highPx: px(height) };
  });
  unmount();
  return found;
}

test('every lesson to come has a mark, two of one day below each other', () => {
  const [bend, line] = marks(entry('bend', today + 1), entry('line', today + 1));
  expect([bend!.name, line!.name]).toEqual(['Move “The bend”', 'Move “The line”']);
  expect(bend!.leftPx).toBe(line!.leftPx);
  expect(line!.topPx).toBe(bend!.topPx + bend!.highPx);
  const [alone] = marks(entry('bend', today + 1), entry('line', today + 2));
  expect(alone!.highPx).toBe(bend!.highPx + line!.highPx);
});

test('a lesson can be dragged on a day on which something was ridden, and what is ridden cannot', () => {
  const both = marks(entry('ridden', today, false), entry('bend', today));
  expect(both.map(({ name }) => name)).toEqual(['Move “The bend”']);
  expect(marks(entry('bend', today, false))).toEqual([]);
});
