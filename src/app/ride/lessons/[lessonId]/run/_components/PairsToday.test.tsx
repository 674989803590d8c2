/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { NO_EARLIER_WORK, type LayoutHorse, type RecordEvent } from '@/core';
import { countedSaying, useTestLesson } from '../../_state/testLesson';
import { pairsNow } from '../pairsNow';
import type { RunPair } from '../runStage';
import { PairsToday, type YardPair } from './PairsToday';

const says: { now: () => ReturnType<ReturnType<typeof countedSaying>> } = { now: countedSaying() };
jest.mock('@/app/ride/saying', () => ({ saying: () => says.now() }));

const pair = (horse: string, rider: string): RunPair => ({
  ...{ id: `${horse} ${rider}`, horseId: horse, horse, rider, earlier: NO_EARLIER_WORK, planned: true },
  strides: {} as LayoutHorse,
});
const yardPair = (horse: string, rider: string): YardPair => ({
  ...{ id: `${horse} ${rider}`, horse: { id: horse, name: horse, heightM: 1.5 }, rider: { id: rider, name: rider } },
});
const PLANNED = [pair('Quill', 'Ode'), pair('Barley', 'Bas')];
const YARD = [yardPair('Quill', 'Ode'), yardPair('Barley', 'Bas'), yardPair('Moth', 'Ines'), yardPair('Quill', 'Ines')];

function today({ chosen = 0 as number | null } = {}) {
  const said: RecordEvent[] = [];
  function Board() {
    const lesson = useTestLesson(says.now);
    const known = pairsNow(PLANNED, lesson.log);
    const tap = (events: RecordEvent[]) => {
      said.push(...events);
      lesson.tap(events);
    };
    return (
      <PairsToday
        lessonId="lesson"
        lesson={{ ...lesson, tap }}
        known={known}
        chosen={chosen === null ? null : known[chosen]!}
        yardPairs={YARD}
      />
    );
  }
  renderInRoan(<Board />);
  return said;
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const isThere = (name: string) => screen.queryByRole('button', { name }) !== null;
const joins = (said: readonly RecordEvent[]) => said.flatMap(one => (one.type === 'join' ? [one.join] : []));

beforeEach(() => {
  says.now = countedSaying();
});

test('a pair of the yard comes in by one tap; one whose horse is ridden already is not offered', () => {
  const said = today();
  expect(isThere('Quill Ines')).toBe(false);
  press('Moth Ines');
  expect(joins(said)).toMatchObject([{ pairId: 'Moth Ines', insteadOf: null }]);
  expect(isThere('Moth Ines')).toBe(false);
});

test('a rider changes horses: the pair that it was stops', () => {
  const said = today();
  press('Ode rides Moth instead of Quill');
  expect(joins(said)).toMatchObject([{ horse: { id: 'Moth' }, rider: { id: 'Ode' }, insteadOf: 'Quill Ode' }]);
  expect(isThere('Quill with Ode comes back')).toBe(true);
});

test('a pair leaves and comes back', () => {
  const said = today();
  press('Quill with Ode stops here');
  press('Quill with Ode comes back');
  expect(said.map(one => (one.type === 'change' ? [one.change.what, one.change.to] : one.type))).toEqual([
    ['rides', false],
    ['rides', true],
  ]);
  expect(isThere('Quill with Ode comes back')).toBe(false);
});

test('a guest is a new rider on a new horse of some size, once both have a name', () => {
  const said = today();
  press('Add the pair');
  expect(screen.getByRole('alert').textContent).toBe('Give the horse and the rider a name.');
  fireEvent.change(screen.getByLabelText('Its name'), { target: { value: '  Teasel ' } });
  fireEvent.change(screen.getByLabelText('Their name'), { target: { value: 'Jo' } });
  press('small pony');
  press('Add the pair');
  expect(joins(said)).toMatchObject([{ horse: { name: 'Teasel', heightM: 1.25 }, rider: { name: 'Jo' } }]);
  expect(screen.queryByRole('alert')).toBeNull();
  expect(screen.getByLabelText<HTMLInputElement>('Its name').value).toBe('');
});

test('a known horse with a known rider is the pair that the yard has, and rides once', () => {
  const said = today();
  fireEvent.change(screen.getByLabelText('Horse'), { target: { value: 'Quill' } });
  fireEvent.change(screen.getByLabelText('Rider'), { target: { value: 'Ode' } });
  press('Add the pair');
  expect(screen.getByRole('alert').textContent).toContain('rides in the lesson already');
  fireEvent.change(screen.getByLabelText('Rider'), { target: { value: 'Ines' } });
  press('Instead of Quill with Ode');
  expect(joins(said)).toMatchObject([{ pairId: 'Quill Ines', insteadOf: 'Quill Ode' }]);
});

test('where no pair is chosen none can be replaced or sent home', () => {
  today({ chosen: null });
  expect(isThere('Add the pair')).toBe(true);
  expect(screen.queryByRole('button', { name: /stops here|Instead of|rides Moth/ })).toBeNull();
});
