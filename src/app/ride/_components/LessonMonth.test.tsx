/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { LessonMonth } from './LessonMonth';
import type { ListedLesson } from './listedLesson';

jest.mock('./MonthWork', () => ({ MonthWork: () => null }));

const lesson = (name: string, day: string) => ({ id: name, name, day, state: 'ended' }) as ListedLesson;
const LESSONS = [
  lesson('in October', '2026-10-30'),
  lesson('a week ago', '2026-11-24'),
  lesson('on Saturday', '2026-11-28'),
  lesson('in December', '2026-12-01'),
];

function shown(today: string) {
  render(
    <MantineProvider env="test">
      <LessonMonth lessons={LESSONS} today={today}>
        {isShown => (
          <p role="status">
            {LESSONS.filter(({ day }) => isShown(day))
              .map(({ name }) => name)
              .join(', ')}
          </p>
        )}
      </LessonMonth>
    </MantineProvider>,
  );
}
const listed = () => screen.getByRole('status').textContent;
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

test('on the first of a month what was ridden last week is there, and its day is chosen as any other', () => {
  shown('2026-12-01');
  expect(screen.getByRole('heading').textContent).toBe('December 2026');
  expect(listed()).toBe('a week ago, on Saturday, in December');
  press(/28 Nov.*on Saturday/);
  expect(listed()).toBe('on Saturday');
  press(/28 Nov.*on Saturday/);
  expect(listed()).toBe('a week ago, on Saturday, in December');
});

test('later in a month, and in any other, it is that month that is listed', () => {
  shown('2026-11-29');
  expect(listed()).toBe('a week ago, on Saturday');
  press('The month before');
  expect(screen.getByRole('heading').textContent).toBe('October 2026');
  expect(listed()).toBe('in October');
  press('The month after');
  press('The month after');
  expect(listed()).toBe('in December');
  // The last days of November lie in the first week of December, in their own place.
  expect(screen.queryByRole('button', { name: /on Saturday/ })).toBeNull();
});
