/** @jest-environment jsdom */
import { inLightColours, printedLight } from './lightColours';

const scheme = () => document.documentElement.getAttribute('data-mantine-color-scheme');

describe('a page on paper', () => {
  it('is light while it is printed, and dark again on the screen', () => {
    document.documentElement.setAttribute('data-mantine-color-scheme', 'dark');
    const end = printedLight();
    window.dispatchEvent(new Event('beforeprint'));
    expect(scheme()).toBe('light');
    window.dispatchEvent(new Event('afterprint'));
    expect(scheme()).toBe('dark');
    end();
    window.dispatchEvent(new Event('beforeprint'));
    expect(scheme()).toBe('dark');
  });
});

describe('a picture that is handed on', () => {
  it('is read off a light page, which is dark again even where it could not be read', () => {
    document.documentElement.setAttribute('data-mantine-color-scheme', 'dark');
    expect(inLightColours(scheme)).toBe('light');
    expect(() =>
      inLightColours(() => {
        throw new RangeError('no picture');
      }),
    ).toThrow('no picture');
    expect(scheme()).toBe('dark');
  });
});
