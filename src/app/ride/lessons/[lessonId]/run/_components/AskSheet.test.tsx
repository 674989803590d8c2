/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { lineLayout, lineQuestion, testHorse } from '@/components/testing/testLine';
import { askedRide } from '@/app/ride/askedRide';
import { askedLayout, type Question } from '@/core';
import { AskSheet } from './AskSheet';

const HORSE = testHorse('Juniper');
const LAYOUT = lineLayout({ yM: [10, 28, 46], horses: [HORSE] });
const QUESTION = lineQuestion('q');

function sheet(question = QUESTION) {
  const ride = askedRide(LAYOUT, question, HORSE)!;
  const onAsk = jest.fn<void, [(one: Question) => Question | null, boolean]>();
  renderInRoan(<AskSheet horse="Juniper" layout={LAYOUT} ready {...{ question, ride, onAsk }} />);
  /** What the last key asks, and of whom. */
  const asked = () => {
    const [change, ofAll] = onAsk.mock.calls.at(-1)!;
    return { question: change(question)!, ofAll };
  };
  return { ride, asked };
}
const leg = (at: number) => within(screen.getAllByRole('group', { name: /^Strides asked from/ })[at]!);
const height = (question: Question, id: string) => {
  const item = askedLayout(LAYOUT, question)!.items.find(one => one.id === id)!;
  return item.kind === 'fence' ? item.heightM : null;
};

test('a count is asked of the leg it is pressed at, one from the one that is likely; the others are as they were', () => {
  const { ride, asked } = sheet();
  const likely = ride.track!.legs[1]!.likely;
  fireEvent.click(leg(1).getByRole('button', { name: 'One stride more' }));
  expect(asked()).toEqual({ question: expect.objectContaining({ asked: [null, likely + 1] }), ofAll: false });
});

test('a count that is asked is taken back to the horse’s own, and is never less than none', () => {
  const { asked } = sheet({ ...QUESTION, asked: [0, 6] });
  const first = leg(0);
  expect(first.getByRole<HTMLButtonElement>('button', { name: 'One stride fewer' }).disabled).toBe(true);
  fireEvent.click(first.getByRole('button', { name: 'its own' }));
  expect(asked().question.asked).toEqual([null, 6]);
});

test('of all, where that is chosen', () => {
  const { asked } = sheet();
  fireEvent.click(screen.getByRole('button', { name: 'Of all' }));
  fireEvent.click(screen.getAllByRole('button', { name: 'One stride fewer' })[0]!);
  expect(asked().ofAll).toBe(true);
});

test('a fence goes up and down by a hole, and is not higher than two metres', () => {
  const { asked } = sheet();
  const before = height(QUESTION, 'ash')!;
  fireEvent.click(screen.getByRole('button', { name: /1 a hole up/ }));
  // A hole is five centimetres: common practice, no source.
  expect(height(asked().question, 'ash')).toBeCloseTo(before + 0.05, 9);
  expect(height(asked().question, 'birch')).toBe(before);
});

test('at two metres there is no hole more', () => {
  sheet({ ...QUESTION, state: { ...QUESTION.state, heightM: { ash: 2 } } });
  expect(screen.getByRole<HTMLButtonElement>('button', { name: /1 a hole up/ }).disabled).toBe(true);
});

test('a fence lies as a pole, and stands as high as it did when it is a fence again', () => {
  const { asked } = sheet();
  fireEvent.click(screen.getAllByRole('button', { name: 'as a pole' })[0]!);
  const lies = asked().question;
  expect(height(lies, 'ash')).toBeNull();
  document.body.replaceChildren();
  const again = sheet(lies);
  fireEvent.click(screen.getByRole('button', { name: 'as a fence' }));
  expect(height(again.asked().question, 'ash')).toBe(height(QUESTION, 'ash'));
});

test('a fence that is left out is ridden no more: its track goes past it', () => {
  const { asked } = sheet();
  fireEvent.click(screen.getAllByRole('button', { name: 'leave out' })[1]!);
  const ride = askedRide(LAYOUT, asked().question, HORSE)!;
  expect(ride.track!.stops.map(({ item }) => item)).toEqual(['ash', 'elm']);
});
