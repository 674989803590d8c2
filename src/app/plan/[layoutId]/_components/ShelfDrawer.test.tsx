/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { SHELF, type Plan } from '@/core';
import type { OwnExercise } from '@/data/queries/ownExercises';
import { ARENA, LINE, MAYFLY, shows } from '../_state/testShown';
import type { PlanControls } from '../_state/usePlanEditor';
import ShelfDrawer from './ShelfDrawer';

const show = jest.fn();
jest.mock('@mantine/notifications', () => ({ notifications: { show: (said: unknown) => show(said) } }));
jest.mock('./ExercisePicture', () => ({ ExercisePicture: () => null }));
jest.mock('./ExerciseGuide', () => ({ ExerciseGuide: () => null }));
jest.mock('@/components/Sand/CroppedSand', () => ({ CroppedSand: () => null }));

const OWN = {
  ...{
    id: 'own',
    title: 'My fan',
    purposes: ['rhythm'],
    level: 'novice',
    items: [-9, 9].map((yM, at) => ({ ...LINE.items[at]!, at: { xM: 0, yM } })),
    tracks: [],
  },
} as unknown as OwnExercise;

function open({ horses = [MAYFLY], own = [] as OwnExercise[], western = false } = {}) {
  const made: { plan: Plan; onPlaced: jest.Mock; onClose: jest.Mock } = {
    ...{ plan: LINE, onPlaced: jest.fn(), onClose: jest.fn() },
  };
  const controls = {
    ...{ present: { plan: LINE, name: 'A line' }, shown: shows()(LINE) },
    change: (by: (plan: Plan) => Plan) => (made.plan = by(LINE)),
  } as unknown as PlanControls;
  renderInRoan(
    <ShelfDrawer
      {...{ controls, own, onPlaced: made.onPlaced, onClose: made.onClose }}
      ground={{ arena: ARENA, horses, fall: null, kit: null }}
      horses={[]}
    />,
    { gaitWords: western ? 'western' : 'english' },
  );
  return made;
}
const cards = () => screen.queryAllByRole('button').filter(one => one.querySelector('strong'));
const search = (words: string) =>
  fireEvent.change(screen.getByLabelText('Search the shelf'), { target: { value: words } });
const titles = () => cards().map(one => one.querySelector('strong')!.textContent);

beforeEach(() => show.mockReset());

test('the whole shelf is there; what is for gaited horses comes last where none is in the group', () => {
  open();
  expect(cards()).toHaveLength(SHELF.length);
  expect(screen.getAllByRole('region').map(one => one.getAttribute('aria-label'))).toEqual([
    ...['Exercises', 'For the rider', 'For gaited horses'],
  ]);
});

test('with a gaited horse in the group its exercises come first', () => {
  open({ horses: [{ ...MAYFLY, type: 'gaited' }] });
  expect(screen.getAllByRole('region')[0]!.getAttribute('aria-label')).toBe('For gaited horses');
});

test('an exercise is found by its words, and by the words of a western yard', async () => {
  open();
  search('spiral');
  await waitFor(() => expect(titles().length).toBeLessThan(SHELF.length));
  expect(titles().join()).toMatch(/piral/);
  search('nothing of the kind');
  expect(await screen.findByText(/Nothing on the shelf is like that/)).toBeTruthy();
});

test('one that is taken asks on which rein, lies on the sand then, and is chosen', async () => {
  const made = open();
  search('spiral');
  await waitFor(() => expect(titles().every(title => /piral/.test(title ?? ''))).toBe(true));
  fireEvent.click(cards()[0]!);
  fireEvent.click(screen.getByText('Right rein'));
  fireEvent.click(screen.getByRole('button', { name: 'Put it on the sand' }));
  expect(made.plan.exercises).toHaveLength(1);
  expect(made.plan.exercises[0]).toMatchObject({ kind: 'spiral', rein: 'right' });
  expect(made.onPlaced.mock.calls[0]![0]).toEqual({ ids: [made.plan.exercises[0]!.id], leg: null });
  expect(made.onClose).toHaveBeenCalledTimes(1);
});

test('one that was looked at is put back, and the search is as it was', async () => {
  open();
  search('spiral');
  await waitFor(() => expect(titles().length).toBeLessThan(5));
  const found = titles();
  fireEvent.click(cards()[0]!);
  fireEvent.click(screen.getByRole('button', { name: 'Back to the shelf' }));
  expect(titles()).toEqual(found);
});

test('an exercise of one’s own is put in the middle with all of its pieces', () => {
  const made = open({ own: [OWN] });
  const own = screen.getByText('My fan').closest('li')!;
  fireEvent.click(within(own).getAllByRole('button')[0]!);
  expect(made.plan.items).toHaveLength(LINE.items.length + 2);
  expect(made.onPlaced.mock.calls[0]![0].ids).toHaveLength(2);
  const added = made.plan.items.slice(LINE.items.length).map(({ at }) => at.xM);
  expect(Math.abs(added[0]! - ARENA.widthM / 2)).toBeLessThan(1e-9);
});
