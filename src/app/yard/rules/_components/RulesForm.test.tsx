/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { alive } from '@/components/testing/alive';
import { USUAL_RULES } from '@/core';
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { RulesForm } from './RulesForm';

const save = jest.fn();
jest.mock('../../actions', () => ({ saveRulesAction: (...sent: unknown[]) => save(...sent) }));

const form = async () => {
  render(
    <MantineProvider>
      <LengthsProvider unit="m" gaitWords="english">
        <RulesForm first={USUAL_RULES} />
      </LengthsProvider>
    </MantineProvider>,
  );
  await alive();
};
const efforts = () => screen.getByRole<HTMLInputElement>('textbox', { name: /^Efforts of any height/ });
const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep these rules' }));

describe('how a yard teaches', () => {
  beforeEach(() => save.mockReset());

  it('is sent as it was typed, with what it was made of, and says that it is kept', async () => {
    save.mockResolvedValue({ ok: true });
    await form();
    fireEvent.change(efforts(), { target: { value: '40' } });
    keep();
    expect(await screen.findByText(/^Kept\./)).toBeTruthy();
    const [typed, sent] = save.mock.calls[0]!;
    expect(typed).toEqual({ ...USUAL_RULES, limits: { ...USUAL_RULES.limits, lowEfforts: 40 } });
    expect(JSON.parse(sent.opened)).toEqual(USUAL_RULES);
    // The next save is over what was kept.
    fireEvent.change(efforts(), { target: { value: '41' } });
    expect(screen.queryByText(/^Kept\./)).toBeNull();
    keep();
    await waitFor(() => expect(save).toHaveBeenCalledTimes(2));
    expect(JSON.parse(save.mock.calls[1]![1].opened).limits.lowEfforts).toBe(40);
  });

  it('says at its field what the server will not have, and keeps what was typed', async () => {
    save.mockResolvedValue({ ok: false, problem: null, fields: { 'limits.lowEfforts': 'At most 500.' } });
    await form();
    fireEvent.change(efforts(), { target: { value: '900' } });
    keep();
    expect(await screen.findByText('At most 500.')).toBeTruthy();
    expect(efforts().value).toBe('900');
    expect(screen.getByRole('alert').textContent).toBe('Not kept yet.');
  });

  it('says so where the server does not answer, and sends the same save again', async () => {
    save.mockRejectedValueOnce(new Error('gone')).mockResolvedValue({ ok: true });
    await form();
    keep();
    expect(await screen.findByText(/the rules are as they were/)).toBeTruthy();
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Keep these rules' }).dataset.loading).toBeUndefined(),
    );
    keep();
    expect(await screen.findByText(/^Kept\./)).toBeTruthy();
    expect(save.mock.calls[0]![1].saveId).toBe(save.mock.calls[1]![1].saveId);
  });
});
