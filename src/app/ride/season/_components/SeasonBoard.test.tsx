/** @jest-environment jsdom */
import { renderInRoan } from '@/components/testing/renderInRoan';
import { dayNumber, USUAL_RULES } from '@/core';
import { act, fireEvent, screen } from '@testing-library/react';
import type { SeasonData } from '../seasonData';
import { SeasonBoard } from './SeasonBoard';

const moveLesson = jest.fn((..._given: unknown[]) => Promise.resolve({ ok: true }));
jest.mock('../actions', () => ({ moveLessonAction: (...given: unknown[]) => moveLesson(...given) }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => {} }) }));
let picture: { onDrag: (one: object | null) => void; onMove: (id: string, days: number) => void };
jest.mock('@/components/apart', () => ({ apart: () => (props: typeof picture) => ((picture = props), null) }));

const today = dayNumber('2026-12-01');
const lesson = { id: 'l', name: 'The bend', day: today + 1, time: '10:30', pairs: 'Quill', revision: 1 };
const season: SeasonData = {
  ...{ today, firstDay: today - 15, weeks: 6, limits: USUAL_RULES.limits, coming: [lesson], pairs: [], entries: [] },
};
const back = () => screen.queryByRole('button', { name: /^Back to Wednesday 2 December/ });

test('a lesson is dragged and put back; a drag that comes to no way is over', async () => {
  renderInRoan(<SeasonBoard season={season} />);
  act(() => picture.onDrag({ lessonId: 'l', days: 1 }));
  expect(screen.getByText(/“The bend” to Thursday 3 December/)).toBeTruthy();
  await act(async () => picture.onMove('l', 1));
  expect(moveLesson).toHaveBeenLastCalledWith({ lessonId: 'l', toDay: '2026-12-03' });
  expect(back()).not.toBeNull();
  // Dragged there and back, or what is gone meanwhile: where it was.
  act(() => picture.onDrag({ lessonId: 'l', days: 2 }));
  expect(back()).toBeNull();
  act(() => picture.onDrag({ lessonId: 'l', days: 0 }));
  expect(back()).not.toBeNull();
  act(() => picture.onDrag({ lessonId: 'gone', days: 2 }));
  act(() => picture.onMove('gone', 2));
  expect(back()).not.toBeNull();
  await act(async () => void fireEvent.click(back()!));
  expect(moveLesson).toHaveBeenCalledTimes(2);
});
