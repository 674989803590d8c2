/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { WhatNext } from './WhatNext';

const undo = jest.fn();
jest.mock('../actions', () => ({ undoRefusalAction: (...sent: unknown[]) => undo(...sent) }));
jest.mock('../_state/useSuggested', () => ({
  useSuggested: (wanted: unknown) => {
    suggests.wanted = wanted;
    return { suggested: wanted === null ? null : suggests.says, again: suggests.again };
  },
}));
jest.mock('./SuggestionCard', () => ({
  SuggestionCard: ({ suggestion, onRefused }: { suggestion: { title: string }; onRefused: (one: object) => void }) => (
    <button type="button" onClick={() => onRefused({ id: 'r', words: `${suggestion.title}: refused now` })}>
      {suggestion.title}
    </button>
  ),
}));
const suggests = { wanted: null as unknown, says: { kind: 'waiting' } as object, again: jest.fn() };

const PAIRS = Array.from({ length: 14 }, (_, at) => ({ id: `p${at}`, horse: `Horse ${at}`, rider: `Rider ${at}` }));
const found = (changes: object = {}) => ({
  kind: 'done',
  of: [{ tooLittle: null, suggestions: [{ exercise: 'four', title: 'Four poles' }], out: [], ...changes }],
});
const next = (refused: { id: string; words: string }[] = []) =>
  renderInRoan(
    <WhatNext
      pairs={PAIRS}
      arenas={[
        { id: 'lower', name: 'Lower sand' },
        { id: 'field', name: 'The field' },
      ]}
      first={{ pairIds: ['p0'], arenaId: 'lower', startsAt: '2026-12-01T10:00', minutes: 45 }}
      refused={refused}
    />,
  );
const wanted = () => suggests.wanted as { pairIds: string[]; minutes: number; arenaId: string; startsAt: string };
const ride = (name: string) => fireEvent.click(screen.getByRole('checkbox', { name }));

beforeEach(() => {
  suggests.says = { kind: 'waiting' };
  suggests.again.mockReset();
  undo.mockReset();
});

test('asks for who rides, where and when, the warm-up before it', () => {
  next();
  expect(wanted()).toMatchObject({ pairIds: ['p0'], arenaId: 'lower', startsAt: '2026-12-01T10:00', minutes: 35 });
  ride('Horse 1 with Rider 1');
  fireEvent.change(screen.getByLabelText(/Minutes/), { target: { value: '60' } });
  expect(wanted()).toMatchObject({ pairIds: ['p0', 'p1'], minutes: 50 });
  expect(screen.getByText('Looking through the record …')).toBeTruthy();
});

test('a lesson takes twelve pairs', () => {
  next();
  for (let at = 1; at < 14; at += 1) ride(`Horse ${at} with Rider ${at}`);
  expect(wanted().pairIds).toHaveLength(12);
});

test('nothing is asked for nobody, for no time, or for less than a warm-up', () => {
  next();
  ride('Horse 0 with Rider 0');
  expect(suggests.wanted).toBeNull();
  expect(screen.getByText(/Say who rides/)).toBeTruthy();
  ride('Horse 0 with Rider 0');
  fireEvent.change(screen.getByLabelText(/Minutes/), { target: { value: '8' } });
  expect(suggests.wanted).toBeNull();
  expect(screen.getByText('From 15 to 240.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText(/Minutes/), { target: { value: '40' } });
  fireEvent.change(screen.getByLabelText('Day and time'), { target: { value: '' } });
  expect(suggests.wanted).toBeNull();
});

test('what failed is said, and asked for again by a key', () => {
  suggests.says = { kind: 'failed', problem: 'The server does not answer.' };
  next();
  expect(screen.getByRole('alert').textContent).toContain('The server does not answer.');
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(suggests.again).toHaveBeenCalledTimes(1);
});

test('where nothing may be asked it says what else to take; where too little is known it says that', () => {
  suggests.says = found({ suggestions: [] });
  const { unmount } = next();
  expect(screen.getByText(/take another day, or more minutes/)).toBeTruthy();
  unmount();
  suggests.says = found({ suggestions: [], tooLittle: 'Two lessons are too little to say.' });
  next();
  expect(screen.getByRole('status').textContent).toBe('Two lessons are too little to say.');
});

test('what is left out is there with its reason, a tap away', () => {
  suggests.says = found({ out: [{ title: 'Bounces', why: 'Too much jumping this week.' }] });
  next();
  expect(screen.getByText('1 exercise is left out')).toBeTruthy();
  expect(screen.getByText(/Too much jumping this week/)).toBeTruthy();
});

test('what is refused goes to the refused ones, and back', async () => {
  undo.mockResolvedValue({ ok: true });
  suggests.says = found();
  next([{ id: 'old', words: 'Spiral, for Quill: refused on Monday' }]);
  expect(screen.getByText('1 refused, and not suggested for four weeks')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Four poles' }));
  expect(screen.getByText('2 refused, and not suggested for four weeks')).toBeTruthy();
  expect(suggests.again).toHaveBeenCalledTimes(1);
  await act(async () => fireEvent.click(screen.getAllByText('Restore')[0]!));
  await waitFor(() => expect(screen.getByText('1 refused, and not suggested for four weeks')).toBeTruthy());
  expect(undo).toHaveBeenCalledWith('r');
});
