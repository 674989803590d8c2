/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import type { Plan, ReckonedItemTrack, RiddenLately } from '@/core';
import { MantineProvider } from '@mantine/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { PlanControls } from '../../_state/usePlanEditor';
import { LINE, MAYFLY, shows } from '../../_state/testShown';
import { LegAsRidden } from './LegAsRidden';

beforeAll(() => {
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
});
afterEach(cleanup);

const lately = (strideM: number): Record<string, RiddenLately[]> => ({
  [MAYFLY.id]: [{ entry: 'course-canter', strideM, lowM: strideM - 0.05, highM: strideM + 0.05, days: 9 }],
});

/** The first leg of the line, 18 m: four strides of 3.6 m, with a half to land and a half to take off. */
function show(of: Record<string, RiddenLately[]>) {
  const shown = shows()(LINE);
  const changed: Plan[] = [];
  const controls = { shown, change: (make: (plan: Plan) => Plan) => changed.push(make(LINE)) };
  const [track] = shown.resolved.layout.tracks;
  const reckoned = shown.tracks[0] as ReckonedItemTrack;
  if (track?.kind !== 'items') throw new Error('a line goes over items');
  render(
    <MantineProvider>
      <LengthsProvider unit="m">
        <LegAsRidden
          controls={controls as unknown as PlanControls}
          {...{ track, leg: 0, ridden: reckoned.legs[0]!, lately: of }}
        />
      </LengthsProvider>
    </MantineProvider>,
  );
  return changed;
}

test('a stride other than the profile’s is told with how the leg reads by it, and moves the fence only on a tap', () => {
  const changed = show(lately(3.4));
  const told = screen.getByRole('region', { name: 'As it was ridden' });
  expect(told.textContent).toContain('By what was ridden, four is forward.');
  expect(screen.getByRole('img', { name: /^Mayfly, from 9 days/ }).getAttribute('aria-label')).toContain(
    'ridden 3.40 m, 3.35 m to 3.45 m, profile 3.60 m',
  );
  expect(changed).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: /Move .*birch.* for Mayfly as ridden/ }));
  const birch = changed[0]!.items.find(({ id }) => id === 'birch')!;
  // By hand: five times 3.40 m from fence to fence, instead of 18 m.
  expect(birch.at.yM).toBeCloseTo(5 + 17, 1);
});

test('as the profile has it, nothing is offered', () => {
  show(lately(3.62));
  expect(screen.getByText('Ridden as the profile says: Mayfly 3.62 m.')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('of whom nothing is known nothing is told', () => {
  show({});
  expect(screen.queryByRole('region')).toBeNull();
});
