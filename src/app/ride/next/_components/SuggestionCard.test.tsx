/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { ShownSuggestion } from '../_state/suggest.worker';
import { SuggestionCard } from './SuggestionCard';

const [take, refuse] = [jest.fn(), jest.fn()];
jest.mock('../actions', () => ({
  takeSuggestionAction: (...sent: unknown[]) => take(...sent),
  refuseSuggestionAction: (...sent: unknown[]) => refuse(...sent),
}));
const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
jest.mock('./TermBars', () => ({ TermBars: () => null }));

const SUGGESTION: ShownSuggestion = {
  ...{ exercise: 'four-poles', title: 'Four poles on a circle', kind: 'poles', why: 'Nothing for suppleness lately.' },
  ...{ minutes: 12, terms: [], layoutId: null, layoutName: null, pieces: 4, next: [0, 1], easier: [], show: null },
  stages: [
    { stage: 0, name: 'In walk', eachRein: 1 },
    { stage: 1, name: 'In trot', eachRein: 3 },
  ],
} as ShownSuggestion;
const RIDING = [
  { id: 'ode-quill', horse: 'Quill', rider: 'Ode' },
  { id: 'bas-barley', horse: 'Barley', rider: 'Bas' },
];

function card(changes: Partial<ShownSuggestion> = {}) {
  const onRefused = jest.fn();
  render(
    <MantineProvider>
      <LengthsProvider unit="m" gaitWords="western">
        <SuggestionCard
          suggestion={{ ...SUGGESTION, ...changes }}
          riding={RIDING}
          arenaId="lower"
          startsAt="2026-12-01T10:30"
          onRefused={onRefused}
        />
      </LengthsProvider>
    </MantineProvider>,
  );
  return onRefused;
}

describe('a suggestion', () => {
  beforeEach(() => [take, refuse, push].forEach(one => one.mockReset()));

  it('says what is ridden how often in the words of the yard, and what comes with it', () => {
    card({ easier: [{ pair: 1, stage: 'In Walk' }] as ShownSuggestion['easier'] });
    expect(screen.getByText('In walk, once on each rein')).toBeTruthy();
    expect(screen.getByText('In jog, 3 times on each rein')).toBeTruthy();
    expect(screen.getByText('Barley beside it: in walk')).toBeTruthy();
    expect(screen.getByText('About 12 minutes. A new layout comes with it.')).toBeTruthy();
  });

  it('is a lesson by one key', async () => {
    take.mockResolvedValue({ ok: true, lessonId: 'lesson' });
    card();
    fireEvent.click(screen.getByRole('button', { name: 'Make the lesson' }));
    await waitFor(() => expect(push).toHaveBeenCalledWith('/ride/lessons/lesson'));
    expect(take.mock.calls[0]![0]).toMatchObject({
      pairIds: ['ode-quill', 'bas-barley'],
      series: [
        { stage: 0, eachRein: 1 },
        { stage: 1, eachRein: 3 },
      ],
    });
  });

  it('is refused for all who ride, at the farthest stage that it meant, and can be undone by its id', async () => {
    refuse.mockResolvedValue({ ok: true, refusalId: 'refusal' });
    const onRefused = card();
    fireEvent.click(screen.getByRole('button', { name: 'Not this' }));
    await waitFor(() => expect(onRefused).toHaveBeenCalled());
    expect(refuse).toHaveBeenCalledWith({ pairIds: ['ode-quill', 'bas-barley'], exercise: 'four-poles', stage: 1 });
    expect(onRefused.mock.calls[0]![0]).toEqual({
      id: 'refusal',
      words: 'Four poles on a circle, for Quill, Barley: refused now',
    });
  });

  it('stays where the server does not answer, and the lesson is made once when it is asked for again', async () => {
    take.mockRejectedValueOnce(new Error('gone')).mockResolvedValue({ ok: true, lessonId: 'lesson' });
    card();
    const make = () => fireEvent.click(screen.getByRole('button', { name: 'Make the lesson' }));
    make();
    expect(await screen.findByText(/nothing was kept/)).toBeTruthy();
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Make the lesson' }).dataset.loading).toBeUndefined(),
    );
    make();
    await waitFor(() => expect(push).toHaveBeenCalled());
    expect(take.mock.calls[1]![1]).toBe(take.mock.calls[0]![1]);
  });
});
