/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { SampleBar, type SampleStep } from './SampleBar';

let pathname = '/today';
jest.mock('next/navigation', () => ({ usePathname: () => pathname }));
const gone = jest.fn();
jest.mock('@/components/offline/forgetKept', () => ({ anewWithout: (page: string) => gone(page) }));

const STEPS: SampleStep[] = [
  { of: 'plan', name: 'Plan', href: '/plan/1', words: 'Drag a fence.' },
  { of: 'set', name: 'Set', href: '/set/1', words: 'This goes to the arena.' },
];

const shown = (onThrow = jest.fn(async () => ({ ok: true as const }))) => (
  <MantineProvider>
    <SampleBar yardId="sample" steps={STEPS} onThrow={onThrow} onKeep={async () => ({ ok: true })} />
  </MantineProvider>
);

describe('the way round a sample', () => {
  beforeEach(() => {
    localStorage.clear();
    gone.mockClear();
    pathname = '/today';
  });

  it('leads to the first thing, and from each to the next, and says when all was seen', () => {
    const { rerender } = render(shown());
    expect(screen.getByText('Drag a fence.')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Show me' }).getAttribute('href')).toBe('/plan/1');
    pathname = '/plan/1';
    rerender(shown());
    expect(screen.getByRole('link', { name: 'Next: Set' }).getAttribute('href')).toBe('/set/1');
    pathname = '/set/1';
    rerender(shown());
    expect(screen.getByText('This goes to the arena.')).toBeTruthy();
    expect(screen.queryByRole('link', { name: /Next/ })).toBeNull();
    pathname = '/today';
    rerender(shown());
    expect(screen.getByText(/You have seen it all/)).toBeTruthy();
  });

  it('is thrown away only when asked twice', async () => {
    const onThrow = jest.fn(async () => ({ ok: true as const }));
    render(shown(onThrow));
    fireEvent.click(screen.getByRole('button', { name: 'End the sample' }));
    expect(onThrow).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: /Throw the sample away/ }));
    await waitFor(() => expect(gone).toHaveBeenCalledWith('/'));
    expect(onThrow).toHaveBeenCalledTimes(1);
  });

  it('stays where the server does not answer, and says so', async () => {
    render(shown(jest.fn(() => Promise.reject(new Error('gone')))));
    fireEvent.click(screen.getByRole('button', { name: 'End the sample' }));
    fireEvent.click(screen.getByRole('button', { name: /Throw the sample away/ }));
    expect(await screen.findByText(/the sample is there still/)).toBeTruthy();
    expect(gone).not.toHaveBeenCalled();
  });
});
