/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { layoutHorse, newItem, type HorseType, type Layout, type Question } from '@/core';
import { NewQuestion } from './NewQuestion';

const fence = (id: string, yM: number) => newItem('vertical', id, { xM: 10, yM }, Math.PI / 2);
const LAYOUT = {
  ...{ name: 'A line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
  ...{
    horses: [],
    kit: null,
    tracks: [],
    items: [fence('ash', 10), fence('birch', 28), newItem('cone', 'cone', { xM: 3, yM: 3 }, 0)],
  },
} as unknown as Layout;
const pair = (horse: string, heightM: number, type: HorseType = 'all-round') => ({
  ...{
    id: horse,
    horse,
    strides: layoutHorse({ id: horse, name: horse, heightM, type, level: 'novice', strides: {} }),
  },
});

function open(pairs = [pair('Juniper', 1.65), pair('Moss', 1.2)]) {
  const asked: Question[] = [];
  renderInRoan(
    <NewQuestion layout={LAYOUT} pairs={pairs} gait="course-canter" ready onAsk={one => void asked.push(one)} />,
  );
  return asked;
}
const tapped = () => screen.getByRole('status', { name: 'Tapped so far' }).textContent;
const ride = (name: RegExp) => screen.getByRole('button', { name });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const isOff = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name }).disabled;

test('fences are tapped in order and read for every pair at once; the question has what was tapped', () => {
  const asked = open();
  expect([tapped(), isOff('Ask this'), isOff('Take the last away')]).toEqual(['Nothing yet', true, true]);
  const [first, second] = screen.getAllByRole('button', { name: /^Ride .* next$/ });
  fireEvent.click(first!);
  expect(screen.queryByRole('list', { name: 'What it is for each pair' })).toBeNull();
  fireEvent.click(second!);
  // 18 m are four strides of a horse of 3.6 m and a fence’s two half strides each: common practice, no source.
  expect(screen.getByText('Juniper').parentElement!.textContent).toContain('four');
  expect(screen.getByText('Moss').parentElement!.textContent).not.toContain('four');
  press('Ask this');
  expect(asked[0]!.what).toMatchObject({ kind: 'made', through: [{ item: 'ash' }, { item: 'birch' }] });
  expect(asked[0]!.gait).toBe('course-canter');
  expect(tapped()).toBe('Nothing yet');
});

test('the last is taken away; a cone is not ridden over', () => {
  open();
  const rides = screen.getAllByRole('button', { name: /^Ride .* next$/ });
  expect(rides).toHaveLength(2);
  fireEvent.click(rides[0]!);
  fireEvent.click(rides[1]!);
  press('Take the last away');
  expect(tapped()!.includes(',')).toBe(false);
});

test('it is made with a keyboard too', () => {
  const asked = open();
  const [first] = screen.getAllByRole('button', { name: /^Ride .* next$/ });
  fireEvent.keyDown(first!, { key: 'Enter' });
  fireEvent.keyDown(first!, { key: 'x' });
  press('Ask this');
  expect(asked[0]!.what).toMatchObject({ through: [{ item: 'ash' }] });
});

test('in another gait, among those that somebody here goes in', () => {
  const asked = open();
  expect(screen.queryByRole('button', { name: 'running walk' })).toBeNull();
  press('trot');
  fireEvent.click(ride(/^Ride .*1.* next$|^Ride .*A.* next$/));
  press('Ask this');
  expect(asked[0]!.gait).toBe('trot');
  document.body.replaceChildren();
  open([pair('Juniper', 1.65, 'gaited')]);
  expect(screen.getByRole('button', { name: 'running walk' })).toBeTruthy();
});
