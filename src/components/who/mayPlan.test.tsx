/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import { ForInstructors, MayPlanProvider } from './mayPlan';

const shown = (mayPlan: boolean) =>
  render(
    <MayPlanProvider mayPlan={mayPlan}>
      <ForInstructors>
        <button type="button">Change it</button>
      </ForInstructors>
    </MayPlanProvider>,
  );

it('shows what changes a plan to an instructor, and to nobody who only helps', () => {
  const { unmount } = shown(true);
  expect(screen.getByRole('button', { name: 'Change it' })).toBeTruthy();
  unmount();
  shown(false);
  expect(screen.queryByRole('button')).toBeNull();
});
