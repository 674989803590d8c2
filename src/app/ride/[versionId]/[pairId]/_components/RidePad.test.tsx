/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { EMPTY_LOG, layoutHorse, type RecordEvent, type RideWay } from '@/core';
import type { Pair } from '@/data/queries/pairs';
import { lineLayout, lineQuestion } from '@/components/testing/testLine';
import { RidePad } from './RidePad';
import type { RidePadProps } from './ridePadProps';

const sent: RecordEvent[] = [];
jest.mock('@/components/sync/useBox', () => ({
  useBox: () => ({
    ...{ ready: true, unsent: [], waits: { unsent: 0, writing: 0, inPageOnly: 0, refused: 0, problem: null } },
    add: (events: RecordEvent[]) => void sent.push(...events),
  }),
}));
jest.mock('@/components/sync/Delivery', () => ({ Delivery: () => null }));
jest.mock('@/components/sync/SyncStarter', () => ({ SyncStarter: () => null }));
jest.mock('@/app/ride/_state/pad/useWakeLock', () => ({ useWakeLock: () => {} }));
jest.mock('@/app/ride/_components/pad/shake', () => ({ shake: () => {} }));

const HORSE = layoutHorse({
  ...{ id: 'h', name: 'Quill', heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: {},
});
const WAYS: RideWay[] = [
  { rein: 'left', direction: 'as-drawn' },
  { rein: 'right', direction: 'as-drawn' },
];

function pad(changes: Partial<RidePadProps> = {}) {
  renderInRoan(
    <RidePad
      {...{ versionId: 'v', layoutName: 'A line', gait: 'course-canter', poles: 0, spacingM: null, fit: null }}
      {...{
        stage: 'A line',
        question: lineQuestion('q', 5),
        asks: ['The line', 'The bend'],
        askedIndex: 0,
        ways: WAYS,
      }}
      {...{ planChanged: false, faults: ['rush'], riderMarks: ['hands'], first: EMPTY_LOG }}
      pair={{ id: 'quill', horseName: 'Quill', riderName: 'Ode' } as Pair}
      putRight={{ layout: lineLayout(), horse: HORSE } as RidePadProps['putRight']}
      {...changes}
    />,
  );
}
const key = (name: RegExp | string) => screen.getByRole<HTMLButtonElement>('button', { name });
const press = (name: RegExp | string) => fireEvent.click(key(name));
const marks = () => sent.flatMap(one => (one.type === 'mark' ? [one.mark] : []));

beforeEach(() => void (sent.length = 0));

test('one pair over one thing: strides, what happened, and the end of the pass', () => {
  pad();
  for (let stride = 0; stride < 5; stride += 1) press(/Tap each stride/);
  press('run-out left');
  press(/^Pass done/);
  expect(sent.map(({ type }) => type)).toEqual(['pass', 'mark', 'mark']);
  expect(marks()).toMatchObject([
    { kind: 'strides', place: 1, count: 5 },
    { kind: 'fence', place: 2, outcome: 'run-out left' },
  ]);
  expect(key(/^Clean pass/)).toBeTruthy();
});

test('a count that cannot be is asked about once, and stays where it is meant', () => {
  pad();
  for (let stride = 0; stride < 14; stride += 1) press(/Tap each stride/);
  press(/^On to/);
  expect(screen.getByRole('status', { name: 'A count that cannot be' }).textContent).toContain('14 from');
  press('It was');
  expect(screen.queryByRole('status', { name: 'A count that cannot be' })).toBeNull();
  expect(marks()).toMatchObject([{ kind: 'strides', count: 14 }]);
});

test('a keyboard does all of it: space, letters, enter, z', () => {
  pad();
  const types = (letter: string) => fireEvent.keyDown(document.body, { key: letter });
  types('d');
  types('Enter');
  expect(sent.map(({ type }) => type)).toEqual(['pass', 'mark']);
  types('z');
  expect(sent.at(-1)).toMatchObject({ type: 'change', change: { to: false } });
});

test('the rein is changed with one tap, and the pass that is open with it', () => {
  pad();
  press('rub');
  press(/rein/i);
  expect(sent.at(-1)).toMatchObject({ type: 'change', change: { what: 'way', to: { rein: 'right' } } });
});

test('what to take care of is said until it was read', () => {
  pad();
  expect(screen.getByText(/Stop at signs of pain/)).toBeTruthy();
  press('Read');
  expect(screen.queryByText(/Stop at signs of pain/)).toBeNull();
});

test('what else may be ridden, and what was ridden, come from below', async () => {
  pad({ planChanged: true });
  press('rub');
  press(/^Pass done/);
  press(/^Quill/);
  const sheet = within(await screen.findByRole('dialog', { name: 'This ride' }, { timeout: 5000 }));
  expect(sheet.getByRole('link', { name: 'The bend' }).getAttribute('href')).toBe('/ride/v/quill?ask=2');
  expect(sheet.getByRole('link', { name: 'The line' }).getAttribute('aria-current')).toBe('true');
  expect(sheet.getByText(/The plan has changed since this ride began/)).toBeTruthy();
  expect(sheet.getByText(/rub/)).toBeTruthy();
  expect(sheet.getByRole('link', { name: 'Leave the pad' })).toBeTruthy();
});

test('what is seldom marked comes from below, in the yard’s own words', async () => {
  pad();
  press('More …');
  const sheet = within(await screen.findByRole('dialog', { name: 'More to mark' }, { timeout: 5000 }));
  fireEvent.click(sheet.getByRole('button', { name: 'rush' }));
  fireEvent.click(sheet.getByRole('button', { name: 'hands' }));
  expect(marks()).toMatchObject([
    { kind: 'fault', fault: 'rush' },
    { kind: 'rider', what: 'hands' },
  ]);
});
