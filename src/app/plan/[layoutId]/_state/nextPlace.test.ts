import { EMPTY_PLAN, newItem, type Item } from '@/core';
import { nextPlace } from './nextPlace';
import { NOTHING_SELECTED } from './selection';
import { shows } from './testShown';

const SAND = { widthM: 20, lengthM: 60 };

const withItems = (items: Item[]) => shows()({ ...EMPTY_PLAN, items });
const pole = (xM: number) => newItem('pole', 'pole', { xM, yM: 30 }, 0);

describe('where a new item lies', () => {
  it('is the middle of empty sand', () => {
    expect(nextPlace(withItems([]), NOTHING_SELECTED, SAND)).toEqual({ xM: 10, yM: 30 });
  });

  it('is a stride beside what lies in the middle, and one ahead of what is selected', () => {
    const beside = nextPlace(withItems([pole(10)]), NOTHING_SELECTED, SAND);
    expect(Math.hypot(beside.xM - 10, beside.yM - 30)).toBeCloseTo(3, 6);
    const ahead = nextPlace(withItems([pole(4)]), { ids: ['pole'], leg: null }, SAND);
    expect(Math.hypot(ahead.xM - 4, ahead.yM - 30)).toBeCloseTo(3, 6);
  });

  it('stays on the sand', () => {
    const { xM, yM } = nextPlace(withItems([pole(19)]), { ids: ['pole'], leg: null }, SAND);
    expect([xM >= 0 && xM <= 20, yM >= 0 && yM <= 60]).toEqual([true, true]);
  });
});
