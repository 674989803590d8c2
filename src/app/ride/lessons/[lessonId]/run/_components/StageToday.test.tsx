/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MantineProvider } from '@mantine/core';
import type { RunStage } from '../runStage';
import { StageToday } from './StageToday';

const change = jest.fn();
jest.mock('../../../actions', () => ({ changeStageAction: (...sent: unknown[]) => change(...sent) }));
const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const STAGE = {
  ...{ id: 'stage', name: 'Poles', focus: 'rhythm', seat: 'rising', minutes: 12, policy: 'same question again' },
  stop: { when: 'repetitions' },
} as unknown as RunStage;

const today = () =>
  render(
    <MantineProvider>
      <LengthsProvider unit="m" gaitWords="english">
        <StageToday lessonId="lesson" stage={STAGE} />
      </LengthsProvider>
    </MantineProvider>,
  );
const key = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('a stage on the day', () => {
  beforeEach(() => [change, refresh].forEach(one => one.mockReset()));

  it('is changed one thing at a time, and the page is asked anew', async () => {
    change.mockResolvedValue({ ok: true });
    today();
    expect(key('same question again').getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(key('a stage down'));
    await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
    expect(change.mock.calls[0]!.slice(0, 3)).toEqual(['lesson', 'stage', { policy: 'a stage down' }]);
    // One change at a time: the keys wait until the page was asked anew.
    await waitFor(() => expect(key('minutes').disabled).toBe(false));
    fireEvent.click(key('minutes'));
    await waitFor(() => expect(change).toHaveBeenCalledTimes(2));
    // As long as the stage was planned.
    expect(change.mock.calls[1]![2]).toEqual({ stop: { when: 'minutes', minutes: 12 } });
  });

  it('has another thing to think of, without blanks around it', async () => {
    change.mockResolvedValue({ ok: true });
    today();
    expect(key('Change it').disabled).toBe(true);
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '  look up ' } });
    fireEvent.click(key('Change it'));
    await waitFor(() => expect(change).toHaveBeenCalled());
    expect(change.mock.calls[0]![2]).toEqual({ focus: 'look up' });
  });

  it('says what is wrong with it, whether a field says so or nobody answers', async () => {
    change.mockResolvedValueOnce({ ok: false, problem: null, fields: { focus: 'At most 160 letters.' } });
    change.mockRejectedValueOnce(new Error('gone'));
    today();
    fireEvent.click(key('a stage down'));
    expect(await screen.findByText('At most 160 letters.')).toBeTruthy();
    await waitFor(() => expect(key('a stage down').disabled).toBe(false));
    fireEvent.click(key('a stage down'));
    expect(await screen.findByText(/the stage is as it was/)).toBeTruthy();
    expect(refresh).not.toHaveBeenCalled();
  });
});
