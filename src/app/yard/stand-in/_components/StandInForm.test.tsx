/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { StandInForm } from './StandInForm';

/** A stream of a server, told what to say. */
class Stream {
  static all: Stream[] = [];
  onmessage: ((said: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  isClosed = false;
  private ends: (() => void)[] = [];
  constructor(readonly url: string) {
    Stream.all.push(this);
  }
  addEventListener(_: 'end', hear: () => void) {
    this.ends.push(hear);
  }
  close() {
    this.isClosed = true;
  }
  lands(timeS: number, xM: number | null) {
    act(() => this.onmessage?.({ data: JSON.stringify({ timeS, foot: 'left fore', xM }) }));
  }
  end() {
    act(() => this.ends.forEach(hear => hear()));
  }
  fail() {
    act(() => this.onerror?.());
  }
}

const HORSES = [
  { id: 'quill', name: 'Quill' },
  { id: 'moth', name: 'Moth' },
];
const form = () => renderInRoan(<StandInForm horses={HORSES} layouts={[{ id: 'bend', name: 'The bend' }]} />);
const asked = () =>
  new URL(screen.getByRole('link', { name: 'Keep as CSV' }).getAttribute('href')!, 'http://roan').searchParams;
const play = () => fireEvent.click(screen.getByRole('button', { name: /Play it/ }));

beforeEach(() => {
  Stream.all = [];
  Object.assign(globalThis, { EventSource: Stream });
});

test('a ride is of the first horse over a lane, until something else is chosen', () => {
  form();
  expect(Object.fromEntries(asked())).toEqual({
    horseId: 'quill',
    pace: 'normal',
    seed: '1',
    gait: 'trot',
    laneM: '20',
  });
  fireEvent.change(screen.getByLabelText('Length, m'), { target: { value: '35' } });
  fireEvent.change(screen.getByLabelText(/Seed/), { target: { value: '7' } });
  expect([asked().get('laneM'), asked().get('seed')]).toEqual(['35', '7']);
});

test('a field that was emptied asks for what is usual', () => {
  form();
  fireEvent.change(screen.getByLabelText('Length, m'), { target: { value: '' } });
  fireEvent.change(screen.getByLabelText(/Seed/), { target: { value: '' } });
  expect([asked().get('laneM'), asked().get('seed')]).toEqual(['20', '0']);
});

test('feet are shown as they land, and counted when it is over', () => {
  form();
  play();
  expect(Stream.all[0]!.url).toContain('/api/stand-in?horseId=quill');
  Stream.all[0]!.lands(0.5, 1.25);
  Stream.all[0]!.lands(1, null);
  expect(screen.getByText('2 footfalls so far.')).toBeTruthy();
  expect(screen.getAllByRole('listitem').map(one => one.textContent)).toEqual([
    'left fore 0.50 s, 1.25 m',
    'left fore 1.00 s',
  ]);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: /Play it/ }).disabled).toBe(true);
  Stream.all[0]!.end();
  expect(screen.getByText('Over: 2 footfalls.')).toBeTruthy();
  expect(Stream.all[0]!.isClosed).toBe(true);
  // Again, from the beginning.
  play();
  expect(screen.getByText('0 footfalls so far.')).toBeTruthy();
});

test('one that does not answer says so and can be played again; what was left open is closed with the page', () => {
  const { unmount } = form();
  play();
  Stream.all[0]!.fail();
  expect(screen.getByRole('alert').textContent).toContain('did not answer');
  play();
  expect(screen.queryByRole('alert')).toBeNull();
  unmount();
  expect(Stream.all[1]!.isClosed).toBe(true);
});

test('without a horse there is nothing to play', () => {
  renderInRoan(<StandInForm horses={[]} layouts={[]} />);
  expect(screen.getByRole('link', { name: 'To the yard' }).getAttribute('href')).toBe('/yard');
});
