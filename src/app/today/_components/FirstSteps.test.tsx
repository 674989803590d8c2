/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { FirstSteps } from './FirstSteps';

const make = jest.fn();
jest.mock('../actions', () => ({ firstLayoutAction: (...sent: unknown[]) => make(...sent) }));
const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));

const key = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

function steps() {
  render(
    <MantineProvider>
      <LengthsProvider unit="m" gaitWords="english">
        <FirstSteps />
      </LengthsProvider>
    </MantineProvider>,
  );
}

describe('the first three questions', () => {
  beforeEach(() => {
    make.mockReset();
    push.mockReset();
  });

  it('wait for each other, take several horses, and lead to the sheet', async () => {
    make.mockResolvedValue({ ok: true, layoutId: 'poles' });
    steps();
    expect(key('Trot poles').disabled).toBe(true);
    fireEvent.click(key('A pony, 130 cm'));
    expect(key('Trot poles').disabled).toBe(true);
    fireEvent.click(key('20 × 40 m'));
    expect(key('Trot poles').disabled).toBe(false);
    // A horse that is tapped again is left out.
    fireEvent.click(key('A pony, 130 cm'));
    expect(key('Trot poles').disabled).toBe(true);
    fireEvent.click(key('A pony, 130 cm'));
    fireEvent.click(key('Trot poles'));
    await waitFor(() => expect(push).toHaveBeenCalledWith('/set/poles'));
    expect(make.mock.calls[0]![0].horses).toHaveLength(1);
  });

  it('say what would help where nothing goes, and what was chosen stays chosen', async () => {
    make.mockResolvedValue({ ok: false, fields: {}, problem: 'Take a larger sand. Nothing was made.' });
    steps();
    fireEvent.click(key('A pony, 130 cm'));
    fireEvent.click(key('20 × 40 m'));
    fireEvent.click(key('A course of six'));
    expect(await screen.findByText(/Take a larger sand/)).toBeTruthy();
    expect(key('A pony, 130 cm').getAttribute('aria-pressed')).toBe('true');
    expect(push).not.toHaveBeenCalled();
  });

  it('are sent as the same save where no answer came', async () => {
    make.mockRejectedValueOnce(new Error('gone')).mockResolvedValue({ ok: true, layoutId: 'poles' });
    steps();
    fireEvent.click(key('A pony, 130 cm'));
    fireEvent.click(key('20 × 40 m'));
    fireEvent.click(key('Trot poles'));
    expect(await screen.findByText(/nothing was made. Try again/)).toBeTruthy();
    fireEvent.click(key('Trot poles'));
    await waitFor(() => expect(push).toHaveBeenCalled());
    expect(make.mock.calls[1]![1]).toBe(make.mock.calls[0]![1]);
  });
});
