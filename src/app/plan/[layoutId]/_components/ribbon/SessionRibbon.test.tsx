/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { EMPTY_PLAN, layOutPlaced, placeExercise, SHELF } from '@/core';
import { MantineProvider } from '@mantine/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { liveStore } from '../../_hand/liveShown';
import { planShower } from '../../_state/planShower';
import { ARENA, MAYFLY } from '../../_state/testShown';
import type { PlanControls } from '../../_state/usePlanEditor';
import { SessionRibbon } from './SessionRibbon';

beforeAll(() => {
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
  window.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  } as never;
});
afterEach(cleanup);

/** A serpentine of three loops and a 20 m circle behind it, ridden as one session. */
function session() {
  const ground = { ...{ name: '', arena: ARENA, fall: null, kit: null }, horses: [MAYFLY] };
  const plan = ['serpentine', 'circle'].reduce(
    (before, kind) => {
      const recipe = SHELF.find(one => one.kind === kind)!;
      const wish = { id: kind, recipe, rein: 'left' as const, horseIds: null, session: 's' };
      return placeExercise(before, ground, wish).plan;
    },
    { ...EMPTY_PLAN, groupIds: [MAYFLY.id] },
  );
  const shown = planShower(layOutPlaced)(plan, ground);
  const [track] = shown.resolved.layout.tracks;
  const [reckoned] = shown.tracks;
  if (track?.kind !== 'figures' || reckoned?.kind !== 'figures') throw new Error('a session has figures');
  return { shown, track, reckoned, horses: shown.resolved.layout.horses };
}

test('a session unrolled names its figures, and tells gait, rein and strides band by band', () => {
  const { shown, track, reckoned, horses } = session();
  const chosen: string[] = [];
  const controls = { shown, live: liveStore() } as unknown as PlanControls;
  const { container } = render(
    <MantineProvider>
      <LengthsProvider unit="m">
        <SessionRibbon
          {...{ controls, track, reckoned, horses, walkedM: null }}
          horse={horses[0]!}
          onHorse={id => chosen.push(id)}
        />
      </LengthsProvider>
    </MantineProvider>,
  );
  const names = [...container.querySelectorAll('[data-figure]')].map(node => node.getAttribute('data-figure'));
  expect(names).toEqual(['serpentine of 3 loops', '20 m circle']);
  const reins = [...container.querySelectorAll('[data-gait="trot"]:not([data-way])')].map(node =>
    node.getAttribute('data-rein'),
  );
  // Facts of the figure: three loops change the rein twice; the circle is ridden as it was begun.
  expect(reins).toEqual(['left', 'right', 'left', 'left']);
  const row = container.querySelector('[data-strides]')!;
  const counted = [...row.querySelectorAll('text')].map(node => Number.parseInt(node.textContent ?? '', 10));
  expect(counted.reduce((sum, count) => sum + count, 0)).toBe(Number(row.getAttribute('data-strides')));
  fireEvent.click(screen.getByRole('button', { name: 'Show the strides of Mayfly' }));
  expect(chosen).toEqual([MAYFLY.id]);
});
