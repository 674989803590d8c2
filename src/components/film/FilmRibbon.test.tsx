/** @jest-environment jsdom */
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { TimedFilmMark } from '@/core';
import { LengthsProvider } from '../Lengths/LengthsProvider';
import { FilmRibbon } from './FilmRibbon';

afterEach(cleanup);

const MARKS: TimedFilmMark[] = [
  { id: 'a', atS: 0, kind: 'asked', gait: 'canter' },
  { id: 'b', atS: 0, kind: 'gait', ridden: 'canter' },
  { id: 'c', atS: 6, kind: 'gait', ridden: 'trot' },
  { id: 'd', atS: 7, kind: 'break' },
];

test('what was asked lies over what was ridden, as long as it was held, and what slipped is marked', () => {
  const { container } = render(<FilmRibbon marks={MARKS} lengthS={10} />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe('The film in gaits: 0:00 canter, 0:06 trot');
  const slipped = container.querySelector<HTMLElement>('[data-slipped]')!;
  expect([slipped.textContent, slipped.style.insetInlineStart, slipped.style.inlineSize]).toEqual([
    'trot',
    '60%',
    '40%',
  ]);
  // Asked once, over all of it.
  expect(screen.getAllByText('canter')).toHaveLength(2);
  expect(container.querySelectorAll('[data-kind=break]')).toHaveLength(1);
});

test('a tap goes to its time; a western yard reads its own words', () => {
  const gone: number[] = [];
  render(
    <LengthsProvider unit="m" gaitWords="western">
      <FilmRibbon marks={MARKS} lengthS={10} onGo={atS => gone.push(atS)} />
    </LengthsProvider>,
  );
  const ribbon = screen.getByRole('img');
  ribbon.getBoundingClientRect = () => ({ left: 100, width: 200 }) as DOMRect;
  fireEvent.click(ribbon, { clientX: 150 });
  expect(gone).toEqual([2.5]);
  expect(ribbon.getAttribute('aria-label')).toBe('The film in gaits: 0:00 lope, 0:06 jog');
});

test('without a mark it says so', () => {
  render(<FilmRibbon marks={[]} lengthS={10} />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toContain('nothing is marked yet');
});
