/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { ColoursKey } from './ColoursKey';

const chosen = () => localStorage.getItem('mantine-color-scheme-value');

describe('the key for dark colours', () => {
  it('asks for the others, and follows the device again when they are what it has', () => {
    render(
      <MantineProvider defaultColorScheme="auto">
        <ColoursKey />
      </MantineProvider>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Dark colours' }));
    expect(document.documentElement.getAttribute('data-mantine-color-scheme')).toBe('dark');
    expect(chosen()).toBe('dark');
    fireEvent.click(screen.getByRole('button', { name: 'Light colours' }));
    expect(document.documentElement.getAttribute('data-mantine-color-scheme')).toBe('light');
    expect(chosen()).toBe('auto');
  });
});
